package org.yarbel.core.call;

import java.util.List;
import java.util.Optional;

/** A minimum missed on a day that was not as usual: it lowers nothing. */
final class MissedWithReason implements LiftRule {
  @Override
  public String key() {
    return "missed-with-reason";
  }

  @Override
  public String title() {
    return "missed, with a reason";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "A minimum missed in a flagged set or after bad answers: nothing changes, it is repeated; the second time running it asks.";
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    List<Past> exposures = picture.exposures(lift);
    int running = 0;
    while (running < exposures.size() && exposures.get(running).excused() && !exposures.get(running).missed().isEmpty()) {
      running++;
    }
    if (running == 0 || picture.remembered(lift) || exposures.get(0).day().isBefore(picture.today().minusDays(Missed.NEWS))) {
      return Optional.empty();
    }
    Past newest = exposures.get(0);
    Draft draft = Draft.of(this, lift).when(Urgency.MISS).agreeing(running).risky();
    exposures.subList(0, running).forEach(past -> draft.because(past.facts(past.missed())).because(past.badAnswers()));
    Missed.repeat(picture, lift, newest).ifPresent(effect -> draft.propose("Repeat it as written", List.of(effect)));
    draft.leave("Nothing changes");
    String said = newest.missed().get(0).lift().name() + ", " + Say.day(newest.day()) + ": " + Say.set(newest.missed().get(0))
        + ", with a reason: " + newest.reason() + ". ";
    if (running >= 2) {
      double cut = picture.of(CallFigure.CALL_MISS_CUT);
      draft.propose(Say.number(cut) + " % lighter until it is over", Edits.scaled(picture, lift, 1 - cut / 100));
      return Optional.of(draft.saying(said + "The " + (running == 2 ? "second" : "third or later")
          + " time running: is that how it will be for a while?"));
    }
    return Optional.of(draft.saying(said + "It says nothing of the strength: it is repeated."));
  }
}

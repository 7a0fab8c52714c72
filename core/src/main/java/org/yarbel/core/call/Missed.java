package org.yarbel.core.call;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;

/** A minimum missed with nothing off: repeated, then lighter, then reset. A method with memory has spoken first. */
final class Missed implements LiftRule {
  /** A miss is news for so many days. */
  static final int NEWS = 10;

  @Override
  public String key() {
    return "missed";
  }

  @Override
  public String title() {
    return "missed";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "A minimum missed with nothing off: the first is repeated, the second in 21 days −5 % or fewer reps, the third reset to 90 %.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_MISS_DAYS, CallFigure.CALL_MISS_CUT, CallFigure.CALL_MISS_RESET);
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    List<Past> exposures = picture.exposures(lift);
    Past newest = exposures.isEmpty() ? null : exposures.get(0);
    if (newest == null || newest.excused() || newest.missed().isEmpty() || newest.day().isBefore(picture.today().minusDays(NEWS))) {
      return Optional.empty();
    }
    boolean remembered = newest.lines().stream().anyMatch(Picture.Line::remembered) || picture.remembered(lift);
    return remembered ? told(picture, newest) : judged(picture, lift, running(picture, exposures));
  }

  /** The exposures with unflagged misses, the newest first, each within the days of the one after it. */
  private static List<Past> running(Picture picture, List<Past> exposures) {
    List<Past> misses = new ArrayList<>();
    for (Past past : exposures) {
      boolean near = misses.isEmpty() || ChronoUnit.DAYS.between(past.day(), misses.get(misses.size() - 1).day())
          <= picture.of(CallFigure.CALL_MISS_DAYS);
      if (near && !past.excused() && !past.missed().isEmpty()) {
        misses.add(past);
      }
    }
    return misses;
  }

  /** Nothing where no line to come could be otherwise: what stands there is no heavier. */
  private Optional<Call> judged(Picture picture, String lift, List<Past> misses) {
    Past newest = misses.get(0);
    Picture.Lifted worst = newest.missed().stream().min(Comparator.comparingInt(Picture.Lifted::reps)).orElseThrow();
    Draft draft = Draft.of(this, lift).when(Urgency.MISS).agreeing(misses.size());
    misses.forEach(past -> draft.because(past.facts(past.missed())));
    String said = worst.lift().name() + ", " + Say.day(newest.day()) + ": " + Say.set(worst) + ", nothing was off. ";
    if (misses.size() == 1) {
      repeat(picture, lift, newest).ifPresent(effect -> draft.propose("Repeat it as written", List.of(effect)));
      return finished(draft, said + "The first miss: it is repeated.");
    }
    String again = misses.size() == 2 ? "The second in " : "The " + misses.size() + "rd in a row, each within ";
    String days = (int) picture.of(CallFigure.CALL_MISS_DAYS) + " days";
    if (misses.size() == 2) {
      double cut = picture.of(CallFigure.CALL_MISS_CUT);
      draft.propose(Say.number(cut) + " % lighter from here", from(picture, lift, worst.load(), 1 - cut / 100));
      draft.propose("Fewer reps: " + Math.max(1, worst.reps()) + " a set", Edits.each(picture.editable(lift).stream().limit(1).toList(),
          line -> LineEdit.atMostReps(line, Math.max(1, worst.reps()))));
    } else {
      double reset = picture.of(CallFigure.CALL_MISS_RESET);
      draft.propose("Reset to " + Say.number(reset) + " %", from(picture, lift, worst.load(), reset / 100));
    }
    return finished(draft, said + (misses.size() <= 3 ? again : "Once more within ") + days + ".");
  }

  private static Optional<Call> finished(Draft draft, String sentence) {
    return draft.proposes() ? Optional.of(draft.leave("Go on as planned").saying(sentence)) : Optional.empty();
  }

  /** The lines to come so much lighter that the next one starts from a share of what was missed. */
  private static List<Effect> from(Picture picture, String lift, Mass missed, double share) {
    List<Picture.Planned> lines = picture.editable(lift);
    Optional<Mass> next = lines.isEmpty() ? Optional.empty() : Edits.top(picture, lines.get(0));
    double factor = next.map(top -> missed.scaled(share).ratioTo(top)).orElse(1.0);
    return factor >= 1 ? List.of() : Edits.scaled(picture, lift, factor);
  }

  /** The next exposure as the missed one was written, where it would be heavier. */
  static Optional<Effect> repeat(Picture picture, String lift, Past missed) {
    List<Picture.Planned> lines = picture.editable(lift);
    if (lines.isEmpty()) {
      return Optional.empty();
    }
    Optional<Mass> top = Edits.top(picture, lines.get(0));
    Mass load = missed.missed().stream().map(Picture.Lifted::load).max(Comparator.naturalOrder()).orElseThrow();
    WorkLine was = LineEdit.read(missed.lines().get(0).planned().work());
    return top.isPresent() && top.get().compareTo(load) > 0 && !top.get().hits(load) ? Edits.to(lines.get(0), was) : Optional.empty();
  }

  /** What a method with memory has made of it, where it says so. */
  private Optional<Call> told(Picture picture, Past newest) {
    Picture.Lifted worst = newest.missed().get(0);
    String lift = worst.lift().key();
    Optional<Picture.Planned> next = picture.planned(lift).stream().filter(planned -> planned.line().remembered()
        && !planned.line().remark().isEmpty()).findFirst();
    return next.map(planned -> Draft.of(this, lift).because(newest.facts(newest.missed())).agreeing(3).saying(worst.lift().name() + ", "
        + Say.day(newest.day()) + ": " + Say.set(worst) + ". " + method(planned) + " has spoken: " + planned.line().remark()));
  }

  private static String method(Picture.Planned planned) {
    return planned.line().method() == null ? "The method" : planned.line().method().method().title();
  }
}

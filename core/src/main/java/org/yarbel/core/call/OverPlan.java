package org.yarbel.core.call;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.mass.Mass;

/** More was lifted than was asked, twice. */
final class OverPlan implements LiftRule {
  private static final int TIMES = 2;
  private static final int STEPS = 2;
  private static final double CAP = 8;
  private static final int NEWS = 14;
  private static final int MONTH = 28;

  @Override
  public String key() {
    return "over-plan";
  }

  @Override
  public String title() {
    return "over plan";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public String when() {
    return "Lifted 5 % or two steps over what was asked, twice: the lifter is asked why; a bolder plan, or a cap.";
  }

  @Override
  public List<CallFigure> figures() {
    return List.of(CallFigure.CALL_OVER_PLAN);
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    List<Past> last = new ArrayList<>();
    List<Fact> facts = new ArrayList<>();
    for (Past past : picture.exposures(lift)) {
      if (past.sets().stream().allMatch(set -> picture.light(set.lift(), set.load()))) {
        // an easy day tells nothing of it
        continue;
      }
      Picture.Lifted over = past.sets().stream().filter(set -> over(picture, set)).findFirst().orElse(null);
      if (over == null) {
        break;
      }
      last.add(past);
      facts.add(Say.fact(past.day(), over));
    }
    if (last.size() < TIMES || last.get(0).day().isBefore(picture.today().minusDays(NEWS))) {
      return Optional.empty();
    }
    Past newest = last.get(0);
    Picture.Lifted set = newest.sets().stream().filter(one -> over(picture, one)).findFirst().orElseThrow();
    Mass asked = Objects.requireNonNull(set.askedLoad());
    boolean hard = newest.sets().stream().anyMatch(one -> one.off() > 0);
    // a run of it is one matter, asked about again when it goes on for a month
    Fact first = facts.get(facts.size() - 1);
    long months = ChronoUnit.DAYS.between(first.day(), newest.day()) / MONTH;
    Draft draft = Draft.of(this, lift).agreeing(last.size()).because(new Fact(first.kind(), first.id() + " " + months, first.day(),
        first.words())).beside(facts.subList(0, facts.size() - 1));
    draft.propose("Ask why", List.of(new Effect.Ask(newest.session().id(), newest.day(), "You took " + set.load().text() + " where "
        + asked.text() + " was asked. How did it feel, and what made you take more?")));
    List<Picture.Planned> lines = picture.editable(lift);
    if (!hard && !lines.isEmpty()) {
      Edits.top(picture, lines.get(0)).ifPresent(top -> draft.propose("Plan a step bolder",
          Edits.scaled(picture, lift, 1 + Math.min(0.025, picture.step().ratioTo(top)))));
    }
    draft.propose("Cap the next sessions at 8", Edits.each(lines, line -> LineEdit.capped(line, CAP)));
    return Optional.of(draft.leave("Leave it").saying(picture.name(lift) + ": more than asked on the last " + last.size()
        + " exposures; on "
        + Say.day(newest.day()) + " " + set.load().text() + " for " + asked.text() + (hard ? ", and harder than asked." : ".")));
  }

  /** Heavier than asked by the share, or by two steps; of work that was light anyway nobody minds. */
  private static boolean over(Picture picture, Picture.Lifted set) {
    Mass asked = set.askedLoad();
    if (asked == null || asked.isZero() || set.extra()) {
      return false;
    }
    long more = set.load().nanograms() - asked.nanograms();
    boolean share = set.load().ratioTo(asked) >= 1 + picture.of(CallFigure.CALL_OVER_PLAN) / 100;
    return !picture.light(set.lift(), set.load()) && (share || more >= STEPS * picture.step().nanograms() - Mass.TOLERANCE_NANOGRAMS);
  }
}

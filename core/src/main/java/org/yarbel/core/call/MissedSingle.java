package org.yarbel.core.call;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.track.MissedSingles;

/** Singles that were missed: halfway down, or practice of singles where the reps say more. */
final class MissedSingle implements LiftRule {
  /** A missed single is news for so many days. */
  private static final int NEWS = 14;
  private static final int WEEKS = 6;
  /** Our own reading of 'singles at 80–95 %' over six weeks. */
  private static final double[] SHARES = {80, 85, 88, 90, 92.5, 95};
  private static final double VOLUME_MOST = 85;
  private static final int SETS = 4;

  @Override
  public String key() {
    return "missed-single";
  }

  @Override
  public String title() {
    return "missed single";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public String when() {
    return "Two singles missed within 28 days with none made between: halfway between the heaviest made and that. One missed under 98 % of "
        + "what the reps say: 6–8 weeks of singles at 80–95 % with the volume at 70–85 %.";
  }

  @Override
  public Optional<Call> of(Picture picture, String lift) {
    List<MissedSingles.Single> log = new ArrayList<>();
    List<Fact> facts = new ArrayList<>();
    for (Past past : picture.exposures(lift)) {
      for (Picture.Lifted set : past.sets()) {
        if (set.single() && !set.flagged()) {
          log.add(new MissedSingles.Single(past.day(), set.load(), set.reps() > 0));
        }
        if (set.single() && set.reps() == 0 && !set.flagged()) {
          facts.add(Say.fact(past.day(), set));
        }
      }
    }
    Optional<MissedSingles.Single> newest = log.stream().filter(single -> !single.made()).findFirst()
        .filter(single -> ChronoUnit.DAYS.between(single.date(), picture.today()) < NEWS);
    Optional<MissedSingles.Single> madeSince = newest.flatMap(miss -> log.stream().filter(single -> single.made()
        && single.load().compareTo(miss.load()) >= 0 && !single.date().isBefore(miss.date())).findFirst());
    if (newest.isEmpty() || madeSince.isPresent()) {
      return Optional.empty();
    }
    Optional<MissedSingles.LowerMax> lower = MissedSingles.lowerMax(log).filter(max -> max.second().date().equals(newest.get().date()));
    return lower.isPresent() ? Optional.of(halfway(picture, lift, lower.get(), facts)) : skill(picture, lift, newest.get(), facts);
  }

  private Call halfway(Picture picture, String lift, MissedSingles.LowerMax lower, List<Fact> facts) {
    Mass load = nearest(picture, lift, lower.proposed());
    List<Effect> effects = new ArrayList<>();
    picture.editable(lift).stream().filter(planned -> LineEdit.read(planned.line().planned().work()).parts().get(0).work().sets() == 1)
        .filter(planned -> Edits.top(picture, planned).filter(top -> top.compareTo(load) > 0).isPresent())
        .forEach(planned -> Edits.to(planned, LineEdit.ofMass(LineEdit.read(planned.line().planned().work()), load))
            .ifPresent(effects::add));
    return Draft.of(this, lift).when(Urgency.MISS).agreeing(2).risky().because(facts).propose("No single over " + load.text()
        + " until one is made", effects).leave("Go on as planned")
        .saying(picture.name(lift) + ": singles missed at " + lower.first().load().text() + " on " + Say.day(lower.first().date())
            + " and at "
            + lower.second().load().text() + " on " + Say.day(lower.second().date())
                + ", none made between. Halfway from the heaviest made is "
            + Say.about(lower.proposed()) + ".");
  }

  private static Mass nearest(Picture picture, String lift, Mass load) {
    return picture.context().kit().of(picture.context().lift(lift), null).map(picture.context().kit()::search)
        .map(loads -> loads.nearestBelow(load).total().shownIn(picture.context().unit())).orElse(load);
  }

  private Optional<Call> skill(Picture picture, String lift, MissedSingles.Single missed, List<Fact> facts) {
    Mass max = picture.context().numbers(picture.context().lift(lift)).estimated();
    if (max == null || !MissedSingles.signOfSkill(missed, max)) {
      return Optional.empty();
    }
    List<Effect> effects = new ArrayList<>();
    List<LocalDate> weeks = new ArrayList<>();
    for (Picture.Planned planned : picture.editable(lift)) {
      LocalDate monday = Macrocycle.monday(planned.session().day());
      if (weeks.contains(monday) || weeks.size() >= WEEKS) {
        continue;
      }
      double share = SHARES[weeks.size()];
      weeks.add(monday);
      double factor = Math.min(1, Edits.top(picture, planned).map(top -> VOLUME_MOST / 100 * max.nanograms() / top.nanograms())
          .orElse(1.0));
      Edits.before(picture, planned, PartOf.sets(SETS, 1).percent(share, Basis.ESTIMATED).line())
          .flatMap(work -> Edits.to(planned, singlesFirst(work, factor))).ifPresent(effects::add);
    }
    return Optional.of(Draft.of(this, lift).about("skill").when(Urgency.MISS).risky().because(facts)
        .propose("Singles at 80–95 % for six to eight weeks, the volume at 70–85 %", effects).leave("Go on as planned")
        .saying(picture.name(lift) + ": a single missed at " + missed.load().text() + " on " + Say.day(missed.date()) + ", "
            + Say.number(100 * missed.load().ratioTo(max)) + " % of what the reps say (" + Say.about(max)
            + "). That is a sign of skill, not of strength."));
  }

  /** The singles as they are, what stands behind them within the volume's share. */
  private static WorkLine singlesFirst(WorkLine work, double factor) {
    List<Part> parts = new ArrayList<>(LineEdit.scaled(work, factor, null).parts());
    parts.set(0, work.parts().get(0));
    return new WorkLine(parts);
  }
}

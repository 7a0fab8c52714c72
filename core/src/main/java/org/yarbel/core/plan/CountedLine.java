package org.yarbel.core.plan;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;

/**
 * A line of a week with its sets counted.
 *
 * @param id what the caller knows it by
 * @param head the head of its family: a front squat's is the squat
 * @param estimate of the lift; null when none is known
 */
public record CountedLine(long id, LocalDate day, SlotKind kind, Lift lift, Lift head, ResolvedLine resolved, @Nullable Mass estimate,
    EffortChart chart, List<CountedSet> sets) {
  private static final double HARD_PERCENT = 85;
  private static final double HARD_RPE = 8.5;
  private static final double LIGHT_PERCENT = 70;
  private static final double LIGHT_RPE = 6;

  /**
   * Counts a line of a lifter. On a day to come a load that does not follow the estimate, such as one of the goal or one that was
   * written, is a share of the max to expect by then.
   */
  public static CountedLine of(long id, LocalDate day, SlotKind kind, Lift lift, ResolvedLine resolved, LifterContext context) {
    Mass now = context.numbers(lift).best();
    Mass expected = context.expected(lift, day);
    EffortChart chart = context.chart(lift);
    return new CountedLine(id, day, kind, lift, context.lifts().family(lift), resolved, now, chart, resolved.sets().stream()
        .map(set -> CountedSet.of(set, resolved.followsTheEstimate(set) ? now : expected, chart)).toList());
  }

  /** Counts a line by one number. */
  public static CountedLine of(long id, LocalDate day, SlotKind kind, Lift lift, ResolvedLine resolved, @Nullable Mass estimate,
      EffortChart chart, Catalogue lifts) {
    return new CountedLine(id, day, kind, lift, lifts.family(lift), resolved, estimate, chart,
        resolved.sets().stream().map(set -> CountedSet.of(set, estimate, chart)).toList());
  }

  /** The same on another day. */
  public CountedLine on(LocalDate other) {
    return new CountedLine(id, other, kind, lift, head, resolved, estimate, chart, sets);
  }

  /** Whether sets of it are logged. */
  public boolean begun() {
    return sets.stream().anyMatch(set -> set.set().logged());
  }

  /** Whether its sets are practice of what is contested: the head of its family, a close variant, an event of strongman. */
  public boolean mainOrClose() {
    return lift.equals(head) || lift.close() || lift.contest() != Lift.Contest.NO;
  }

  /** Its work sets. */
  public List<CountedSet> work() {
    return sets.stream().filter(CountedSet::works).toList();
  }

  /** Its hard sets as {@link CountedSet#hard} has them; 0 where its kind of slot counts for nothing. */
  public long hardSets() {
    return kind.counts() ? sets.stream().filter(CountedSet::hard).count() : 0;
  }

  /** The reps of its work sets; what is carried has none. */
  public double reps() {
    return work().stream().filter(set -> set.set().distance() == null).mapToDouble(CountedSet::reps).sum();
  }

  /** Load times reps of the work sets, in kilograms; both hands counted. */
  public double tonnes() {
    double nanograms = work().stream().filter(set -> set.set().load() != null && set.set().distance() == null)
        .mapToDouble(set -> set.reps() * set.set().load().nanograms()).sum();
    return nanograms / 1e15 * (lift.equipment().perHand() ? 2 : 1);
  }

  /** The highest share of the max among its work sets; 0 when none is known. */
  public double topPercent() {
    return work().stream().mapToDouble(CountedSet::percent).filter(p -> !Double.isNaN(p)).max().orElse(0);
  }

  /** The highest effort among its work sets; 0 when none is known. */
  public double topRpe() {
    return work().stream().mapToDouble(CountedSet::rpe).filter(r -> !Double.isNaN(r)).max().orElse(0);
  }

  /** Whether any work set is at 85 % or RPE 8.5 and more. Our own words for a hard session of a lift. */
  public boolean hard() {
    return topPercent() >= HARD_PERCENT || topRpe() >= HARD_RPE;
  }

  /** Whether nothing is over 70 % nor over RPE 6: it keeps skill and is no exposure. */
  public boolean light() {
    return topPercent() <= LIGHT_PERCENT && topRpe() <= LIGHT_RPE && work().stream().anyMatch(set -> !Double.isNaN(set.percent()));
  }

  /** Its session load: the sum over its work sets of reps · (percent/100)². */
  public double sessionLoad() {
    return sets.stream().mapToDouble(CountedSet::load).sum();
  }

  /** The steps of its warm-up. */
  public List<RampStep> ramp() {
    return resolved.ramp();
  }
}

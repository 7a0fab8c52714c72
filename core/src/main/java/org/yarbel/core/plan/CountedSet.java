package org.yarbel.core.plan;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;

/**
 * A set as volume and effort are counted.
 *
 * @param reps asked or done; the middle of a range; of open sets what the chart gives to failure
 * @param percent of the estimated max, NaN where none is known
 * @param rpe written, else what the chart predicts for load and reps (from 0 to beyond 10), NaN where nothing tells
 */
public record CountedSet(ResolvedSet set, double reps, double percent, double rpe) {
  private static final double HARD_PERCENT = 65;
  private static final double HARD_RPE = 6;
  private static final double UNKNOWN_OPEN = 8;

  /** Counts one set of a lift whose estimated max is known or not. */
  public static CountedSet of(ResolvedSet set, @Nullable Mass estimate, EffortChart chart) {
    double percent = percent(set, estimate);
    OptionalDouble toFailure = Double.isNaN(percent) || percent <= 0 || !set.tellsOfMax() ? OptionalDouble.empty()
        : chart.curve().repsAt(Math.min(percent / 100, 1));
    double most = toFailure.isEmpty() ? Double.NaN : 1 + (toFailure.getAsDouble() - 1) / chart.stretch();
    double reps = reps(set, most);
    return new CountedSet(set, reps, percent, rpe(set, percent, most - reps));
  }

  private static double percent(ResolvedSet set, @Nullable Mass estimate) {
    Mass load = set.load();
    if (load != null && estimate != null && !estimate.isZero()) {
      return 100 * load.ratioTo(estimate);
    }
    return set.percent() != null ? set.percent() : Double.NaN;
  }

  /** The rating asked for, or what the reps left come to; not a number where nothing tells. */
  private static double rpe(ResolvedSet set, double percent, double left) {
    if (set.rpe() != null) {
      return set.rpe().value();
    }
    return percent > 100 && set.tellsOfMax() ? 10 + (percent - 100) / 3 : 10 - left;
  }

  private static double reps(ResolvedSet set, double most) {
    if (set.reps() != null) {
      return set.repsTo() == null ? set.reps() : (set.reps() + set.repsTo()) / 2.0;
    }
    if (set.role() != Role.OPEN && set.role() != Role.TIMED) {
      return 1;
    }
    return Double.isNaN(most) ? UNKNOWN_OPEN : Math.max(1, Math.floor(most));
  }

  /** Whether it is work and not a warm-up. */
  public boolean works() {
    return set.role() != Role.WARM;
  }

  /**
   * Whether it is a hard set: four reps or fewer in reserve, or 65 % of the max and more. Work without either figure
   * counts: assistance is mostly taken there. Our own words for it.
   */
  public boolean hard() {
    return works() && (Double.isNaN(percent) && Double.isNaN(rpe) || rpe >= HARD_RPE || percent >= HARD_PERCENT);
  }

  /** Reps · (percent/100)²; 0 where no share is known. */
  public double load() {
    return works() && !Double.isNaN(percent) ? reps * percent * percent / 10_000 : 0;
  }
}

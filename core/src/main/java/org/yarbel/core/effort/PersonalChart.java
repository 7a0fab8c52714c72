package org.yarbel.core.effort;

import java.util.List;
import java.util.OptionalDouble;
import org.yarbel.core.mass.Mass;

/**
 * A lifter's own effort chart, fitted from sets to failure: percent(n) = curve(1 + (n − 1)·k).
 *
 * <p>Our own default. Some lose reps faster than the published curves say (k over 1), some slower. For each set m is the
 * number of reps at which the curve equals load / max; k = (Σ(n−1)(m−1) + 64) / (Σ(n−1)² + 64), kept in 0.6–1.5: with
 * few sets it stays near 1. It is used from three sets on; before, the published curve is.
 *
 * @param sets what it was fitted from
 * @param stretch k
 */
public record PersonalChart(RepMaxCurve curve, List<ToFailure> sets, double stretch) {
  /** So many sets make it worth using. */
  public static final int SETS_NEEDED = 3;

  private static final double PRIOR = 64;
  private static final double LEAST = 0.6;
  private static final double MOST = 1.5;
  private static final int LEAST_REPS = 3;
  private static final int MOST_REPS = 15;

  /**
   * A set that went to failure.
   *
   * @param reps 3 to 15
   * @param max known otherwise: tracked that morning from sets of three reps to failure or fewer, or tested
   */
  public record ToFailure(Mass load, int reps, Mass max) {
    /** Whether it can serve: 3 to 15 reps with less than the max. */
    public boolean serves() {
      return reps >= LEAST_REPS && reps <= MOST_REPS && !load.isZero() && load.compareTo(max) < 0;
    }
  }

  /** Fits a chart; sets that cannot serve, or are lighter than the curve knows, are left out. */
  public static PersonalChart fit(RepMaxCurve curve, List<ToFailure> log) {
    List<ToFailure> used = log.stream()
        .filter(set -> set.serves() && curve.repsAt(set.load().ratioTo(set.max())).isPresent()).toList();
    double products = 0;
    double squares = 0;
    for (ToFailure set : used) {
      double expected = curve.repsAt(set.load().ratioTo(set.max())).orElseThrow();
      products += (set.reps() - 1) * (expected - 1);
      squares += (double) (set.reps() - 1) * (set.reps() - 1);
    }
    double stretch = (products + PRIOR) / (squares + PRIOR);
    return new PersonalChart(curve, used, Math.min(Math.max(stretch, LEAST), MOST));
  }

  /** Whether there are sets enough. */
  public boolean usable() {
    return sets.size() >= SETS_NEEDED;
  }

  /** The chart to plan with: the lifter's own, or the published one while there are too few sets. */
  public EffortChart chart() {
    return new EffortChart(curve, usable() ? stretch : 1);
  }

  /** The share of the max for so many reps to failure; empty beyond the curve. */
  public OptionalDouble fraction(double repsToFailure) {
    return new EffortChart(curve, stretch).fraction(repsToFailure, Rpe.MAX.value());
  }
}

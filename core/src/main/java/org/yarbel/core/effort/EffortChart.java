package org.yarbel.core.effort;

import java.util.OptionalDouble;
import org.yarbel.core.mass.Mass;

/**
 * The chart of loads by reps and RPE: percent(reps, RPE) = curve(reps + 10 − RPE).
 *
 * <p>Our own construction from a rep-max curve, after Zourdos et al. 2016, J Strength Cond Res 30(1), and Helms et al.
 * 2016, Strength Cond J 38(4). Reps may be halves, the middle of a range. It holds no lifter's own deviation.
 */
public record EffortChart(RepMaxCurve curve) {
  /** The chart of the house curve. */
  public static final EffortChart HOUSE = new EffortChart(RepMaxCurve.HOUSE);

  /** Reps done plus reps in reserve. */
  public static double repsToFailure(double reps, double rpe) {
    return reps + 10 - rpe;
  }

  /** The share of the max, over 0 up to 1, or empty when the set has more than 15 reps to failure. */
  public OptionalDouble fraction(double reps, double rpe) {
    double repsToFailure = repsToFailure(reps, rpe);
    return repsToFailure < 1 || repsToFailure > RepMaxCurve.MAX_REPS_TO_FAILURE
        ? OptionalDouble.empty()
        : OptionalDouble.of(curve.fraction(repsToFailure));
  }

  /**
   * The one-rep max that a set speaks for: load / percent(reps, RPE).
   *
   * @throws IllegalArgumentException for more than 15 reps to failure
   */
  public Mass oneRepMax(Mass load, double reps, double rpe) {
    return load.scaled(1 / curve.fraction(repsToFailure(reps, rpe)));
  }
}

package org.yarbel.core.effort;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * The chart of loads by reps and RPE: percent(reps, RPE) = curve(reps + 10 − RPE).
 *
 * <p>Our own construction from a rep-max curve, after Zourdos et al. 2016, J Strength Cond Res 30(1), and Helms et al.
 * 2016, Strength Cond J 38(4). Reps may be halves, the middle of a range. A lifter's own chart is the same with the reps
 * stretched: percent(n) = curve(1 + (n − 1)·k), learned by the tracker.
 *
 * @param stretch k, over 0; 1 for the published curve
 */
public record EffortChart(RepMaxCurve curve, double stretch) {
  /** The chart of the house curve. */
  public static final EffortChart HOUSE = new EffortChart(RepMaxCurve.HOUSE);

  public EffortChart {
    if (!(stretch > 0)) {
      throw new Refused("The stretch of a chart must be over 0 but was " + stretch);
    }
  }

  /** The chart of a published curve. */
  public EffortChart(RepMaxCurve curve) {
    this(curve, 1);
  }

  /** Reps done plus reps in reserve. */
  public static double repsToFailure(double reps, double rpe) {
    return reps + 10 - rpe;
  }

  /** The share of the max, over 0 up to 1, or empty when the set has more than 15 reps to failure. */
  public OptionalDouble fraction(double reps, double rpe) {
    double repsToFailure = repsToFailure(reps, rpe);
    double stretched = 1 + (repsToFailure - 1) * stretch;
    return repsToFailure < 1 || Math.max(repsToFailure, stretched) > RepMaxCurve.MAX_REPS_TO_FAILURE
        ? OptionalDouble.empty()
        : OptionalDouble.of(curve.fraction(stretched));
  }

  /**
   * The whole chart as percentages, a row for each RPE from 10 down to 6 in halves, a column for each number of reps from
   * 1 on; null beyond 15 reps to failure.
   */
  public List<List<@Nullable Double>> rows(int mostReps) {
    List<List<@Nullable Double>> rows = new ArrayList<>();
    for (int halves = Rpe.MAX.halves(); halves >= Rpe.MIN.halves(); halves--) {
      List<@Nullable Double> row = new ArrayList<>();
      for (int reps = 1; reps <= mostReps; reps++) {
        OptionalDouble fraction = fraction(reps, halves / 2.0);
        row.add(fraction.isEmpty() ? null : Double.valueOf(100 * fraction.getAsDouble()));
      }
      rows.add(row);
    }
    return rows;
  }

  /**
   * The one-rep max that a set speaks for: load / percent(reps, RPE).
   *
   * @throws Refused for more than 15 reps to failure
   */
  public Mass oneRepMax(Mass load, double reps, double rpe) {
    return load.scaled(1 / fraction(reps, rpe).orElseThrow(
        () -> new Refused("More than 15 reps to failure say too little about a max")));
  }
}

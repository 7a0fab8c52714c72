package org.yarbel.core.sim;

import java.util.OptionalDouble;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * A made-up lifter in one lift: a true max that rises, days better and worse, ratings that are off by a little.
 *
 * <p>All of it is invented; nothing here feeds a rule. The same seed gives the same log.
 */
public final class SimulatedLifter {
  private final RandomGenerator random;
  private final double gainPerDay;
  private final double dayForm;
  private final double ratingBias;
  private final double ratingNoise;
  private final Mass startMax;
  private double form = 1;
  private double fatigue = 0;
  private double trueMaxNanograms;

  /**
   * What is true of a lifter and unknown to the coach.
   *
   * @param max on the first day
   * @param gainPerDay growth of the max a day, 0.001 for 0.1 %
   * @param dayForm sd of the form of a day, 0.02 for 2 %
   * @param ratingBias half points rated too low (negative) or too high
   * @param ratingNoise sd of a rating in points
   */
  public record Traits(Mass max, double gainPerDay, double dayForm, double ratingBias, double ratingNoise) {}

  /** What came of a set: good reps, 0 for a miss, and the rating; null below 6. */
  public record Outcome(int reps, @Nullable Rpe rpe) {}

  public SimulatedLifter(Traits traits, RandomGenerator random) {
    this.random = random;
    this.startMax = traits.max();
    this.gainPerDay = traits.gainPerDay();
    this.dayForm = traits.dayForm();
    this.ratingBias = traits.ratingBias();
    this.ratingNoise = traits.ratingNoise();
    this.trueMaxNanograms = startMax.nanograms();
  }

  /** Begins a day, so many after the first: the max has grown, and the day is good or bad. */
  public void startDay(long daySinceStart) {
    trueMaxNanograms = startMax.nanograms() * Math.pow(1 + gainPerDay, daySinceStart);
    form = 1 + dayForm * random.nextGaussian();
    fatigue = 0;
  }

  /** The true max, which only a simulation knows. */
  public Mass trueMax() {
    return Mass.ofRoundedNanograms(trueMaxNanograms, startMax.unit());
  }

  /** Lifts a set of so many reps, or with {@code open} as many as leave one in reserve. */
  public Outcome lift(Mass load, int reps, boolean open) {
    double canDo = repsToFailure(load.nanograms() / (trueMaxNanograms * form * (1 - fatigue)));
    fatigue += 0.004;
    if (canDo < 1) {
      return new Outcome(0, Rpe.MAX);
    }
    int most = (int) Math.floor(canDo);
    int done = open ? Math.max(Math.min(most - 1, 15), 1) : Math.min(reps, most);
    double left = canDo - done;
    double rated = 10 - left + ratingBias + ratingNoise * random.nextGaussian();
    double halves = Math.rint(Math.min(rated, 10) * 2) / 2;
    return new Outcome(done, halves < 6 ? null : Rpe.of(halves));
  }

  /** The reps to failure at a share of the max, from 0 (too heavy) to 30. */
  private static double repsToFailure(double share) {
    if (share > 1) {
      return 0;
    }
    OptionalDouble reps = RepMaxCurve.HOUSE.repsAt(share);
    return reps.isPresent() ? reps.getAsDouble() : Math.min(30 * (1 / share - 1), 30);
  }
}

package org.yarbel.core.sim;

import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * A made-up lifter in one lift: a true max that moves, days better and worse, ratings that are off by a little.
 *
 * <p>All of it is invented; nothing here feeds a rule. The same seed gives the same log.
 */
public final class SimulatedLifter {
  private static final int REST_COSTS_AFTER_DAYS = 14;
  private static final double REST_COSTS = 0.002;
  private static final int MOST_REPS = 30;
  private static final int MOST_OPEN_REPS = 15;
  /** The scale of a Student t of three degrees of freedom whose sd is 1. */
  private static final double T_SCALE = 1 / Math.sqrt(3);
  private static final double EASIEST = 6;

  private final Traits traits;
  private final RandomGenerator random;
  private long day;
  private boolean begun;
  private double form;
  private double lost;
  private double fatigue;

  /**
   * What came of a set.
   *
   * @param reps good ones, 0 for a miss
   * @param rpe the rating; null below 6
   * @param easier rated below 6
   * @param failed a further rep was tried and missed
   */
  public record Outcome(int reps, @Nullable Rpe rpe, boolean easier, boolean failed) {}

  public SimulatedLifter(Traits traits, RandomGenerator random) {
    this.traits = traits;
    this.random = random;
  }

  /** Begins a training day, so many after the first: the max has moved, and the day is good or bad. */
  public void startDay(long daySinceStart) {
    long passed = begun ? daySinceStart - day : 0;
    double rested = Math.max(0, passed - REST_COSTS_AFTER_DAYS) * REST_COSTS;
    lost = rested > 0 ? lost + rested : Math.max(0, lost - REST_COSTS * passed);
    double stays = traits.form().memory() == 0 || !begun ? 0 : Math.exp(-passed / traits.form().memory());
    form = stays * form + Math.sqrt(1 - stays * stays) * traits.form().sd() * deviate();
    day = daySinceStart;
    begun = true;
    fatigue = 0;
  }

  private double deviate() {
    double normal = random.nextGaussian();
    if (!traits.form().heavyTails()) {
      return normal;
    }
    double squares = 0;
    for (int i = 0; i < 3; i++) {
      double other = random.nextGaussian();
      squares += other * other;
    }
    return T_SCALE * normal / Math.sqrt(squares / 3);
  }

  /** The true max, rested and on a usual day, which only a simulation knows. */
  public Mass trueMax() {
    return traits.max().scaled(Math.exp(traits.growth().ln(day) - lost));
  }

  /** What a test brings on the day: the max of the day, or a little under it. */
  public Mass test() {
    return trueMax().scaled(Math.exp(form - fatigue) * (1 - 0.012 * random.nextDouble()));
  }

  /** Lifts a set of so many reps, or with {@code open} as many as leave one in reserve. */
  public Outcome lift(Mass load, int reps, boolean open) {
    double canDo = repsToFailure(load);
    if (canDo < 1) {
      return new Outcome(0, Rpe.MAX, false, true);
    }
    int most = (int) Math.floor(canDo);
    int done = open ? Math.max(Math.min(most - 1, MOST_OPEN_REPS), 1) : Math.min(reps, most);
    double claimed = canDo - done + traits.ratings().bias(day) + traits.ratings().sd() * random.nextGaussian();
    double halves = Math.rint(Math.min(10 - claimed, 10) * 2) / 2;
    boolean easier = halves < EASIEST;
    return new Outcome(done, easier ? null : Rpe.of(halves), easier, !open && done < reps);
  }

  /** Lifts until a rep fails. */
  public Outcome toFailure(Mass load) {
    int reps = (int) Math.floor(Math.max(repsToFailure(load), 0));
    return new Outcome(reps, null, false, true);
  }

  private double repsToFailure(Mass load) {
    double share = load.ratioTo(trueMax()) / Math.exp(form - fatigue);
    fatigue += traits.form().setTakes();
    if (share > 1) {
      return 0;
    }
    Traits.Reps reps = traits.reps();
    double onCurve = share * Math.exp(reps.singles());
    double low = 1;
    double high = MOST_REPS;
    while (high - low > 1e-9) {
      double middle = (low + high) / 2;
      if (reps.curve().formula(middle) >= onCurve) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return 1 + (low - 1) / reps.stretch();
  }
}

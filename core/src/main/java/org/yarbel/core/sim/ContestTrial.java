package org.yarbel.core.sim;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.DayOdds;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Asks made-up lifters how true the odds of a contest day are. Each trains for half a year as in {@link TrackerTrial}, rests, and lifts
 * up to three attempts that are called by the odds, the last of them with the chance asked about.
 */
public final class ContestTrial {
  private static final int REST_DAYS = 6;
  private static final double RATIO_SD = 0.02;
  private static final double RATIO = 0.98;
  private static final double UNSKILLED = 0.03;
  /** How surely the attempts before are called. */
  private static final double[] BEFORE = {0.95, 0.85};

  private ContestTrial() {}

  /**
   * How many of the attempts called with a chance were made.
   *
   * @param attempts called
   * @param called the sum of their chances
   * @param made how many were
   */
  public record Result(int attempts, double called, int made) {
    static final Result NONE = new Result(0, 0, 0);

    Result plus(double chance, boolean good) {
      return new Result(attempts + 1, called + chance, made + (good ? 1 : 0));
    }

    Result plus(Result other) {
      return new Result(attempts + other.attempts, called + other.called, made + other.made);
    }

    /** The share that was made, in %. */
    public double share() {
      return 100.0 * made / attempts;
    }

    /** The chance they were called with on average, in %. */
    public double calledShare() {
      return 100 * called / attempts;
    }
  }

  /**
   * So many lifters of all kinds in turn, of whom an attempt is called with a chance; the same seed, the same result. Its load is what the
   * odds say, to the gram and lighter than before where they say so: they are asked about, not the rules.
   *
   * @param number of the attempt, 1 to 3
   */
  public static Result ofAllKinds(int lifters, double chance, int number, long seed) {
    Result all = Result.NONE;
    for (int lifter = 0; lifter < lifters; lifter++) {
      LifterKind kind = LifterKind.all().get(lifter % LifterKind.all().size());
      all = all.plus(one(kind, chance, number, RandomGeneratorFactory.of("L64X128MixRandom").create(seed + lifter)));
    }
    return all;
  }

  private static Result one(LifterKind kind, double chance, int number, RandomGenerator random) {
    TrackerTrial.Peaked peaked = new TrackerTrial(kind, random).peak(REST_DAYS);
    double ratio = RATIO + RATIO_SD * random.nextGaussian();
    DayOdds odds = DayOdds.of(peaked.standing().on(peaked.date()), DayOdds.USUAL_RATIO);
    Mass last = Mass.ofNanograms(0, MassUnit.KG);
    for (int attempt = 1; attempt <= number; attempt++) {
      Mass load = odds.load(attempt == number ? chance : BEFORE[attempt - 1], MassUnit.KG);
      if (attempt < number && load.compareTo(last) < 0) {
        load = last;
      }
      SimulatedLifter.Outcome outcome = peaked.body().lift(load.scaled(1 / ratio), 1, false);
      boolean good = outcome.reps() == 1 && random.nextDouble() >= UNSKILLED;
      if (attempt == number) {
        return Result.NONE.plus(odds.chance(load), good);
      }
      odds = odds.after(Attempt.of(attempt, load, good ? Verdict.good(look(outcome)) : Verdict.not(Verdict.Reason.STRENGTH)));
      last = load;
    }
    return Result.NONE;
  }

  private static Verdict.Look look(SimulatedLifter.Outcome outcome) {
    if (outcome.easier() || outcome.rpe() != null && outcome.rpe().value() <= 8) {
      return Verdict.Look.EASY;
    }
    return outcome.rpe() != null && outcome.rpe().value() <= 9 ? Verdict.Look.RIGHT : Verdict.Look.LIMIT;
  }
}

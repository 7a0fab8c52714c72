package org.yarbel.core.sim;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;

/**
 * Asks made-up lifters how true the tracked max is. Two exposures a week over half a year, their loads taken from the estimate of
 * the day as a coach would; after each from the ninth on the published max is held against the true one.
 */
public final class TrackerTrial {
  private static final int EXPOSURES = 52;
  private static final int LEARNING = 8;
  private static final int AWAY_FROM = 24;
  private static final int AWAY_UNTIL = 34;
  private static final int[] TOP_REPS = {1, 3, 5};
  private static final LocalDate START = LocalDate.of(2026, 1, 5);

  private final LifterKind kind;
  private final RandomGenerator random;
  private final SimulatedLifter body;
  private final Tracker tracker;
  private final List<Observation> day = new ArrayList<>();
  private @Nullable Standing standing;

  /**
   * How true the estimates of many days were.
   *
   * @param days compared
   * @param withinOne how many of them had the true max within one sd
   * @param withinTwo within two
   * @param off the sum of the errors, as shares of the true max
   * @param away the sum of the distances, as shares of the true max
   */
  public record Result(int days, int withinOne, int withinTwo, double off, double away) {
    static final Result NONE = new Result(0, 0, 0, 0, 0);

    Result plus(Result other) {
      return new Result(days + other.days, withinOne + other.withinOne, withinTwo + other.withinTwo, off + other.off, away + other.away);
    }

    /** The share of days within one sd, 68.3 % for a spread that is true. */
    public double inOneSd() {
      return 100.0 * withinOne / days;
    }

    /** The share of days within two sd, 95.4 % for a spread that is true. */
    public double inTwoSd() {
      return 100.0 * withinTwo / days;
    }

    /** The mean error in %. */
    public double bias() {
      return 100 * off / days;
    }

    /** The mean distance in %. */
    public double distance() {
      return 100 * away / days;
    }
  }

  TrackerTrial(LifterKind kind, RandomGenerator random) {
    this.kind = kind;
    this.random = random;
    this.body = new SimulatedLifter(kind.one(random), random);
    body.startDay(0);
    TestedMax tested = kind.tested() ? new TestedMax(body.test(), START) : null;
    this.tracker = new Tracker(kind.level(), tested);
    this.standing = tracker.run(List.of(), MassUnit.KG).standing();
  }

  /** So many lifters of a kind; the same number gives the same result. */
  public static Result of(LifterKind kind, int lifters, long seed) {
    Result all = Result.NONE;
    for (int lifter = 0; lifter < lifters; lifter++) {
      all = all.plus(new TrackerTrial(kind, RandomGeneratorFactory.of("L64X128MixRandom").create(seed + lifter)).run());
    }
    return all;
  }

  /** So many lifters of all kinds in turn; the same number gives the same result. */
  public static Result ofAllKinds(int lifters, long seed) {
    List<LifterKind> kinds = LifterKind.all();
    Result all = Result.NONE;
    for (int lifter = 0; lifter < lifters; lifter++) {
      all = all.plus(of(kinds.get(lifter % kinds.size()), 1, seed + lifter));
    }
    return all;
  }

  /** Where the tracker stands, and what the lifter truly is, at the end of the half year. */
  record Peaked(Standing standing, SimulatedLifter body, long day, LocalDate date) {}

  /** The same half year, and so many days after it. */
  Peaked peak(int restDays) {
    run();
    long day = EXPOSURES * 7L / 2 + restDays;
    body.startDay(day);
    return new Peaked(Objects.requireNonNull(standing), body, day, START.plusDays(day));
  }

  private Result run() {
    Result result = Result.NONE;
    for (int exposure = 1; exposure <= EXPOSURES; exposure++) {
      if (!kind.layoff() || exposure < AWAY_FROM || exposure >= AWAY_UNTIL) {
        train(exposure);
        if (exposure > LEARNING) {
          result = result.plus(compared());
        }
      }
    }
    return result;
  }

  private Result compared() {
    Standing now = Objects.requireNonNull(standing);
    Estimate max = now.on(now.day()).max(MassUnit.KG);
    Mass truth = body.trueMax();
    double error = max.max().ratioTo(truth) - 1;
    double inSd = Math.abs(max.max().nanograms() - truth.nanograms()) / (double) max.sd().nanograms();
    return new Result(1, inSd <= 1 ? 1 : 0, inSd <= 2 ? 1 : 0, error, Math.abs(error));
  }

  private void train(int exposure) {
    long since = exposure * 7L / 2;
    LocalDate date = START.plusDays(since);
    body.startDay(since);
    Outlook morning = standing == null ? null : standing.on(date);
    // without any number a coach begins with something that is surely light enough
    Mass known = morning == null ? body.trueMax().scaled(random.nextDouble(0.75, 0.9)) : morning.max(MassUnit.KG).max();
    day.clear();
    switch (kind.style()) {
      case TOP_AND_BACK_OFFS, ONLY_TOP_RATED, UNRATED -> topAndBackOffs(known, exposure, date);
      case PLUS_SETS -> plusSets(known, exposure, date);
      case EASY_FIVES -> fives(known, date);
      case SINGLES -> singles(known, exposure, date);
    }
    Track track = standing == null ? tracker.run(day, MassUnit.KG) : tracker.goOn(standing, day, MassUnit.KG);
    standing = track.standing();
  }

  private void topAndBackOffs(Mass known, int exposure, LocalDate date) {
    int reps = TOP_REPS[exposure % TOP_REPS.length];
    Mass top = known.scaled(fraction(reps, 8));
    lift(top, reps, date, kind.style() != TrainingStyle.UNRATED);
    for (int set = 0; set < 3; set++) {
      lift(top.scaled(0.88), reps + 1, date, kind.style() == TrainingStyle.TOP_AND_BACK_OFFS);
    }
  }

  private void plusSets(Mass known, int exposure, LocalDate date) {
    Mass load = known.scaled(0.78 + 0.04 * (exposure % 3));
    lift(load, 3, date, false);
    lift(load, 3, date, false);
    // every third goes on until one is missed, the others until form would go
    SimulatedLifter.Outcome open = exposure % 3 == 0 ? body.toFailure(load) : body.lift(load, 3, true);
    day.add(seen(date, load, open, false));
  }

  private void fives(Mass known, LocalDate date) {
    for (int set = 0; set < 4; set++) {
      lift(known.scaled(0.72), 5, date, true);
    }
  }

  private void singles(Mass known, int exposure, LocalDate date) {
    lift(known.scaled(0.85), 1, date, true);
    lift(known.scaled(0.9), 1, date, true);
    lift(known.scaled(exposure % 4 == 0 ? 0.975 : 0.945), 1, date, true);
  }

  private static double fraction(int reps, double rpe) {
    return EffortChart.HOUSE.fraction(reps, rpe).orElseThrow();
  }

  private void lift(Mass load, int reps, LocalDate date, boolean rated) {
    day.add(seen(date, load, body.lift(load, reps, false), rated));
  }

  private static Observation seen(LocalDate date, Mass load, SimulatedLifter.Outcome outcome, boolean rated) {
    Observation set = Observation.of(date, load, outcome.reps(), rated ? outcome.rpe() : null);
    return set.with(Trait.EASIER, rated && outcome.easier()).with(Trait.FAILED, outcome.failed());
  }
}

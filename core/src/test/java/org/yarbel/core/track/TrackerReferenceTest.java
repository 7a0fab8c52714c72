package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.MaxTracker.Standing;
import org.yarbel.core.track.MaxTracker.Tested;
import org.yarbel.core.track.MaxTracker.Track;

/** The filter beside Hipparchus' linear Kalman filter, and where it stands beside a run on to a later day. */
class TrackerReferenceTest {
  private static final LocalDate START = LocalDate.of(2025, 1, 6);

  static Stream<Long> seeds() {
    return IntStream.range(0, 12).mapToObj(Long::valueOf);
  }

  private static Mass kg(double amount) {
    return Mass.ofRoundedNanograms(amount * 1e12, MassUnit.KG);
  }

  // one rated set a day, at most a fortnight apart: nothing but the filter itself is at work
  @ParameterizedTest
  @MethodSource("seeds")
  void isTheLinearKalmanFilterOfALocalLevel(long seed) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    Level level = Level.values()[(int) (seed % 3)];
    double q = Math.pow(new double[] {0.006, 0.0035, 0.0025}[level.ordinal()], 2);
    Tested tested = new Tested(kg(150 + random.nextInt(100)), START);
    List<Observation> log = new ArrayList<>();
    List<ReferenceFilter.Seen> seen = new ArrayList<>();
    LocalDate before = START;
    for (int i = 0; i < 60; i++) {
      LocalDate day = before.plusDays(1 + random.nextInt(13));
      int reps = 1 + random.nextInt(6);
      double rir = random.nextInt(0, 9) / 2.0;
      double load = 100 + random.nextInt(60);
      log.add(Observation.of(day, kg(load), reps, Rpe.of(10 - rir)));
      double spread = (1.5 + 0.6 * (reps - 1) + 0.35 * rir) / 100;
      double max = load / RepMaxCurve.HOUSE.fraction(reps + rir);
      seen.add(new ReferenceFilter.Seen(Math.log(max), spread * spread, q * ChronoUnit.DAYS.between(before, day)));
      before = day;
    }
    ReferenceFilter reference = new ReferenceFilter(Math.log(tested.load().nanograms() / 1e12), 0.02 * 0.02);
    List<MaxTracker.Point> points = new MaxTracker(level, tested).run(log, MassUnit.KG).points();
    assertThat(points).hasSize(seen.size());
    for (int i = 0; i < seen.size(); i++) {
      ReferenceFilter.State expected = reference.step(seen.get(i));
      double max = Math.exp(expected.value());
      assertThat(points.get(i).estimate().max().nanograms() / 1e12).as("day %d", i).isCloseTo(max, within(1e-6));
      assertThat(points.get(i).estimate().sd().nanograms() / 1e12).as("sd of day %d", i)
          .isCloseTo(max * Math.sqrt(expected.variance()), within(1e-6));
      assertThat(points.get(i).spread()).isCloseTo(100 * Math.sqrt(seen.get(i).variance()), within(1e-9));
    }
  }

  /** A log of everything: flags, misses, unrated sets, contests, long rests. */
  private static List<Observation> anything(RandomGenerator random) {
    List<Observation> log = new ArrayList<>();
    LocalDate day = START;
    for (int i = 0; i < 40; i++) {
      day = day.plusDays(random.nextInt(8) == 0 ? 30 + random.nextInt(90) : random.nextInt(6));
      Rpe rpe = random.nextInt(4) == 0 ? null : new Rpe(random.nextInt(12, 21));
      log.add(new Observation(day, kg(100 + random.nextInt(60)), random.nextInt(0, 13), rpe, random.nextInt(6) == 0,
          random.nextInt(20) == 0, random.nextBoolean(), random.nextInt(5) == 0, random.nextInt(5) == 0));
    }
    return log;
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void standingGoesOnToALaterDayAsARunDoes(long seed) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(100 + seed);
    List<Observation> log = anything(random);
    MaxTracker tracker = new MaxTracker(Level.values()[(int) (seed % 3)], seed % 2 == 0 ? new Tested(kg(150), START.plusDays(20)) : null);
    Standing standing = tracker.run(log, MassUnit.KG).standing();
    for (int days : new int[] {0, 1, 13, 14, 15, 40, 200}) {
      LocalDate at = standing.day().plusDays(days);
      MaxTracker.Estimate run = tracker.run(log, at, MassUnit.KG).now();
      assertThat(standing.on(at).max().nanograms() / 1e12).as("after %d days", days).isCloseTo(run.max().nanograms() / 1e12, within(1e-6));
      assertThat(standing.on(at).sd().nanograms() / 1e12).as("sd after %d days", days).isCloseTo(run.sd().nanograms() / 1e12, within(1e-6));
    }
    assertThat(standing.on(standing.day().minusDays(5))).as("not back in time").isEqualTo(standing.on(standing.day()));
  }

  @ParameterizedTest
  @MethodSource("seeds")
  void theOrderOfTheListDoesNotMatter(long seed) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(200 + seed);
    // no two sets of a day are equally telling here, so that the order in a day cannot matter either
    List<Observation> log = anything(random).stream().filter(o -> o.date().getDayOfYear() % 2 == 0).toList();
    List<Observation> shuffled = new ArrayList<>(log);
    java.util.Collections.shuffle(shuffled, new java.util.Random(seed));
    MaxTracker tracker = new MaxTracker(Level.INTERMEDIATE, null);
    assertThat(tracker.run(shuffled, MassUnit.KG).points()).isEqualTo(tracker.run(log, MassUnit.KG).points());
  }

  @Test
  void knowsWhenALayoffBegins() {
    Track track = new MaxTracker(Level.ADVANCED, null).run(List.of(Observation.of(START, kg(200), 1, Rpe.MAX)), MassUnit.KG);
    assertThat(track.standing().layoffOn(START.plusDays(14))).isFalse();
    assertThat(track.standing().layoffOn(START.plusDays(15))).isTrue();
    // 0.0022 a day beyond 14, at most 0.22: by hand e^(−0.0022) and e^(−0.22)
    assertThat(track.standing().on(START.plusDays(15)).max().nanograms() / 1e12).isCloseTo(199.560, within(0.001));
    assertThat(track.standing().on(START.plusDays(500)).max().nanograms() / 1e12).isCloseTo(160.504, within(0.001));
    assertThat(new MaxTracker(Level.ADVANCED, new Tested(kg(200), START)).run(List.of(), MassUnit.KG).standing()
        .layoffOn(START.plusDays(90)))
        .as("a tested max starts no layoff").isFalse();
  }

  @Test
  void aTestAfterTheLastSetIsWhereItStands() {
    Track track = new MaxTracker(Level.ADVANCED, new Tested(kg(210), START.plusDays(3)))
        .run(List.of(Observation.of(START, kg(200), 1, Rpe.MAX)), MassUnit.KG);
    assertThat(track.now().max().hits(kg(210))).isTrue();
    assertThat(track.standing().day()).isEqualTo(START.plusDays(3));
    assertThat(track.points()).singleElement().satisfies(point -> assertThat(point.estimate()).as("before the test").isNull());
  }
}

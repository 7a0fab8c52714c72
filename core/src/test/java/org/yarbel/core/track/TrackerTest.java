package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.Observation.Trait;

/** What the tracker makes of logs: begins, flags, layoffs, going on, and what teaches nothing. The rules are our own. */
class TrackerTest {
  private static final LocalDate START = LocalDate.of(2026, 1, 5);

  private static Mass kg(double amount) {
    return Mass.ofRoundedNanograms(amount * 1e12, MassUnit.KG);
  }

  private static Observation set(int day, double load, int reps, @Nullable Double rpe, Trait... traits) {
    return Observation.of(START.plusDays(day), kg(load), reps, rpe == null ? null : Rpe.of(rpe), traits);
  }

  private static Tracker tracker(Level level, @Nullable Double tested) {
    return new Tracker(level, tested == null ? null : new TestedMax(kg(tested), START));
  }

  private static double max(Track track, int day) {
    return track.on(START.plusDays(day)).max(MassUnit.KG).max().nanograms() / 1e12;
  }

  private static double sd(Track track, int day) {
    return track.on(START.plusDays(day)).max(MassUnit.KG).sd().nanograms() / 1e12;
  }

  private static Track run(@Nullable Double tested, Observation... sets) {
    return tracker(Level.INTERMEDIATE, tested).run(List.of(sets), MassUnit.KG);
  }

  /** A log of many days with all there is. */
  private static List<Observation> log(long seed, int days) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    List<Observation> log = new ArrayList<>();
    int day = 0;
    for (int i = 0; i < days; i++) {
      day += random.nextInt(12) == 0 ? random.nextInt(15, 60) : random.nextInt(1, 6);
      boolean flagged = random.nextInt(8) == 0;
      for (int j = 0; j <= random.nextInt(5); j++) {
        Double rpe = random.nextInt(4) == 0 ? null : random.nextInt(12, 21) / 2.0;
        Observation set = set(day, random.nextInt(100, 215), random.nextInt(0, 18), rpe);
        log.add(set.with(Trait.EASIER, rpe == null && random.nextInt(3) == 0).with(Trait.FAILED, random.nextInt(8) == 0)
            .with(Trait.TOUCH_AND_GO, random.nextInt(6) == 0).with(Trait.PRACTICE, random.nextInt(10) == 0)
            .with(Trait.FLAGGED, flagged).with(Trait.NEXT_MISSED, random.nextInt(25) == 0));
      }
    }
    return log;
  }

  /** To the last digit, from any day of it on, also when what was kept is read back. */
  @RepeatedTest(6)
  void goesOnAsIfItHadRunOverAll(RepetitionInfo info) {
    List<Observation> log = log(info.getCurrentRepetition(), 40);
    Tracker tracker = tracker(Level.values()[info.getCurrentRepetition() % 3], info.getCurrentRepetition() % 2 == 0 ? 200.0 : null);
    Track all = tracker.run(log, MassUnit.KG);
    for (int until : new int[] {10, 31, 60, 80}) {
      LocalDate cut = log.get(Math.min(until, log.size() - 2)).date();
      Track first = tracker.run(log.stream().filter(set -> !set.date().isAfter(cut)).toList(), MassUnit.KG);
      Standing kept = Standing.of(first.standing().level(), first.standing().numbers()).orElseThrow();
      Track rest = tracker.goOn(kept, log.stream().filter(set -> set.date().isAfter(cut)).toList(), MassUnit.KG);
      assertThat(rest.standing()).isEqualTo(all.standing());
      assertThat(rest.points()).isEqualTo(all.points().subList(all.points().size() - rest.points().size(), all.points().size()));
    }
    assertThat(tracker.goOn(all.before(), log.stream().filter(set -> set.date().isAfter(all.before().day())).toList(), MassUnit.KG)
        .standing()).isEqualTo(all.standing());
  }

  @Test
  void goesOnOnlyForward() {
    Track track = run(200.0, set(3, 180, 1, 8.0));
    assertThatThrownBy(() -> tracker(Level.INTERMEDIATE, 200.0).goOn(track.standing(), List.of(set(3, 180, 1, 8.0)), MassUnit.KG))
        .isInstanceOf(Refused.class).hasMessage("The sets must be of days after 2026-01-08");
    assertThatThrownBy(() -> track.standing().on(START)).isInstanceOf(Refused.class)
        .hasMessage("The day asked for, 2026-01-05, is before the last set, 2026-01-08");
  }

  @Test
  void keepsNinetyTwoNumbersOfAVersion() {
    double[] numbers = run(200.0, set(3, 180, 1, 8.0)).standing().numbers();
    assertThat(numbers).hasSize(92).startsWith(Standing.VERSION);
    numbers[0]++;
    assertThat(Standing.of(Level.INTERMEDIATE, numbers)).as("of another version").isEmpty();
    assertThat(Standing.of(Level.INTERMEDIATE, new double[91])).isEmpty();
  }

  @Test
  void knowsNothingWithoutAMadeSetAndATest() {
    Track track = run(null, set(0, 200, 0, null), set(1, 100, 0, null, Trait.FAILED));
    assertThat(track.standing()).isNull();
    assertThat(track.on(START.plusDays(5))).isNull();
    assertThat(track.points()).isEmpty();
    assertThat(track.skipped()).containsExactly(0, 1);
    assertThat(run(null).standing()).isNull();
  }

  /** 100 × 5 at 8 is seven reps to failure: 100/0.83. */
  @Test
  void beginsFromTheFirstMadeSet() {
    Track track = run(null, set(0, 150, 0, null), set(0, 100, 5, 8.0), set(1, 100, 5, 8.0));
    assertThat(track.points()).hasSize(2);
    assertThat(track.skipped()).as("a miss before it begins").containsExactly(0);
    assertThat(max(track, 1)).isCloseTo(100 / 0.83, within(2.5));
    assertThat(run(null, set(0, 100, 5, 8.0)).before()).isNull();
    // with half a rep for one to failure, five under 6, three for one nobody rated
    assertThat(max(run(null, set(0, 100, 5, null)), 0)).isGreaterThan(max(run(null, set(0, 100, 5, null, Trait.FAILED)), 0));
    assertThat(max(run(null, set(0, 100, 5, null, Trait.EASIER)), 0)).isGreaterThan(max(run(null, set(0, 100, 5, null)), 0));
  }

  @Test
  void setsBeforeTheTestAreShownAndNotTakenIn() {
    TestedMax test = new TestedMax(kg(200), START.plusDays(10));
    Track track = new Tracker(Level.INTERMEDIATE, test).run(List.of(set(0, 150, 5, 8.0), set(10, 185, 1, 8.0)), MassUnit.KG);
    assertThat(track.points()).extracting(Track.Point::estimate).first().isNull();
    assertThat(track.points().get(0).raw()).isEqualTo(kg(150 / 0.83));
    Track without = new Tracker(Level.INTERMEDIATE, test).run(List.of(set(10, 185, 1, 8.0)), MassUnit.KG);
    assertThat(track.standing()).isEqualTo(without.standing());
  }

  /** A later test is one more observation: what was learned before it stays. */
  @Test
  void aLaterTestMovesItAndForgetsNothing() {
    List<Observation> log = Collections.nCopies(10, set(0, 160, 5, 8.0)).stream()
        .map(set -> set).toList();
    List<TestedMax> tests = List.of(new TestedMax(kg(230), START.plusDays(20)), new TestedMax(kg(200), START));
    Track both = new Tracker(Level.INTERMEDIATE, tests).run(log, MassUnit.KG);
    Track first = tracker(Level.INTERMEDIATE, 200.0).run(log, MassUnit.KG);
    assertThat(max(both, 20)).isGreaterThan(max(first, 20) + 10);
    assertThat(sd(both, 20)).isLessThan(sd(first, 20));
    assertThat(both.standing().day()).isEqualTo(START.plusDays(20));
    assertThat(both.on(START.plusDays(20)).learned().ratingBias().value()).isNotZero();
  }

  @Test
  void aSlipOfAUnitMovesNextToNothing() {
    Track track = run(200.0, set(3, 185, 1, 8.0), set(7, 185, 1, 8.0));
    Track slipped = run(200.0, set(3, 185, 1, 8.0), set(7, 185, 1, 8.0), set(7, 407.9, 1, 8.0));
    assertThat(max(slipped, 7) / max(track, 7)).isCloseTo(1, within(0.002));
  }

  @Test
  void aFlaggedDayMovesItLessAndTheThirdCountsInFull() {
    Observation[] bad = {set(3, 170, 1, 9.5), set(6, 170, 1, 9.5), set(9, 170, 1, 9.5)};
    double plain = max(run(200.0, bad[0]), 3);
    double flagged = max(run(200.0, bad[0].with(Trait.FLAGGED, true)), 3);
    assertThat(200 - flagged).isLessThan(0.6 * (201.2 - plain));
    Observation[] run = new Observation[3];
    for (int i = 0; i < 3; i++) {
      run[i] = bad[i].with(Trait.FLAGGED, true);
    }
    double two = max(run(200.0, run[0], run[1]), 6);
    double three = max(run(200.0, run), 9);
    assertThat(two - three).as("the third day says what it says").isGreaterThan(flagged - two);
  }

  /** Ten days go on growing, four more are free, then 0.22 % a day; what went comes back at the same rate. */
  @Test
  void aLayoffTakesAndTrainingGivesBack() {
    Track track = run(200.0, set(0, 185, 1, 8.0));
    double before = max(track, 14);
    assertThat(max(track, 14)).isEqualTo(max(track, 12));
    assertThat(max(track, 24)).isCloseTo(before * Math.exp(-0.022), within(1e-6));
    assertThat(max(track, 400)).as("never more than 22 %").isCloseTo(before * Math.exp(-0.22), within(1e-6));
    assertThat(sd(track, 60)).isGreaterThan(sd(track, 14));
    assertThat(track.standing().layoffOn(START.plusDays(14))).isFalse();
    assertThat(track.standing().layoffOn(START.plusDays(15))).isTrue();
    Track back = run(200.0, set(0, 185, 1, 8.0), set(30, 140, 1, null));
    assertThat(Math.log(max(back, 35) / max(back, 30))).as("16 days lost, 5 of them back").isCloseTo(5 * (0.0022 + 0.00035), within(5e-4));
  }

  @Test
  void practiceOnlyTrains() {
    Track track = run(200.0, set(0, 185, 1, 8.0), set(20, 190, 1, 8.0, Trait.PRACTICE));
    assertThat(track.skipped()).containsExactly(1);
    assertThat(track.standing().layoffOn(START.plusDays(30))).isFalse();
    assertThat(track.points()).hasSize(1);
  }

  @Test
  void whatIsTooLongTeachesNothingAndIsNoError() {
    Track track = run(200.0, set(0, 60, 16, 9.0), set(0, 60, 15, null), set(0, 60, 11, 9.0), set(0, 0, 5, 8.0));
    assertThat(track.skipped()).containsExactly(0, 3);
  }

  /** A contest's next attempt that was missed is a miss 2.5 kg above it. */
  @Test
  void aMissOfTheNextAttemptIsAMissAboveIt() {
    Track said = run(200.0, set(5, 205, 1, null, Trait.CONTEST, Trait.NEXT_MISSED));
    Track written = run(200.0, set(5, 205, 1, null), set(5, 207.5, 0, null));
    assertThat(said.standing()).isEqualTo(written.standing());
    assertThat(said.setsToday()).isEqualTo(2);
  }

  @Test
  void theRawFigureIsThatOfTheMostTellingRatedSetOrTheHighestFloor() {
    Track track = run(200.0, set(3, 185, 1, 8.0), set(3, 150, 5, 8.0), set(5, 150, 5, null), set(5, 160, 3, null), set(7, 205, 0, null));
    assertThat(track.points()).extracting(Track.Point::raw).containsExactly(kg(185 / 0.93), kg(150 / 0.87), null);
  }

  @Test
  void learnsHowALifterRatesAndHowRepsFall() {
    List<Observation> log = new ArrayList<>();
    for (int i = 1; i <= 40; i++) {
      // at 200: 170 goes for 6 (85 %); at four, four more are claimed, and two days later the seventh fails
      log.add(set(7 * i, 170, 4, 6.0));
      log.add(set(7 * i + 2, 170, 6, null, Trait.FAILED));
      log.add(set(7 * i + 4, 190, 2, 9.5));
    }
    Learned learned = tracker(Level.ADVANCED, 200.0).run(log, MassUnit.KG).on(START.plusDays(7 * 40 + 4)).learned();
    assertThat(learned.ratingBias().value()).as("one too many is claimed").isBetween(0.3, 1.8);
    assertThat(learned.ratingBias().sd()).isBetween(0.05, 0.3);
    assertThat(learned.formSd().value()).isBetween(0.010, 0.030);
    assertThat(learned.ratingSd().value()).isBetween(0.35, 0.9);
    assertThat(learned.stretch().value()).isBetween(0.8, 1.25);
  }

  @Test
  void aNewTestForgetsNothingWhereTheLogBegins() {
    List<Observation> log = new ArrayList<>();
    for (int week = 0; week < 20; week++) {
      // rates easy: two left where none is, as the set until one fails says
      log.add(Observation.of(START.plusWeeks(week), kg(160), 6, Rpe.of(8)));
      log.add(Observation.of(START.plusWeeks(week), kg(160), 7, null, Trait.FAILED));
    }
    TestedMax test = new TestedMax(kg(200), START.plusWeeks(20));
    Tracker tracker = new Tracker(Level.INTERMEDIATE, test);
    Outlook anew = tracker.run(log, MassUnit.KG).on(test.date());
    Outlook kept = tracker.fromTheLog().run(log, MassUnit.KG).on(test.date());
    assertThat(anew.learned().ratingBias().value()).as("the test begins it").isZero();
    assertThat(kept.learned().ratingBias().value()).isGreaterThan(0.3);
    assertThat(kept.max(MassUnit.KG).sd()).as("and it knows more").isLessThan(anew.max(MassUnit.KG).sd());
    assertThat(tracker.fromTheLog().run(List.of(), MassUnit.KG).standing()).as("without a log nothing is different")
        .isEqualTo(tracker.run(List.of(), MassUnit.KG).standing());
  }
}

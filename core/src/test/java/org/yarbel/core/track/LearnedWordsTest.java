package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What is said of a lifter, and the loads and reps that are foreseen. What is called much is our own default. */
class LearnedWordsTest {
  private static Learned.Value v(double value, double sd) {
    return new Learned.Value(value, sd);
  }

  private static LearnedWords words(Learned.Value stretch, Learned.Value bias, Learned.Value gain, Learned.Value form) {
    return LearnedWords.of(new Learned(stretch, bias, gain, form, v(0.5, 0.2)), Level.INTERMEDIATE);
  }

  private static final Learned.Value NO_STRETCH = v(1, 0.15);
  private static final Learned.Value NO_BIAS = v(0, 0.5);
  private static final Learned.Value NO_GAIN = v(0.00035, 0.0006);
  private static final Learned.Value NO_FORM = v(0.02, 0.01);

  @Test
  void saysNothingOfWhatEverybodyIsThoughtToBe() {
    assertThat(words(NO_STRETCH, NO_BIAS, NO_GAIN, NO_FORM).nothing()).isTrue();
    LocalDate day = LocalDate.of(2026, 3, 2);
    Outlook tested = new Tracker(Level.INTERMEDIATE, new TestedMax(Mass.of("200", MassUnit.KG), day)).run(List.of(), MassUnit.KG).on(day);
    assertThat(LearnedWords.of(tested.learned(), Level.INTERMEDIATE).nothing()).as("a test says nothing but the max").isTrue();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "0.011 | 0.003  | even, ± 1.1 % (± 0.3)", "0.015 | 0.003 | even, ± 1.5 % (± 0.3)",
      "0.018 | 0.0084 | neither even nor uneven, ± 1.8 % (± 0.8)", "0.022 | 0.004 | uneven, ± 2.2 % (± 0.4)",
      "0.030 | 0.0000001 | uneven, ± 3.0 % (± 0.1)"})
  void saysHowEvenTheDaysAre(double value, double sd, String said) {
    assertThat(words(NO_STRETCH, NO_BIAS, NO_GAIN, v(value, sd)).days()).isEqualTo(said);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "0.2  | 0.3 | about right, ± 0.3", "0.8 | 0.3 | too easy by 0.8 ± 0.3", "-0.84 | 0.24 | too hard by 0.8 ± 0.2",
      "1.3  | 0.2 | too easy by 1.3 ± 0.2: plan by percentages with a cap for now", "1.2 | 0.3 | too easy by 1.2 ± 0.3",
      "-1.6 | 0.4 | too hard by 1.6 ± 0.4: plan by percentages with a cap for now"})
  void saysHowRatingsAreOff(double value, double sd, String said) {
    assertThat(words(NO_STRETCH, v(value, sd), NO_GAIN, NO_FORM).ratings()).isEqualTo(said);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "0.0006 | 0.0003 | 0.42 ± 0.21 % a week", "-0.0002 | 0.0004 | −0.14 ± 0.28 % a week"})
  void saysWhatAWeekGives(double value, double sd, String said) {
    assertThat(words(NO_STRETCH, NO_BIAS, v(value, sd), NO_FORM).gain()).isEqualTo(said);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "1.03 | 0.05 | as the curve says, ± 5 %", "1.12 | 0.05 | fewer than the curve says: they fall 12 ± 5 % faster",
      "0.85 | 0.06 | more than the curve says: they fall 15 ± 6 % slower"})
  void saysHowRepsFall(double value, double sd, String said) {
    assertThat(words(v(value, sd), NO_BIAS, NO_GAIN, NO_FORM).reps()).isEqualTo(said);
  }

  // the chart is kept between 0.6 and 1.5, to the hundredth: our own default
  @ParameterizedTest
  @CsvSource({"0.5,0.6", "0.6,0.6", "1.124,1.12", "1.5,1.5", "1.8,1.5"})
  void theChartIsKeptWithinReason(double stretch, double kept) {
    assertThat(new Learned(v(stretch, 0.1), NO_BIAS, NO_GAIN, NO_FORM, v(0.5, 0.2)).chart().stretch()).isEqualTo(kept);
  }

  @Test
  void theLoadOfAChanceHasThatChance() {
    LocalDate day = LocalDate.of(2026, 3, 2);
    Outlook outlook = new Tracker(Level.INTERMEDIATE, new TestedMax(Mass.of("200", MassUnit.KG), day)).run(List.of(), MassUnit.KG).on(day);
    for (double chance : new double[] {0.9, 0.5, 0.1}) {
      assertThat(outlook.chance(outlook.single(chance, MassUnit.KG))).isCloseTo(chance, within(1e-6));
    }
    assertThat(outlook.after(4).single(0.5, MassUnit.KG)).as("tired").isLessThan(outlook.single(0.5, MassUnit.KG));
  }

  // by hand: today's max 201.203125, its sd 2.45 %, 160 is 0.229 under in ln; the house curve has 8 reps at 80 %, 0.2231
  @Test
  void theRepsAtALoadComeWithWhatIsNotKnownOfMaxAndCurve() {
    LocalDate day = LocalDate.of(2026, 3, 2);
    Outlook outlook = new Tracker(Level.INTERMEDIATE, new TestedMax(Mass.of("200", MassUnit.KG), day)).run(List.of(), MassUnit.KG).on(day);
    Mass load = Mass.of("160", MassUnit.KG);
    assertThat(outlook.repsAt(load)).isBetween(8.0, 8.4);
    // a rep is about 3 %: 0.8 for the max, and seven reps by 15 % for the curve: 1.05
    assertThat(outlook.repsSd(load)).isBetween(1.0, 1.7);
    assertThat(outlook.after(3).repsAt(load)).as("tired").isLessThan(outlook.repsAt(load));
  }

  /** A plan is no layoff: the max to expect grows on while it is trained, and comes back after a rest. */
  @Test
  void aheadTheLiftGoesOnBeingTrained() {
    LocalDate day = LocalDate.of(2026, 3, 2);
    Standing standing = new Tracker(Level.INTERMEDIATE, List.of(new TestedMax(Mass.of("200", MassUnit.KG), day)))
        .run(List.of(Observation.of(day, Mass.of("180", MassUnit.KG), 3, null)), MassUnit.KG).standing();
    double now = max(standing.ahead(day, day));
    // 56 days of 0.00035, the gain an intermediate is thought to have
    assertThat(max(standing.ahead(day, day.plusWeeks(8)))).isCloseTo(now * Math.exp(56 * 0.00035), within(0.2));
    assertThat(max(standing.on(day.plusWeeks(8)))).as("nobody trains it").isLessThan(now);
    LocalDate back = day.plusDays(60);
    double rested = max(standing.ahead(back, back));
    assertThat(rested).isLessThan(0.93 * now);
    // what went comes back at the rate it went, 0.22 % a day, beside the growth
    assertThat(max(standing.ahead(back, back.plusDays(7)))).isCloseTo(rested * Math.exp(7 * (0.0022 + 0.00035)), within(0.2));
  }

  private static double max(Outlook outlook) {
    return outlook.max(MassUnit.KG).max().nanograms() / 1e12;
  }
}

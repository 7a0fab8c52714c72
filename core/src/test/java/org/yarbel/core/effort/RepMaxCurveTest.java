package org.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The formulas and their sources stand on {@link RepMaxCurve}; the figures below were worked by hand from them. */
class RepMaxCurveTest {
  @ParameterizedTest
  @CsvSource({
    // Epley 1985: w (1 + r/30)
    "EPLEY, 2, 106.6667", "EPLEY, 5, 116.6667", "EPLEY, 10, 133.3333",
    // Brzycki 1993: 36 w/(37 − r)
    "BRZYCKI, 2, 102.8571", "BRZYCKI, 5, 112.5", "BRZYCKI, 10, 133.3333",
    // Lander 1985: 100 w/(101.3 − 2.67123 r)
    "LANDER, 2, 104.2114", "LANDER, 5, 113.7107", "LANDER, 10, 134.0704",
    // Lombardi 1989: w r^0.10
    "LOMBARDI, 2, 107.1773", "LOMBARDI, 5, 117.4619", "LOMBARDI, 10, 125.8925",
    // O'Conner 1989: w (1 + 0.025 r)
    "OCONNER, 2, 105", "OCONNER, 5, 112.5", "OCONNER, 10, 125",
    // Mayhew et al. 1992: 100 w/(52.2 + 41.9 e^(−0.055 r))
    "MAYHEW, 2, 111.4387", "MAYHEW, 5, 119.0106", "MAYHEW, 10, 130.9343",
    // Wathan 1994: 100 w/(48.8 + 53.8 e^(−0.075 r))
    "WATHAN, 2, 105.1485", "WATHAN, 5, 116.5829", "WATHAN, 10, 134.7482",
  })
  void followsThePublishedFormula(RepMaxCurve curve, int reps, double max) {
    assertThat(100 / curve.fraction(reps)).isCloseTo(max, within(0.01));
  }

  // Haff & Triplett, Essentials of Strength Training and Conditioning, 4th ed., %1RM–repetition table, from memory
  @ParameterizedTest
  @CsvSource({"1, 100", "2, 95", "3, 93", "4, 90", "5, 87", "6, 85", "7, 83", "8, 80", "9, 77", "10, 75", "11, 70",
    "12, 67", "15, 65", "13.5, 66", "4.5, 88.5"})
  void holdsTheHandbookTable(double reps, double percent) {
    assertThat(RepMaxCurve.HANDBOOK.fraction(reps)).isCloseTo(percent / 100, within(1e-12));
  }

  @Test
  void theHouseCurveIsTheTableToTenRepsAndEpleyBeyondAndMeetsThere() {
    assertThat(RepMaxCurve.HOUSE.fraction(8)).isEqualTo(0.80);
    assertThat(RepMaxCurve.HOUSE.fraction(10)).isCloseTo(1 / (1 + 10 / 30.0), within(1e-12));
    assertThat(RepMaxCurve.HOUSE.fraction(12)).isCloseTo(1 / 1.4, within(1e-12));
  }

  @ParameterizedTest
  @EnumSource
  void isWholeAtOneRepAndFallsWithoutAJump(RepMaxCurve curve) {
    assertThat(curve.fraction(1)).as("one rep is the max by definition").isEqualTo(1);
    for (double reps = 1; reps <= 14.95; reps += 0.05) {
      double drop = curve.fraction(reps) - curve.fraction(reps + 0.05);
      assertThat(drop).as("%s at %s", curve, reps).isBetween(0.0, 0.006);
    }
  }

  @Test
  void isStraightBetweenOneAndTwoReps() {
    assertThat(RepMaxCurve.BRZYCKI.fraction(1.5)).isCloseTo((1 + 35 / 36.0) / 2, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({"0.9", "15.01", "NaN"})
  void refusesRepsItKnowsNothingOf(double reps) {
    assertThatThrownBy(() -> RepMaxCurve.HOUSE.fraction(reps))
        .hasMessage("The reps to failure must be from 1 to 15 inclusive but were " + reps);
  }
}

package org.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class EffortChartTest {
  // percent(reps, RPE) = curve(reps + 10 − RPE), after Zourdos et al. 2016; the curve's table is Haff & Triplett's
  @ParameterizedTest
  @CsvSource({"1, 8, 93", "1, 10, 100", "5, 8, 83", "4, 8.5, 86", "3, 9, 90", "1, 9.5, 97.5"})
  void readsTheCurveAtRepsPlusReserve(int reps, double rpe, double percent) {
    assertThat(EffortChart.HOUSE.fraction(reps, rpe).orElseThrow()).isCloseTo(percent / 100, within(1e-12));
  }

  @Test
  void aRatingIsOneOfNine() {
    assertThat(Rpe.scale()).as("Zourdos et al. 2016: 6 to 10 in halves; from memory").extracting(Rpe::toString)
        .containsExactly("6", "6.5", "7", "7.5", "8", "8.5", "9", "9.5", "10");
  }

  @Test
  void knowsNothingBeyondFifteenRepsToFailure() {
    assertThat(EffortChart.HOUSE.fraction(12, 7)).isPresent();
    assertThat(EffortChart.HOUSE.fraction(12, 6.5)).isEmpty();
  }

  @Test
  void estimatesTheMaxOfASet() {
    Mass load = Mass.of("140", MassUnit.KG);
    assertThat(EffortChart.HOUSE.oneRepMax(load, 5, 8).number()).isEqualTo("168.67");
  }

  @Test
  void anRpeIsInHalvesFromSixToTen() {
    assertThat(Rpe.parse("8.5")).isEqualTo(Rpe.of(8.5));
    assertThat(Rpe.of(8.5).repsInReserve()).isEqualTo(1.5);
    assertThat(Rpe.parse(Rpe.of(7).toString())).isEqualTo(Rpe.of(7));
    assertThatThrownBy(() -> Rpe.of(11)).hasMessage("RPE must be from 6 to 10 inclusive but was 11");
    assertThatThrownBy(() -> Rpe.of(5.5)).hasMessage("RPE must be from 6 to 10 inclusive but was 5.5");
    assertThatThrownBy(() -> Rpe.of(8.3)).hasMessage("RPE is given in halves, such as 8 or 8.5, but was 8.3");
  }
}

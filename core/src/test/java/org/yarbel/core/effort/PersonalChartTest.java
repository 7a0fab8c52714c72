package org.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The rule and its constants are our own default; expected figures were worked by hand. */
class PersonalChartTest {
  private static final Mass HUNDRED = Mass.of("100", MassUnit.KG);

  private static PersonalChart.ToFailure set(String load, int reps) {
    return new PersonalChart.ToFailure(Mass.of(load, MassUnit.KG), reps, HUNDRED);
  }

  // 80 % is 8 reps on the curve: (6·9·7 + 64)/(6·81 + 64) = 442/550
  @Test
  void bendsTheCurveToSetsToFailure() {
    PersonalChart chart = PersonalChart.fit(RepMaxCurve.HOUSE, Collections.nCopies(6, set("80", 10)));
    assertThat(chart.stretch()).isCloseTo(0.804, within(0.0005));
    assertThat(chart.usable()).isTrue();
    assertThat(chart.fraction(10).orElseThrow()).as("1 + 9 · 0.8036 = 8.23 reps").isCloseTo(0.7930, within(0.0005));
    assertThat(chart.chart().fraction(8, 8).orElseThrow()).as("10 reps to failure").isCloseTo(0.7930, within(0.0005));
  }

  @Test
  void usesThePublishedCurveUntilThereAreThreeSets() {
    PersonalChart two = PersonalChart.fit(RepMaxCurve.HOUSE, Collections.nCopies(2, set("80", 12)));
    assertThat(two.usable()).isFalse();
    assertThat(two.chart()).isEqualTo(EffortChart.HOUSE);
    assertThat(PersonalChart.fit(RepMaxCurve.HOUSE, List.of()).stretch()).isEqualTo(1);
  }

  @Test
  void staysWithinItsLimitsAndLeavesOutWhatCannotServe() {
    assertThat(PersonalChart.fit(RepMaxCurve.HOUSE, Collections.nCopies(40, set("90", 14))).stretch()).isEqualTo(0.6);
    assertThat(PersonalChart.fit(RepMaxCurve.HOUSE, Collections.nCopies(60, set("72", 5))).stretch()).isEqualTo(1.5);
    List<PersonalChart.ToFailure> odd = new ArrayList<>(List.of(set("80", 2), set("80", 16), set("101", 5), set("40", 12)));
    assertThat(PersonalChart.fit(RepMaxCurve.HOUSE, odd).sets()).isEmpty();
  }

  @Test
  void knowsNothingBeyondFifteenRepsOfTheCurve() {
    assertThat(new EffortChart(RepMaxCurve.HOUSE, 1.5).fraction(10, 10)).isPresent();
    assertThat(new EffortChart(RepMaxCurve.HOUSE, 1.5).fraction(11, 10)).as("1 + 10 · 1.5 = 16").isEmpty();
    assertThat(new EffortChart(RepMaxCurve.HOUSE, 0.6).fraction(16, 10)).isEmpty();
  }

  @ParameterizedTest
  @EnumSource
  void readsACurveBackwards(RepMaxCurve curve) {
    for (double reps = 1; reps <= 15; reps += 0.25) {
      assertThat(curve.repsAt(curve.fraction(reps)).orElseThrow()).as("%s at %s", curve, reps).isCloseTo(reps, within(1e-6));
    }
    assertThat(curve.repsAt(1.01)).isEmpty();
    assertThat(curve.repsAt(0.3)).isEmpty();
  }

  // the house chart: 5 reps at 8 are 7 to failure, 83 %; 12 at 6 are 16 and unknown
  @ParameterizedTest
  @CsvSource({"10, 1, 100", "8, 5, 83", "6, 1, 87", "9, 3, 90"})
  void laysTheChartOut(double rpe, int reps, double percent) {
    List<List<Double>> rows = EffortChart.HOUSE.rows(12);
    assertThat(rows).hasSize(9).allMatch(row -> row.size() == 12);
    assertThat(rows.get((int) ((10 - rpe) * 2)).get(reps - 1)).isCloseTo(percent, within(1e-9));
    assertThat(rows.get(8).get(11)).isNull();
  }
}

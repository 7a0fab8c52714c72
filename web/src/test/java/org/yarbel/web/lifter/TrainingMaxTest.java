package org.yarbel.web.lifter;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** The training max: 90 % of the estimate unless somebody set one, never over 95 %; our own defaults. */
class TrainingMaxTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static LiftNumbers estimatedAt(String max) {
    LiftNumbers numbers = new LiftNumbers(1, "bench");
    numbers.decide(Level.INTERMEDIATE, Basis.TRAINING);
    // what is published of a number that was tested, by the worked example of the tracker: 201.200721 of 200
    TestedMax tested = new TestedMax(kg(max).scaled(200 / 201.200721438818), TODAY);
    numbers.track(new Tracker(Level.INTERMEDIATE, tested).run(List.of(), MassUnit.KG));
    return numbers;
  }

  @Test
  void followsTheEstimateUntilOneIsSet() {
    LiftNumbers numbers = estimatedAt("120");
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).satisfies(training -> assertThat(training.amountIn(MassUnit.KG, 4)).isEqualByComparingTo("108"));
    numbers.train(kg("102.5"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("102.5"));
    numbers.train(null);
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).satisfies(training -> assertThat(training.amountIn(MassUnit.KG, 4)).isEqualByComparingTo("108"));
  }

  @Test
  void isNeverOverItsShareOfTheEstimate() {
    LiftNumbers numbers = estimatedAt("120");
    numbers.train(kg("119"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).satisfies(training -> assertThat(training.amountIn(MassUnit.KG, 4)).isEqualByComparingTo("114"));
  }

  @Test
  void standsWithoutAnEstimate() {
    LiftNumbers numbers = new LiftNumbers(1, "bench");
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isNull();
    numbers.train(kg("80"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("80"));
  }
}

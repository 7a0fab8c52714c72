package org.yarbel.web.lifter;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.track.MaxTracker;

/** The training max: 90 % of the estimate unless somebody set one, never over 95 %; our own defaults. */
class TrainingMaxTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static LiftNumbers estimatedAt(String max) {
    LiftNumbers numbers = new LiftNumbers(1, "bench");
    numbers.decide(Level.INTERMEDIATE, Basis.TRAINING);
    numbers.test(kg(max), TODAY);
    numbers.track(new MaxTracker(Level.INTERMEDIATE, numbers.testedForTracking()).run(List.of(), MassUnit.KG).standing());
    return numbers;
  }

  @Test
  void followsTheEstimateUntilOneIsSet() {
    LiftNumbers numbers = estimatedAt("120");
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("108"));
    numbers.train(kg("102.5"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("102.5"));
    numbers.train(null);
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("108"));
  }

  @Test
  void isNeverOverItsShareOfTheEstimate() {
    LiftNumbers numbers = estimatedAt("120");
    numbers.train(kg("119"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("114"));
  }

  @Test
  void standsWithoutAnEstimate() {
    LiftNumbers numbers = new LiftNumbers(1, "bench");
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isNull();
    numbers.train(kg("80"));
    assertThat(numbers.numbers(MassUnit.KG, TODAY).training()).isEqualTo(kg("80"));
  }
}

package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

class CautionKindTest {
  @ParameterizedTest
  @EnumSource(Caution.Kind.class)
  void isFoundByItsCode(Caution.Kind kind) {
    assertThat(Caution.Kind.ofCode(kind.code())).contains(kind);
    assertThat(new Caution(kind.code(), "Mind.", null).hurts()).isEqualTo(kind.hurts());
  }

  @Test
  void codesAreTheirOwn() {
    assertThat(Arrays.stream(Caution.Kind.values()).map(Caution.Kind::code)).doesNotHaveDuplicates()
        .allMatch(code -> code.matches("[a-z-]+"));
    assertThat(Caution.Kind.ofCode("nothing")).isEmpty();
    assertThat(new Caution("nothing", "From a card of old.", null).hurts()).isFalse();
  }

  @Test
  void numbersTakeATrainingMaxOfAWave() {
    Mass max = Mass.of("120", MassUnit.KG);
    MaxNumbers numbers = new MaxNumbers(max, max, MaxNumbers.trainingFrom(max), null);
    MaxNumbers wave = numbers.withTraining(Mass.of("110.5", MassUnit.KG));
    assertThat(wave.of(Basis.TRAINING)).isEqualTo(Mass.of("110.5", MassUnit.KG));
    assertThat(wave.of(Basis.ESTIMATED)).isEqualTo(max);
    assertThat(wave.tested()).isEqualTo(max);
    assertThat(wave.goal()).isNull();
    assertThat(numbers.of(Basis.TRAINING)).as("the numbers themselves stay").isEqualTo(Mass.of("108", MassUnit.KG));
  }
}

package org.yarbel.core.mass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MassTest {
  // International yard and pound agreement, 1959: 1 lb = 0.45359237 kg exactly
  @Test
  void aPoundIsExactlyTheAgreedPartOfAKilogram() {
    assertThat(Mass.of("1", MassUnit.LB).nanograms()).isEqualTo(453_592_370_000L);
    assertThat(Mass.of("1", MassUnit.LB)).isEqualTo(Mass.of("0.45359237", MassUnit.KG));
  }

  @Test
  void kilogramAndPoundPlatesAddUpExactly() {
    Mass sum = Mass.of("20", MassUnit.KG);
    for (int i = 0; i < 10; i++) {
      sum = sum.plus(Mass.of("45", MassUnit.LB)).plus(Mass.of("1.25", MassUnit.KG));
    }
    assertThat(sum.nanograms()).isEqualTo(32_500_000_000_000L + 450 * 453_592_370_000L);
  }

  // 142.5 kg is 314 lb: computed from the definition above
  @ParameterizedTest
  @CsvSource({"142.5, kg, lb, 314.16", "45, lb, kg, 20.41", "100, kg, lb, 220.46", "0, kg, lb, 0"})
  void showsALoadInTheOtherUnit(String amount, String from, String to, String shown) {
    Mass mass = Mass.of(amount, MassUnit.ofSymbol(from));
    assertThat(mass.shownIn(MassUnit.ofSymbol(to)).number()).isEqualTo(shown);
  }

  @Test
  void writesWhatItReadsBackForAnyNumberOfNanograms() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(11);
    for (int i = 0; i < 2_000; i++) {
      Mass mass = Mass.ofNanograms(random.nextLong(1_000_000_000_000_000L), i % 2 == 0 ? MassUnit.KG : MassUnit.LB);
      assertThat(Mass.parse(mass.toString())).as(mass.toString()).isEqualTo(mass);
    }
  }

  @Test
  void showsNoTrailingZerosAndNoExponent() {
    assertThat(Mass.of("100.0", MassUnit.KG).text()).isEqualTo("100 kg");
    assertThat(Mass.of("2000", MassUnit.KG).toString()).isEqualTo("2000 kg");
  }

  @Test
  void hitsATargetWithinAGram() {
    Mass target = Mass.of("100", MassUnit.KG);
    assertThat(Mass.of("100.0009", MassUnit.KG).hits(target)).isTrue();
    assertThat(Mass.of("100.001", MassUnit.KG).hits(target)).isFalse();
  }

  @Test
  void refusesLessThanNothing() {
    assertThatThrownBy(() -> Mass.of("-5", MassUnit.KG))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("The mass must be from 0 to 9000000 kg but was -5 kg");
    assertThatThrownBy(() -> Mass.of("5", MassUnit.KG).minus(Mass.of("6", MassUnit.KG)))
        .hasMessage("The mass must be from 0 to 9000000 kg but was -1.000 kg");
  }

  @ParameterizedTest
  @CsvSource({"142.5", "142.5 stone", "abc kg"})
  void refusesTextThatIsNoMass(String text) {
    assertThatThrownBy(() -> Mass.parse(text)).isInstanceOf(IllegalArgumentException.class);
  }
}

package org.yarbel.core.mass;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class DecimalTest {
  @ParameterizedTest
  @CsvSource({"142.5, 142.5", "' 100 ', 100", "1e3, 1000", "-0.25, -0.25",
      "123456789012345678901234567890, 123456789012345678901234567890"})
  void reads(String text, BigDecimal number) {
    assertThat(Decimal.parse(text)).isEqualByComparingTo(number);
  }

  @ParameterizedTest
  @ValueSource(strings = {"1e-10000000", "1e31", "1e-31", "1e2147483647", "0e-2147483647", "1234567890123456789012345678901", "",
      "x", "1e", "0x10", "NaN"})
  void refusesWhatCannotBeComputedWith(String text) {
    assertThatThrownBy(() -> Decimal.parse(text)).isInstanceOf(NumberFormatException.class);
  }

  @Test
  void refusesALongTextUnread() {
    assertThatThrownBy(() -> Decimal.parse("9".repeat(1_000_000))).hasMessage("The number has more than 64 characters");
  }

  @Test
  void aMassIsMadeOfNoOther() {
    assertThatThrownBy(() -> Mass.of(new BigDecimal("1e-10000000"), MassUnit.KG)).isInstanceOf(NumberFormatException.class)
        .hasMessageContaining("at most 30 digits");
    assertThatThrownBy(() -> Mass.parse("1e10000000 lb")).isInstanceOf(IllegalArgumentException.class);
  }
}

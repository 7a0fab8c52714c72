package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Common practice, no source. */
class EntryDoubtTest {
  @ParameterizedTest
  @CsvSource({
    "100, 100, ''", "102.5, 100, ''", "220, 100, kg or lb", "45, 100, kg or lb", "80, 100, with the bar",
    "120, 100, with the bar", "81, 100, ''", "0, 100, ''",
  })
  void asksAboutTheCommonestSlips(String entered, String planned, String question) {
    String asked = EntryDoubt.about(Mass.of(entered, MassUnit.KG), Mass.of(planned, MassUnit.KG), Mass.of("20", MassUnit.KG))
        .orElse("");
    assertThat(asked).contains(question);
    assertThat(asked.isEmpty()).isEqualTo(question.isEmpty());
  }
}

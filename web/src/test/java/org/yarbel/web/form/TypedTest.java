package org.yarbel.web.form;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.MassUnit;

class TypedTest {
  private static final String LONG = "9".repeat(200);

  private static Typed typed(String text) {
    return new Typed(Map.of("field", text));
  }

  @Test
  void aSentenceRepeatsOnlyTheBeginningOfWhatIsLongAndTheFieldKeepsItWhole() {
    Typed ratio = typed(LONG);
    assertThat(ratio.decimal("field", "The ratio in %", 20, 200)).isNull();
    assertThat(ratio.errors()).containsEntry("field", "The ratio in % must be a number from 20 to 200 but was 99999999999999999999….");
    assertThat(ratio.text("field")).isEqualTo(LONG);
    Typed reps = typed(LONG);
    assertThat(reps.whole("field", "The reps", 1, 15)).isNull();
    assertThat(reps.errors()).containsEntry("field", "The reps must be a whole number from 1 to 15 but was 99999999999999999999….");
    Typed load = typed("-" + LONG);
    assertThat(load.mass("field", MassUnit.KG)).isNull();
    assertThat(load.errors()).containsEntry("field", "A mass cannot be negative: -9999999999999999999….");
  }

  @Test
  void aSignIsNeverCutInTwo() {
    String arm = "\ud83d\udcaa";
    Typed twenty = typed(arm.repeat(20));
    twenty.whole("field", "The reps", 1, 15);
    assertThat(twenty.errors().get("field")).endsWith("was " + arm.repeat(20) + ".");
    Typed more = typed(arm.repeat(21));
    more.whole("field", "The reps", 1, 15);
    assertThat(more.errors().get("field")).endsWith("was " + arm.repeat(20) + "….");
  }
}

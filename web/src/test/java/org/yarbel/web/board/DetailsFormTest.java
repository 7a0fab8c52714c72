package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.plan.Details;

class DetailsFormTest {
  private static DetailsForm form(String gear, List<String> pieces, String gearFrom, String reason, String ramp) {
    return new DetailsForm("1", null, "", gear, pieces, gearFrom, reason, null, null, ramp, null);
  }

  @Test
  void anEmptyFormSaysNothing() {
    assertThat(form("usual", null, " ", "", "").check(MassUnit.KG).details()).contains(Details.NONE);
    assertThat(new DetailsForm(null, null, null, null, null, null, null, null, null, null, null).present()).isFalse();
  }

  @Test
  void whatItWritesIsWhatItReadsBack() {
    Details details = form("these", List.of("STRAPS", "BELT", "CAPE"), "142,5", "grip gives out", "60x5 100x3").check(MassUnit.KG)
        .details().orElseThrow();
    assertThat(details.gearWords()).as("known gear only, in its own order").isEqualTo("belt, straps from 142.5 kg");
    assertThat(details.ramp()).isEqualTo("60x5 100x3 kg");
    assertThat(DetailsForm.of(details).check(MassUnit.KG).details()).contains(details);
    Details none = form("none", List.of("BELT"), "140", null, null).check(MassUnit.KG).details().orElseThrow();
    assertThat(none.gearWords()).as("no gear goes on from nowhere").isEqualTo("no gear");
    assertThat(none.gearFrom()).isNull();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "gearFrom | abc | Write the load as a number over 0 and up to 1000 kg, such as 140.",
    "gearFrom | 0 | Write the load as a number over 0 and up to 1000 kg, such as 140.",
    "gearFrom | 1001 | Write the load as a number over 0 and up to 1000 kg, such as 140.",
    "ramp | 60x5 40x3 | The warm-up must rise, but 40 follows 60.",
    "ramp | heavy | A warm-up is written load x reps, such as 20x10 60x5 100x3, but 'heavy' is not.",
  })
  void saysWhatIsWrongBesideItsField(String field, String typed, String message) {
    DetailsForm form = field.equals("ramp") ? form("usual", null, null, null, typed) : form("usual", null, typed, null, null);
    DetailsForm.CheckedDetails checked = form.check(MassUnit.KG);
    assertThat(checked.details()).isEmpty();
    assertThat(checked.errors()).containsEntry(field, message);
  }

  @Test
  void collectsAllProblemsAtOnce() {
    assertThat(form("these", null, "x", "y".repeat(201), "z").check(MassUnit.LB).errors())
        .containsOnlyKeys("gearFrom", "ramp", "reason", "pieces");
  }
}

package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.log.Entry;

class EntryFormTest {
  private static final String LINE = UUID.randomUUID().toString();

  private static EntryForm form(String load, String reps, String rpe, String outcome) {
    return new EntryForm(UUID.randomUUID().toString(), LINE, 1, 1, 1, -1, load, reps, rpe, null, outcome, null, null, null, null,
        null, null, null);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "182.5 | 182.5", "182,5 | 182.5", "\" 100 \" | 100", "100. | 100", "0 | 0", "1000 | 1000",
  })
  void readsALoadAsPeopleTypeIt(String typed, String kilograms) {
    Entry entry = form(typed, "5", "8.5", "done").check(MassUnit.KG).entry().orElseThrow();
    assertThat(entry.load()).isEqualTo(Mass.of(kilograms, MassUnit.KG));
    assertThat(entry.rpe()).isEqualTo(Rpe.of(8.5));
  }

  @ParameterizedTest
  @CsvSource({"1e3", "0x10", "1.2.3", "--5", "1000.1", "99999999999999", "NaN"})
  void refusesALoadThatIsNone(String typed) {
    EntryForm.CheckedEntry checked = form(typed, "5", "", "done").check(MassUnit.KG);
    assertThat(checked.entry()).isEmpty();
    assertThat(checked.errors()).containsOnlyKeys("load");
  }

  @Test
  void namesEveryFieldThatIsWrong() {
    assertThat(form("x", "y", "z", "done").check(MassUnit.KG).errors()).containsOnlyKeys("load", "reps", "rpe");
  }

  @Test
  void aMissIsNoRepWhateverStandsInTheFields() {
    Entry entry = form("200", "nonsense", "8", "missed").check(MassUnit.KG).entry().orElseThrow();
    assertThat(entry.reps()).isZero();
    assertThat(entry.rpe()).isNull();
  }

  @Test
  void readsPoundsOfALifterInPounds() {
    assertThat(form("405", "5", "", "done").check(MassUnit.LB).entry().orElseThrow().load()).isEqualTo(Mass.of("405", MassUnit.LB));
    assertThat(form("2205", "5", "", "done").check(MassUnit.LB).errors()).containsKey("load");
  }

  @Test
  void refusesAFormWithoutItsKey() {
    EntryForm old = new EntryForm("", LINE, 1, 1, 1, -1, "100", "5", "", null, "done", null, null, null, null, null, null, null);
    assertThat(old.check(MassUnit.KG).errors().get("load")).contains("open the card again");
    EntryForm byNumber = new EntryForm(LINE, "17", 1, 1, 1, -1, "100", "5", "", null, "done", null, null, null, null, null, null, null);
    assertThat(byNumber.check(MassUnit.KG).errors().get("load")).as("a line is known by no number").contains("open the card again");
  }
}

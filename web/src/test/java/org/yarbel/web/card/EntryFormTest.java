package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.Said;

class EntryFormTest {
  private static final String LINE = UUID.randomUUID().toString();

  private static EntryForm form(String load, String reps, String rpe, String outcome) {
    return new EntryForm(UUID.randomUUID().toString(), LINE, 1, 1, 1, -1, load, reps, rpe, null, outcome, null, null, null, null,
        null, null, null);
  }

  private static EntryForm.CheckedEntry check(EntryForm form, MassUnit unit, String... also) {
    MultiValueMap<String, String> all = new LinkedMultiValueMap<>();
    for (int i = 0; i < also.length; i += 2) {
      all.add(also[i], also[i + 1]);
    }
    return form.check(unit, SaidForm.of(all), Catalogue.standard());
  }

  private static Said said(String... also) {
    return check(form("100", "5", "", "done"), MassUnit.KG, also).entry().orElseThrow().said();
  }

  private static Map<String, String> wrong(String... also) {
    return check(form("100", "5", "", "done"), MassUnit.KG, also).errors();
  }

  @Test
  void whatWasTappedStandsBesideTheFigures() {
    assertThat(said()).as("nobody was asked").isNull();
    assertThat(said("chips", "1")).isEqualTo(Said.NOTHING);
    Said all = said("chips", "1", "ctx", "SHORT_SLEEP", "ctx", "PAIN", "ctx", "NONSENSE", "ctxWords", " slipped ", "gear", "STRAPS",
        "wornWas", "BELT", "mark", "KNEES_IN", "rep.KNEES_IN", "3", "mark", "DEPTH", "speeds", "0.45 0,4", "did", "front squat");
    assertThat(all.contexts()).containsExactly(Context.SHORT_SLEEP, Context.PAIN, Context.SOMETHING_ELSE);
    assertThat(all.words()).isEqualTo("slipped");
    assertThat(all.gear()).containsExactly(Gear.STRAPS);
    assertThat(all.marks()).containsExactlyInAnyOrder(new Mark(TechniqueMark.KNEES_IN, 3), new Mark(TechniqueMark.DEPTH, null));
    assertThat(all.speeds().millimetres()).containsExactly(450, 400);
    assertThat(all.did()).isEqualTo("front-squat");
  }

  @Test
  void piecesThatStandAsTheyWereShownWereSaidByNobody() {
    assertThat(said("chips", "1", "gear", "BELT", "gear", "STRAPS", "wornWas", "STRAPS,BELT").gear()).isNull();
    assertThat(said("chips", "1", "wornWas", "BELT").gear()).as("the belt was taken off").isEmpty();
    assertThat(said("chips", "1", "wornWas", "").gear()).isNull();
  }

  @Test
  void thePagesOfBeforeHadOneBox() {
    EntryForm old = new EntryForm(UUID.randomUUID().toString(), LINE, 1, 1, 1, -1, "100", "5", "", "1", "done", null, null, null, null,
        null, null, null);
    assertThat(check(old, MassUnit.KG).entry().orElseThrow().said().contexts()).containsExactly(Context.SOMETHING_ELSE);
  }

  @Test
  void refusesWhatWasNeverSo() {
    assertThat(wrong("chips", "1", "mark", "DEPTH", "rep.DEPTH", "9")).containsExactly(Map.entry("marks",
        "The mark 'depth' is on rep 9, but 5 were tried."));
    assertThat(wrong("chips", "1", "mark", "DEPTH", "rep.DEPTH", "x")).containsOnlyKeys("marks");
    assertThat(wrong("chips", "1", "mark", "DEPTH", "rep.DEPTH", "99999999999")).containsOnlyKeys("marks");
    assertThat(wrong("chips", "1", "speeds", "0.4 0.4 0.4 0.4 0.4 0.4")).containsExactly(Map.entry("speeds",
        "There are speeds of 6 reps, but the set had 5."));
    assertThat(wrong("chips", "1", "speeds", "12")).containsExactly(Map.entry("speeds", "The bar speed must be from 0.01 to 3 m/s but was 12."));
    assertThat(wrong("chips", "1", "speeds", "0.4 ".repeat(90_000))).containsOnlyKeys("speeds");
    assertThat(wrong("chips", "1", "did", "no such lift")).containsExactly(Map.entry("did", Catalogue.standard().unknown("no such lift")));
    assertThat(wrong("chips", "1", "ctxWords", "x".repeat(201))).containsExactly(Map.entry("ctxWords",
        "It may have at most 200 characters but has 201."));
    assertThat(wrong("chips", "1", "ctxWords", "x".repeat(200))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "182.5 | 182.5", "182,5 | 182.5", "\" 100 \" | 100", "100. | 100", "0 | 0", "1000 | 1000",
  })
  void readsALoadAsPeopleTypeIt(String typed, String kilograms) {
    Entry entry = check(form(typed, "5", "8.5", "done"), MassUnit.KG).entry().orElseThrow();
    assertThat(entry.load()).isEqualTo(Mass.of(kilograms, MassUnit.KG));
    assertThat(entry.rpe()).isEqualTo(Rpe.of(8.5));
  }

  @ParameterizedTest
  @CsvSource({"1e3", "0x10", "1.2.3", "--5", "1000.1", "99999999999999", "NaN"})
  void refusesALoadThatIsNone(String typed) {
    EntryForm.CheckedEntry checked = check(form(typed, "5", "", "done"), MassUnit.KG);
    assertThat(checked.entry()).isEmpty();
    assertThat(checked.errors()).containsOnlyKeys("load");
  }

  @Test
  void namesEveryFieldThatIsWrong() {
    assertThat(check(form("x", "y", "z", "done"), MassUnit.KG).errors()).containsOnlyKeys("load", "reps", "rpe");
  }

  @Test
  void aMissIsNoRepWhateverStandsInTheFields() {
    Entry entry = check(form("200", "nonsense", "8", "missed"), MassUnit.KG).entry().orElseThrow();
    assertThat(entry.reps()).isZero();
    assertThat(entry.rpe()).isNull();
  }

  @Test
  void readsPoundsOfALifterInPounds() {
    assertThat(check(form("405", "5", "", "done"), MassUnit.LB).entry().orElseThrow().load()).isEqualTo(Mass.of("405", MassUnit.LB));
    assertThat(check(form("2205", "5", "", "done"), MassUnit.LB).errors()).containsKey("load");
  }

  @Test
  void refusesAFormWithoutItsKey() {
    EntryForm old = new EntryForm("", LINE, 1, 1, 1, -1, "100", "5", "", null, "done", null, null, null, null, null, null, null);
    assertThat(check(old, MassUnit.KG).errors().get("load")).contains("open the card again");
    EntryForm byNumber = new EntryForm(LINE, "17", 1, 1, 1, -1, "100", "5", "", null, "done", null, null, null, null, null, null, null);
    assertThat(check(byNumber, MassUnit.KG).errors().get("load")).as("a line is known by no number").contains("open the card again");
  }
}

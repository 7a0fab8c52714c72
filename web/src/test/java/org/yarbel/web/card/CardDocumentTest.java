package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class CardDocumentTest {
  private static CardDocument issued(TestApp app, long session) {
    return app.bean(CoreJson.class).read(app.jdbc()
        .sql("select document from card_issue where session_id = :id order by number desc limit 1")
        .param("id", session).query(String.class).single(), CardDocument.class);
  }

  @Test
  void isReadBackAsItWasWritten(TestApp app) {
    CoreJson json = app.bean(CoreJson.class);
    CardDocument document = issued(app, app.session("Maren", TestApp.TODAY.minusDays(7)));
    assertThat(json.read(json.write(document), CardDocument.class)).isEqualTo(document);
    assertThat(document.slots()).hasSize(3);
    assertThat(document.slots().get(0).kit().bar()).isEqualTo(Mass.of("20", MassUnit.KG));
  }

  // as the first version wrote it: one kit for all lines, no name, no chart
  @Test
  void readsACardWithOneKitForAllItsLines(TestApp app) {
    CardDocument old = app.bean(CoreJson.class).read("""
        {"number":1,"day":"2026-01-05","unit":"kg","bodyMass":null,
         "kit":{"bar":"20 kg","collars":"0 kg","stock":{"unit":"kg","plates":[{"size":"25 kg","pairs":2}]}},
         "numbers":{},"numbersOn":{},"chart":[],
         "slots":[{"ref":"6f1c7c1e-9a55-4d0e-8f0a-000000000001","kind":"MAIN","lift":"squat","work":"1x1 70kg","basis":"ESTIMATED","ramp":[],"sets":[],"tables":[],
           "cautions":[],"problem":null,"last":null},
          {"ref":"6f1c7c1e-9a55-4d0e-8f0a-000000000002","kind":"ASSISTANCE","lift":"plank","work":"3x1","basis":"ESTIMATED","ramp":[],"sets":[],"tables":[],
           "cautions":[],"problem":null,"last":null}]}""", CardDocument.class);
    CardDocument.CardSlot squat = old.slots().get(0);
    assertThat(squat.name()).isEqualTo("Squat");
    assertThat(squat.chart()).isEqualTo(EffortChart.HOUSE);
    assertThat(old.loaded(squat).orElseThrow().search().nearest(Mass.of("71", MassUnit.KG)).sideText()).isEqualTo("25");
    assertThat(old.loaded(old.slots().get(1))).as("a plank goes on no bar").isEmpty();
  }

  @Test
  void holdsTheBackOffsForEveryTopWithinAFifth(TestApp app) {
    CardDocument document = issued(app, app.session("Maren", TestApp.TODAY.minusDays(7)));
    Mass top = document.slots().get(0).sets().get(0).load();
    BackOffTable table = document.slots().get(0).tables().get(0);
    assertThat(table.part()).isEqualTo(2);
    List<Double> shares = table.rows().stream().map(row -> row.reference().ratioTo(top)).filter(share -> share >= 0.8).toList();
    assertThat(shares.get(0)).isBetween(0.8, 0.82);
    assertThat(table.rows()).as("and for each warm-up that may be declared the top set").extracting(BackOffTable.Row::reference)
        .containsAll(document.slots().get(0).ramp().stream().map(RampStep::load).toList());
    assertThat(table.rows().get(table.rows().size() - 1).reference().ratioTo(top)).isBetween(1.18, 1.2);
  }

  @Test
  void holdsTheEffortChartAsNumbers(TestApp app) {
    List<List<Double>> chart = issued(app, app.session("Maren", TestApp.TODAY.minusDays(7))).chart();
    assertThat(chart).hasSize(9);
    assertThat(chart.get(0).get(0)).as("a single at 10").isEqualTo(100.0);
    assertThat(chart.get(4).get(4)).as("five at 8: seven to failure, 83 %").isEqualTo(83.0);
    assertThat(chart.get(8).get(11)).as("twelve at 6: sixteen to failure").isNull();
  }

  @Test
  void keepsItsLoadsWhenTheNumbersMove(TestApp app) {
    Client coach = Client.of(app, "coach");
    LocalDate day = TestApp.TODAY;
    coach.get("/lifters/new");
    Map<String, String> lifter = new HashMap<>(Map.of("name", "Bryn Kestle", "unit", "KG", "place",
        app.hall(),
        "lift.1", "squat", "load.1", "100", "how.1", "tested", "on.1", "2026-02-20"));
    coach.post("/lifters", lifter);
    long id = app.lifter("Bryn");
    coach.get("/lifters/" + id + "/week");
    coach.post("/lifters/" + id + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 80%"));
    coach.post("/lifters/" + id + "/days/" + day.plusDays(2) + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 80%"));
    long session = app.session("Bryn", day);
    assertThat(coach.card(session).body()).contains("80 % of estimated").contains(">80<");
    lifter.putAll(Map.of("version", "0", "squat.level", "ADVANCED", "squat.tested", "120", "squat.testedOn", "2026-02-20"));
    coach.get("/lifters/" + id);
    coach.post("/lifters/" + id, lifter);
    assertThat(coach.card(session).body()).as("issued: stays").contains(">80<").contains("estimated 10");
    assertThat(coach.get("/lifters/" + id + "/week").body())
        .as("on the board the issued day stays, the other moves").contains("80 ×3", "97.5 ×3");
    assertThat(coach.get("/?find=Bryn").body()).as("on the Floor too").contains("80 ×3").doesNotContain("97.5 ×3");
  }

  @Test
  void writesDownWhatWasAskedWithEachSet(TestApp app) {
    long session = app.session("Maren", TestApp.TODAY.plusDays(7));
    long slot = app.jdbc().sql("select id from slot where session_id = :id order by position limit 1").param("id", session)
        .query(Long.class).single();
    Client maren = Client.of(app, "maren");
    maren.card(session);
    for (int set = 1; set <= 2; set++) {
      maren.post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot", app.line(slot), "part", "" + set,
          "set", "1", "issue", "1", "seen", "-1", "load", "170", "reps", "1", "outcome", "done", "sure", "1"));
    }
    List<String> asked = app.jdbc().sql("select asked_ng / 1000000000000.0 || ' x ' || asked_reps from logged_set where "
        + "session_id = :id order by part")
        .param("id", session).query(String.class).list();
    assertThat(asked.get(1)).as("the back-off was asked from the 170 that was lifted: 144.5").startsWith("145.0").endsWith(" x 4");
  }
}

package org.yarbel.web.kitroom;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class KitRoomTest {
  private static int made;

  private static Client coach(TestApp app) {
    Client coach = Client.of(app, "coach");
    coach.get("/kit");
    return coach;
  }

  /** A place of this test's own, with an ordinary gym's kit. */
  private static long place(Client coach) {
    HttpResponse<String> answer = coach.post("/kit", Map.of("name", "Shed " + ++made, "like", "KG"));
    return Long.parseLong(answer.headers().firstValue("Location").orElseThrow().replaceAll(".*/kit/", ""));
  }

  private static Map<String, String> kit(String... more) {
    Map<String, String> kit = new HashMap<>(Map.of("version", "0", "name", "Shed of " + ++made, "unit", "KG", "collars", "0",
        "bar.0.name", "Bar", "bar.0.mass", "20", "kg.0.size", "20", "kg.0.pairs", "4"));
    for (int i = 0; i < more.length; i += 2) {
      kit.put(more[i], more[i + 1]);
    }
    return kit;
  }

  private static PlaceKit stored(TestApp app, long place) {
    return app.bean(CoreJson.class).read(app.jdbc().sql("select kit from place where id = :id").param("id", place)
        .query(String.class).single(), PlaceKit.class);
  }

  @Test
  void aKitOfVeryManyOddPlatesIsSearchedWithinABoundAndSaysSo(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    Map<String, String> odd = kit("mixing", "yes");
    for (int i = 0; i < 16; i++) {
      odd.putAll(Map.of("kg." + i + ".size", (3 + 2 * i) + ".0" + (1 + i % 9), "kg." + i + ".pairs", "20", "lb." + i + ".size",
          (5 + 3 * i) + ".0" + (1 + i % 7), "lb." + i + ".pairs", "20"));
    }
    long began = System.nanoTime();
    assertThat(coach.post("/kit/" + id, odd).statusCode()).isEqualTo(302);
    assertThat(coach.get("/kit/" + id).body()).contains("These plates mix in very many ways");
    assertThat(coach.get("/workbench/plates?unit=KG&place=" + id + "&loads=60+100&lift=squat").body())
        .contains("These plates mix in very many ways");
    assertThat(coach.get("/workbench/ramp?unit=KG&place=" + id + "&top=140&lift=squat").body()).contains("140");
    assertThat(Duration.ofNanos(System.nanoTime() - began)).as("over a minute for one of them, before").isLessThan(Duration.ofSeconds(30));
  }

  @Test
  void writesDownEverythingAPlaceOwnsAndReadsItBack(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    HttpResponse<String> saved = coach.post("/kit/" + id, kit("bar.1.name", "Squat bar", "bar.1.mass", "25", "bar.1.lifts",
        "Squat, front-squat", "bar.1.pins", "yes", "lb.0.size", "45", "lb.0.pairs", "2", "mixing", "yes", "collars", "5",
        "dumbbell.0.stamped", "20", "dumbbell.0.true", "22,5", "band.0.name", "Thin", "band.0.make", "plain", "band.0.since", "2025-05-01",
        "band.0.pulls", "60:12 100:26.5", "chain.0.name", "Chain", "chain.0.mass", "9", "chain.0.slack", "1",
        "thing.0.kind", "STONE", "thing.0.name", "Stone", "thing.0.mass", "100", "thing.3.kind", "LOG", "thing.3.name", "Log",
        "thing.3.mass", "60", "thing.3.plates", "yes", "thing.1.kind", "KEG"));
    assertThat(saved.statusCode()).isEqualTo(302);
    PlaceKit kit = stored(app, id);
    assertThat(kit.bars()).extracting(b -> b.name() + " " + b.lifts() + " " + b.pinsAllowed())
        .containsExactly("Bar [] false", "Squat bar [squat, front-squat] true");
    assertThat(kit.plates()).extracting(p -> p.size().text() + "x" + p.pairs()).containsExactly("45 lbx2", "20 kgx4");
    assertThat(kit.strongman()).extracting(i -> i.name() + " " + i.plateLoaded()).containsExactly("Stone false", "Log true");
    assertThat(kit.dumbbells().get(0).trueMass().text()).isEqualTo("22.5 kg");
    assertThat(kit.bands().get(0).pullAt(80).text()).isEqualTo("19.25 kg");
    String page = coach.get("/kit/" + id).body();
    assertThat(page).contains("value=\"Squat bar\"", "value=\"squat, front-squat\"", "value=\"60:12 100:26.5\"",
        "Thin has no partner here", "Saved. Sessions not issued yet");
    Map<String, String> again = new HashMap<>(KitForm.fields("Same name " + made, kit));
    again.put("version", "1");
    assertThat(coach.post("/kit/" + id, again).statusCode()).isEqualTo(302);
    assertThat(stored(app, id)).as("what the page shows is what is stored").isEqualTo(kit);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "name | \"\" | Write the name of the place, at most 80 characters.",
    "name | Tarnbrook Barbell Hall | There is a place of that name already.",
    "bar.0.mass | -20 | A mass cannot be negative: -20.",
    "bar.0.mass | 201 | The bar must be over 0 and at most 200 kg but was 201 kg.",
    "bar.0.mass | \"\" | Write the mass.",
    "bar.0.lifts | squad | There is no lift &#39;squad&#39;. Maybe squat?",
    "collars | 21 | Both collars together weigh at most 20 kg but 21 kg was typed.",
    "kg.0.size | \"\" | There are bars but no plates, so nothing but the empty bar loads. Write one size at least.",
    "kg.0.size | 1.255 | The plate size must be in steps of 0.01 but was 1.255 kg.",
    "kg.0.pairs | 21 | The pairs must be a whole number from 1 to 20 but was 21.",
    "kg.0.pairs | \"\" | Write how many pairs.",
    "kg.1.size | 20 | The size 20 kg stands above already: write all its pairs there.",
    "dumbbell.0.stamped | 900 | A dumbbell must be at most 200 kg.",
    "band.0.pulls | 60:12 100:10 | A band pulls harder the further it is stretched, but from 60 to 100 cm the pull falls from "
        + "12 kg to 10 kg.",
    "band.0.pulls | 60 | Write each length in cm with its pull, such as 60:12 100:26; &#39;60&#39; is not that.",
    "band.0.pulls | 60:12 | Measure a band at two lengths at least.",
    "band.0.since | 2026-04-01 | The day lies ahead: 2026-04-01.",
    "bar.1.mass | 15 | Fill in the first field too, or empty the row.",
    "thing.4.mass | 90 | Fill in the first field too, or empty the row.",
    "lb.0.pairs | 2 | Fill in the first field too, or empty the row.",
    "chain.0.slack | 10 | What hangs at the bottom cannot be more than the chain: 10 kg of 9 kg.",
    "thing.0.mass | 1001 | The mass must be at most 1000 kg (2204 lb) but was 1001 kg.",
    "thing.0.kind | BAR | Choose what it is.",
  })
  void refusesWhatCannotBeBesideItsRowAndLosesNothing(String field, String typed, String message) {
    TestApp app = TestApp.running();
    Client coach = coach(app);
    long id = place(coach);
    PlaceKit before = stored(app, id);
    HttpResponse<String> answer = coach.post("/kit/" + id, kit("kg.1.pairs", "3", "band.0.name", "Kept <band>", "band.0.pulls",
        "60:12 100:26",
        "chain.0.name", "Chain", "chain.0.mass", "9", "dumbbell.0.true", "", "thing.0.kind", "STONE", "thing.0.name", "Stone",
        "thing.0.mass", "100", field, typed));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(message, "Kept &lt;band&gt;");
    assertThat(stored(app, id)).isEqualTo(before);
  }

  @Test
  void aChangeIsUndoneUnlessALaterOneTouchedTheKit(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    PlaceKit first = stored(app, id);
    coach.post("/kit/" + id, kit());
    String change = undo(coach, id);
    coach.post("/kit/" + id, kit("version", "1", "kg.1.size", "10", "kg.1.pairs", "1"));
    String later = undo(coach, id);
    coach.post(change, Map.of());
    assertThat(coach.get("/kit/" + id).body()).contains("Not undone: the kit was changed again since.");
    coach.post(later, Map.of());
    assertThat(coach.get("/kit/" + id).body()).contains("The kit is back as it was.");
    coach.post(change, Map.of());
    assertThat(stored(app, id)).isEqualTo(first);
  }

  private static String undo(Client coach, long id) {
    return coach.get("/kit/" + id).body().replaceAll("(?s).*action=\"(/kit/" + id + "/undo/\\d+)\".*", "$1");
  }

  @Test
  void aPlaceThatOwnsVeryMuchLosesNothing(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    Map<String, String> much = kit();
    for (int i = 0; i < 80; i++) {
      String mass = Integer.toString(10 + i);
      much.putAll(Map.of("thing." + i + ".kind", "STONE", "thing." + i + ".name", "Stone number " + i, "thing." + i + ".mass", mass));
      much.putAll(Map.of("dumbbell." + i + ".stamped", mass, "dumbbell." + i + ".true", mass, "dumbbell." + i + ".unit", "KG"));
      much.putAll(Map.of("chain." + i + ".name", "Chain " + i, "chain." + i + ".mass", "9", "chain." + i + ".slack", "1", "chain."
          + i + ".unit", "KG"));
      much.putAll(Map.of("bar." + i + ".name", "Bar " + i, "bar." + i + ".mass", "20", "bar." + i + ".unit", "KG", "bar." + i
          + ".pins", "yes"));
    }
    assertThat(coach.post("/kit/" + id, much).statusCode()).isEqualTo(302);
    PlaceKit kit = stored(app, id);
    assertThat(kit.strongman()).hasSize(80);
    assertThat(kit.bars()).hasSize(80).allMatch(bar -> bar.pinsAllowed());
    much.putAll(Map.of("version", "1", "thing.80.kind", "STONE", "thing.80.name", "One too many", "thing.80.mass", "9"));
    HttpResponse<String> more = coach.post("/kit/" + id, much);
    assertThat(more.statusCode()).isEqualTo(422);
    assertThat(more.body()).contains("At most 80 rows of a kind can be kept.", "One too many");
  }

  @Test
  void theSecondOfTwoTabsIsToldAndLosesNothing(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    assertThat(coach.post("/kit/" + id, kit()).statusCode()).isEqualTo(302);
    HttpResponse<String> second = coach.post("/kit/" + id, kit("bar.1.name", "Second bar", "bar.1.mass", "15"));
    assertThat(second.statusCode()).isEqualTo(409);
    assertThat(second.body()).contains("somebody changed this kit meanwhile", "value=\"Second bar\"");
  }

  @Test
  void anotherStockMovesTheLoadsOfSessionsNotIssued(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    coach.get("/lifters/new");
    String location = coach.post("/lifters", Map.of("name", "Perrin Oss", "unit", "KG", "place", Long.toString(id), "lift.1", "squat",
        "load.1", "200", "how.1", "tested", "on.1", "2026-02-27")).headers().firstValue("Location").orElseThrow();
    String lifter = location.replaceAll(".*(/lifters/\\d+)/.*", "$1");
    coach.get(lifter + "/week");
    for (int day : new int[] {2, 4}) {
      coach.post(lifter + "/days/2026-03-0" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70%"));
    }
    long today = app.jdbc().sql("select id from training_session where lifter_id = :id and day = '2026-03-02'")
        .param("id", Long.parseLong(lifter.replaceAll("\\D", ""))).query(Long.class).single();
    assertThat(coach.card(today).body()).contains(">140<");
    coach.get("/kit/" + id);
    coach.post("/kit/" + id, kit("kg.0.size", "25", "bar.0.mass", "25", "version", "0"));
    assertThat(coach.get(lifter + "/week").body()).as("issued stays; 25 and 50s make 125").contains("140 ×3", "125 ×3");
    assertThat(coach.card(today).body()).contains(">140<");
  }

  @Test
  void aDayCanBeTrainedInAnotherOfTheLiftersPlaces(TestApp app) {
    Client coach = coach(app);
    long id = place(coach);
    coach.post("/kit/" + id, kit("kg.0.size", "25", "bar.0.mass", "25"));
    coach.get("/lifters/new");
    String hall = app.hall();
    String lifter = coach.post("/lifters", Map.of("name", "Quill Adder", "unit", "KG", "place", hall, "lift.1", "squat", "load.1", "200",
        "how.1", "tested", "on.1", "2026-02-27")).headers().firstValue("Location").orElseThrow().replaceAll(".*(/lifters/\\d+)/.*", "$1");
    coach.get(lifter);
    coach.post(lifter, Map.of("version", "0", "name", "Quill Adder", "unit", "KG", "place", hall, "also." + id, "yes"));
    coach.get(lifter + "/week");
    String day = lifter + "/days/2026-03-06";
    coach.post(day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70%"));
    assertThat(coach.get(lifter + "/week").body()).contains("140 ×3", "aria-label=\"Place on Fri\"");
    coach.post(day + "/place", Map.of("place", Long.toString(id)));
    assertThat(coach.get(lifter + "/week").body()).contains("125 ×3").doesNotContain("140 ×3");
    assertThat(coach.post(lifter + "/week/line?day=2026-03-06", Map.of("lift", "squat", "work", "3x5 70%")).body())
        .as("while typing too").contains("125 ×3");
    coach.post(day + "/place", Map.of("place", "999999"));
    assertThat(coach.get(lifter + "/week").body()).as("no place of theirs: the usual one").contains("140 ×3");
  }

  @Test
  void anotherClubsPlaceDoesNotExist(TestApp app) {
    Client coach = coach(app);
    assertThat(coach.get("/kit/999999").statusCode()).isEqualTo(404);
    assertThat(coach.post("/kit/999999", kit()).statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "maren").get("/kit").statusCode()).as("a lifter has no key to it").isEqualTo(403);
  }
}

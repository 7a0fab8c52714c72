package org.yarbel.web.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class LibraryTest {
  private static final LocalDate MONDAY = TestApp.TODAY;

  private static long template(TestApp app, String name) {
    return app.jdbc().sql("select id from template where name = :n").param("n", name).query(Long.class).single();
  }

  @Test
  void keepsAWeekAndWritesItForSomebodyElse(TestApp app) {
    Someone from = Someone.called(app, "Maeve Tarrant", Map.of("squat", "200"));
    Someone to = Someone.called(app, "Nestor Blythe", Map.of("squat", "100"));
    from.add(MONDAY, "MAIN", "squat", "5x5 75%");
    from.add(MONDAY.plusDays(3), "MAIN", "squat", "3x3 60%");
    from.post("/library/keep", Map.of("from", "lifter-" + from.id(), "of", "" + MONDAY, "weeks", "1", "name", "Fives and threes"));
    assertThat(from.post("/library/keep", Map.of("from", "lifter-" + from.id(), "of", "" + MONDAY, "weeks", "1", "name",
        "Fives and threes")).body())
        .contains("There is a template &#39;Fives and threes&#39; already");
    assertThat(from.post("/library/keep", Map.of("from", "", "of", "" + MONDAY, "weeks", "40", "name", "x")).body())
        .contains("Choose one lifter");
    long id = template(app, "Fives and threes");
    assertThat(to.post("/library/" + id + "/use", Map.of("for", "", "of", "" + MONDAY)).body())
        .contains("choose a lifter or a group first");
    assertThat(to.post("/library/" + id + "/use", Map.of("for", "lifter-" + to.id(), "of", "" + MONDAY.plusWeeks(1))).body())
        .contains("2 lines written").contains("75 ×5");
    assertThat(to.on(MONDAY.plusWeeks(1))).containsExactly("squat 5x5 75%");
    to.post(to.at("/week/undo"), Map.of());
    assertThat(to.on(MONDAY.plusWeeks(1))).isEmpty();
    to.post("/library/" + id + "/take", Map.of("out", "true"));
    assertThat(to.coach().get("/library").body()).contains("Bring back Fives and threes");
    to.post("/library/" + id + "/take", Map.of("out", "false"));
    assertThat(to.coach().get("/library").body()).contains("Use it").doesNotContain("Bring back Fives and threes");
  }

  @Test
  void whatGoesOutComesInAgain(TestApp app) {
    Someone lifter = Someone.called(app, "Ottoline Rusk", Map.of("squat", "200"));
    String file = lifter.coach().get("/library/" + template(app, "Two event weeks with a medley") + "/export").body();
    TemplateFormat.TemplateRead read = app.bean(TemplateFormat.class).read(file);
    assertThat(read.problems()).isEmpty();
    assertThat(read.document().weeks()).hasSize(2);
    assertThat(read.document().weeks().get(0).days().stream().filter(day -> day.groups() != null)).as("the medley is there").isNotEmpty();
    assertThat(lifter.post("/library/import", Map.of("text", file, "name", "Events again")).body())
        .contains("Taken in: &#39;Events again&#39;.");
    lifter.post("/library/" + template(app, "Events again") + "/use", Map.of("for", "lifter-" + lifter.id(), "of", "" + MONDAY));
    assertThat(lifter.on(MONDAY.plusDays(5))).contains("stone-load series 80/100/115/130kg");
    assertThat(app.jdbc().sql("select groups from training_session where lifter_id = :l and day = :d").param("l", lifter.id())
        .param("d", MONDAY.plusDays(5)).query(String.class).single())
        .contains("MEDLEY");
  }

  @Test
  void liftsNobodyHereKnowsAreMappedOnce(TestApp app) {
    Someone lifter = Someone.called(app, "Piers Quant", Map.of("squat", "200"));
    String file = """
        {"format": "yarbel-template", "version": 1, "name": "From elsewhere", "scope": "week", "lifts": {"hall-squat": "Hall squat"},
         "weeks": [{"days": [{"day": 1, "lines": [{"part": "main", "lift": "hall-squat", "work": "3x5 80%"}, {"part": "second", "lift": "squat", "work": "3x5 60% of hall-squat"}]}]}]}
        """;
    var asked = lifter.post("/library/import", Map.of("text", file));
    assertThat(asked.statusCode()).isEqualTo(422);
    assertThat(asked.body()).contains("Hall squat is").contains("name=\"map.hall-squat\"").contains("From elsewhere");
    assertThat(lifter.post("/library/import", Map.of("text", file, "map.hall-squat", "Front squid")).body())
        .contains("There is no lift &#39;Front squid&#39;");
    lifter.post("/library/import", Map.of("text", file, "map.hall-squat", "Front squat"));
    assertThat(app.jdbc().sql("select document from template where name = 'From elsewhere'").query(String.class).single())
        .contains("\"front-squat\"").contains("3x5 60% of front-squat").doesNotContain("hall-squat");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "{\"format\": ]                                                                  | That is no JSON",
      "{\"format\": \"yarbel-template\", \"version\": 2, \"name\": \"x\", \"scope\": \"week\", \"weeks\": [{\"days\": []}]} | version",
      "{\"format\": \"yarbel-template\", \"version\": 1, \"scope\": \"week\", \"weeks\": [{\"days\": []}]} | name",
      "{\"format\": \"yarbel-template\", \"version\": 1, \"name\": \"x\", \"scope\": \"week\", \"weeks\": [{\"days\": "
          + "[{\"day\": 8, \"lines\": []}]}]} | day",
      "{\"format\": \"yarbel-template\", \"version\": 1, \"name\": \"x\", \"scope\": \"week\", \"weeks\": [{\"days\": "
          + "[{\"day\": 1, \"lines\": [{\"part\": \"main\", \"lift\": \"squat\", \"work\": \"3x5 @11\"}]}]}]} | Week 1, day 1, "
          + "squat, work '3x5 @11': RPE must be",
  })
  void refusesWhatIsNotInTheFormat(String file, String said) {
    assertThat(new TemplateFormat().read(file).problems()).isNotEmpty().first().asString().contains(said);
  }

  @Test
  void checksByTheSchemaThatIsPublished(TestApp app) throws IOException {
    String published = Files.readString(Browser.root().resolve("docs/formats/template.schema.json"));
    assertThat(Someone.called(app, "Quentin Rae", Map.of()).coach().get("/library/schema").body()).isEqualTo(published);
    assertThat(published).contains("https://json-schema.org/draft/2020-12/schema");
  }

  @Test
  void anotherClubsTemplateIsNotThere(TestApp app) {
    Someone lifter = Someone.called(app, "Rufus Dane", Map.of());
    assertThat(lifter.coach().get("/library/999999999/export").statusCode()).isEqualTo(404);
    assertThat(lifter.post("/library/999999999/use", Map.of("for", "lifter-" + lifter.id(), "of", "" + MONDAY)).statusCode())
        .isEqualTo(404);
  }

  private static String file(String groups, String cues) {
    return "{\"format\":\"yarbel-template\",\"version\":1,\"name\":\"From "
        + "outside\",\"scope\":\"session\",\"weeks\":[{\"days\":[{\"day\":1,\"groups\":[" + groups
        + "],\"lines\":[{\"part\":\"main\",\"lift\":\"squat\",\"work\":\"3x5 70%\",\"group\":1,\"cues\":\"" + cues + "\"},"
        + "{\"part\":\"main\",\"lift\":\"bench\",\"work\":\"3x5 70%\",\"group\":1}]}]}]}";
  }

  @Test
  void aFileWithDoubledGroupNumbersOrSignsThatNobodyTypesIsAWordOrTaken(TestApp app) {
    Client coach = Client.of(app, "coach");
    coach.get("/library");
    String group = "{\"number\":1,\"kind\":\"superset\",\"rounds\":3}";
    HttpResponse<String> doubled = coach.post("/library/import", Map.of("text", file(group + "," + group, "")));
    assertThat(doubled.statusCode()).isEqualTo(422);
    assertThat(doubled.body()).contains("Week 1, day 1: the group number 1 stands twice.");
    assertThat(coach.post("/library/import", Map.of("text", file(group, "a\\u0000b\\ud800c"))).statusCode())
        .as("taken, without them").isEqualTo(302);
    assertThat(app.jdbc().sql("select document from template where name = 'From outside'").query(String.class).single()).contains("abc");
    app.jdbc().sql("delete from template where name = 'From outside'").update();
  }
}

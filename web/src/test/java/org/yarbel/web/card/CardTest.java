package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class CardTest {
  private static final String[] HTMX = {"HX-Request", "true"};

  /** A session of Odile's that no other test touches. */
  private record Lifting(TestApp app, Client odile, long session, String line) {
    /** Of a day that is not ahead: a year before the one it is planned on. */
    static Lifting on(TestApp app, LocalDate day) {
      if (day.isAfter(TestApp.TODAY)) {
        app.jdbc().sql("update training_session set day = :past where id = :id").param("past", day.minusYears(1))
            .param("id", app.session("Odile", day)).update();
        return ahead(app, day.minusYears(1));
      }
      return ahead(app, day);
    }

    /** Of the day it is planned on. */
    static Lifting ahead(TestApp app, LocalDate day) {
      long session = app.session("Odile", day);
      String line = app.jdbc().sql("select ref::text from slot where session_id = :id order by position limit 1")
          .param("id", session).query(String.class).single();
      Client odile = Client.of(app, "odile");
      odile.card(session);
      return new Lifting(app, odile, session, line);
    }

    Map<String, String> entry(int part, int set, String load, String reps, String rpe) {
      return new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "" + part,
          "set", "" + set, "issue", "1", "seen", "-1", "load", load, "reps", reps, "rpe", rpe, "outcome", "done"));
    }

    HttpResponse<String> log(Map<String, String> entry) {
      return odile.post("/sessions/" + session + "/sets", entry, HTMX);
    }

    /** The load of the first set, as it stands in its field. */
    String planned() {
      Matcher field = Pattern.compile("name=\"load\"[^>]*value=\"([0-9.]+)\"|value=\"([0-9.]+)\"[^>]*name=\"load\"")
          .matcher(odile.card(session).body());
      assertThat(field.find()).isTrue();
      return field.group(1) == null ? field.group(2) : field.group(1);
    }

    List<String> logged() {
      return app.jdbc().sql("select load_ng / 1000000000000.0 || 'x' || reps from logged_set where session_id = :id and "
          + "line::text = :line order by part, set_number")
          .param("id", session).param("line", line).query(String.class).list()
          .stream().map(text -> text.replaceAll("\\.?0+x", "x")).toList();
    }

    /** Beside what a phone keeps ahead by itself. */
    long issues() {
      return app.jdbc().sql("select count(*) from card_issue where session_id = :id and not ahead").param("id", session)
          .query(Long.class).single();
    }
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "100 | -5 | 8 | The reps must be from 0 to 100 but were -5.",
    "100 | abc | 8 | Write the good reps as a whole number, such as 5.",
    "100 | 2.5 | 8 | Write the good reps as a whole number, such as 5.",
    "3000 | 5 | 8 | The load must be from 0 to 1000 kg but was 3000 kg.",
    "-1 | 5 | 8 | The load must be from 0 to 1000 kg but was -1 kg.",
    "heavy | 5 | 8 | Write the load as a number, such as 182.5.",
    "\"\" | 5 | 8 | Write the load as a number, such as 182.5.",
    "100 | 5 | 11 | RPE must be from 6 to 10 inclusive but was 11.",
    "100 | 5 | easy | Write the RPE as a number from 6 to 10, or leave it out.",
  })
  void refusesWhatCannotBeBesideItsFieldAndKeepsIt(String load, String reps, String rpe, String message) {
    Lifting lifting = Lifting.on(TestApp.running(), TestApp.TODAY);
    HttpResponse<String> answer = lifting.log(lifting.entry(1, 3, load, reps, rpe));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(message).contains("value=\"" + load + "\"").contains("value=\"" + reps + "\"");
    assertThat(lifting.logged()).isEmpty();
  }

  @Test
  void aDoubleSubmitLogsOnce(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(2));
    String planned = lifting.planned();
    Map<String, String> entry = lifting.entry(1, 1, planned, "5", "");
    List<CompletableFuture<HttpResponse<String>>> both = IntStream.range(0, 2)
        .mapToObj(i -> CompletableFuture.supplyAsync(() -> lifting.log(entry))).toList();
    assertThat(both).allSatisfy(answer -> assertThat(answer.join().statusCode()).isEqualTo(200));
    assertThat(lifting.log(entry).statusCode()).as("sent a third time").isEqualTo(200);
    assertThat(lifting.logged()).containsExactly(planned + "x5");
  }

  @Test
  void theSameFormSentAgainWithOtherFiguresIsToldWhatStands(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(7));
    String planned = lifting.planned();
    Map<String, String> entry = lifting.entry(1, 1, planned, "5", "");
    assertThat(lifting.log(entry).statusCode()).isEqualTo(200);
    entry.put("reps", "4");
    HttpResponse<String> told = lifting.log(entry);
    assertThat(told.statusCode()).as("a page from before the answer").isEqualTo(409);
    assertThat(told.body()).contains("Meanwhile this set was logged as " + planned + " kg × 5");
    assertThat(lifting.logged()).as("nothing is written over unseen").containsExactly(planned + "x5");
    entry.put("seen", "0");
    assertThat(lifting.log(entry).statusCode()).as("seen, and meant").isEqualTo(200);
    assertThat(lifting.logged()).containsExactly(planned + "x4");
  }

  @Test
  void theSecondOfTwoTabsIsToldAndLosesNothing(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(4));
    String planned = lifting.planned();
    String more = new BigDecimal(planned).add(new BigDecimal("2.5")).toPlainString();
    assertThat(lifting.log(lifting.entry(1, 1, planned, "5", "")).statusCode()).isEqualTo(200);
    HttpResponse<String> second = lifting.log(lifting.entry(1, 1, more, "4", ""));
    assertThat(second.statusCode()).isEqualTo(409);
    assertThat(second.body()).contains("Meanwhile this set was logged as " + planned + " kg × 5").contains("value=\"" + more + "\"");
    assertThat(lifting.logged()).containsExactly(planned + "x5");
    Map<String, String> again = lifting.entry(1, 1, more, "4", "");
    again.put("seen", "0");
    assertThat(lifting.log(again).statusCode()).isEqualTo(200);
    assertThat(lifting.logged()).containsExactly(more + "x4");
  }

  @Test
  void asksOnceAboutASlipAndTakesTheAnswer(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(6));
    String planned = lifting.planned();
    String pounds = Long.toString(Math.round(Double.parseDouble(planned) / 0.45359237));
    Map<String, String> entry = lifting.entry(1, 1, pounds, "3", "");
    HttpResponse<String> asked = lifting.log(entry);
    assertThat(asked.statusCode()).isEqualTo(422);
    assertThat(asked.body()).contains("Is it kg or lb? " + pounds + " kg was typed, " + planned + " kg was planned.");
    assertThat(asked.body()).as("the figure that may be meant, as a button")
        .containsPattern("name=\"instead\"[^>]*value=\"" + planned.replaceAll("\\..*", "") + "[0-9.]*\"");
    Map<String, String> meant = new HashMap<>(entry);
    meant.put("instead", planned);
    meant.put("was", "done");
    meant.remove("outcome");
    assertThat(lifting.log(meant).statusCode()).isEqualTo(200);
    assertThat(lifting.logged()).as("by that button").containsExactly(planned + "x3");
    entry.put("seen", "0");
    entry.put("sure", "1");
    assertThat(lifting.log(entry).statusCode()).isEqualTo(200);
    assertThat(lifting.logged()).containsExactly(pounds + "x3");
    Map<String, String> takenBack = lifting.entry(1, 1, pounds, "3", "8");
    takenBack.put("outcome", "clear");
    assertThat(lifting.log(takenBack).statusCode()).isEqualTo(200);
    assertThat(lifting.logged()).isEmpty();
  }

  @Test
  void isIssuedOnItsDayOrAtItsFirstSetAndNotByALookAhead(TestApp app) {
    Lifting ahead = Lifting.ahead(app, TestApp.TODAY.plusDays(9));
    assertThat(ahead.issues()).as("a look ahead").isZero();
    assertThat(ahead.odile().card(ahead.session()).body()).contains("a look ahead");
    Map<String, String> early = ahead.entry(1, 1, ahead.planned(), "3", "");
    HttpResponse<String> asked = ahead.log(early);
    assertThat(asked.statusCode()).as("ahead of its day").isEqualTo(422);
    assertThat(asked.body()).contains("Is it lifted today?");
    early.put("sure", "1");
    assertThat(ahead.log(early).statusCode()).isEqualTo(200);
    assertThat(ahead.issues()).as("its first set").isEqualTo(1);
    assertThat(app.jdbc().sql("select day from logged_set where session_id = :id").param("id", ahead.session())
        .query(LocalDate.class).single())
        .as("lifted today, whatever day it was planned for").isEqualTo(TestApp.TODAY);
    assertThat(Lifting.on(app, TestApp.TODAY).issues()).as("its day").isEqualTo(1);
  }

  @Test
  void openedTwiceAtTheSameMomentItIsIssuedOnce(TestApp app) {
    long session = app.session("Corwin", TestApp.TODAY.plusDays(1));
    app.jdbc().sql("update training_session set day = :today where id = :id").param("today", TestApp.TODAY).param("id", session).update();
    List<CompletableFuture<HttpResponse<String>>> opened = IntStream.range(0, 4)
        .mapToObj(i -> Client.of(app, "corwin"))
        .toList().stream()
        .map(client -> CompletableFuture.supplyAsync(() -> client.card(session)))
        .toList();
    assertThat(opened).allSatisfy(page -> assertThat(page.join().statusCode()).isEqualTo(200));
    assertThat(app.jdbc().sql("select count(*) from card_issue where session_id = :id and not ahead").param("id", session)
        .query(Long.class).single()).as("beside what a phone keeps ahead by itself").isEqualTo(1);
    app.jdbc().sql("update training_session set day = :day where id = :id").param("day", TestApp.TODAY.plusDays(1))
        .param("id", session).update();
  }

  @Test
  void refusesASetThatTheLineDoesNotHave(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY);
    assertThat(lifting.log(lifting.entry(7, 1, "100", "5", "8")).statusCode()).isEqualTo(404);
  }

  @Test
  void worksWithoutScript(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(20));
    String planned = lifting.planned();
    HttpResponse<String> answer = lifting.odile().post("/sessions/" + lifting.session() + "/sets", lifting.entry(1, 1, planned, "5", ""));
    assertThat(answer.statusCode()).isEqualTo(302);
    assertThat(lifting.logged()).containsExactly(planned + "x5");
    assertThat(lifting.odile().card(lifting.session()).body()).contains(planned + " kg × 5");
  }

  @Test
  void asksAboutWhatIsFarFromThePlanWhateverItIs(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(13));
    double planned = Double.parseDouble(lifting.planned());
    for (String load : List.of("0", "" + (planned + 100), "" + planned / 10)) {
      HttpResponse<String> asked = lifting.log(lifting.entry(1, 1, load, "3", ""));
      assertThat(asked.statusCode()).as(load).isEqualTo(422);
      assertThat(asked.body()).contains("role=\"alert\"").contains("It is right as typed").contains("value=\"" + load + "\"");
    }
    assertThat(lifting.log(lifting.entry(1, 1, lifting.planned(), "100", "")).body()).contains("100 reps were typed");
    assertThat(lifting.logged()).isEmpty();
  }

  @Test
  void endingASessionTellsWhatIsLeftAndGoesOnAgain(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(16));
    assertThat(lifting.log(lifting.entry(1, 1, lifting.planned(), "3", "")).statusCode()).isEqualTo(200);
    HttpResponse<String> ended = lifting.odile()
        .post("/sessions/" + lifting.session() + "/end", Map.of("why-" + lifting.line(), "could-not"), HTMX);
    assertThat(ended.statusCode()).isEqualTo(200);
    assertThat(ended.body()).contains("Go on");
    assertThat(app.jdbc().sql("select why from left_sets where line::text = :s").param("s", lifting.line()).query(String.class)
        .single()).isEqualTo("COULD_NOT");
    assertThat(lifting.odile().post("/sessions/" + lifting.session() + "/go-on", Map.of(), HTMX).statusCode()).isEqualTo(200);
    assertThat(app.jdbc().sql("select count(*) from left_sets where line::text = :s").param("s", lifting.line()).query(Long.class)
        .single()).isZero();
    assertThat(Client.of(app, "brannoc").post("/sessions/" + lifting.session() + "/end", Map.of(), HTMX).statusCode())
        .as("somebody else's").isEqualTo(404);
  }

  @Test
  void goesOnBehindTheSetThatWasLogged(TestApp app) {
    Lifting lifting = Lifting.on(app, TestApp.TODAY.plusDays(18));
    String first = lifting.odile().card(lifting.session()).body();
    List<String> panels = Pattern.compile("data-panel-id=\"([^\"]+)\"").matcher(first).results().map(found -> found.group(1)).toList();
    String third = lifting.line() + "-1-3";
    String fourth = panels.get(panels.indexOf(third) + 1);
    HttpResponse<String> answer = lifting.odile()
        .post("/sessions/" + lifting.session() + "/sets", lifting.entry(1, 3, lifting.planned(), "3", ""));
    assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("?after=" + third);
    String after = lifting.odile().get("/sessions/" + lifting.session() + "/card?after=" + third).body();
    assertThat(after).as("not back to the first").containsPattern("id=\"panel-" + fourth + "\"(?![^>]* hidden)");
    assertThat(after).containsPattern("id=\"panel-" + panels.get(0) + "\"[^>]* hidden");
  }
}

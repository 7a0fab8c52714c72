package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.SqlMeter;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.Role;

/** What is said beside and around the sets of a card: what is kept of it, what it does, and what is refused. */
@ExtendWith(TestApp.class)
class AllThatHappensTest {
  private static final String[] HTMX = {"HX-Request", "true"};

  /** Somebody with one line today, opened. */
  private record Training(TestApp app, Someone lifter, long session) {
    static Training of(TestApp app, String name, String lift, String work) {
      Someone lifter = Someone.called(app, name, Map.of("squat", "200", "bench", "130", "deadlift", "240"));
      lifter.add(TestApp.TODAY, "MAIN", lift, work);
      long session = app.session(name, TestApp.TODAY);
      lifter.coach().post("/sessions/" + session + "/issue", Map.of(), HTMX);
      return new Training(app, lifter, session);
    }

    HttpResponse<String> post(String what, String... fields) {
      return lifter.coach().post("/sessions/" + session + "/" + what, form(fields), HTMX);
    }

    /** A set of the line, five reps of 150 kg unless something else is given. */
    HttpResponse<String> set(int number, String... more) {
      String line = app.jdbc().sql("select ref::text from slot where session_id = :id").param("id", session).query(String.class).single();
      Map<String, String> entry = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set", "" + number,
          "issue", "1", "seen", "-1", "load", "150", "reps", "5", "outcome", "done", "sure", "1"));
      entry.putAll(form(more));
      return lifter.coach().post("/sessions/" + session + "/sets", entry, HTMX);
    }

    /** The same with several values of one field. */
    HttpResponse<String> chips(int number, String... more) {
      List<String> pairs = new ArrayList<>(List.of("chips=1"));
      for (int i = 0; i < more.length; i += 2) {
        pairs.add(more[i] + "=" + URLEncoder.encode(more[i + 1], StandardCharsets.UTF_8));
      }
      String line = app.jdbc().sql("select ref::text from slot where session_id = :id").param("id", session).query(String.class).single();
      pairs.addAll(List.of("key=" + UUID.randomUUID(), "slot=" + line, "part=1", "set=" + number, "issue=1", "load=150", "reps=5",
          "outcome=done", "sure=1"));
      if (pairs.stream().noneMatch(pair -> pair.startsWith("seen="))) {
        pairs.add("seen=-1");
      }
      return lifter.coach().postFields("/sessions/" + session + "/sets", String.join("&", pairs), HTMX);
    }

    String card() {
      return lifter.coach().card(session).body();
    }

    List<Observation> seen(String lift) {
      return lifter.within(() -> app.bean(LoggedSetRepository.class).ofLift(lifter.id(), lift).stream().map(row -> row.observation())
          .toList());
    }

    List<String> column(String sql) {
      return app.jdbc().sql(sql).param("id", session).query(String.class).list();
    }
  }

  private static Map<String, String> form(String... fields) {
    Map<String, String> form = new HashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      form.put(fields[i], fields[i + 1]);
    }
    return form;
  }

  @Test
  void whatIsTappedStandsBesideTheSetAndMakesItCountLess(TestApp app) {
    Training training = Training.of(app, "Ysolde Kerr", "squat", "3x5 75%");
    assertThat(training.chips(1, "ctx", "SHORT_SLEEP", "ctx", "HURRY", "ctxWords", "bus was late", "mark", "KNEES_IN", "rep.KNEES_IN", "4",
        "mark", "DEPTH", "speeds", "0.52 0.5 0.47 0.44 0.40").statusCode()).isEqualTo(200);
    training.chips(2);
    assertThat(training.seen("squat")).extracting(set -> set.is(Trait.FLAGGED)).containsExactly(true, false);
    assertThat(training.card()).contains("short sleep · in a hurry · something else · depth · knees in, rep 4 · 0.52 0.50 0.47 0.44 0.40 m/s");
    assertThat(training.column("select what || coalesce(' ' || rep, '') from set_mark where session_id = :id order by what"))
        .containsExactly("DEPTH", "KNEES_IN 4");
    // corrected: one mark goes, one stays, one comes
    training.chips(1, "seen", "0", "mark", "DEPTH", "mark", "OTHER");
    assertThat(training.column("select what from set_mark where session_id = :id order by what")).containsExactly("DEPTH", "OTHER");
    assertThat(training.seen("squat")).extracting(set -> set.is(Trait.FLAGGED)).containsExactly(false, false);
    // taken back, nothing is left of it
    training.set(1, "outcome", "clear");
    assertThat(training.column("select what from set_mark where session_id = :id")).isEmpty();
  }

  @Test
  void sentAgainNothingDoubles(TestApp app) {
    Training training = Training.of(app, "Ingram Foss", "squat", "3x5 75%");
    String key = UUID.randomUUID().toString();
    training.set(1, "key", key, "chips", "1", "mark", "DEPTH");
    assertThat(training.set(1, "key", key, "chips", "1", "mark", "DEPTH").statusCode()).isEqualTo(200);
    assertThat(training.column("select what from set_mark where session_id = :id")).containsExactly("DEPTH");
    assertThat(training.column("select version::text from logged_set where session_id = :id")).containsExactly("0");
    // a row of figures alone, as on the Floor, leaves what was said
    training.set(1, "seen", "0", "reps", "4");
    assertThat(training.column("select what from set_mark where session_id = :id")).containsExactly("DEPTH");
  }

  @Test
  void aBeltThatIsNormalAndLeftOffSaysSoByItself(TestApp app) {
    Training training = Training.of(app, "Oswin Pell", "squat", "3x5 75%");
    Someone lifter = training.lifter();
    Map<String, String> page = new HashMap<>(Map.of("name", "Oswin Pell", "unit", "KG", "shownUnit", "KG", "place", "" + app.hall(),
        "version", "" + lifter.within(() -> lifter.lifter().version()), "gear.BELT", "yes", "from.BELT.SQUAT", "140", "from.BELT.DEADLIFT", "1e9"));
    assertThat(lifter.coach().post(lifter.at(""), page).body()).contains("Write the mass as a number in kg, such as 142.5.");
    page.put("from.BELT.DEADLIFT", "180");
    lifter.post(lifter.at(""), page);
    assertThat(lifter.coach().get(lifter.at("")).body()).containsPattern("name=\"from.BELT.SQUAT\"[^>]*value=\"140\"");
    lifter.add(TestApp.TODAY.minusDays(3), "MAIN", "squat", "3x5 75%");
    long session = app.session("Oswin", TestApp.TODAY.minusDays(3));
    lifter.coach().post("/sessions/" + session + "/issue", Map.of(), HTMX);
    Training later = new Training(app, lifter, session);
    assertThat(later.card()).containsPattern("name=\"gear\" value=\"BELT\"[^>]*checked");
    later.chips(1, "wornWas", "BELT", "gear", "BELT");
    String key = UUID.randomUUID().toString();
    later.set(2, "key", key, "chips", "1", "wornWas", "BELT");
    assertThat(later.set(2, "key", key, "chips", "1", "wornWas", "BELT").statusCode()).as("sent again it is known, with what it came to")
        .isEqualTo(200);
    later.set(3, "chips", "1", "wornWas", "BELT", "load", "137.5");
    assertThat(later.column("select contexts from logged_set where session_id = :id order by set_number")).containsExactly("", "NO_BELT", "");
    assertThat(later.column("select coalesce(gear, '-') from logged_set where session_id = :id order by set_number"))
        .as("as shown nobody said anything").containsExactly("-", "", "");
  }

  @Test
  void aCheckInMarksTheSetsOfTheDay(TestApp app) {
    Training training = Training.of(app, "Maelis Orr", "squat", "3x5 75%");
    assertThat(training.card()).as("asked before the first set").containsPattern("id=\"part-check-in\"[^>]* open").contains("Leave it out");
    training.post("check-in", "sleep", "5,5", "energy", "3", "bodyMass", "81.4", "place.1", "KNEE", "side.1", "LEFT", "score.1", "4", "worse.1",
        "deep squats");
    String card = training.card();
    assertThat(card).contains("slept 5.5 h, energy 3 of 5; left knee 4 of 10, worse with deep squats").contains("short sleep · pain")
        .doesNotContainPattern("id=\"part-check-in\"[^>]* open");
    assertThat(app.jdbc().sql("select mass_ng / 1000000000 from weigh_in where lifter_id = :l").param("l", training.lifter().id())
        .query(Long.class).list()).containsExactly(81_400L);
    training.set(1);
    training.chips(2);
    assertThat(training.column("select contexts from logged_set where session_id = :id order by set_number"))
        .as("a row of figures takes what the day says, a thumb has the last word").containsExactly("SHORT_SLEEP,PAIN", "");
    training.post("check-in", "sleep", "8");
    assertThat(app.jdbc().sql("select count(*) from checked_in where lifter_id = :l").param("l", training.lifter().id()).query(Long.class)
        .single()).as("one a day").isEqualTo(1);
    assertThat(training.card()).contains("slept 8 h").doesNotContain("left knee 4 of 10");
  }

  @Test
  void aCheckInThatIsLeftOutIsAskedNoMore(TestApp app) {
    Training training = Training.of(app, "Bram Tolley", "bench", "3x5 75%");
    assertThat(training.post("check-in", "leave", "1", "sleep", "99").statusCode()).isEqualTo(200);
    assertThat(training.card()).doesNotContainPattern("id=\"part-check-in\"[^>]* open");
    assertThat(training.column("select coalesce(c.sleep::text, 'left out') from checked_in c join training_session t on t.lifter_id = "
        + "c.lifter_id where t.id = :id")).containsExactly("left out");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"sleep|17|The hours of sleep must be a number from 0 to 16 but was 17.",
      "energy|6|The energy must be a whole number from 1 to 5 but was 6.", "place.1=KNEE score.1|11|The pain must be a whole number from 0 to 10",
      "place.1|KNEE|Say how much it hurts, from 0 to 10.", "score.2|3|Say where it hurts.", "bodyMass|8000|The mass must be at most 1000 kg",
      "bodyMass|12|The body mass must be from 20 to 300 kg", "joints|x|How the joints feel must be a whole number"})
  void aCheckInThatCannotBeIsToldAndLosesNothing(String field, String value, String said) {
    TestApp app = TestApp.running();
    Training training = Training.of(app, "Wrong " + field + " " + value, "squat", "3x5 75%");
    String[] names = field.split(" ");
    Map<String, String> form = new HashMap<>(Map.of("worse.1", "stairs and running", names[names.length - 1], value));
    if (names.length > 1) {
      form.put(names[0].split("=")[0], names[0].split("=")[1]);
    }
    HttpResponse<String> answer = training.lifter().coach().post("/sessions/" + training.session() + "/check-in", form, HTMX);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(said).contains("stairs and running");
    assertThat(training.column("select c.id::text from checked_in c join training_session t on t.lifter_id = c.lifter_id where t.id = :id"))
        .isEmpty();
  }

  @Test
  void theSessionHasAnEffortAndItsMinutes(TestApp app) {
    Training training = Training.of(app, "Lorcan Vey", "squat", "3x5 75%");
    training.set(1);
    app.jdbc().sql("update logged_set set logged_at = logged_at - interval '47 minutes' where session_id = :id").param("id", training.session())
        .update();
    training.set(2);
    assertThat(training.card()).as("from the first entry to the last").containsPattern("name=\"minutes\"[^>]*value=\"47\"");
    HttpResponse<String> wrong = training.post("end", "effort", "11", "minutes", "0", "words", "all good");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("The effort of the session must be a whole number from 0 to 10 but was 11.")
        .contains("The minutes must be a whole number from 1 to 600 but was 0.").contains("all good");
    training.post("end", "effort", "7", "minutes", "62", "words", "all good", "key", UUID.randomUUID().toString());
    assertThat(training.card()).contains("7 of 10, very hard · 62 min · session load 434", "all good", "Ended.");
    training.post("end", "effort", "8", "minutes", "62");
    assertThat(training.column("select effort || ' ' || minutes from session_log where session_id = :id")).containsExactly("8 62");
  }

  @Test
  void lifterAndCoachHaveAWord(TestApp app) {
    LocalDate day = TestApp.TODAY.minusWeeks(40);
    Client coach = Client.of(app, "coach");
    Client tamsin = Client.of(app, "tamsin");
    long lifter = app.lifter("Tamsin");
    coach.post("/lifters/" + lifter + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70%"), HTMX);
    coach.post("/lifters/" + lifter + "/days/" + day.plusDays(2) + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70%"), HTMX);
    long session = app.session("Tamsin", day);
    long next = app.session("Tamsin", day.plusDays(2));
    String key = UUID.randomUUID().toString();
    String words = "Knee felt fine.\n<b>Bar</b> was slow.";
    tamsin.post("/sessions/" + session + "/words", Map.of("words", words, "key", key), HTMX);
    tamsin.post("/sessions/" + session + "/words", Map.of("words", words, "key", key), HTMX);
    assertThat(app.jdbc().sql("select count(*) from session_word where session_id = :s").param("s", session).query(Long.class).single())
        .as("sent twice, said once").isEqualTo(1);
    assertThat(coach.get("/").body()).contains("New words", "Knee felt fine. &lt;b&gt;Bar&lt;/b&gt; was slow.", "/sessions/" + session + "/card#part-say");
    String card = coach.get("/sessions/" + session + "/card").body();
    assertThat(card).contains("&lt;b&gt;Bar&lt;/b&gt;", "<em>new</em>").containsPattern("data-read=\"\\d+\"");
    long seen = app.jdbc().sql("select max(id) from session_word where session_id = :s").param("s", session).query(Long.class).single();
    assertThat(coach.post("/sessions/" + session + "/read", Map.of("upTo", "" + seen)).statusCode()).isEqualTo(204);
    assertThat(coach.get("/").body()).doesNotContain("Knee felt fine.");
    assertThat(tamsin.get("/sessions/" + session + "/card").body()).contains(", read");
    coach.post("/sessions/" + session + "/words", Map.of("words", "Stay with the loads.", "key", UUID.randomUUID().toString(), "seen", "" + seen),
        HTMX);
    assertThat(tamsin.get("/me").body()).contains("New from your coach", "Stay with the loads.");
    assertThat(tamsin.get("/sessions/" + next + "/card").body()).as("it stands on the next card").contains("coach-word", "Stay with the loads.")
        .containsPattern("data-read=\"\\d+\"");
    long answer = app.jdbc().sql("select max(id) from session_word where session_id = :s").param("s", session).query(Long.class).single();
    tamsin.post("/sessions/" + next + "/read", Map.of("upTo", "" + answer));
    assertThat(tamsin.get("/me").body()).doesNotContain("Stay with the loads.");
    assertThat(tamsin.get("/sessions/" + next + "/card").body()).as("and stays there").contains("Stay with the loads.");
  }

  @Test
  void twoAnswersAtOnceAreToldToTheSecond(TestApp app) {
    Training training = Training.of(app, "Cressida Hale", "squat", "3x5 75%");
    app.bean(Accounts.class).add(training.lifter().clubId(), "second@coach.example", "tarnbrook-demo", "Second Coach", Role.COACH, null);
    Client other = Client.of(app, "second@coach.example");
    training.post("words", "words", "Go on.", "key", UUID.randomUUID().toString(), "seen", "0");
    String key = UUID.randomUUID().toString();
    HttpResponse<String> second = other.post("/sessions/" + training.session() + "/words", Map.of("words", "Stop!", "key", key, "seen", "0"), HTMX);
    assertThat(second.statusCode()).isEqualTo(422);
    assertThat(second.body()).contains("Meanwhile ", "Go on.", "Stop!</textarea>");
    long seen = app.jdbc().sql("select max(id) from session_word where session_id = :s").param("s", training.session()).query(Long.class)
        .single();
    assertThat(other.post("/sessions/" + training.session() + "/words", Map.of("words", "Stop!", "key", key, "seen", "" + seen), HTMX)
        .statusCode()).isEqualTo(200);
    assertThat(training.column("select words from session_word where session_id = :id order by id")).containsExactly("Go on.", "Stop!");
  }

  @Test
  void aWordHasItsBounds(TestApp app) {
    Training training = Training.of(app, "Aldous Finch", "squat", "3x5 75%");
    String key = UUID.randomUUID().toString();
    HttpResponse<String> huge = training.post("words", "words", "x".repeat(100_000), "key", key);
    assertThat(huge.statusCode()).isIn(413, 422);
    HttpResponse<String> longer = training.post("words", "words", "y".repeat(2_001), "key", key);
    assertThat(longer.body()).contains("It may have at most 2000 characters but has 2001.").contains("y".repeat(2_001));
    assertThat(training.post("words", "words", "z".repeat(2_000), "key", key).statusCode()).isEqualTo(200);
    assertThat(training.post("words", "words", "  ", "key", key).body()).contains("Write something first.");
    assertThat(training.post("words", "words", "hello").body()).contains("open the card again");
    app.jdbc().sql("insert into session_word (id, club_id, session_id, lifter_id, account_id, by_coach, author, words, said_at, entry_key) "
        + "select nextval('yarbel_id'), w.club_id, w.session_id, w.lifter_id, w.account_id, true, w.author, 'more', now(), gen_random_uuid() "
        + "from session_word w, generate_series(1, 199) where w.session_id = :id").param("id", training.session()).update();
    assertThat(training.post("words", "words", "one more", "key", UUID.randomUUID().toString(), "seen", "" + Long.MAX_VALUE / 10).body())
        .contains("There are as many words here as a session holds.");
  }

  @Test
  void somethingElseIsLoggedAsDoneAndThePlanStays(TestApp app) {
    Training training = Training.of(app, "Tobin Marsh", "squat", "3x5 75%");
    training.chips(1, "did", "Front squat");
    assertThat(training.seen("squat")).isEmpty();
    assertThat(training.seen("front-squat")).singleElement().satisfies(set -> assertThat(set.load().number()).isEqualTo("150"));
    assertThat(training.card()).contains("done as Front squat", "Squat");
    training.chips(1, "seen", "0");
    assertThat(training.seen("squat")).as("it was the squat after all").hasSize(1);
    assertThat(training.seen("front-squat")).isEmpty();
    String key = UUID.randomUUID().toString();
    training.post("extra", "lift", "barbell row", "load", "80", "reps", "10", "sets", "3", "rpe", "easier", "key", key);
    training.post("extra", "lift", "barbell row", "load", "80", "reps", "10", "sets", "3", "rpe", "easier", "key", key);
    assertThat(training.seen("row")).as("sent twice, lifted once").hasSize(3).allSatisfy(set -> assertThat(set.is(Trait.EASIER)).isTrue());
    assertThat(training.card()).contains("Barbell row", "80 kg × 10 easier than 6, 80 kg × 10 easier than 6").doesNotContain("Done, taken out since");
    HttpResponse<String> out = training.post("extra/" + key + "/out");
    assertThat(out.body()).contains("Taken out. It stands here still").containsPattern("name=\"lift\"[^>]*value=\"Barbell row\"");
    assertThat(training.seen("row")).isEmpty();
    assertThat(training.post("extra/" + UUID.randomUUID() + "/out").body()).as("there is nothing").doesNotContain("Taken out.");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"lift|no such|no lift", "lift||Write which lift.", "load||Write the load, 0 for none.",
      "load|-5|A mass cannot be negative", "reps|101|The reps must be a whole number from 0 to 100", "sets|11|The sets must be a whole number from 1 to 10",
      "rpe|11|RPE must be from 6 to 10", "key|x|open the card again"})
  void anExtraSetThatCannotBeIsToldAndLosesNothing(String field, String value, String said) {
    TestApp app = TestApp.running();
    Training training = Training.of(app, "Extra " + field + value, "squat", "3x5 75%");
    Map<String, String> form = form("lift", "row", "load", "82.5", "reps", "10", "key", UUID.randomUUID().toString());
    form.put(field, value == null ? "" : value);
    HttpResponse<String> answer = training.lifter().coach().post("/sessions/" + training.session() + "/extra", form, HTMX);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(said);
    assertThat(training.column("select lift from logged_set where session_id = :id")).isEmpty();
  }

  @Test
  void aSessionLiftedOnAnotherDayMovesWithItsSets(TestApp app) {
    Training training = Training.of(app, "Sabine Thew", "squat", "3x5 75%");
    training.set(1);
    training.post("lifted", "on", TestApp.TODAY.minusDays(2).toString(), "at", "Hotel gym");
    assertThat(training.seen("squat")).extracting(Observation::date).containsExactly(TestApp.TODAY.minusDays(2));
    training.set(2);
    assertThat(training.seen("squat")).extracting(Observation::date).containsOnly(TestApp.TODAY.minusDays(2)).hasSize(2);
    assertThat(training.column("select contexts from logged_set where session_id = :id order by set_number")).containsExactly("", "OTHER_PLACE");
    assertThat(training.card()).contains("at Hotel gym");
    assertThat(training.post("lifted", "on", TestApp.TODAY.plusDays(1).toString()).body()).contains("The day lies ahead");
    assertThat(training.post("lifted", "on", TestApp.TODAY.minusDays(61).toString()).body()).contains("That is over 60 days from");
    assertThat(training.post("lifted", "on", "2026-13-45").body()).contains("Write the day as year-month-day");
    training.post("lifted", "on", TestApp.TODAY.toString(), "at", "");
    assertThat(training.seen("squat")).extracting(Observation::date).containsOnly(TestApp.TODAY);
  }

  /** Whoever judges the lifter looks again after each of these. */
  @Test
  void whateverIsSaidOfASessionIsACauseToLookAgain(TestApp app) {
    Training training = Training.of(app, "Cosima Lowe", "squat", "3x5 75%");
    training.set(1, "rpe", "7");
    String line = training.column("select ref::text from slot where session_id = :id").get(0);
    String key = UUID.randomUUID().toString();
    Map<String, Runnable> acts = new LinkedHashMap<>();
    acts.put("check-in", () -> training.post("check-in", "sleep", "6"));
    acts.put("opinion", () -> training.post("opinion", "slot", line, "part", "1", "set", "1", "opinion", "8", "from", "SEEN"));
    acts.put("extra", () -> training.post("extra", "lift", "Squat", "load", "100", "reps", "5", "key", key));
    acts.put("lifted", () -> training.post("lifted", "on", TestApp.TODAY.minusDays(1).toString(), "at", ""));
    acts.put("a set", () -> training.set(2, "rpe", "7"));
    acts.forEach((what, act) -> assertThat(SqlMeter.of(act)).as(what).anyMatch(sent -> sent.sql().startsWith("insert into due_work")));
    assertThat(SqlMeter.of(() -> training.post("opinion", "slot", line, "part", "1", "set", "1", "opinion", "11"))).as("refused")
        .noneMatch(sent -> sent.sql().startsWith("insert into due_work"));
  }

  /** The lifter's rating is primary: a coach moves it by half a point at most, and the log keeps both. */
  @Test
  void aSecondOpinionMovesARatingByHalfAPoint(TestApp app) {
    Training training = Training.of(app, "Rosamund Pike-Ash", "squat", "3x5 75%");
    training.set(1, "rpe", "7", "chips", "1", "speeds", "0.5 0.48 0.46 0.44 0.41");
    String line = training.column("select ref::text from slot where session_id = :id").get(0);
    HttpResponse<String> said = training.post("opinion", "slot", line, "part", "1", "set", "1", "opinion", "9", "from", "CLIP");
    assertThat(said.statusCode()).isEqualTo(200);
    assertThat(said.body()).contains("rated 7, looked like 9: counts as 7.5 (").contains("saw the clip)");
    assertThat(training.seen("squat")).extracting(set -> set.rpe().toString()).containsExactly("7.5");
    assertThat(training.column("select rpe_halves::text from logged_set where session_id = :id")).as("the raw one stays").containsExactly("14");
    training.post("opinion", "slot", line, "part", "1", "set", "1", "opinion", "", "from", "SEEN");
    assertThat(training.seen("squat")).extracting(set -> set.rpe().toString()).containsExactly("7");
    assertThat(training.post("opinion", "slot", line, "part", "1", "set", "1", "opinion", "11").body()).contains("RPE must be from 6 to 10");
    assertThat(training.post("opinion", "slot", line, "part", "1", "set", "2", "opinion", "8").statusCode()).as("nothing is logged").isEqualTo(404);
    training.set(2);
    assertThat(training.post("opinion", "slot", line, "part", "1", "set", "2", "opinion", "8").body()).contains("The set is not rated");
    assertThat(Client.of(app, "maren").post("/sessions/" + training.session() + "/opinion", form("slot", line, "part", "1", "set", "1",
        "opinion", "9"), HTMX).statusCode()).as("a lifter has no second opinion").isEqualTo(403);
  }

  /** What was measured stands beside the rating of the next card, and says what the rating does not. */
  @Test
  void barSpeedsStandOnTheNextCard(TestApp app) {
    Training training = Training.of(app, "Quillon Vane", "squat", "3x1 85%");
    training.set(1, "load", "170", "reps", "1", "rpe", "8", "chips", "1", "speeds", "0.26");
    training.set(2, "load", "170", "reps", "1", "rpe", "8", "chips", "1", "speeds", "0.24");
    training.set(3, "load", "180", "reps", "1", "rpe", "9", "chips", "1", "speeds", "0.18");
    training.lifter().add(TestApp.TODAY.minusDays(1), "MAIN", "squat", "3x1 85%");
    long other = app.session("Quillon", TestApp.TODAY.minusDays(1));
    training.lifter().coach().post("/sessions/" + other + "/issue", Map.of(), HTMX);
    Training next = new Training(app, training.lifter(), other);
    assertThat(next.card()).contains("single @8 0.24–0.26 m/s · single @9 0.18 m/s");
    next.set(1, "load", "170", "reps", "1", "rpe", "8", "chips", "1", "speeds", "0.19");
    assertThat(next.card()).as("alone it moves nothing").contains("rated 8, bar speed as at 9: counts as rated");
    assertThat(training.lifter().coach().get(training.lifter().at("/speed")).body()).contains("0.19–0.26 m/s (3)", "0.18 m/s (1)",
        "A speed profile needs four sets at three loads at least; there are 4 at 2.");
  }

  /** The Ledger has it all beside the sets, and finds it again. */
  @Test
  void theLedgerShowsWhatWasSaidAndFindsIt(TestApp app) {
    Training training = Training.of(app, "Wenna Stroud", "squat", "3x5 75%");
    training.set(1, "chips", "1", "ctx", "ILL", "mark", "HEELS_UP", "rep.HEELS_UP", "2");
    training.set(2, "chips", "1", "speeds", "0.5", "reps", "7");
    training.set(3, "reps", "3", "load", "140");
    training.set(1, "key", UUID.randomUUID().toString(), "seen", "9");
    Client coach = training.lifter().coach();
    String ledger = coach.get(training.lifter().at("/ledger?lift=squat")).body();
    assertThat(ledger).contains(">ill<", ">heels up, rep 2 (coach)<", ">0.50 m/s<", ">asked 150 × 5<").contains("150 × 7", "140 × 3");
    assertThat(ledger).as("the mark to beat").containsPattern("(?s)Most reps at each load.*150 × 7.*140 × 3");
    assertThat(sets(coach, training, "ILL")).isEqualTo(1);
    assertThat(sets(coach, training, "HEELS_UP")).isEqualTo(1);
    assertThat(sets(coach, training, "speed")).isEqualTo(1);
    assertThat(sets(coach, training, "missed")).isEqualTo(1);
    assertThat(sets(coach, training, "marks")).isEqualTo(1);
    assertThat(sets(coach, training, "DEPTH")).isZero();
    assertThat(sets(coach, training, "nonsense' or 1=1")).as("what is no filter is none").isEqualTo(3);
    assertThat(coach.get(training.lifter().at("/ledger?lift=squat&only=DEPTH")).body()).contains("No set of this lift: mark: depth.")
        .as("the marks are those of a squat").contains("value=\"HEELS_UP\"").doesNotContain("value=\"GRIP\"");
    assertThat(coach.get(training.lifter().at("/ledger?lift=squat&only=GRIP")).body()).contains("No set of this lift: mark: grip.");
    assertThat(coach.get(training.lifter().at("/ledger?lift=squat&weeks=520&until=2020-01-01")).body()).contains("Nothing was tracked in this stretch.",
        ">later<");
    assertThat(coach.get(training.lifter().at("/ledger?lift=squat&weeks=-3")).statusCode()).isEqualTo(200);
  }

  private static long sets(Client coach, Training training, String only) {
    String address = "/ledger?lift=squat&only=" + URLEncoder.encode(only, StandardCharsets.UTF_8);
    return coach.get(training.lifter().at(address)).body().split("class=\"set", -1).length - 1;
  }

  /** Ratings that are practice say nothing of the max until they were good for eight weeks. */
  @Test
  void aBeginnersRatingsArePractice(TestApp app) {
    Training training = Training.of(app, "Neve Aldous", "bench", "3x5 75%");
    app.jdbc().sql("update lift_numbers set level = 'BEGINNER', tested_ng = null, tested_on = null, tested_unit = null where lifter_id = :l and lift = 'bench'")
        .param("l", training.lifter().id()).update();
    training.set(1, "load", "60", "reps", "5", "rpe", "9.5");
    Client coach = training.lifter().coach();
    String page = coach.get(training.lifter().at("/ratings?lift=bench")).body();
    assertThat(page).contains("These ratings are practice", "due now", "None yet: a rated set and one to failure");
    double practice = estimate(app, training);
    app.jdbc().sql("update lift_numbers set level = 'INTERMEDIATE' where lifter_id = :l and lift = 'bench'").param("l", training.lifter().id()).update();
    training.set(2, "load", "60", "reps", "5", "rpe", "9");
    training.set(2, "seen", "0", "load", "60", "reps", "5", "rpe", "9.5");
    assertThat(estimate(app, training)).as("five reps that left nearly nothing speak for less than five of which nobody said anything")
        .isLessThan(practice - 3);
    training.set(3, "load", "60", "reps", "6", "ended", "COULD_NOT");
    assertThat(coach.get(training.lifter().at("/ratings?lift=bench")).body()).contains("60 × 5 @9.5", "60 × 6 to failure", "0.5 reps more left than said",
        "by 2 pairs").doesNotContain("These ratings are practice");
  }

  private static double estimate(TestApp app, Training training) {
    return training.lifter().within(() -> app.bean(LiftNumbersRepository.class).findByLifterIdAndLift(training.lifter().id(), "bench").orElseThrow()
        .estimate(MassUnit.KG, TestApp.TODAY).max().amountIn(MassUnit.KG, 3).doubleValue());
  }

  /** What another club, another lifter and a stranger get is what is not there. */
  @Test
  void nobodyElseWritesOrReadsAnyOfIt(TestApp app) {
    Training training = Training.of(app, "Piers Quill", "squat", "3x5 75%");
    Client maren = Client.of(app, "maren");
    for (String what : List.of("check-in", "words", "read", "lifted", "extra", "extra/" + UUID.randomUUID() + "/out", "end", "sets")) {
      Map<String, String> form = new HashMap<>(Map.of("upTo", "1", "words", "hi", "key", UUID.randomUUID().toString(), "sleep", "8", "on",
          TestApp.TODAY.toString(), "lift", "row", "load", "10", "reps", "1"));
      assertThat(maren.post("/sessions/" + training.session() + "/" + what, form, HTMX).statusCode()).as(what).isEqualTo(404);
    }
    assertThat(training.column("select id::text from session_word where session_id = :id")).isEmpty();
  }
}

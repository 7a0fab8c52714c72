package org.yarbel.web.once;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.Turns;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Two hands at one thing, and one hand that presses twice. */
@ExtendWith(TestApp.class)
class TwoHandsTest {
  private static final LocalDate DAY = TestApp.TODAY.plusDays(2);
  private static final AtomicInteger NUMBER = new AtomicInteger();

  private Someone someone;
  private Client other;

  @BeforeEach
  void aLifterWithTwoLinesAndASecondCoachAtTheSameWeek(TestApp app) {
    someone = Someone.called(app, "Two Hands " + NUMBER.incrementAndGet(), Map.of("squat", "200", "bench", "120"));
    someone.add(DAY, "MAIN", "squat", "3x5 70%");
    someone.add(DAY, "SECOND", "bench", "3x5 70%");
    other = Client.signIn(app, "coach");
  }

  /** Both at the same moment; their answers. */
  private static List<HttpResponse<String>> both(Supplier<HttpResponse<String>> one, Supplier<HttpResponse<String>> two) {
    CountDownLatch ready = new CountDownLatch(2);
    List<CompletableFuture<HttpResponse<String>>> both = Stream.of(one, two).map(hand -> CompletableFuture.supplyAsync(() -> {
      ready.countDown();
      try {
        ready.await();
      } catch (InterruptedException e) {
        throw new IllegalStateException(e);
      }
      return hand.get();
    })).toList();
    List<HttpResponse<String>> answers = both.stream().map(CompletableFuture::join).toList();
    assertThat(answers).allSatisfy(answer -> assertThat(answer.statusCode()).as(answer.uri().toString())
        .isIn(200, 204, 302, 404, 409, 422));
    return answers;
  }

  private List<HttpResponse<String>> twice(String path, Map<String, String> form) {
    return both(() -> someone.coach().post(path, form), () -> other.post(path, form));
  }

  private static Map<String, String> keyed(Map<String, String> form) {
    Map<String, String> keyed = new HashMap<>(form);
    keyed.put("_once", UUID.randomUUID().toString());
    return keyed;
  }

  private int count(String sql) {
    return someone.app().jdbc().sql(sql).param("l", someone.id()).query(Integer.class).single();
  }

  private void ordered() {
    assertThat(someone.app().jdbc().sql("select count(*) from (select s.session_id, s.position from slot s join "
        + "training_session t on t.id = s.session_id "
        + "where t.lifter_id = :l group by 1, 2 having count(*) > 1) doubled").param("l", someone.id()).query(Integer.class).single())
        .as("lines of one position").isZero();
  }

  /** Every form that writes, by what it makes one more of. */
  static Stream<Arguments> forms() {
    return Stream.of(
        arguments("/days/%d/slots", Map.of("kind", "MAIN", "lift", "Row", "work", "3x8 60kg"),
            "select count(*) from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l", 1),
        arguments("/days/2026-03-06/slots", Map.of("kind", "MAIN", "lift", "Row", "work", "3x8 60kg"),
            "select count(*) from training_session where lifter_id = :l", 1),
        arguments("/days/%d/copy", Map.of("to", "2026-03-11"),
            "select count(*) from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l", 2),
        arguments("/weigh-ins", Map.of("bodyMass", "90", "weighedIn", "KG"), "select count(*) from weigh_in where lifter_id = :l", 1),
        arguments("/complaints", Map.of("where", "left knee", "score", "3"), "select count(*) from complaint where lifter_id = :l", 1),
        arguments("/sets", Map.of("lift", "squat", "load", "150", "reps", "3", "how", "8", "on", "2026-02-20", "toldIn", "KG"),
            "select count(*) from logged_set where lifter_id = :l", 1),
        arguments("/silences", Map.of("check", "milestone", "reason", "known"), "select count(*) from silence where lifter_id = :l", 1),
        arguments("/progressions", Map.of("lift", "squat", "method", "rpe-weeks", "starts", "2026-03-02", "days", "FRIDAY", "turn",
            "EVERY"), "select count(*) from progression where lifter_id = :l", 1),
        arguments("/calendar", Map.of(), "select count(*) from calendar_feed where lifter_id = :l", 1));
  }

  @ParameterizedTest
  @MethodSource("forms")
  void aFormThatIsSentTwiceIsDoneOnce(String path, Map<String, String> fields, String counted, int more) {
    String at = someone.at(path.replace("%d", DAY.toString()));
    Map<String, String> form = keyed(fields);
    int before = count(counted);
    List<HttpResponse<String>> answers = twice(at, form);
    assertThat(answers).extracting(HttpResponse::statusCode).as("neither is refused").allMatch(status -> status < 400);
    assertThat(count(counted)).as("%s", answers.stream().map(HttpResponse::statusCode).toList()).isEqualTo(before + more);
    assertThat(someone.coach().post(at, form).statusCode()).as("a third time, late").isLessThan(400);
    assertThat(count(counted)).isEqualTo(before + more);
    ordered();
  }

  @ParameterizedTest
  @MethodSource("forms")
  void twoFormsAtOnceLeaveTheWeekInOrderAndFailNobody(String path, Map<String, String> fields, String counted, int more) {
    Map<String, String> form = new HashMap<>(fields);
    int before = count(counted);
    twice(someone.at(path.replace("%d", DAY.toString())), form);
    assertThat(count(counted)).isBetween(before + more, before + 2 * more);
    ordered();
  }

  @Test
  void whatIsNamedIsNamedOnce(TestApp app) {
    for (Map.Entry<String, String> named : Map.of("/groups", "select count(*) from lifter_group where name = 'Hands'", "/kit",
        "select count(*) from place where name = 'Hands'").entrySet()) {
      twice(named.getKey(), Map.of("name", "Hands", "member", Long.toString(someone.id())));
      twice(named.getKey(), Map.of("name", "hands", "member", Long.toString(someone.id())));
      assertThat(app.jdbc().sql(named.getValue()).query(Integer.class).single()).as(named.getKey()).isEqualTo(1);
    }
    app.jdbc().sql("delete from lifter_group where name = 'Hands'").update();
    app.jdbc().sql("delete from place where name = 'Hands'").update();
  }

  @RepeatedTest(4)
  void oneUndoOfAChangePutsOneLineBack(TestApp app) {
    long slot = someone.slot(DAY, "squat");
    someone.coach().post("/slots/" + slot + "/remove", Map.of("version", Integer.toString(someone.version(slot))));
    long change = app.jdbc().sql("select max(id) from change where lifter_id = :l").param("l", someone.id()).query(Long.class).single();
    twice("/changes/" + change + "/undo", Map.of());
    assertThat(someone.on(DAY)).containsExactlyInAnyOrder("squat 3x5 70%", "bench 3x5 70%");
    ordered();
  }

  @RepeatedTest(3)
  void theWeeksUndoPressedTwiceTakesOneChangeBack(TestApp app) {
    someone.add(DAY, "MAIN", "row", "3x8 60kg");
    Map<String, String> once = keyed(Map.of("of", DAY.toString()));
    twice(someone.at("/week/undo"), once);
    assertThat(someone.on(DAY)).containsExactly("squat 3x5 70%", "bench 3x5 70%");
  }

  @RepeatedTest(4)
  void movingAndJoiningAtOnceKeepEveryLineAndItsPlace(TestApp app) {
    long squat = someone.slot(DAY, "squat");
    long bench = someone.slot(DAY, "bench");
    both(() -> someone.coach().post("/slots/" + squat + "/move?by=1", Map.of()), () -> other.post("/slots/" + bench + "/join", Map.of()));
    both(() -> someone.coach().post("/slots/" + squat + "/to", Map.of("to", DAY.plusDays(1).toString())),
        () -> other.post("/slots/" + squat + "/remove", Map.of("version", Integer.toString(someone.version(squat)))));
    assertThat(someone.on(DAY)).contains("bench 3x5 70%");
    ordered();
  }

  /** The lifter logs a set of the line that a coach takes out, edits or moves at that moment. */
  @ParameterizedTest
  @ValueSource(strings = {"remove", "edit", "to", "remove", "edit", "to", "remove", "edit", "to"})
  void aSetThatIsLoggedStandsOnItsCardWhateverHappensToItsLine(String what) {
    LocalDate today = TestApp.TODAY;
    someone.add(today, "MAIN", "squat", "3x5 70%");
    long slot = someone.slot(today, "squat");
    long session = someone.app().jdbc().sql("select session_id from slot where id = :id").param("id", slot).query(Long.class).single();
    other.card(session);
    Map<String, String> entry = Map.of("key", UUID.randomUUID().toString(), "slot", someone.app().line(slot), "part", "1", "set",
        "1", "issue", "1", "seen", "-1", "load", "140", "reps", "5", "outcome", "done");
    String version = Integer.toString(someone.version(slot));
    Map<String, Map<String, String>> changes = Map.of("remove", Map.of("version", version), "to",
        Map.of("to", today.plusDays(3).toString()), "edit", Map.of("version", version, "kind", "MAIN", "lift", "Squat", "work", "5x3 80%"));
    List<HttpResponse<String>> answers = both(() -> other.post("/sessions/" + session + "/sets", entry),
        () -> someone.coach().post("/slots/" + slot + (what.equals("edit") ? "" : "/" + what), changes.get(what)));
    int kept = count("select count(*) from logged_set where lifter_id = :l and load_ng = 140000000000000");
    if (kept == 0) {
      assertThat(answers.get(0).statusCode()).as("the lifter was told").isGreaterThanOrEqualTo(400);
      return;
    }
    assertThat(other.card(session).body()).as("it is on the day's card").contains("140 kg × 5");
    boolean there = someone.on(today).stream().anyMatch(line -> line.startsWith("squat"));
    assertThat(there || other.card(session).body().contains("Done, taken out since")).isTrue();
  }

  @Test
  void oneKeyIsOfOneSet(TestApp app) {
    LocalDate today = TestApp.TODAY;
    someone.add(today, "MAIN", "squat", "3x5 70%");
    long slot = someone.slot(today, "squat");
    long session = app.jdbc().sql("select session_id from slot where id = :id").param("id", slot).query(Long.class).single();
    other.card(session);
    Map<String, String> entry = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", app.line(slot), "part", "1",
        "set", "1", "issue", "1", "seen", "-1", "load", "140", "reps", "5", "outcome", "done"));
    List<CompletableFuture<Integer>> all = IntStream.range(0, 20).mapToObj(i -> CompletableFuture.supplyAsync(
        () -> untilTaken("/sessions/" + session + "/sets", entry))).toList();
    assertThat(all).allSatisfy(answer -> assertThat(answer.join()).isIn(200, 302));
    assertThat(count("select count(*) from logged_set where lifter_id = :l")).isEqualTo(1);
    entry.put("set", "2");
    HttpResponse<String> another = other.post("/sessions/" + session + "/sets", entry);
    assertThat(another.statusCode()).isEqualTo(409);
    assertThat(another.body()).contains("This page had an entry of another set");
    assertThat(count("select count(*) from logged_set where lifter_id = :l")).isEqualTo(1);
  }

  /** As a phone does: where it is told to come again, since all connections are in use, it sends the same once more. */
  private int untilTaken(String path, Map<String, String> entry) {
    int told = other.post(path, entry).statusCode();
    for (Instant end = Instant.now().plusSeconds(60); told == 503 && Instant.now().isBefore(end);) {
      LockSupport.parkNanos(Duration.ofMillis(100).toNanos());
      told = other.post(path, entry).statusCode();
    }
    return told;
  }

  @Test
  void whoLosesTwiceIsToldWhatTheOtherDid(TestApp app) {
    TransactionTemplate transaction = app.bean(TransactionTemplate.class);
    someone.within(() -> transaction.execute(status -> {
      app.bean(Turns.class).ofLifter(someone.id());
      long began = System.nanoTime();
      HttpResponse<String> late = someone.coach()
          .post(someone.at("/days/" + DAY + "/slots"), Map.of("kind", "MAIN", "lift", "Row", "work", "3x8 60kg"));
      assertThat(late.statusCode()).as("held for long").isEqualTo(409);
      assertThat(late.body()).contains("Somebody was there first").contains("The last change here:");
      assertThat(Duration.ofNanos(System.nanoTime() - began)).as("76 s, before").isLessThan(Duration.ofSeconds(20));
      return 0;
    }));
    assertThat(someone.on(DAY)).hasSize(2);
  }
}

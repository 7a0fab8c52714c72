package org.yarbel.web.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.sql.Timestamp;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.effort.Rpe;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.support.Background;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.House;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.SqlMeter;
import org.yarbel.web.support.TestApp;

/** Calls are drawn up, taken through the doors of a coach's own edits, refused, left and undone; and nobody's call is another club's. */
@ExtendWith(TestApp.class)
class CallTest {
  private static final LocalDate TODAY = TestApp.TODAY;
  private static final LocalDate THURSDAY = TODAY.plusDays(3);

  /** Somebody who rates two exposures a point and a half easier than asked, with more of the same to come. */
  private static Someone undershooting(TestApp app, String name) {
    Someone lifter = Someone.called(app, name, Map.of("squat", "180"));
    for (LocalDate day : List.of(TODAY.minusDays(4), TODAY.minusDays(1))) {
      lifter.add(day, "MAIN", "squat", "3x5 75% @8");
      lifter.lift(day, "squat", Rpe.of(6.5), 5, 5, 5);
    }
    lifter.add(THURSDAY, "MAIN", "squat", "3x5 75% @8");
    lifter.lookAt();
    return lifter;
  }

  private record Stands(long id, int version, String state) {}

  private static Stands call(Someone lifter, String rule) {
    return lifter.app().jdbc().sql("select id, version, state from coach_call where lifter_id = :l and rule = :rule order by id desc limit 1")
        .param("l", lifter.id()).param("rule", rule).query(Stands.class).single();
  }

  private static HttpResponse<String> take(Someone lifter, Stands call, Map<String, String> more) {
    Map<String, String> form = new HashMap<>(Map.of("version", Integer.toString(call.version()), "proposal", "0"));
    form.putAll(more);
    return lifter.coach().post("/calls/" + call.id() + "/take", form, "HX-Request", "true");
  }

  /** The page of the club's calls that names somebody: other tests leave calls, too. */
  private static String pageWith(Someone lifter, String name) {
    return IntStream.range(0, 10).mapToObj(page -> lifter.coach().get("/calls?rule=too-easy-or-hard&page=" + page).body())
        .filter(body -> body.contains(name)).findFirst().orElseThrow();
  }

  @Test
  void aCallIsTakenWithItsLoadsAndTakenBack(TestApp app) {
    Someone lifter = undershooting(app, "Tad Under");
    String page = pageWith(lifter, "Tad Under");
    assertThat(page).contains("easier than asked on the last two exposures").contains("3x5 75% @8").contains("135 ×3")
        .contains("3x5 76.5% @8").contains("137.5 ×3").contains(" a side");
    Stands call = call(lifter, "too-easy-or-hard");
    HttpResponse<String> taken = take(lifter, call, Map.of());
    assertThat(taken.statusCode()).isEqualTo(200);
    assertThat(taken.body()).contains("Tad Under: Up by a step.").contains("taken: Up by a step");
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 76.5% @8");
    assertThat(lifter.coach().get(lifter.at("/week")).body()).as("undo of the board knows it").contains("call, too easy, too hard: Up by a step");
    HttpResponse<String> undone = lifter.coach().post("/calls/" + call.id() + "/undo", Map.of(), "HX-Request", "true");
    assertThat(undone.body()).contains("Taken back.");
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 75% @8");
    assertThat(call(lifter, "too-easy-or-hard").state()).as("it still holds, so it is open again, as a call of its own").isEqualTo("OPEN");
  }

  @Test
  void theSameMatterMakesOneCallAndComesBackOnlyWithNewFacts(TestApp app) {
    Someone lifter = undershooting(app, "Ume Again");
    lifter.lookAt();
    lifter.lookAt();
    assertThat(count(lifter)).as("looked at three times").isEqualTo(1);
    Stands call = call(lifter, "too-easy-or-hard");
    HttpResponse<String> bare = lifter.coach().post("/calls/" + call.id() + "/refuse", Map.of("reason", " "), "HX-Request", "true");
    assertThat(bare.statusCode()).isEqualTo(422);
    assertThat(bare.body()).contains("Say why in a few words");
    assertThat(lifter.coach().post("/calls/" + call.id() + "/refuse", Map.of("reason", "sick child"), "HX-Request", "true").body())
        .contains("Refused: sick child.");
    lifter.lookAt();
    assertThat(call(lifter, "too-easy-or-hard").state()).as("nothing new").isEqualTo("REFUSED");
    lifter.add(TODAY, "MAIN", "squat", "3x5 75% @8");
    lifter.lift(TODAY, "squat", Rpe.of(6), 5, 5, 5);
    lifter.lookAt();
    assertThat(call(lifter, "too-easy-or-hard").state()).as("one exposure more").isEqualTo("OPEN");
  }

  private static int count(Someone lifter) {
    return lifter.app().jdbc().sql("select count(*) from coach_call where lifter_id = :l and rule = 'too-easy-or-hard'").param("l", lifter.id())
        .query(Integer.class).single();
  }

  @Test
  void aCallGoesByItselfWhenItsFactsHoldNoLonger(TestApp app) {
    Someone lifter = undershooting(app, "Vik Gone");
    lifter.add(TODAY, "MAIN", "squat", "3x5 75% @8");
    lifter.lift(TODAY, "squat", Rpe.of(8), 5, 5, 5);
    lifter.lookAt();
    assertThat(call(lifter, "too-easy-or-hard").state()).isEqualTo("GONE");
  }

  /** Else a coach would meet "drawn up anew" at each next call of the same lines. */
  @Test
  void whatComesOutOtherwiseByADecisionIsSentWithIt(TestApp app) {
    Someone lifter = undershooting(app, "Wim Beside");
    app.jdbc().sql("update lift_numbers set tested_on = :day where lifter_id = :l").param("day", TODAY.minusWeeks(13)).param("l", lifter.id())
        .update();
    lifter.lookAt();
    int before = call(lifter, "test-due").version();
    String taken = take(lifter, call(lifter, "too-easy-or-hard"), Map.of("on", "1 " + call(lifter, "test-due").id())).body();
    Stands test = call(lifter, "test-due");
    assertThat(test.version()).as("its line says something else by now").isGreaterThan(before);
    assertThat(taken).containsOnlyOnce("hx-swap-oob=\"true\"").contains("action=\"/calls/" + test.id() + "/take\"",
        "name=\"version\" value=\"" + test.version() + "\"");
    assertThat(take(lifter, test, Map.of()).statusCode()).isEqualTo(200);
    assertThat(lifter.on(THURSDAY).get(0)).startsWith("squat 1x1 @9; 3x5 ");
  }

  @Test
  void ofTwoCoachesTheSecondIsToldWhoDecided(TestApp app) {
    Someone lifter = undershooting(app, "Wes Twice");
    Stands call = call(lifter, "too-easy-or-hard");
    take(lifter, call, Map.of());
    HttpResponse<String> second = take(lifter, call, Map.of());
    assertThat(second.statusCode()).isEqualTo(409);
    assertThat(second.body()).contains("Decided already: taken: Up by a step (Isolde Marchbank");
    assertThat(lifter.on(THURSDAY)).as("taken once").containsExactly("squat 3x5 76.5% @8");
  }

  @Test
  void linesEditedMeanwhileAreDrawnUpAnew(TestApp app) {
    Someone lifter = undershooting(app, "Xan Edited");
    Stands call = call(lifter, "too-easy-or-hard");
    long slot = lifter.slot(THURSDAY, "squat");
    lifter.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70% @8", "version", Integer.toString(lifter.version(slot))));
    HttpResponse<String> answer = take(lifter, call, Map.of());
    assertThat(answer.statusCode()).isEqualTo(409);
    assertThat(answer.body()).contains("drawn up anew").contains("3x5 71.5% @8");
    assertThat(lifter.on(THURSDAY)).as("nothing was touched").containsExactly("squat 3x5 70% @8");
    assertThat(take(lifter, call(lifter, "too-easy-or-hard"), Map.of()).statusCode()).isEqualTo(200);
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 71.5% @8");
  }

  @Test
  void aSessionThatBeganAMinuteAgoIsNotTouched(TestApp app) {
    Someone lifter = undershooting(app, "Yul Begun");
    Stands call = call(lifter, "too-easy-or-hard");
    lifter.lift(THURSDAY, "squat", 5);
    HttpResponse<String> answer = take(lifter, call, Map.of());
    assertThat(answer.statusCode()).isEqualTo(409);
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 75% @8");
  }

  @Test
  void linesAreTypedOtherwiseBeforeTheyAreTaken(TestApp app) {
    Someone lifter = undershooting(app, "Zoe Typed");
    Stands call = call(lifter, "too-easy-or-hard");
    HttpResponse<String> wrong = take(lifter, call, Map.of("line0.0", "3x5 @11", "was0.0", "3x5 76.5% @8"));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("RPE must be from 6 to 10 inclusive but was 11").contains("value=\"3x5 @11\"");
    HttpResponse<String> missing = take(lifter, call, Map.of("line0.0", "3x5 80% goal", "was0.0", "3x5 76.5% @8"));
    assertThat(missing.statusCode()).isEqualTo(422);
    assertThat(missing.body()).contains("cannot be worked out for this lifter");
    assertThat(take(lifter, call, Map.of("line0.0", "2x5 78% @8", "was0.0", "3x5 76.5% @8", "word", "Two sets, heavier.")).statusCode())
        .isEqualTo(200);
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 2x5 78% @8");
    assertThat(app.jdbc().sql("select word from coach_call where id = :id").param("id", call.id()).query(String.class).single())
        .isEqualTo("Two sets, heavier.");
  }

  @Test
  void aLineSaysItsLoadsWhileItIsTyped(TestApp app) {
    Someone lifter = undershooting(app, "Xia Typing");
    String line = "/calls/" + call(lifter, "too-easy-or-hard").id() + "/line?proposal=0&number=0&line0.0=";
    // 80 % of 181.1 is 144.9, on the bar 145: 62.5 a side
    assertThat(lifter.coach().get(line + "3x4+80%25").body()).contains(">145 ×3<", "25 ×2, 10, 2.5 a side").doesNotContain("field-error");
    assertThat(lifter.coach().get(line + "3x4+8").body()).contains("field-error", "The unit is missing");
    assertThat(lifter.coach().get(line + "x".repeat(3000)).statusCode()).isEqualTo(200);
    for (String nowhere : List.of("proposal=9&number=0", "proposal=0&number=9", "proposal=-1&number=0", "proposal=0&number=-1",
        "proposal=x&number=0", "number=0")) {
      assertThat(lifter.coach().get(line.replace("proposal=0&number=0", nowhere)).statusCode()).as(nowhere).isIn(400, 404);
    }
    assertThat(House.called(app, "Typely").coach().get(line + "3x5").statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "maren").get(line + "3x5").statusCode()).as("a lifter decides nothing").isEqualTo(403);
  }

  @Test
  void undoAfterLaterChangesSaysWhatCameAfter(TestApp app) {
    Someone lifter = undershooting(app, "Abe Later");
    Stands call = call(lifter, "too-easy-or-hard");
    take(lifter, call, Map.of());
    long slot = lifter.slot(THURSDAY, "squat");
    for (String work : List.of("3x5 77% @8", "3x5 78% @8", "3x5 79% @8")) {
      lifter.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", work, "version", Integer.toString(lifter.version(slot))));
    }
    HttpResponse<String> undone = lifter.coach().post("/calls/" + call.id() + "/undo", Map.of(), "HX-Request", "true");
    assertThat(undone.statusCode()).isEqualTo(409);
    assertThat(undone.body()).contains("changed");
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 79% @8");
  }

  @Test
  void aTrainingMaxIsTakenAndUndoneWithItsLines(TestApp app) {
    Someone lifter = Someone.called(app, "Bea Training", Map.of("bench", "100"));
    app.jdbc().sql("update lift_numbers set basis = 'TRAINING', training_ng = 80000000000000 where lifter_id = :l").param("l", lifter.id()).update();
    for (LocalDate day : List.of(TODAY.minusDays(4), TODAY.minusDays(1))) {
      app.jdbc().sql("insert into tracked_point (id, club_id, lifter_id, lift, day, raw_ng, estimate_ng, sd_ng) values (nextval('yarbel_id'), "
          + ":club, :l, 'bench', :day, 100000000000000, 100000000000000, 3000000000000)").param("club", lifter.clubId()).param("l", lifter.id())
          .param("day", day).update();
    }
    lifter.add(THURSDAY, "MAIN", "bench", "3x5 90%");
    lifter.lookAt();
    Stands call = call(lifter, "numbers-moved");
    String page = lifter.coach().get(lifter.at("/look")).body();
    assertThat(page).as("80 kg and 2.5 % more").contains("Training max 80 kg → 82 kg").contains("72.5 ×3").contains("75 ×3");
    take(lifter, call, Map.of());
    assertThat(training(lifter)).isEqualTo(82_000_000_000_000L);
    assertThat(lifter.coach().post("/calls/" + call.id() + "/undo", Map.of(), "HX-Request", "true").body()).contains("Taken back.");
    assertThat(training(lifter)).as("a number goes back with the lines").isEqualTo(80_000_000_000_000L);
  }

  private static long training(Someone lifter) {
    return lifter.app().jdbc().sql("select training_ng from lift_numbers where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
  }

  @Test
  void whatTheChecksWouldSayIsFoundOutWithoutTouchingAnything(TestApp app) {
    Someone lifter = undershooting(app, "Cal Preview");
    Stands call = call(lifter, "too-easy-or-hard");
    String preview = lifter.coach().get("/calls/" + call.id() + "/preview?proposal=0", "HX-Request", "true").body();
    assertThat(preview).contains("1 lines would be different").contains("3x5 76.5% @8: 137.5 ×3");
    assertThat(lifter.on(THURSDAY)).containsExactly("squat 3x5 75% @8");
    assertThat(call(lifter, "too-easy-or-hard").state()).isEqualTo("OPEN");
  }

  @Test
  void severalSafeAndSureOnesAreTakenTogether(TestApp app) {
    Someone one = undershooting(app, "Dot Together");
    one.add(TODAY, "MAIN", "squat", "3x5 75% @8");
    one.lift(TODAY, "squat", Rpe.of(6), 5, 5, 5);
    one.lookAt();
    Stands call = call(one, "too-easy-or-hard");
    assertThat(pageWith(one, "Dot Together")).contains("value=\"" + call.id() + "-" + call.version() + "\"");
    HttpResponse<String> done = one.coach().post("/calls/together", Map.of("call", call.id() + "-" + call.version()));
    assertThat(done.statusCode()).isEqualTo(302);
    assertThat(one.on(THURSDAY)).containsExactly("squat 3x5 76.5% @8");
    for (String nonsense : List.of("1-2-3", "x-1", "1", "-1-1", "9".repeat(19) + "-1", "1-" + "9".repeat(7))) {
      assertThat(one.coach().post("/calls/together", Map.of("call", nonsense)).statusCode()).as(nonsense).isEqualTo(404);
    }
  }

  @Test
  void ofAClubThatIsOldSeveralAreTakenTogetherToo(TestApp app) {
    Someone one = undershooting(app, "Dora Grown");
    one.add(TODAY, "MAIN", "squat", "3x5 75% @8");
    one.lift(TODAY, "squat", Rpe.of(6), 5, 5, 5);
    one.lookAt();
    app.jdbc().sql("update coach_call set id = 123456789012345678 where id = :id").param("id", call(one, "too-easy-or-hard").id()).update();
    Stands call = call(one, "too-easy-or-hard");
    assertThat(one.coach().post("/calls/together", Map.of("call", call.id() + "-" + call.version())).statusCode()).isEqualTo(302);
    assertThat(one.on(THURSDAY)).containsExactly("squat 3x5 76.5% @8");
  }

  @Test
  void theLifterSeesWhatWasTakenAndNotWhatIsOpen(TestApp app) {
    House house = House.called(app, "Sightly");
    long lifter = house.lifters().get(0);
    app.jdbc().sql("insert into coach_call (id, club_id, lifter_id, rule, lift, matter, state, document, facts, shown, urgency, confidence, safe, "
        + "raised_at, decided_at, decided_by, word, version) values (nextval('yarbel_id'), :club, :l, 'missed', 'squat', 'm1', 'TAKEN', '{}', '', "
        + "'{}', 1, 1, true, now(), :at, 'Ines', 'Squat: repeat it.', 0), (nextval('yarbel_id'), :club, :l, 'missed', 'squat', 'm2', 'OPEN', '{}', "
        + "'', '{}', 1, 1, true, now(), null, null, 'Not for you', 0)").param("club", house.clubId()).param("l", lifter)
        .param("at", Timestamp.valueOf(TODAY.atTime(9, 0))).update();
    String mine = house.lifter().get("/me").body();
    assertThat(mine).contains("What your coach has changed").contains("Squat: repeat it.").contains("Ines").doesNotContain("Not for you");
    assertThat(house.lifter().get("/calls").statusCode()).isEqualTo(403);
    assertThat(house.lifter().get("/lifters/" + lifter + "/look").statusCode()).isEqualTo(403);
  }

  @Test
  void manyCallsComeInPagesThatFiltersSeeAllOf(TestApp app) {
    House house = House.called(app, "Pagely");
    long like = call(undershooting(app, "Pia Copied"), "too-easy-or-hard").id();
    // a look at the house's lifters would find that nothing speaks for these
    Background.done(app.jdbc());
    app.jdbc().sql("insert into coach_call (id, club_id, lifter_id, rule, lift, matter, state, document, facts, shown, urgency, confidence, "
        + "safe, raised_at, version) select nextval('yarbel_id'), :club, :l, case n when 81 then 'stall' else rule end, lift, 'm' || n, "
        + "'OPEN', document, facts, shown, 1, 1, n % 2 = 0, now(), 0 from coach_call, generate_series(1, 81) n where id = :like")
        .param("club", house.clubId()).param("l", house.lifters().get(0)).param("like", like).update();
    Map<String, Integer> shown = new LinkedHashMap<>();
    for (String asked : List.of("", "?page=1", "?page=2", "?page=3", "?page=-7", "?page=2147483647", "?rule=stall", "?safe=true&page=0",
        "?safe=true&page=1", "?rule=nonsense&page=2")) {
      HttpResponse<String> page = house.coach().get("/calls" + asked);
      assertThat(page.statusCode()).as(asked).isEqualTo(200);
      shown.put(asked, page.body().split("class=\"call[ \"]", -1).length - 1);
    }
    assertThat(shown.values()).as("%s", shown).containsExactly(40, 40, 1, 0, 40, 0, 1, 40, 0, 1);
    assertThat(house.coach().get("/calls?page=1").body()).contains("page=0\">← more urgent ones", "page=2\">less urgent");
    assertThat(house.coach().get("/calls?page=7").body()).contains("Nothing waits here");
    assertThat(house.coach().get("/calls?page=x").statusCode()).isEqualTo(404);
  }

  @Test
  void anotherClubsCallIsNotThere(TestApp app) {
    Someone lifter = undershooting(app, "Eli Ours");
    Stands call = call(lifter, "too-easy-or-hard");
    Client stranger = House.called(app, "Strangely").coach();
    for (String act : List.of("take", "refuse", "lie", "undo")) {
      assertThat(stranger.post("/calls/" + call.id() + "/" + act, Map.of("version", "0", "reason", "mine")).statusCode()).as(act).isEqualTo(404);
    }
    assertThat(stranger.get("/calls/" + call.id() + "/preview").statusCode()).isEqualTo(404);
    assertThat(stranger.get(lifter.at("/look")).statusCode()).isEqualTo(404);
    assertThat(stranger.get(lifter.at("/moves")).statusCode()).isEqualTo(404);
    assertThat(call(lifter, "too-easy-or-hard").state()).isEqualTo("OPEN");
  }

  @Test
  void callsAreDrawnUpInTheBackgroundOnceForAllThatCausedThem(TestApp app) {
    Someone lifter = Someone.called(app, "Fay Behind", Map.of("squat", "180"));
    lifter.add(TODAY, "MAIN", "squat", "3x5 75%");
    long session = app.session("Fay Behind", TODAY);
    lifter.coach().card(session);
    lifter.coach().post("/sessions/" + session + "/check-in", Map.of("sleep", "4", "energy", "1", "place.1", "KNEE", "score.1", "6"));
    Background.done(app.jdbc());
    Set<String> rules = Set.copyOf(app.jdbc().sql("select rule from coach_call where lifter_id = :l and state = 'OPEN'").param("l", lifter.id())
        .query(String.class).list());
    assertThat(rules).contains("hurts", "readiness-low");
    assertThat(lifter.coach().get("/").body()).contains("calls</a>");
  }

  @Test
  void whatMovedTheLoadsIsOnRecordAndHoldsAreHeld(TestApp app) {
    Someone lifter = Someone.called(app, "Gus Moves", Map.of("squat", "180"));
    lifter.add(THURSDAY, "MAIN", "squat", "3x5 75%");
    Background.done(app.jdbc());
    assertThat(lifter.post(lifter.at("/moves"), Map.of("lift", "squat", "how", "HOLD")).body()).contains("stay at 181.1 kg");
    app.jdbc().sql("update lift_numbers set agreed_ng = 200000000000000 where lifter_id = :l").param("l", lifter.id()).update();
    lifter.add(THURSDAY, "ASSISTANCE", "leg-press", "3x10");
    Background.done(app.jdbc());
    String page = lifter.coach().get(lifter.at("/moves?lift=squat")).body();
    assertThat(page).contains("135 → 150 kg, Thu 5 Mar").contains("+11.1 %").contains("hold until I say").contains("last agreed with 200 kg");
    assertThat(lifter.coach().get(lifter.at("/week")).body()).contains("150 ×3");
    assertThat(lifter.coach().post(lifter.at("/moves"), Map.of("lift", "squat", "how", "SOMETIMES")).statusCode()).isEqualTo(404);
  }

  @Test
  void aChangeOfKitIsACauseForEverybody(TestApp app) {
    House house = House.called(app, "Kitly");
    Places places = app.bean(Places.class);
    app.bean(CurrentClub.class).within(house.clubId(), () -> app.bean(TransactionTemplate.class).executeWithoutResult(status -> {
      Place place = places.all().get(0);
      places.write(place.id(), "Another name", places.kit(place));
      assertThat(app.jdbc().sql("select distinct key from due_work where club_id = :club and cause = 'kit'").param("club", house.clubId())
          .query(String.class).list()).containsExactlyInAnyOrderElementsOf(house.lifters().stream().map(String::valueOf).toList());
      status.setRollbackOnly();
    }));
  }

  @Test
  void theWeeklyLookGoesThroughTheLiftersAndSendsTheWeek(TestApp app) {
    Someone lifter = undershooting(app, "Aaaa Looked");
    String page = lifter.coach().get(lifter.at("/look?only=calls")).body();
    assertThat(page).contains("Week of 23 February 2026").contains("easier than asked").contains("3 sets").contains("Next week, as it would be")
        .contains("135 ×3");
    HttpResponse<String> sent = lifter.coach().post(lifter.at("/look"), Map.of("week", "2026-02-23", "word", "Good. Up a step.", "only", "calls"));
    assertThat(sent.statusCode()).isEqualTo(302);
    assertThat(lifter.coach().get(lifter.at("/look")).body()).contains("sent: Isolde Marchbank, Mon 2 Mar").contains("Good. Up a step.");
    assertThat(app.jdbc().sql("select words from session_word where lifter_id = :l").param("l", lifter.id()).query(String.class).list())
        .containsExactly("Good. Up a step.");
    assertThat(lifter.coach().get("/looks?only=waiting").body()).doesNotContain("Aaaa Looked");
    assertThat(lifter.coach().get(lifter.at("/look?week=1999-01-01")).statusCode()).as("too far back is this week's").isEqualTo(200);
    assertThat(lifter.coach().get(lifter.at("/look?week=nonsense&only=nothing&group=-1")).statusCode()).isEqualTo(404);
  }

  @Test
  void thePagesAskAFixedNumberOfQuestions(TestApp app) {
    Someone lifter = undershooting(app, "Hal Counted");
    assertThat(asked(() -> lifter.coach().get("/calls"))).as("however many calls wait").isLessThanOrEqualTo(12);
    assertThat(asked(() -> lifter.coach().get("/looks"))).isLessThanOrEqualTo(12);
    assertThat(asked(() -> lifter.coach().get(lifter.at("/look")))).isLessThanOrEqualTo(45);
  }

  private static long asked(Supplier<Object> page) {
    return SqlMeter.of(page::get).stream().map(SqlMeter.Sent::sql).filter(sql -> !sql.contains("SPRING_SESSION") && !sql.contains("sign_in")
        && !sql.contains("due_work")).count();
  }

  @Test
  void aLifterWithoutPlanNumbersOrLogMakesNoCall(TestApp app) {
    Someone nobody = Someone.called(app, "Ira Empty", Map.of());
    nobody.lookAt();
    assertThat(app.jdbc().sql("select count(*) from coach_call where lifter_id = :l").param("l", nobody.id()).query(Integer.class).single()).isZero();
    assertThat(nobody.coach().get(nobody.at("/look")).body()).contains("Nothing waits for a decision").contains("Nothing was planned in this week");
    assertThat(nobody.coach().get(nobody.at("/moves")).body()).contains("No lift yet");
    assertThat(nobody.coach().post("/calls/" + UUID.randomUUID().getMostSignificantBits() + "/take", Map.of()).statusCode()).isEqualTo(404);
  }
}

package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class WeekBoardTest {
  private static final LocalDate MONDAY = TestApp.TODAY;
  private static final Map<String, String> NUMBERS = Map.of("squat", "200", "bench", "140", "deadlift", "240");

  @Test
  void movesCopiesAndFillsDown(TestApp app) {
    Someone lifter = Someone.called(app, "Bramwell Oake", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    long slot = lifter.slot(MONDAY, "squat");
    assertThat(lifter.post("/slots/" + slot + "/to", Map.of("to", "" + MONDAY.plusDays(1))).body()).contains("Moved to Tue 3 Mar.");
    assertThat(lifter.on(MONDAY)).isEmpty();
    lifter.post("/slots/" + slot + "/to", Map.of("to", "" + MONDAY.plusDays(3), "copy", "1"));
    assertThat(lifter.on(MONDAY.plusDays(3))).containsExactly("squat 3x5 80%");
    lifter.add(MONDAY.plusDays(15), "MAIN", "squat", "1x1 60%");
    assertThat(lifter.post("/slots/" + slot + "/down", Map.of("weeks", "3")).body()).contains("Filled down 3 weeks.");
    assertThat(lifter.on(MONDAY.plusDays(8))).containsExactly("squat 3x5 80%");
    assertThat(lifter.on(MONDAY.plusDays(15))).as("written over").containsExactly("squat 3x5 80%");
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY.plusDays(8))).isEmpty();
    assertThat(lifter.on(MONDAY.plusDays(15))).containsExactly("squat 1x1 60%");
    assertThat(lifter.post("/slots/" + slot + "/down", Map.of("weeks", "99")).body())
        .contains("the weeks must be from 1 to 16 but were &#39;99&#39;");
  }

  @Test
  void copiesAndClearsADayAndUndoesBoth(TestApp app) {
    Someone lifter = Someone.called(app, "Calla Denby", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    lifter.add(MONDAY, "ASSISTANCE", "row", "3x8");
    lifter.post(lifter.at("/days/" + MONDAY + "/copy"), Map.of("to", "" + MONDAY.plusDays(4)));
    assertThat(lifter.on(MONDAY.plusDays(4))).containsExactly("squat 3x5 80%", "row 3x8");
    lifter.post(lifter.at("/days/" + MONDAY + "/clear"), Map.of());
    assertThat(lifter.on(MONDAY)).isEmpty();
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 80%", "row 3x8");
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY.plusDays(4))).isEmpty();
    lifter.post(lifter.at("/week/redo"), Map.of());
    assertThat(lifter.on(MONDAY.plusDays(4))).containsExactly("squat 3x5 80%", "row 3x8");
  }

  @Test
  void undoesAndRedoesSingleLinesToo(TestApp app) {
    Someone lifter = Someone.called(app, "Dunstan Wray", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    long slot = lifter.slot(MONDAY, "squat");
    lifter.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 82%", "version", "0"));
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 80%");
    assertThat(lifter.post(lifter.at("/week/redo"), Map.of()).body()).contains("Done again: 3x5 82%");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 82%");
    lifter.post("/slots/" + slot + "/remove", Map.of("version", "" + lifter.version(slot)));
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 82%");
    assertThat(lifter.post(lifter.at("/week/redo"), Map.of()).body()).contains("The line is out again.");
    assertThat(lifter.on(MONDAY)).isEmpty();
  }

  @Test
  void aNewChangeEndsWhatCouldBeDoneAgain(TestApp app) {
    Someone lifter = Someone.called(app, "Esmond Pike", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    lifter.post(lifter.at("/week/undo"), Map.of());
    lifter.add(MONDAY, "MAIN", "bench", "3x5 70%");
    assertThat(lifter.post(lifter.at("/week/redo"), Map.of()).body()).contains("There is nothing to do again.");
    assertThat(lifter.on(MONDAY)).containsExactly("bench 3x5 70%");
  }

  @Test
  void showsWhatTheChecksFindBesideItAndMendsIt(TestApp app) {
    Someone lifter = Someone.called(app, "Fenella Cross", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 75% @8");
    String week = lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body();
    assertThat(week).contains("74.6 % for 5 is about RPE under 5, but RPE 8 is written.")
        .contains("<b>1 doubt</b>".replace("<b>", "<b class=\"doubt\">"))
        .contains("Our own default. The chart after Helms et al. 2016.").contains("<span class=\"was\">150 ×3</span> → <b>167.5 ×3</b>");
    assertThat(lifter.post("/slots/" + lifter.slot(MONDAY, "squat") + "/mend", Map.of("work", "3x5 83% @8")).body())
        .contains("Mended: Squat 3x5 83% @8").contains("Undo");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 83% @8");
    assertThat(lifter.post("/slots/" + lifter.slot(MONDAY, "squat") + "/mend", Map.of("work", "3x5 nonsense")).statusCode()).isEqualTo(422);
    String fresh = lifter.coach().get(lifter.at("/week/panel?of=" + MONDAY)).body();
    assertThat(fresh).contains("hx-swap-oob=\"true\"").doesNotContain("but RPE 8 is written").doesNotContain("<html");
  }

  @Test
  void silencesWithAReasonOnly(TestApp app) {
    Someone lifter = Someone.called(app, "Gideon Slate", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 75% @8");
    lifter.add(MONDAY, "MAIN", "bench", "3x5+ 75%");
    assertThat(lifter.post(lifter.at("/silences"), Map.of("check", "percent-against-rpe", "lift", "squat", "reason", "  ", "of", ""
        + MONDAY)).body()).contains("It still speaks");
    assertThat(lifter.post(lifter.at("/silences"), Map.of("check", "percent-against-rpe", "reason", "x".repeat(301))).body())
        .as("loses nothing typed").contains("It still speaks").contains("x".repeat(301));
    assertThat(lifter.coach().get(lifter.at("/silences/new?check=percent-against-rpe&lift=squat")).body())
        .contains("Gideon Slate: % and RPE that disagree", "name=\"reason\"");
    for (String nothing : List.of("check=no-such-check", "check=percent-against-rpe&lift=no-such-lift")) {
      assertThat(lifter.coach().get(lifter.at("/silences/new?" + nothing)).statusCode()).as(nothing).isEqualTo(404);
    }
    String quiet = lifter.post(lifter.at("/silences"), Map.of("check", "percent-against-rpe", "lift", "squat", "reason",
        "pauses make it harder", "of", "" + MONDAY)).body();
    assertThat(quiet).doesNotContain("but RPE 8 is written").contains("pauses make it harder");
    lifter.post(lifter.at("/silences"), Map.of("check", "open-set", "lift", "bench", "reason", "safeties are always set", "of",
        "" + MONDAY));
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).doesNotContain("An open set near failure");
    long silence = app.jdbc().sql("select min(id) from silence where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    assertThat(lifter.post("/silences/" + silence + "/end", Map.of("of", "" + MONDAY)).body()).contains("but RPE 8 is written")
        .contains("pauses make it harder");
    assertThat(lifter.post(lifter.at("/silences"), Map.of("check", "no-such-check", "reason", "x")).statusCode()).isEqualTo(404);
  }

  @Test
  void sumsUpTheWeekAndDrawsHowItRecovers(TestApp app) {
    Someone lifter = Someone.called(app, "Honor Beck", NUMBERS);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("Nothing is written yet")
        .contains("The checks have nothing to say");
    lifter.add(MONDAY, "MAIN", "squat", "5x5 75%");
    String week = lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body();
    // 25 reps of 150 kg
    assertThat(week).contains("The week in figures").contains("<td>3.8</td>").contains("main lifts 100 % of the reps")
        .contains("quads</th><td>7.5</td>");
    assertThat(lifter.coach().get(lifter.at("/week/recovery?of=" + MONDAY)).body())
        .contains("class=\"dip\"").contains("Squat over the week: Mon 1 of a usual hard session").contains("class=\"q-connective-tissue\"");
  }

  @ParameterizedTest
  @ValueSource(strings = {"+999999999-12-31", "9999-12-31", "0001-01-01", "2026-13-40", "-1", "x"})
  void aDayThatNobodyCanMeanIsNoDay(String day) {
    Someone lifter = Someone.called(TestApp.running(), "Hesper Lane", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    String typed = URLEncoder.encode(day, StandardCharsets.UTF_8);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + typed)).statusCode()).isEqualTo(404);
    assertThat(lifter.coach().post("/slots/" + lifter.slot(MONDAY, "squat") + "/to", Map.of("to", day)).statusCode()).isEqualTo(404);
    assertThat(lifter.coach().post(lifter.at("/days/" + MONDAY + "/copy"), Map.of("to", day)).statusCode()).isEqualTo(404);
  }

  @Test
  void aLineIsMovedWithinTwoYears(TestApp app) {
    Someone lifter = Someone.called(app, "Hestia Lunn", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    LocalDate far = TestApp.TODAY.plusYears(2);
    String line = "/slots/" + lifter.slot(MONDAY, "squat") + "/to";
    assertThat(lifter.post(line, Map.of("to", "" + far)).body())
        .contains("Nothing moved: choose a day within two years of today, not " + far);
    assertThat(lifter.post(lifter.at("/days/" + MONDAY + "/copy"), Map.of("to", "" + far)).body())
        .contains("Nothing copied: choose a day within two years of today");
    assertThat(lifter.post(line, Map.of("to", "" + far.minusDays(1), "copy", "1")).body()).contains("Copied to ");
  }

  @Test
  void aMoveThatAChecksProposesIsMadeInOneChange(TestApp app) {
    Someone lifter = Someone.called(app, "Seraphine Dell", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "5x5 80%");
    lifter.add(MONDAY.plusDays(1), "MAIN", "squat", "5x5 80%");
    String board = lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body();
    Matcher form = Pattern.compile("name=\"to\" value=\"([\\d-]+)\"><input type=\"hidden\" name=\"lines\" value=\"(\\d+)\"").matcher(board);
    assertThat(form.find()).as("the move stands beside the fault").isTrue();
    LocalDate to = LocalDate.parse(form.group(1));
    assertThat(lifter.post(lifter.at("/week/move"), Map.of("lines", form.group(2), "to", "" + to, "of", "" + MONDAY)).body())
        .contains("Moved to ").doesNotContain(
        "hard on Monday and again on Tuesday");
    assertThat(lifter.on(to)).containsExactly("squat 5x5 80%");
    Someone other = Someone.called(app, "Seraphina Doll", NUMBERS);
    assertThat(other.coach().post(other.at("/week/move"), Map.of("lines", form.group(2), "to", "" + MONDAY)).statusCode())
        .as("a line of somebody else").isEqualTo(404);
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(to)).isEmpty();
  }

  /** Our own plans pass our own checks: at most one doubt a week in median over the twelve of the demo and the weeks written for them. */
  @Test
  void theDemosOwnWeeksAreHardlyDoubted(TestApp app) {
    List<Long> twelve = app.jdbc().sql("select l.id from lifter l join demo_week d on d.club_id = l.club_id order by l.id limit 12")
        .query(Long.class).list();
    Someone anyone = Someone.called(app, "Odalys Finch", NUMBERS);
    List<Long> doubts = new ArrayList<>();
    for (long id : twelve) {
      for (int week = 0; week < 4; week++) {
        LocalDate monday = TestApp.TODAY.plusWeeks(week);
        WeekPanel panel = anyone.within(() -> app.bean(BoardService.class).panel(id, monday).panel());
        doubts.add(panel.counts().doubts() + panel.counts().stops());
      }
    }
    Collections.sort(doubts);
    assertThat(doubts).hasSize(48);
    assertThat(doubts.get(doubts.size() / 2)).as("of %s", doubts).isLessThanOrEqualTo(1);
  }

  @Test
  void countsTheWeeksSinceADeload(TestApp app) {
    Someone lifter = Someone.called(app, "Morwenna Hyde", NUMBERS);
    for (int week = 0; week <= 7; week++) {
      lifter.add(MONDAY.minusWeeks(week), "MAIN", "squat", "3x5 70%");
    }
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).as("weeks in which nothing was lifted are no training")
        .doesNotContain(
        "without a deload");
    for (int week = 1; week <= 7; week++) {
      lifter.lift(MONDAY.minusWeeks(week), "squat", 5, 5, 5);
    }
    // an intermediate is due after six
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("This is week 8 without a deload");
    app.jdbc().sql("insert into deload_week (id, club_id, lifter_id, monday, kind) select nextval('yarbel_id'), club_id, id, "
        + ":m, 'HALF_LOAD' from lifter where id = :l")
        .param("m", MONDAY.minusWeeks(4)).param("l", lifter.id()).update();
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).doesNotContain("without a deload;");
  }

  @Test
  void showsWeeksSideBySideAndTakesACell(TestApp app) {
    Someone lifter = Someone.called(app, "Isolt Grange", NUMBERS);
    assertThat(lifter.coach().get(lifter.at("/weeks?of=" + MONDAY)).body()).contains("Nothing is written in these weeks");
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    lifter.add(MONDAY.plusWeeks(1), "MAIN", "squat", "3x5 82%");
    String grid = lifter.coach().get(lifter.at("/weeks?of=" + MONDAY)).body();
    assertThat(grid).contains("160 ×3").contains("165 ×3").contains("3 hard sets, 2.4 t").contains("nothing written");
    long slot = lifter.slot(MONDAY, "squat");
    assertThat(lifter.post("/slots/" + slot + "/cell", Map.of("work", "3x5 @11", "version", "0")).statusCode()).isEqualTo(422);
    assertThat(lifter.post("/slots/" + slot + "/cell", Map.of("work", "3x5 70%", "version", "0")).body()).contains("Saved.")
        .contains("140 ×3");
    var meanwhile = lifter.post("/slots/" + slot + "/cell", Map.of("work", "3x5 71%", "version", "0"));
    assertThat(meanwhile.statusCode()).isEqualTo(409);
    assertThat(meanwhile.body()).contains("Meanwhile it was changed to 3x5 70%").contains("value=\"3x5 71%\"");
    lifter.post("/slots/" + slot + "/across", Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x5 70%");
    assertThat(lifter.on(MONDAY.plusWeeks(3))).containsExactly("squat 3x5 70%");
  }

  @Test
  void writesForAGroupEachWithTheirOwnLoads(TestApp app) {
    Someone one = Someone.called(app, "Jocasta Fell", NUMBERS);
    Someone other = Someone.called(app, "Kenelm Ward", Map.of("squat", "100"));
    assertThat(one.post("/groups", Map.of("name", " ", "member", "" + one.id())).body()).contains("Write a name of 1 to 80 characters.");
    assertThat(one.post("/groups", Map.of("name", "Test pair")).body()).contains("Tick 1 to 24 lifters.").contains("value=\"Test pair\"");
    one.post("/groups", Map.of("name", "Test pair", "member", one.id() + "," + other.id()));
    long group = app.jdbc().sql("select id from lifter_group where name = 'Test pair'").query(Long.class).single();
    assertThat(one.post("/groups/" + group + "/lines", Map.of("of", "" + MONDAY, "weekday", "3", "kind", "MAIN", "lift", "squat", "work",
        "3x5 @@")).body())
        .contains("value=\"3x5 @@\"").contains("field-error");
    String board = one.post("/groups/" + group + "/lines", Map.of("of", "" + MONDAY, "weekday", "3", "kind", "MAIN", "lift", "squat",
        "work", "3x5 80%")).body();
    assertThat(board).contains("Written for 2 of 2, each with their own loads.").contains("160 ×3").contains("80 ×3");
    String ids = Pattern.compile("name=\"change\" value=\"(\\d+)\"").matcher(board).results().map(found -> found.group(1))
        .collect(Collectors.joining(","));
    other.post("/slots/" + other.slot(MONDAY.plusDays(2), "squat"), Map.of("version", "0", "kind", "MAIN", "lift", "squat", "work",
        "3x5 77.5%"));
    assertThat(one.post("/groups/" + group + "/undo", Map.of("of", "" + MONDAY, "change", ids)).body())
        .contains("Taken back for 1. 1 changed or begun since: those stay.");
    assertThat(one.on(MONDAY.plusDays(2))).isEmpty();
    other.post("/slots/" + other.slot(MONDAY.plusDays(2), "squat"),
        Map.of("version", "" + other.version(other.slot(MONDAY.plusDays(2), "squat")), "kind", "MAIN", "lift", "squat", "work", "3x5 80%"));
    one.add(MONDAY.plusDays(2), "MAIN", "squat", "3x5 80%");
    one.post("/groups/" + group + "/lines", Map.of("of", "" + MONDAY, "weekday", "3", "lift", "squat", "was", "3x5 80%", "work",
        "3x5 75%"));
    assertThat(one.on(MONDAY.plusDays(2))).containsExactly("squat 3x5 75%");
    assertThat(other.on(MONDAY.plusDays(2))).containsExactly("squat 3x5 75%");
    // several levels, for all of the group at once
    one.post("/groups/" + group + "/lines", Map.of("of", "" + MONDAY, "weekday", "3", "lift", "squat", "was", "3x5 75%", "work",
        "3x5 70%"));
    for (String before : List.of("squat 3x5 75%", "squat 3x5 80%")) {
      one.post("/groups/" + group + "/undo", Map.of("of", "" + MONDAY));
      assertThat(one.on(MONDAY.plusDays(2))).containsExactly(before);
      assertThat(other.on(MONDAY.plusDays(2))).containsExactly(before);
    }
    one.post("/groups/" + group + "/redo", Map.of("of", "" + MONDAY));
    assertThat(other.on(MONDAY.plusDays(2))).containsExactly("squat 3x5 75%");
    assertThat(Client.of(app, "maren").get("/groups/" + group + "/week").statusCode()).isEqualTo(403);
  }

  @Test
  void takesATableFromASpreadsheet(TestApp app) {
    Someone lifter = Someone.called(app, "Lorcan Stile", NUMBERS);
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    String page = lifter.coach().get(lifter.at("/sheet?of=" + MONDAY)).body();
    assertThat(page).contains("2026-03-02\tmain\tSquat\t3x5 80%\t160 ×3");
    String stamp = page.replaceAll("(?s).*name=\"stamp\" value=\"([0-9a-f]+)\".*", "$1");
    String rows = "Day\tPart\tLift\tWork\nTue\tmain\tBench press\t3x5 70%\n2026-03-04\tassistance\trow\n";
    var wrong = lifter.post(lifter.at("/sheet"), Map.of("of", "" + MONDAY, "rows", rows));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Row 3 has 3 columns, but four are needed").contains("Tue\tmain\tBench press");
    assertThat(lifter.on(MONDAY.plusDays(1))).isEmpty();
    String good = "Tue\tmain\tBench press\t3x5 70%\n2026-03-02\tmain\tdeadlift\t\"1x1 @8; 4x4 -15%\"\tpassed over\n";
    lifter.post(lifter.at("/sheet"), Map.of("of", "" + MONDAY, "rows", good, "replace", "yes", "stamp", stamp));
    assertThat(lifter.on(MONDAY)).containsExactly("deadlift 1x1 @8; 4x4 -15%");
    assertThat(lifter.on(MONDAY.plusDays(1))).containsExactly("bench 3x5 70%");
    var stale = lifter.post(lifter.at("/sheet"), Map.of("of", "" + MONDAY, "rows", good, "replace", "yes", "stamp", stamp));
    assertThat(stale.statusCode()).isEqualTo(409);
    assertThat(stale.body()).contains("Meanwhile somebody changed this week").contains("passed over");
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 80%");
  }

  @Test
  void theClubSetsTheFiguresOfTheChecks(TestApp app) {
    Client coach = Client.of(app, "coach");
    var wrong = coach.post("/checks", Map.of("hard-days", "9", "main-share", "x"));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("The figure must be from 3 to 7 but was &#39;9&#39;.")
        .contains("The figure must be from 10 to 80 but was &#39;x&#39;.").contains("value=\"9\"");
    coach.post("/checks", Map.of("main-share", "35", "hard-days", "6"));
    assertThat(coach.get("/checks").body()).contains("value=\"35\"").contains("three hard days running");
    assertThat(app.jdbc().sql("select count(*) from club_threshold").query(Integer.class).single()).isEqualTo(1);
    coach.post("/checks", Map.of("main-share", "40"));
    assertThat(app.jdbc().sql("select count(*) from club_threshold").query(Integer.class).single()).isZero();
  }

  /** Of a day that was trained what was lifted counts, of the rest what is written. */
  @Test
  void countsWhatWasLiftedAndTicksItOffInTheSkyline(TestApp app) {
    Someone lifter = Someone.called(app, "Verity Sloane", Map.of("squat", "200"));
    lifter.add(MONDAY.minusWeeks(1), "MAIN", "squat", "8x3 80%");
    lifter.add(MONDAY, "MAIN", "squat", "6x3 80%");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).as("nothing was lifted").doesNotContain("hard sets after");
    lifter.lift(MONDAY.minusWeeks(1), "squat", 3, 3, 3, 2);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("Squat: 6 hard sets after 4 on average")
        .doesNotContain("class=\"tick\"");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY.minusWeeks(1))).body()).contains("4 logged");
    String card = lifter.coach().card(app.jdbc().sql("select session_id from slot where id = :id")
        .param("id", lifter.slot(MONDAY, "squat")).query(Long.class).single()).body();
    assertThat(card).contains("160");
    lifter.lift(MONDAY, "squat", 3, 3);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).containsPattern("(?s)class=\"tick\".*class=\"tick\"")
        .contains("160 ×6");
  }

  @Test
  void everyPageOfALifterLeadsToTheOthers(TestApp app) {
    Someone lifter = Someone.called(app, "Zacharias Holm", Map.of("squat", "200"));
    for (String page : List.of("/week", "/progressions", "/ledger", "")) {
      String body = lifter.coach().get(lifter.at(page)).body();
      String nav = body.substring(body.indexOf("<nav aria-label=\"Lifter\""),
          body.indexOf("</nav>", body.indexOf("<nav aria-label=\"Lifter\"")));
      assertThat(nav).as(page).contains(lifter.at("/week"), lifter.at("/progressions"), lifter.at("/ledger"), lifter.at("\""));
      assertThat(nav).as(page).containsOnlyOnce("aria-current");
    }
  }
}

package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.support.TestApp;

/** Results of a strongman contest as they are entered, and what they mean for the club's own. */
@ExtendWith(TestApp.class)
class EventsTest {

  private static Meet contest(TestApp app, String name) {
    Meet meet = Meet.strongman(app, name);
    meet.add("Tam Ullock, m, 93\nUlric Vane, m, 93\nWat Yeo, m, 93");
    return meet;
  }

  private static HttpResponse<String> enter(Meet meet, int event, long athlete, Map<String, String> figures) {
    Map<String, String> form = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "seen", ""));
    form.putAll(figures);
    return meet.coach().post(meet.at("/events/" + event + "/" + athlete), form, "HX-Request", "true");
  }

  private static void all(Meet meet, int event, String field, String... figures) {
    long[] athletes = {meet.athlete(), meet.rival("Tam Ullock"), meet.rival("Ulric Vane"), meet.rival("Wat Yeo")};
    for (int nth = 0; nth < athletes.length; nth++) {
      enter(meet, event, athletes[nth], Map.of(field, figures[nth]));
    }
  }

  @Test
  void theTableFollowsEveryEntryAndTiesShareThePoints(TestApp app) {
    Meet meet = contest(app, "Aubrey Fell");
    all(meet, 1, "REPS", "7", "9", "7", "4");
    // four began: 4 points for nine reps, 2.5 each for the two with seven and no time, 1 for four
    String table = meet.coach().get(meet.at("/events?event=1")).body();
    assertThat(table).contains("2.5 points", "4 points", "2=", "4 entered");
    assertThat(meet.coach().get(meet.at("/events")).body()).as("the next event is shown").contains("The shorter time");
  }

  @Test
  void withOneEventLeftItSaysWhatIsNeededToWin(TestApp app) {
    Meet meet = contest(app, "Blaise Corrie");
    all(meet, 1, "REPS", "9", "8", "7", "6");
    for (int nth = 0; nth < 4; nth++) {
      long of = nth == 0 ? meet.athlete() : meet.rival(new String[] {"", "Tam Ullock", "Ulric Vane", "Wat Yeo"}[nth]);
      enter(meet, 2, of, Map.of("FINISHED", "yes", "TIME", new String[] {"15.2", "14.1", "16", "1:01.5"}[nth]));
    }
    // 4 + 3 = 7 and 3 + 4 = 7, 4, 2: equal points and equal places, so whoever is before the other in the last event wins
    String page = meet.coach().get(meet.platform()).body();
    assertThat(page).contains("Event <span>3</span>", "Stone loading", "Win it: first for sure", "2nd, with Tam Ullock 3rd or worse: first",
        "3rd, with Tam Ullock 4th: first");
    assertThat(page).contains("What a place in it means");
  }

  @Test
  void aListOfAthletesThatCannotBeReadStaysTyped(TestApp app) {
    Meet meet = contest(app, "Osgar Tull");
    HttpResponse<String> wrong = meet.add("Nan Ferris, x, 76");
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("Nothing was added yet.", "Line 1: The sex is m or f.", "Nan Ferris, x, 76", "Yoke walk");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"1 | REPS | 7.5 | The reps are whole but were 7.5.", "1 | REPS | 999 | The reps must be from 0 to 200 but were 999.",
      "1 | REPS | many | Write the reps as a number.", "2 | TIME | 4000 | The seconds must be from 0 to 3600 but were 4000.",
      "2 | TIME | 15.123 | The seconds have two decimals at most but were 15.123.", "2 | FINISHED | yes | Who finished has a time"})
  void whatCannotBeIsSaidInItsRowAndStaysTyped(int event, String field, String typed, String sentence, TestApp app) {
    Meet meet = contest(app, "Clem Dow");
    HttpResponse<String> refused = enter(meet, event, meet.athlete(), Map.of(field, typed));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains(sentence);
    assertThat(enter(meet, 9, meet.athlete(), Map.of()).statusCode()).as("there is no such event").isEqualTo(404);
  }

  @Test
  void twoWhoWriteDifferentResultsAreAskedAndAnEntryIsUndone(TestApp app) {
    Meet meet = contest(app, "Denzil Roe");
    enter(meet, 1, meet.athlete(), Map.of("REPS", "7"));
    assertThat(enter(meet, 1, meet.athlete(), Map.of("REPS", "7")).statusCode()).as("the same twice is one").isEqualTo(200);
    HttpResponse<String> other = enter(meet, 1, meet.athlete(), Map.of("REPS", "8"));
    assertThat(other.statusCode()).isEqualTo(409);
    assertThat(other.body()).contains("It stands as 7 reps, by ", "Put mine in its place", "value=\"8\"");
    assertThat(enter(meet, 1, meet.athlete(), Map.of("REPS", "8", "mine", "yes", "over", "REPS=7")).statusCode()).isEqualTo(200);
    assertThat(meet.coach().get(meet.at("/events?event=1")).body()).contains("log clean and press: 8 reps");
    meet.undo("log clean and press: 8 reps");
    assertThat(meet.coach().get(meet.at("/events?event=1")).body()).contains("REPS=7");
    enter(meet, 1, meet.athlete(), Map.of("seen", "REPS=7"));
    assertThat(meet.coach().get(meet.at("/events?event=1")).body()).as("no figures take it out").doesNotContain("value=\"REPS=7\"");
    enter(meet, 1, meet.athlete(), Map.of("none", "yes"));
    assertThat(meet.coach().get(meet.at("/events?event=1")).body()).contains("no result", "value=\"none\"");
  }

  @Test
  void whoWithdrawsKeepsThePointsOrScoresNothingByTheRules(TestApp app) {
    Meet meet = contest(app, "Edric Lowe");
    all(meet, 1, "REPS", "9", "8", "7", "6");
    meet.coach().post(meet.at("/events/" + meet.rival("Tam Ullock") + "/withdraw"), Map.of());
    assertThat(meet.coach().get(meet.at("/events")).body()).contains("withdrawn", "Tam Ullock has withdrawn.");
  }

  @Test
  void pointsByATableOfTheLeague(TestApp app) {
    Meet meet = contest(app, "Fulk Orme");
    all(meet, 1, "REPS", "9", "8", "7", "6");
    String rules = meet.coach().get(meet.at("/rules")).body();
    assertThat(rules).contains("timed 1x60s 100kg", "reps in a time", "the time breaks ties");
    Map<String, String> form = new HashMap<>(RoomTest.USUAL);
    form.putAll(Map.of("version", RoomTest.version(meet), "points", "12 ten", "kind0", "REPS", "kind1", "TIME", "kind2", "SERIES"));
    assertThat(meet.coach().post(meet.at("/rules"), form).body()).contains("Write the points of the first");
    form.put("points", "5 9");
    assertThat(meet.coach().post(meet.at("/rules"), form).body()).contains("Points never rise with the place");
    form.put("points", "10 6.5 3");
    assertThat(meet.coach().post(meet.at("/rules"), form).statusCode()).isEqualTo(302);
    assertThat(meet.coach().get(meet.at("/events?event=1")).body()).contains("10 points", "6.5 points", "3 points", "0 points");
  }

  @Test
  void theBagFollowsTheRules(TestApp app) {
    Meet meet = contest(app, "Ferrers Gill");
    assertThat(meet.coach().get(meet.platform()).body()).contains("In the bag", "tacky", "food and water");
  }

  @Test
  void resultsGoIntoTheLogWithTheirFiguresAndSayNothingOfAMax(TestApp app) {
    Meet meet = contest(app, "Gamel Stott");
    enter(meet, 1, meet.athlete(), Map.of("REPS", "7", "TIME", "52.31"));
    enter(meet, 2, meet.athlete(), Map.of("FINISHED", "yes", "TIME", "14.62"));
    meet.coach().post(meet.at("/log/" + meet.athlete()), Map.of());
    assertThat(meet.someone().within(() -> app.bean(LoggedSetRepository.class).ofAthlete(meet.athlete())))
        .extracting(row -> row.lift() + " " + row.load().text() + " " + row.reps() + " " + row.doneTenths() + " " + row.doneCentimetres() + " "
            + row.observation().is(Trait.PRACTICE))
        .containsExactly("log-press 100 kg 7 523 null true", "yoke-walk 300 kg 1 146 2000 true");
    assertThat(meet.coach().get(meet.at("/summary")).body()).contains("Log clean and press 7 reps, 52.31 s", "Yoke walk 14.62 s, finished", "It is in the log.");
  }
}

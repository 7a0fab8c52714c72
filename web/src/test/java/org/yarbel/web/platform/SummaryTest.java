package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

/** What becomes of a day: the summary, its file, the log and the way back, and what spectators see. */
@ExtendWith(TestApp.class)
class SummaryTest {

  private static Meet lifted(TestApp app, String name) {
    Meet meet = Meet.of(app, name);
    meet.attempt("squat", 1, "190", "good");
    meet.attempt("squat", 2, "200", "good");
    meet.attempt("squat", 3, "207.5", "missed");
    meet.attempt("bench", 1, "120", "good");
    Map<String, String> depth = Meet.entry("bench", 2, "127.5", "");
    meet.send(depth);
    Map<String, String> turned = Meet.lifted("bench", 2, "127.5", "missed");
    turned.put("reason", "PAUSE");
    turned.put("whites", "1");
    meet.send(turned);
    return meet;
  }

  private static LiftNumbers numbers(TestApp app, Meet meet, String lift) {
    return meet.someone().within(() -> app.bean(LiftNumbersRepository.class).findByLifterIdAndLift(meet.someone().id(), lift).orElseThrow());
  }

  private static List<LoggedSetRow> rows(TestApp app, Meet meet) {
    return meet.someone().within(() -> app.bean(LoggedSetRepository.class).ofAthlete(meet.athlete()));
  }

  @Test
  void theDayGoesIntoTheLogOnceAndOutAgainWithTheMaxesAsTheyWere(TestApp app) {
    Meet meet = lifted(app, "Gervase Holt");
    double[] before = numbers(app, meet, "squat").standing().orElseThrow().numbers();
    String summary = meet.coach().get(meet.at("/summary")).body();
    assertThat(summary).contains("the best ever, the first on record", "2: pause on the chest", "the next odds go by", "Into the log", "No contest follows yet");
    meet.coach().post(meet.at("/log/" + meet.athlete()), Map.of());
    meet.coach().post(meet.at("/log/" + meet.athlete()), Map.of());
    List<LoggedSetRow> rows = rows(app, meet);
    assertThat(rows).as("once, however often it is pressed").hasSize(5);
    assertThat(rows.get(1).observation().is(Trait.NEXT_MISSED)).isTrue();
    assertThat(rows.get(1).observation().is(Trait.CONTEST)).isTrue();
    assertThat(rows.get(0).observation().is(Trait.NEXT_MISSED)).isFalse();
    assertThat(rows.get(2).reps()).isZero();
    assertThat(rows.get(4).observation().is(Trait.PRACTICE)).as("turned down for form, it says nothing of strength").isTrue();
    assertThat(rows.get(3).observation().is(Trait.NEXT_MISSED)).as("and its loss says nothing of the one before").isFalse();
    LiftNumbers squat = numbers(app, meet, "squat");
    assertThat(squat.tested()).isEqualTo(Mass.of("200", MassUnit.KG));
    assertThat(squat.testedOn()).isEqualTo(TestApp.TODAY);
    assertThat(squat.testedWhere()).isEqualTo("Gervase Holt Open, classic");
    assertThat(squat.testedForTracking()).as("its sets stand in the log, and count once").isNull();
    assertThat(numbers(app, meet, "bench").testedWhere()).as("not taken to the limit").isEmpty();
    assertThat(meet.send(Meet.entry("deadlift", 1, "200", "")).body()).contains("The day is in the log already");
    assertThat(meet.coach().get("/lifters/" + meet.someone().id() + "/ledger?lift=squat").body()).contains("207.5");
    assertThat(meet.coach().post(meet.at("/log/" + meet.athlete() + "/back"), Map.of()).statusCode()).isEqualTo(302);
    assertThat(rows(app, meet)).isEmpty();
    assertThat(numbers(app, meet, "squat").standing().orElseThrow().numbers()).containsExactly(before);
    assertThat(numbers(app, meet, "squat").tested()).isEqualTo(Mass.of("200", MassUnit.KG));
    assertThat(numbers(app, meet, "squat").testedWhere()).isEmpty();
  }

  @Test
  void aMaxTestedOnAPlatformStaysOneWhenTheLiftersPageIsSavedAsItWas(TestApp app) {
    Meet meet = lifted(app, "Florian Mabb");
    meet.coach().post(meet.at("/log/" + meet.athlete()), Map.of());
    LiftNumbers squat = numbers(app, meet, "squat");
    squat.test(Mass.of("200", MassUnit.KG), TestApp.TODAY);
    assertThat(squat.testedAs()).as("only sent back").isEqualTo(new LiftNumbers.Tested(Mass.of("200", MassUnit.KG), TestApp.TODAY, true,
        "Florian Mabb Open, classic"));
    squat.test(Mass.of("202.5", MassUnit.KG), TestApp.TODAY);
    assertThat(squat.testedAs()).as("somebody tested anew").isEqualTo(new LiftNumbers.Tested(Mass.of("202.5", MassUnit.KG), TestApp.TODAY, false, ""));
  }

  @Test
  void takingASecondContestBackLeavesTheFirstAsItWas(TestApp app) {
    Meet first = lifted(app, "Godric Nash");
    first.coach().post(first.at("/log/" + first.athlete()), Map.of());
    LiftNumbers.Tested after = numbers(app, first, "squat").testedAs();
    Meet second = first.another(app, "Second Open", TestApp.TODAY);
    second.attempt("squat", 1, "202.5", "good");
    second.attempt("squat", 2, "210", "missed");
    second.coach().post(second.at("/log/" + second.athlete()), Map.of());
    assertThat(numbers(app, first, "squat").testedWhere()).isEqualTo("Second Open, classic");
    second.coach().post(second.at("/log/" + second.athlete() + "/back"), Map.of());
    assertThat(numbers(app, first, "squat").testedAs()).isEqualTo(after);
  }

  @Test
  void aContestToComeDoesNotGoIntoTheLog(TestApp app) {
    Meet meet = Meet.of(app, "Hew Ibbot", TestApp.TODAY.plusDays(9), Map.of());
    meet.attempt("squat", 1, "190", "good");
    meet.coach().post(meet.at("/log/" + meet.athlete()), Map.of());
    assertThat(rows(app, meet)).isEmpty();
  }

  @Test
  void pastContestsTeachTheRatioOfContestToGym(TestApp app) {
    Meet first = lifted(app, "Ingram Jory");
    first.coach().post(first.at("/log/" + first.athlete()), Map.of());
    Meet other = first.another(app, "Second Open", TestApp.TODAY.plusDays(1));
    assertThat(other.coach().get(other.platform()).body()).contains("learned from 1 contest").containsPattern("platform: 99 ± [12] % of the gym");
    assertThat(other.coach().get(other.platform() + "?lift=deadlift").body()).as("nothing was lifted of it").contains("no contest to learn from yet");
  }

  @Test
  void aMockContestSaysWhatItMakesOfTheRatingsOfTheWeeksBefore(TestApp app) {
    LocalDate on = TestApp.TODAY.minusDays(2);
    Meet meet = Meet.of(app, "Lambert Oke");
    app.jdbc().sql("update contest set day = :day where id = :id").param("day", on).param("id", meet.contest()).update();
    meet.someone().within(() -> {
      LiftNumbers own = numbers(app, meet, "squat");
      own.test(Mass.of("200", MassUnit.KG), on.minusDays(30));
      return app.bean(LiftNumbersRepository.class).saveAndFlush(own);
    });
    trains(app, meet, on.minusDays(4));
    Map<String, String> mock = new HashMap<>(RoomTest.USUAL);
    mock.putAll(Map.of("version", RoomTest.version(meet), "mock", "yes", "free", "5"));
    meet.coach().post(meet.at("/rules"), mock);
    meet.attempt("squat", 1, "190", "good");
    meet.attempt("squat", 2, "205", "good");
    meet.attempt("squat", 3, "215", "missed");
    String summary = meet.coach().get(meet.at("/summary")).body();
    // 170 kg for three is 82.9 % of 205 kg: by the chart four were left, where the lifter said two
    assertThat(summary).contains("by a max of 205 kg the ratings of the last four weeks said", "too few were left, by 1 set", "once this is in the log")
        .doesNotContain("what it would be with this day");
    String now = then(summary);
    assertThat(then(meet.coach().get(meet.at("/summary?ratings=true")).body())).isEqualTo(now);
    meet.someone().within(() -> {
      LiftNumbers own = numbers(app, meet, "squat");
      List<Observation> attempts = IntoLog.observations(app.bean(ContestDays.class).day(meet.contest())
          .liftDay(app.bean(ContestDays.class).day(meet.contest()).athlete(meet.athlete()), "squat"), on);
      Tracking tracking = app.bean(Tracking.class);
      assertThat(tracking.with(meet.someone().lifter(), own, attempts).orElseThrow().numbers()).as("going on from where it stood is as all of it run again")
          .containsExactly(tracking.withAll(meet.someone().lifter(), own, attempts).numbers());
      return 0;
    });
    trains(app, meet, TestApp.TODAY.minusDays(1));
    assertThat(meet.coach().get(meet.at("/summary")).body()).as("the log goes on after it").contains("what it would be with this day in the log")
        .doesNotContain("once this is in the log");
    assertThat(meet.coach().get(meet.at("/summary?ratings=true")).body()).contains("once this is in the log");
    assertThat(meet.coach().get(meet.at("/summary?ratings=perhaps")).statusCode()).isEqualTo(404);
  }

  private static void trains(TestApp app, Meet meet, LocalDate day) {
    meet.someone().add(day, "MAIN", "squat", "3x3 170kg");
    meet.someone().lift(day, "squat", Rpe.of(8), 3);
    meet.someone().within(() -> {
      app.bean(Tracking.class).rerun(meet.someone().lifter(), "squat");
      return 0;
    });
  }

  private static String then(String summary) {
    return summary.replaceFirst("(?s).* now, and (.*?) once this is in the log.*", "$1");
  }

  @Test
  void theFileHasEveryAttemptAndWhatASpreadsheetWouldWorkOutIsText(TestApp app) {
    Meet meet = lifted(app, "Jonas Kell");
    meet.add("=1+1, m, 93, 92.5, A, 7");
    meet.attempt(meet.rival("=1+1"), "squat", 1, "150", "good");
    String csv = meet.coach().get(meet.at("/summary.csv")).body();
    assertThat(csv).startsWith("name,sex,class,body mass,flight,lot,expected total,lift,attempt,load,result,whites,reason,looked\r\n")
        .contains("Bench press,2,127.5,no lift,1,pause on the chest,", "'=1+1,m,93,92.50,A,7,,Squat,1,150,good,,,");
    assertThat(csv.lines()).hasSize(7);
  }

  @Test
  void spectatorsSeeWhatTheLiftersAllowAndNothingWithoutTheLink(TestApp app) {
    Meet meet = lifted(app, "Kester Lunn");
    meet.add("Madoc Nairn, m, 93, 92.5, A, 7");
    meet.attempt(meet.rival("Madoc Nairn"), "squat", 1, "150", "good");
    Client anybody = Client.at(app.url(""));
    assertThat(meet.coach().get(meet.at("/summary")).body()).contains("Without a link nobody sees anything");
    String page = follow(meet, "/spectators");
    String path = page.replaceFirst("(?s).*<code>[^<]*(/c/[\\w-]{43})</code>.*", "$1");
    assertThat(path).startsWith("/c/");
    String seen = anybody.get(path).body();
    assertThat(seen).contains("rival 1", "150").doesNotContain("row\">Kester", "Madoc", "207.5");
    app.jdbc().sql("update lifter set shows_results = true where id = :id").param("id", meet.someone().id()).update();
    assertThat(anybody.get(path).body()).contains("one of the club", "207.5").doesNotContain("row\">Kester");
    app.jdbc().sql("update lifter set shows_name = true where id = :id").param("id", meet.someone().id()).update();
    assertThat(anybody.get(path).body()).contains("row\">Kester Lunn");
    assertThat(anybody.get(path).headers().firstValue("Cache-Control")).contains("no-store");
    String newest = anybody.get(path).body().replaceFirst("(?s).*seen=(\\d+).*", "$1");
    assertThat(anybody.get(path + "?seen=" + newest).statusCode()).as("nothing new").isEqualTo(204);
    meet.attempt("deadlift", 1, "240", "good");
    assertThat(anybody.get(path + "?seen=" + newest).body()).contains("row\">Kester Lunn", "240").doesNotContain("<html", "Madoc");
    assertThat(anybody.get("/c/" + "x".repeat(43)).statusCode()).isEqualTo(404);
    assertThat(anybody.get("/c/" + "x".repeat(43) + "?seen=" + newest).statusCode()).isEqualTo(404);
    assertThat(anybody.get("/c/short").statusCode()).isEqualTo(404);
    String again = follow(meet, "/spectators").replaceFirst("(?s).*<code>[^<]*(/c/[\\w-]{43})</code>.*", "$1");
    assertThat(anybody.get(path).statusCode()).as("another link in its place").isEqualTo(404);
    assertThat(anybody.get(path + "?seen=0").statusCode()).isEqualTo(404);
    assertThat(anybody.get(again).statusCode()).isEqualTo(200);
    meet.coach().post(meet.at("/spectators/close"), Map.of());
    assertThat(anybody.get(again).statusCode()).isEqualTo(404);
  }

  private static String follow(Meet meet, String path) {
    meet.coach().post(meet.at(path), Map.of());
    return meet.coach().get(meet.at("/summary")).body();
  }
}

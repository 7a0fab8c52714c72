package org.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.SqlMeter;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class QueryCountTest {
  @Test
  void theFloorAsksAsManyQueriesForOneLifterAsForAll(TestApp app) {
    Client coach = Client.of(app, "coach");
    assertThat(statements(() -> coach.get("/?find=a"))).as("as many found").isEqualTo(statements(() -> coach.get("/?find=maren")))
        .isLessThanOrEqualTo(15);
    assertThat(statements(() -> coach.get("/"))).as("with the contests that come").isLessThanOrEqualTo(22);
  }

  @Test
  void aWeekAsksAFewQueriesHoweverManyLinesItHas(TestApp app) {
    Client coach = Client.of(app, "coach");
    long maren = app.lifter("Maren");
    long full = statements(() -> coach.get("/lifters/" + maren + "/week"));
    long empty = statements(() -> coach.get("/lifters/" + maren + "/week?of=2031-01-01"));
    assertThat(full).isLessThanOrEqualTo(empty + 3).isLessThanOrEqualTo(23);
  }

  @Test
  void aCardAndALiftersPageAskAFewQueriesToo(TestApp app) {
    Client coach = Client.of(app, "coach");
    long session = app.session("Odile", TestApp.TODAY.minusDays(1));
    coach.card(session);
    assertThat(statements(() -> coach.get("/sessions/" + session + "/card"))).isLessThanOrEqualTo(9);
    assertThat(statements(() -> coach.get("/lifters/" + app.lifter("Odile")))).isLessThanOrEqualTo(16);
    assertThat(statements(() -> coach.get("/kit/" + app.hall()))).isLessThanOrEqualTo(10);
  }

  @Test
  void theRunwayAsksAFewQueriesHoweverLongThePlanIs(TestApp app) {
    Client coach = Client.of(app, "coach");
    long emeric = app.lifter("Emeric");
    coach.get("/lifters/" + emeric + "/runway");
    assertThat(statements(() -> coach.get("/lifters/" + emeric + "/runway"))).isLessThanOrEqualTo(30);
    assertThat(statements(() -> coach.get("/contests"))).isLessThanOrEqualTo(12);
  }

  /** Whoever sends them; beside what tells who asks: their session, read and kept, and whether the sign-in still stands. */
  @Test
  void aPageSendsThirteenStatementsAtTheMost(TestApp app) {
    Client coach = Client.of(app, "coach");
    long session = app.session("Odile", TestApp.TODAY.minusDays(1));
    coach.card(session);
    Map<String, String> pages = Map.of("Floor", "/", "Week board", "/lifters/" + app.lifter("Maren") + "/week", "Card",
        "/sessions/" + session + "/card",
        "Runway", "/lifters/" + app.lifter("Emeric") + "/runway", "Ledger", "/lifters/" + app.lifter("Odile") + "/ledger?lift=squat");
    pages.forEach((page, path) -> {
      coach.get(path);
      List<String> sent = SqlMeter.of(() -> coach.get(path)).stream().map(SqlMeter.Sent::sql)
          .filter(sql -> !sql.contains("SPRING_SESSION") && !sql.contains("sign_in")).toList();
      assertThat(sent).as(page).isNotEmpty().hasSizeLessThanOrEqualTo(13);
    });
  }

  /** Four days of three lines, each with its "Why?"; what is said beside a line comes when the line is opened,
      and the page travels packed. */
  @Test
  void theBoardOfAFullWeekIsSmall(TestApp app) throws IOException {
    Someone full = Someone.called(app, "Full Week", Map.of("squat", "200", "bench", "130", "deadlift", "240"));
    for (int day : new int[] {0, 2, 4, 5}) {
      full.add(TestApp.TODAY.plusDays(day), "MAIN", List.of("squat", "bench", "deadlift").get(day % 3), "1x1 @8; 4x4 -15%");
      full.add(TestApp.TODAY.plusDays(day), "SECOND", "front-squat", "4x5 60% of squat");
      full.add(TestApp.TODAY.plusDays(day), "ASSISTANCE", "row", "4x8 60kg");
    }
    String plain = full.coach().get(full.at("/week")).body();
    assertThat(plain.split("<form class=\"slot", -1)).as("lines").hasSize(13);
    assertThat(plain.length()).isLessThan(56_000);
    HttpResponse<byte[]> packed = full.coach().packed(full.at("/week"));
    assertThat(packed.body().length).isBetween(4_000, 10_000);
    String unpacked = new String(new GZIPInputStream(new ByteArrayInputStream(packed.body())).readAllBytes(), StandardCharsets.UTF_8);
    assertThat(unpacked).contains("Full Week").hasSameSizeAs(plain);
  }

  private static long statements(Runnable work) {
    return SqlMeter.of(work).stream().filter(sent -> !sent.sql().contains("SPRING_SESSION") && !sent.sql().contains("sign_in")).count();
  }
}

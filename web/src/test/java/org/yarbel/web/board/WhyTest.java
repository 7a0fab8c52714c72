package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Why the loads are what they are, wherever they stand. */
@ExtendWith(TestApp.class)
class WhyTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 9);

  private static Someone planned(TestApp app, String name) {
    Someone lifter = Someone.called(app, name, Map.of("squat", "200", "bench", "130"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 75%");
    lifter.add(MONDAY.plusDays(2), "SECOND", "front-squat", "4x5 60% of squat");
    lifter.add(MONDAY.plusDays(2), "MAIN", "bench", "5x5 70%");
    return lifter;
  }

  @Test
  void aWeekHasEachLineOfTheLiftAndItsVariations(TestApp app) {
    Someone lifter = planned(app, "Why Ekwall");
    String page = lifter.coach().get(lifter.at("/why?week=2026-03-11&lift=squat")).body();
    assertThat(page).contains("Squat, the week of Mon 9 Mar", "Mon 9 Mar: Squat 3x5 75%", "Wed 11 Mar: Front squat 4x5 60% of squat",
        "75 % of", "60 % of").doesNotContain("5x5 70%");
    assertThat(lifter.coach().get(lifter.at("/why?week=2031-01-01&lift=squat")).body()).contains("Nothing planned");
  }

  @Test
  void whatIsNotThereIsNotFound(TestApp app) {
    Someone lifter = planned(app, "Why Nobody");
    assertThat(lifter.coach().get(lifter.at("/why?week=2026-03-11&lift=no-such")).statusCode()).isEqualTo(404);
    assertThat(lifter.coach().get(lifter.at("/why?week=tomorrow&lift=squat")).statusCode()).isEqualTo(404);
    assertThat(lifter.coach().get("/lifters/999999/why?week=2026-03-11&lift=squat").statusCode()).isEqualTo(404);
    assertThat(lifter.coach().get("/slots/999999/why").statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "tamsin").get(lifter.at("/why?week=2026-03-11&lift=squat")).statusCode()).isEqualTo(403);
  }

  @Test
  void onTheBoardItOpensBesideTheLine(TestApp app, Browser browser) {
    Someone lifter = planned(app, "Why Board");
    browser.signIn("coach").desk().open(lifter.at("/week?of=" + MONDAY));
    browser.press(".why-this summary");
    browser.awaitText(".why-this .why-lines", "75 % of");
    browser.awaitText(".why-this .why-lines", "What moved the loads");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }
}

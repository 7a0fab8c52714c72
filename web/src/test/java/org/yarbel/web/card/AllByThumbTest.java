package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

/** A thumb, a phone and no signal: all that can be said is said, kept, sent once and seen by the coach. */
@ExtendWith(TestApp.class)
class AllByThumbTest {
  private static final String OPEN = ".panel:not([hidden]) ";

  /** A day of Tamsin's that no other test touches. */
  private static long session(TestApp app, int weeksBack, String work) {
    LocalDate day = TestApp.TODAY.minusWeeks(weeksBack).plusDays(3);
    Client.of(app, "coach").post("/lifters/" + app.lifter("Tamsin") + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work",
        work), "HX-Request", "true");
    return app.session("Tamsin", day);
  }

  /** Opens a card by the phone and leaves the check-in out. */
  private static void withoutCheckIn(Browser browser, long session) {
    browser.signIn("tamsin").phone().card(session);
    browser.press("#part-check-in button[name=leave]");
    browser.await("#part-check-in:not([open])");
  }

  private static void type(Browser browser, String css, String text) {
    WebElement field = browser.await(css);
    field.clear();
    field.sendKeys(text);
  }

  private static void chip(Browser browser, String name, String value) {
    browser.press(OPEN + "input[name='" + name + "'][value='" + value + "'] + span");
  }

  @Test
  void everythingIsSaidWithoutSignalAndSentOnce(TestApp app, Browser browser) {
    long session = session(app, 61, "3x5 70%");
    browser.signIn("tamsin").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    browser.offline(true);
    try {
      type(browser, "#in-sleep", "5");
      browser.press("#part-check-in input[name=energy][value='2'] + span");
      browser.press(".hurts-where summary");
      new Select(browser.await("select[name='place.1']")).selectByVisibleText("knee");
      new Select(browser.find("select[name='score.1']")).selectByVisibleText("6");
      browser.press("#part-check-in button[type=submit]:not([name])");
      browser.awaitText("#queue-note", "1 entry is kept");
      browser.awaitText(OPEN + ".brief", "short sleep · pain");
      browser.press(OPEN + ".more-said summary");
      chip(browser, "ctx", "PAIN");
      chip(browser, "mark", "KNEES_IN");
      type(browser, OPEN + "input[name='rep.KNEES_IN']", "4");
      type(browser, OPEN + "input[name=speeds]", "0,5 0.48");
      browser.awaitText(OPEN + ".brief", "short sleep · knees in · 0,5 0.48 m/s");
      browser.press(OPEN + "input[name=rpe][value='8'] + span");
      browser.press(OPEN + "button[value=done]");
      browser.awaitText(OPEN + "h2", "set 2 of 3");
      browser.awaitText(OPEN + ".brief", "short sleep · pain");
      browser.press(OPEN + "button[value=done]");
      browser.awaitText(OPEN + "h2", "set 3 of 3");
      browser.press("#part-extra summary");
      type(browser, "#part-extra input[name=lift]", "Barbell row");
      type(browser, "#part-extra input[name=load]", "60");
      type(browser, "#part-extra input[name=reps]", "10");
      browser.press("#part-extra .btn-main");
      browser.awaitText("#queue-note", "4 entries are kept");
      assertThat(browser.find("#part-extra input[name=load]").getDomProperty("value")).as("ready for the next").isEmpty();
      browser.awaitText("#part-extra .kept-here", "Barbell row 60 × 10, kept on this phone");
      type(browser, "#say-words", "Knee felt fine after the second.");
      browser.press("#part-say .btn");
      browser.awaitText("#queue-note", "5 entries are kept");
      type(browser, "#say-words", "And the row was easy.");
      browser.press("#part-say .btn");
      browser.awaitText("#queue-note", "6 entries are kept");
      browser.awaitText("#part-say .kept-here", "“And the row was easy.”, kept on this phone");
      browser.press("#part-end summary");
      browser.awaitText("#part-end legend", "Squat: 1 of 3 sets not tried");
      browser.press("#part-end input[name=effort][value='7'] + span");
      browser.press("#part-end .btn-go");
      browser.awaitText("#queue-note", "7 entries are kept");
      browser.awaitText("#part-end .brief", "kept on this phone");
      assertThat(inSight(browser, "#part-end")).as("who ends it is told there").isTrue();
      browser.awaitGone("#rest");
    } finally {
      browser.offline(false);
    }
    browser.awaitText("#part-end .brief", "7 of 10, very hard");
    browser.awaitText("#part-say", "And the row was easy.");
    browser.awaitText(".finished", "The session is ended.");
    assertThat(inSight(browser, ".finished")).isTrue();
    browser.awaitText(".overview", "2 of 3 sets logged");
    assertThat(browser.all(".kept-here")).isEmpty();
    browser.press("#part-clips summary");
    browser.awaitText("#part-clips .clip-list", "No clips yet");
    assertThat(browser.complaints()).isEmpty();
    assertThat(app.jdbc().sql("select contexts || ' ' || coalesce(speeds::text, '-') || ' ' || extra from logged_set where session_id = :s order by "
        + "logged_at, id").param("s", session).query(String.class).list()).containsExactly("SHORT_SLEEP {500,480} false", "SHORT_SLEEP,PAIN - false",
            "SHORT_SLEEP - true");
    assertThat(app.jdbc().sql("select what || ' ' || rep from set_mark where session_id = :s").param("s", session).query(String.class).list())
        .containsExactly("KNEES_IN 4");
    String seen = Client.of(app, "coach").get("/sessions/" + session + "/card").body();
    assertThat(seen).contains("slept 5 h, energy 2 of 5; knee 6 of 10", "Knee felt fine after the second.", "And the row was easy.",
        "7 of 10, very hard", "60 kg × 10", "short sleep · knees in, rep 4 · 0.50 0.48 m/s");
  }

  private static boolean inSight(Browser browser, String css) {
    return (Boolean) browser.driver().executeScript("const box = document.querySelector(arguments[0]).getBoundingClientRect();"
        + "return box.bottom > 0 && box.top < innerHeight", css);
  }

  @Test
  void aMadeSetAsPlannedStaysTwoTaps(TestApp app, Browser browser) {
    long session = session(app, 62, "2x5 75%");
    withoutCheckIn(browser, session);
    browser.press(OPEN + "input[name=rpe][value='7'] + span");
    browser.press(OPEN + "button[value=done]");
    browser.awaitText(OPEN + "h2", "set 2 of 2");
    assertThat(app.jdbc().sql("select reps || contexts || coalesce(gear, '-') from logged_set where session_id = :s").param("s", session)
        .query(String.class).list()).containsExactly("5-");
    assertThat(browser.axe()).isEmpty();
    browser.press(OPEN + ".more-said summary");
    assertThat(browser.axe()).isEmpty();
  }

  @Test
  void aBeltThatStaysOffSaysSoByItself(TestApp app, Browser browser) {
    long session = session(app, 65, "2x5 75%");
    withoutCheckIn(browser, session);
    browser.press(OPEN + ".more-said summary");
    chip(browser, "gear", "BELT");
    browser.awaitText(OPEN + ".brief", "no belt");
    chip(browser, "gear", "BELT");
    assertThat(browser.find(OPEN + ".brief").getText()).isEmpty();
    chip(browser, "gear", "BELT");
    browser.press(OPEN + "button[value=done]");
    browser.awaitText(OPEN + "h2", "set 2 of 2");
    assertThat(app.jdbc().sql("select contexts from logged_set where session_id = :s").param("s", session).query(String.class).list())
        .containsExactly("NO_BELT");
  }

  /** What was refused long after goes back into its form with every field, and is sent again. */
  @Test
  void whatWasSaidAndRefusedGoesBackIntoItsForm(TestApp app, Browser browser) {
    long session = session(app, 63, "2x5 70%");
    browser.signIn("tamsin").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    browser.offline(true);
    try {
      type(browser, "#in-body", "9");
      type(browser, "#in-sleep", "8");
      browser.press("#part-check-in button[type=submit]:not([name])");
      browser.awaitText("#queue-note", "1 entry is kept");
    } finally {
      browser.gone(true);
    }
    browser.offline(false);
    browser.gone(false);
    browser.open("/me");
    browser.awaitText("#queue-refused", "Not taken: the check-in. The body mass must be from 20 to 300 kg");
    browser.press("#queue-refused a");
    browser.await("#part-check-in[open]");
    assertThat(browser.await("#in-body").getDomProperty("value")).isEqualTo("9");
    assertThat(browser.find("#in-sleep").getDomProperty("value")).isEqualTo("8");
    type(browser, "#in-body", "81");
    browser.press("#part-check-in button[type=submit]:not([name])");
    browser.awaitText("#part-check-in .brief", "slept 8 h");
    assertThat(browser.all("#queue-refused li")).isEmpty();
  }

  /** The server's own answer to who wrote at the same moment, SQLSTATE 40001 (PostgreSQL 17 documentation, appendix A), by a trigger. */
  private static void losing(TestApp app, String table, Runnable meanwhile) {
    JdbcClient owner = JdbcClient.create(app.owner());
    owner.sql("create or replace function lost() returns trigger language plpgsql as $$ begin raise exception 'lost' using errcode = "
        + "'40001'; end $$").update();
    owner.sql("create trigger lost before insert on " + table + " for each row execute function lost()").update();
    try {
      meanwhile.run();
    } finally {
      owner.sql("drop trigger lost on " + table).update();
    }
  }

  @Test
  void whatLostAgainstSomebodyElseIsSentOnceMoreByItself(TestApp app, Browser browser) {
    long session = session(app, 67, "2x5 70%");
    browser.signIn("tamsin").phone().card(session);
    type(browser, "#in-sleep", "6");
    losing(app, "checked_in", () -> {
      browser.press("#part-check-in button[type=submit]:not([name])");
      browser.awaitText("#queue-note", "Somebody else wrote at the same moment. 1 entry is kept on this phone and will be sent by itself.");
    });
    browser.awaitText("#part-check-in .brief", "slept 6 h");
    assertThat(browser.all("#queue-refused li")).isEmpty();
  }

  @Test
  void aCardThatCouldNotBeTakenIsTakenAMomentLater(TestApp app, Browser browser) {
    long session = session(app, 68, "2x5 70%");
    browser.signIn("tamsin").phone();
    losing(app, "card_issue", () -> {
      browser.open("/sessions/" + session + "/card");
      new WebDriverWait(browser.driver(), Duration.ofSeconds(20)).until(driver -> driver.manage().logs().get("browser").getAll().stream()
          .anyMatch(entry -> entry.getMessage().contains("/issue") && entry.getMessage().contains("status of 409")));
    });
    browser.await("#card:not([data-take])");
    assertThat(browser.text(".card-head")).contains("card 1");
  }

  @Test
  void markRepsThatWereNeverTriedAreToldInTheSet(TestApp app, Browser browser) {
    long session = session(app, 64, "2x5 70%");
    withoutCheckIn(browser, session);
    browser.press(OPEN + ".more-said summary");
    chip(browser, "mark", "DEPTH");
    type(browser, OPEN + "input[name='rep.DEPTH']", "9");
    chip(browser, "ctx", "ILL");
    browser.press(OPEN + "button[value=done]");
    browser.awaitText(OPEN + ".field-error", "The mark 'depth' is on rep 9, but 5 were tried.");
    List<WebElement> ticked = browser.all(OPEN + "input[name=ctx]:checked");
    assertThat(ticked).extracting(one -> one.getDomAttribute("value")).containsExactly("ILL");
    type(browser, OPEN + "input[name='rep.DEPTH']", "5");
    browser.press(OPEN + "button[value=done]");
    browser.awaitText(OPEN + "h2", "set 2 of 2");
    browser.press(".overview li a");
    browser.awaitText(OPEN + ".done-words", "ill · depth, rep 5");
    assertThat(browser.driver().findElements(By.cssSelector(OPEN + "input[name=mark]:checked"))).hasSize(1);
  }

  /** A coach's own word on a set is chosen beside what the lifter may say, and disturbs none of it. */
  @Test
  void aSecondOpinionIsSaidByHand(TestApp app, Browser browser) {
    long session = session(app, 71, "2x5 75%");
    browser.signIn("coach").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    browser.press(OPEN + "input[name=rpe][value='7'] + span");
    browser.press(OPEN + "button[value=done]");
    browser.awaitText("#sets-done", "1");
    browser.press(".overview li.is-done a");
    browser.press(OPEN + "details.opinion > summary");
    browser.await(OPEN + "select[name=opinion]").sendKeys("9.5");
    browser.find(OPEN + "select[name=from]").sendKeys("saw it");
    browser.press(OPEN + "details.opinion button");
    browser.awaitText(OPEN + ".opinion-said", "rated 7, looked like 9.5");
    assertThat(browser.complaints()).isEmpty();
  }
}

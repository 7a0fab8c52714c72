package org.yarbel.web.now;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.SqlMeter;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class NowTest {
  private static long training(TestApp app, String name, String work) {
    Someone lifter = Someone.called(app, name, Map.of("squat", "200"));
    lifter.add(TestApp.TODAY, "MAIN", "squat", work);
    return app.session(name, TestApp.TODAY);
  }

  private static List<String> logged(TestApp app, long session) {
    return app.jdbc().sql("select load_ng / 1000000000000 || '×' || reps || coalesce(' @' || rpe_halves / 2, '') from logged_set where session_id = :s "
        + "order by set_number").param("s", session).query(String.class).list();
  }

  @Test
  void aRowALifterWithTheSetThatComes(TestApp app) {
    long begun = training(app, "Nola Reed", "1x1 @8; 4x4 -15%");
    training(app, "Otto Lund", "3x5 75%");
    Client coach = Client.of(app, "coach");
    coach.post("/sessions/" + begun + "/issue", Map.of(), "HX-Request", "true");
    String page = coach.get("/now").body();
    assertThat(page).containsPattern("(?s)Nola Reed.*Squat, top single.*Otto Lund.*Begin");
    assertThat(page).containsPattern("id=\"now-" + begun + "\"");
    List<String> sent = SqlMeter.of(() -> coach.get("/now")).stream().map(SqlMeter.Sent::sql)
        .filter(sql -> !sql.contains("SPRING_SESSION") && !sql.contains("sign_in")).toList();
    assertThat(sent).as("however many train").isNotEmpty().hasSizeLessThanOrEqualTo(12);
    assertThat(Client.of(app, "maren").get("/now").statusCode()).as("a lifter has their own card").isEqualTo(403);
  }

  @Test
  void whoLiftsAnotherDaysSessionTodayTrainsNow(TestApp app) {
    Someone lifter = Someone.called(app, "Late Ruan", Map.of("squat", "200"));
    lifter.add(TestApp.TODAY.minusDays(2), "MAIN", "squat", "3x5 75%");
    long session = app.session("Late Ruan", TestApp.TODAY.minusDays(2));
    assertThat(lifter.coach().get("/now").body()).doesNotContain("Late Ruan");
    lifter.post("/sessions/" + session + "/lifted", Map.of("on", TestApp.TODAY.toString()));
    assertThat(lifter.coach().get("/now").body()).contains("Late Ruan");
  }

  /** Several at once, by keys alone: typed, Enter, and on to the next. */
  @Test
  void keysWriteDownOneAfterTheOther(TestApp app, Browser browser) {
    long one = training(app, "Aaa First", "3x5 75%");
    long two = training(app, "Aab Second", "3x5 75%");
    browser.signIn("coach").desk().open("/now");
    for (long session : List.of(one, two)) {
      browser.press("#now-" + session + " .now-begin button");
      browser.await("#now-" + session + " input[name=load]");
    }
    WebElement load = browser.find("#now-" + one + " input[name=load]");
    load.sendKeys(Keys.chord(Keys.CONTROL, "a"), "152.5");
    load.sendKeys(Keys.ARROW_DOWN);
    assertThat(browser.driver().switchTo().activeElement().getDomAttribute("name")).isEqualTo("load");
    browser.driver().switchTo().activeElement().sendKeys(Keys.ARROW_UP);
    new Select(browser.find("#now-" + one + " select")).selectByVisibleText("7");
    browser.find("#now-" + one + " input[name=load]").sendKeys(Keys.ENTER);
    browser.awaitText("#now-" + one + " .now-what", "set 2 of 3");
    browser.press("#now-" + two + " button[value=missed]");
    browser.awaitText("#now-" + two + " .now-last", "no rep made");
    assertThat(logged(app, one)).containsExactly("152×5 @7");
    assertThat(logged(app, two)).containsExactly("150×0");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  /** Whoever presses twice out of impatience presses nothing that writes. */
  @Test
  void whereBeginWasComesNoButton(TestApp app, Browser browser) {
    long session = training(app, "Aae Fifth", "3x5 75%");
    browser.signIn("coach").desk().open("/now");
    Rectangle begin = browser.await("#now-" + session + " .now-begin button").getRect();
    new Actions(browser.driver()).doubleClick(browser.find("#now-" + session + " .now-begin button")).perform();
    Rectangle load = browser.await("#now-" + session + " input[name=load]").getRect();
    assertThat(load.getX()).isLessThan(begin.getX() + begin.getWidth() / 2);
    assertThat(browser.find("#now-" + session + " button").getRect().getX()).isGreaterThan(begin.getX() + begin.getWidth());
    assertThat(logged(app, session)).isEmpty();
  }

  @Test
  void aDoubtIsAskedAndAnsweredInTheRow(TestApp app, Browser browser) {
    long session = training(app, "Aac Third", "3x5 75%");
    browser.signIn("coach").desk().open("/now");
    browser.press("#now-" + session + " .now-begin button");
    browser.await("#now-" + session + " input[name=load]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "330", Keys.ENTER);
    browser.awaitText("#now-" + session + " .now-said", "?");
    assertThat(logged(app, session)).isEmpty();
    browser.press("#now-" + session + " .now-ask[name=sure]");
    browser.awaitText("#now-" + session + " .now-what", "set 2 of 3");
    assertThat(logged(app, session)).containsExactly("330×5");
    browser.find("#now-" + session + " input[name=load]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "heavy", Keys.ENTER);
    browser.awaitText("#now-" + session + " .now-said", "Write the load as a number");
  }

  /** Two coaches at one lifter: what the other wrote stands, and what was typed is told. */
  @Test
  void twoCoachesWriteOneSetOnce(TestApp app, Browser browser) {
    long session = training(app, "Aad Fourth", "3x5 75%");
    browser.signIn("coach").desk().open("/now");
    browser.press("#now-" + session + " .now-begin button");
    WebElement load = browser.await("#now-" + session + " input[name=load]");
    load.sendKeys(Keys.chord(Keys.CONTROL, "a"), "160");
    Client other = Client.of(app, "coach");
    String line = app.jdbc().sql("select ref::text from slot where session_id = :s").param("s", session).query(String.class).single();
    other.post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set", "1",
        "issue", "1", "seen", "-1", "load", "150", "reps", "5", "outcome", "done"), "HX-Request", "true");
    load.sendKeys(Keys.ENTER);
    browser.awaitText("#now-" + session + " .now-said", "Meanwhile this set was logged as 150 kg × 5.");
    assertThat(logged(app, session)).containsExactly("150×5");
  }
}

package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** The Platform under a thumb, with a signal and without. */
@ExtendWith(TestApp.class)
class PhoneTest {
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  @AfterEach
  void signalAgain(Browser browser) {
    browser.offline(false);
    browser.open("/login");
    browser.driver().executeScript("localStorage.clear()");
    browser.complaints();
  }

  private static void open(Browser browser, Meet meet, String path) {
    browser.phone().signIn("coach");
    browser.open(path);
    // the worker keeps the page once it is in charge, and with it what the phone takes along
    browser.await("#platform[data-along=yes]");
    new WebDriverWait(browser.driver(), PATIENCE).withMessage("the page and its odds are kept").until(driver -> browser.driver().executeAsyncScript("""
        const done = arguments[0];
        Promise.all(["", "/odds"].map((more) => caches.match(location.pathname + more))).then((all) => done(all.every(Boolean)));
        """).equals(true));
    assertThat(meet.contest()).isPositive();
  }

  private static void stands(Meet meet, String lift, String... attempts) {
    long until = System.nanoTime() + PATIENCE.toNanos();
    List<String> wanted = List.of(attempts);
    while (!meet.stands(lift).equals(wanted) && System.nanoTime() < until) {
      Thread.onSpinWait();
    }
    assertThat(meet.stands(lift)).isEqualTo(wanted);
  }

  @Test
  void anAttemptIsEnteredWithOneThumb(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Lucan Ames");
    meet.send(Meet.entry("squat", 1, "177.5", ""));
    open(browser, meet, meet.platform());
    assertThat(browser.text(".attempt-now .number")).isEqualTo("177.5");
    browser.press(".verdicts [value=good]");
    browser.awaitText(".refine-of", "Attempt 1, 177.5 good");
    browser.press(".refine [value=RIGHT]");
    browser.await(".refine [value=RIGHT][aria-pressed=true]");
    browser.press(".choices .choice");
    browser.awaitText(".changes", "no change is left");
    stands(meet, "squat", "177.5 kg good look=RIGHT", browser.text(".attempt-now .number") + " kg");
    browser.type("other-load", "186");
    browser.find("#other-load").sendKeys(Keys.ENTER);
    browser.awaitText("#load-wrong", "Attempts go by 2.5 kg, so 186 kg cannot be asked for");
    assertThat(browser.find("#other-load").getAttribute("value")).as("what was typed is not lost").isEqualTo("186");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void withoutASignalThePhoneLooksUpWhatFollowsAndSendsItLater(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Maddock Thorne");
    meet.send(Meet.entry("squat", 1, "177.5", ""));
    open(browser, meet, meet.platform());
    browser.offline(true);
    browser.open(meet.platform());
    browser.awaitText("#kept-note", "No signal: this is as it was at");
    browser.press(".verdicts [value=good]");
    browser.awaitText(".refine-of", "Attempt 1, 177.5 good");
    browser.press(".refine [value=EASY]");
    browser.await(".refine [value=EASY][aria-pressed=true]");
    browser.awaitText(".hand-in h2", "Hand in attempt 2");
    List<String> offered = offered(browser);
    assertThat(offered).as("choices after an easy opener").isNotEmpty();
    // what the phone looked up is what the server would have answered
    Meet other = Meet.of(app, "Maddock Twin");
    other.send(Meet.entry("squat", 1, "177.5", ""));
    Map<String, String> easy = Meet.lifted("squat", 1, "177.5", "good");
    easy.put("look", "EASY");
    other.send(easy);
    String answer = other.coach().get(other.platform()).body();
    offered.forEach(load -> assertThat(answer).contains("value=\"" + load + "\""));
    browser.press(".choices .choice");
    browser.awaitText(".attempt-now .number", offered.get(0));
    browser.press(".verdicts [value=missed]");
    browser.awaitText(".refine-of", "Attempt 2, " + offered.get(0) + " no lift");
    assertThat(browser.text("#queue-note")).contains("kept on this phone and will be sent");
    browser.offline(false);
    stands(meet, "squat", "177.5 kg good look=EASY", offered.get(0) + " kg missed");
    browser.awaitText(".standing", "Subtotal 177.5 kg");
  }

  @Test
  void aLiftersPhoneHasItsContestWithoutHavingOpenedItAndGoesOnWhereItWas(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Nathan Oake");
    meet.someone().signsIn("nathan@tarnbrook.example", "tarnbrook-demo");
    meet.send(Meet.entry("squat", 1, "177.5", ""));
    browser.phone().signIn("nathan").open("/me");
    browser.awaitText("#kept-here", "Your contest's screen is kept too.");
    browser.offline(true);
    browser.open(meet.platform());
    browser.awaitText("#kept-note", "No signal: this is as it was at");
    browser.press(".verdicts [value=good]");
    browser.awaitText(".hand-in h2", "Hand in attempt 2");
    List<String> second = offered(browser);
    browser.open(meet.platform());
    browser.awaitText(".hand-in h2", "Hand in attempt 2");
    browser.await(".choices .choice");
    assertThat(offered(browser)).as("opened again, with what waits on it").isNotEmpty().isEqualTo(second);
    browser.press(".choices .choice");
    browser.awaitText(".attempt-now .number", second.get(0));
    browser.press(".verdicts [value=good]");
    browser.awaitText(".hand-in h2", "Hand in attempt 3");
    List<String> third = offered(browser);
    browser.open(meet.platform());
    browser.awaitText(".hand-in h2", "Hand in attempt 3");
    browser.await(".choices .choice");
    assertThat(offered(browser)).isNotEmpty().isEqualTo(third).isNotEqualTo(second);
    browser.offline(false);
    stands(meet, "squat", "177.5 kg good", second.get(0) + " kg good");
  }

  private static List<String> offered(Browser browser) {
    return browser.all(".choices .choice b").stream().map(one -> one.getText()).toList();
  }

  /** A miss was entered without a signal, and a good lift meanwhile with one. */
  private static Meet somebodyElseWroteOtherwise(TestApp app, Browser browser, String name) {
    Meet meet = Meet.of(app, name);
    meet.send(Meet.entry("squat", 1, "177.5", ""));
    open(browser, meet, meet.platform());
    browser.offline(true);
    browser.press(".verdicts [value=missed]");
    browser.awaitText(".refine-of", "Attempt 1, 177.5 no lift");
    meet.send(Meet.lifted("squat", 1, "177.5", "good"));
    browser.offline(false);
    browser.awaitText(".differs", "It stands as squat 1: 177.5 kg good");
    return meet;
  }

  @Test
  void twoPhonesAgreeAfterwardsByAskingTheSecond(TestApp app, Browser browser) {
    Meet meet = somebodyElseWroteOtherwise(app, browser, "Nicodemus Orr");
    assertThat(meet.stands("squat")).containsExactly("177.5 kg good");
    browser.press(".differs button");
    stands(meet, "squat", "177.5 kg missed");
    browser.awaitGone("#queue-refused li");
  }

  @Test
  void whatWasNotTakenIsListedOnEveryPageUntilItIsCleared(TestApp app, Browser browser) {
    Meet meet = somebodyElseWroteOtherwise(app, browser, "Penrose Vail");
    browser.open("/contests");
    browser.awaitText("#queue-refused", "Not taken");
    assertThat(browser.axe()).isEmpty();
    browser.press("#queue-refused button");
    browser.awaitGone("#queue-refused li");
    assertThat(meet.stands("squat")).containsExactly("177.5 kg good");
  }

  @Test
  void theWarmUpRoomShiftsUnderTheThumb(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Obed Pryce");
    Map<String, String> form = new HashMap<>(RoomTest.USUAL);
    form.putAll(Map.of("version", RoomTest.version(meet), "starts", "Squat 10:00"));
    meet.coach().post(meet.at("/rules"), form);
    meet.coach().post(meet.at("/day/" + meet.athlete() + "/person"), Map.of("category", "93", "body", "92", "key", UUID.randomUUID().toString()));
    meet.send(Meet.entry("squat", 1, "180", ""));
    browser.phone().signIn("coach");
    browser.open(meet.at("/warm-up"));
    browser.awaitText(".warms .at", "10:00:00");
    browser.press(".ahead [data-more='1']");
    browser.awaitText(".warms .at", "10:01:00");
    browser.press(".late [data-by='5']");
    browser.awaitText(".warms .at", "10:06:00");
    browser.press(".due-steps li:first-child button");
    browser.await(".due-steps li.done:first-child");
    browser.open(meet.at("/warm-up"));
    browser.awaitText(".warms .at", "10:06:00");
    browser.await(".due-steps li.done:first-child");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void resultsAreEnteredRowByRowByKeysAndNothingTypedIsLost(TestApp app, Browser browser) {
    Meet meet = Meet.strongman(app, "Quilla Rudd");
    meet.add("Rhys Tolland, m, 93\nSaul Umber, m, 93");
    browser.desk().signIn("coach");
    browser.open(meet.at("/events?event=1"));
    String mine = "#part-" + meet.athlete();
    String next = "#part-" + meet.rival("Rhys Tolland");
    String last = "#part-" + meet.rival("Saul Umber");
    browser.find(last + " [name=REPS]").sendKeys("5");
    browser.find(mine + " [name=REPS]").sendKeys("7");
    browser.find(mine + " [name=TIME]").sendKeys("52.3", Keys.ENTER);
    browser.awaitText(mine + " .points", "7 reps, 52.3 s");
    assertThat(browser.find(last + " [name=REPS]").getAttribute("value")).as("typed in another row meanwhile").isEqualTo("5");
    assertThat(browser.driver().switchTo().activeElement()).as("the next row is there to be typed in").isEqualTo(browser.find(next + " [name=REPS]"));
    browser.driver().switchTo().activeElement().sendKeys("many", Keys.ENTER);
    browser.awaitText(next + " .field-error", "Write the reps as a number.");
    assertThat(browser.find(next + " [name=REPS]").getAttribute("value")).isEqualTo("many");
    browser.find(next + " [name=REPS]").clear();
    browser.find(next + " [name=REPS]").sendKeys("9", Keys.ENTER);
    browser.awaitText(next + " .points", "9 reps");
    browser.awaitText(mine + " .place", "2");
    browser.press(next + " [formaction]");
    browser.awaitText(".caution", "Rhys Tolland has withdrawn.");
  }

  @Test
  void theCoachsTableShowsByItselfWhatALifterEnters(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Osric Penn");
    browser.desk().signIn("coach");
    browser.open(meet.at("/day"));
    browser.awaitText("#day", "Osric Penn");
    meet.attempt("squat", 1, "172.5", "good");
    new WebDriverWait(browser.driver(), PATIENCE).until(driver -> !browser.all("#day .attempt.good").isEmpty());
    assertThat(browser.text("#day .attempt.good")).contains("172.5");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void theTablesOfADayStandUpToAxe(TestApp app, Browser browser) {
    Meet meet = Meet.of(app, "Piran Quay");
    meet.add("Ralph Senn, m, 93, 92, A, 7");
    meet.attempt("squat", 1, "170", "good");
    browser.desk().signIn("coach");
    for (String path : List.of("/day?athlete=" + meet.athlete(), "/rules", "/summary")) {
      browser.open(meet.at(path));
      assertThat(browser.axe()).as(path).isEmpty();
    }
    Meet strong = Meet.strongman(app, "Quinn Roake");
    browser.open(strong.at("/events"));
    assertThat(browser.axe()).isEmpty();
    browser.open(strong.platform());
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }
}

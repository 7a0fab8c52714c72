package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Stood;
import org.yarbel.web.support.TestApp;

/** Every kind of set lifted from the Card, on the phone and on paper. */
@ExtendWith(TestApp.class)
class CardKindsTest {
  /** Weeks ago, when the lifters of the demo had not begun. */
  private static final int BEFORE_THE_DEMO = 46;

  private static final String OPEN = ".panel:not([hidden]) ";

  /** A session of today's week that no other test touches. */
  private static long session(TestApp app, String lifter, int weeks, int days, String... lines) {
    Client coach = Client.of(app, "coach");
    LocalDate day = TestApp.TODAY.minusWeeks(weeks).plusDays(days);
    for (String line : lines) {
      String[] pieces = line.split(" ", 2);
      assertThat(coach.post("/lifters/" + app.lifter(lifter) + "/days/" + day + "/slots",
          Map.of("kind", "MAIN", "lift", pieces[0], "work", pieces[1]), "HX-Request", "true").statusCode()).isEqualTo(200);
    }
    return app.session(lifter, day);
  }

  private static String line(TestApp app, long session, int position) {
    return app.jdbc().sql("select ref::text from slot where session_id = :id order by position offset :n limit 1").param("id", session)
        .param("n", position - 1).query(String.class).single();
  }

  private static Map<String, String> entry(String line, String load, String reps) {
    return new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set", "1", "issue", "1", "seen", "-1",
        "load", load, "reps", reps, "outcome", "done"));
  }

  @Test
  void whatIsCarriedAndHeldIsLoggedWithItsTimeAndDistance(TestApp app) {
    long session = session(app, "Brannoc", BEFORE_THE_DEMO, 1, "sandbag-carry carry 2x20m 90kg in 60s", "plank hold 1x40s");
    Client lifter = Client.of(app, "brannoc");
    String card = lifter.card(session).body();
    assertThat(card).contains("20 m").contains("Clear landing, nobody&#39;s hands or feet under it.").contains("name=\"metres\"")
        .contains("name=\"seconds\"");
    Map<String, String> carried = entry(line(app, session, 1), "90", "1");
    carried.put("seconds", "38");
    carried.put("metres", "17,5");
    assertThat(lifter.post("/sessions/" + session + "/sets", carried).statusCode()).isLessThan(400);
    assertThat(lifter.card(session).body()).contains("90 kg, 17.5 m in 38 s");
    assertThat(lifter.get("/lifters/" + app.lifter("Brannoc") + "/ledger?lift=sandbag-carry").body()).contains("90, 17.5 m in 38 s");
    Map<String, String> nonsense = entry(line(app, session, 2), "0", "1");
    nonsense.put("seconds", "ages");
    String refused = lifter.post("/sessions/" + session + "/sets", nonsense, "HX-Request", "true").body();
    assertThat(refused).contains("Write the seconds as a number from 0 to 3600, or leave it out.").contains("value=\"ages\"");
  }

  @Test
  void singlesWithGapsSayNothingOfTheMax(TestApp app) {
    long session = session(app, "Corwin", 3, 0, "bench cluster 1x5 300lb gap 20s", "bench 1x1 320lb");
    Client lifter = Client.of(app, "corwin");
    lifter.card(session);
    String before = numbers(app);
    Map<String, String> cluster = entry(line(app, session, 1), "300", "5");
    lifter.post("/sessions/" + session + "/sets", cluster);
    assertThat(numbers(app)).as("five singles of 300 are no five in a row").isEqualTo(before);
    assertThat(app.jdbc().sql("select tells_of_max from logged_set where session_id = :id").param("id", session)
        .query(Boolean.class).single()).isFalse();
  }

  private static String numbers(TestApp app) {
    return Stood.max(app.jdbc(), app.lifter("Corwin"), "bench", TestApp.TODAY).amountIn(MassUnit.KG, 2).toPlainString();
  }

  @Test
  void theClusterClockCountsSinglesWithALeadInAndFillsTheReps(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 1, "squat cluster 1x2 85% gap 4s", "squat 2x5 60% rest 2:00");
    browser.signIn("tamsin").phone().card(session);
    mute(browser);
    browser.listen(OPEN + ".clock");
    press(browser, "Start the round");
    browser.awaitText(OPEN + ".clock-word", "single 1 of 2: lift");
    press(browser, "Set down");
    // the last three seconds
    browser.awaitHeard("\\b[123]\\s+get set");
    browser.awaitText(OPEN + ".clock-word", "single 2 of 2: lift");
    press(browser, "Missed it");
    browser.awaitText(OPEN + ".clock-word", "under four: 5 % lighter next time");
    assertThat(browser.find(OPEN + "input[name=reps]").getAttribute("value")).isEqualTo("1");
    assertThat(browser.all(OPEN + ".rpe")).as("nobody rates a cluster").isEmpty();
    assertThat(browser.axe()).isEmpty();
    browser.click(OPEN + ".btn-go[name=outcome]");
    browser.await("#rest:not([hidden])");
    assertThat(browser.text("#rest")).as("clusters rest three minutes").containsPattern("(3:00|2:5\\d)").contains("Squat, set 1 of 2");
    browser.click("[data-rest-by='15']");
    assertThat(browser.text(".rest-face")).containsPattern("3:1\\d");
    browser.click("[data-rest-stop]");
    assertThat(browser.find("#rest").isDisplayed()).isFalse();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void theDensityClockTellsTheSecondsLeftForEachSingleAndAMissEndsIt(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 2, "bench density 10 80% in 10:00");
    browser.signIn("tamsin").phone().card(session);
    mute(browser);
    press(browser, "Start");
    press(browser, "Single made");
    press(browser, "Single made");
    browser.awaitText(OPEN + ".clock-word", "2 of 10 made, 7");
    assertThat(browser.text(OPEN + ".clock-word")).as("600 s for eight singles").containsPattern("7[345] s for each still wanted");
    press(browser, "Missed: it ends");
    browser.awaitText(OPEN + ".clock-word", "a miss ended it");
    assertThat(browser.find(OPEN + "input[name=reps]").getAttribute("value")).isEqualTo("2");
    press(browser, "Again");
    press(browser, "Start");
    press(browser, "Stop by choice");
    browser.awaitText(OPEN + ".clock-word", "stopped by choice, no miss");
  }

  @Test
  void holdsMinutesAndTemposHaveTheirClocksAndEachSignalCanBeMuted(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 3, "plank hold 1x2s", "squat emom 2x1 60% every 3s",
        "bench 1x3 60% tempo 1-0-X-0", "squat carry 1x20m 60kg");
    browser.signIn("tamsin").phone().card(session);
    mute(browser);
    for (String kind : List.of("sound", "vibration", "flash")) {
      assertThat(browser.find("[data-mute=" + kind + "]").getAttribute("aria-pressed")).as(kind).isEqualTo("false");
    }
    browser.listen(OPEN + ":is(.clock-word, .clock-face)");
    press(browser, "Start");
    browser.awaitHeard("^get set$");
    browser.awaitHeard("^go$");
    browser.awaitText(OPEN + ".clock-word", "all of it");
    assertThat(browser.find(OPEN + "input[name=seconds]").getAttribute("value")).isEqualTo("2");
    show(browser, line(app, session, 2) + "-1-1");
    press(browser, "Start");
    browser.awaitHeard("^set 1 of 2");
    show(browser, line(app, session, 2) + "-1-2");
    browser.awaitHeard("^set 2 of 2");
    browser.awaitText(OPEN + ".clock-word", "all starts done");
    show(browser, line(app, session, 3) + "-1-1");
    press(browser, "Start the beat");
    browser.awaitHeard("^down 1$");
    browser.awaitHeard("^up!$");
    browser.awaitHeard("^rep [23] of 3$");
    show(browser, line(app, session, 4) + "-1-1");
    press(browser, "Start");
    press(browser, "There");
    browser.awaitText(OPEN + ".clock-word", "taken");
    assertThat(browser.find(OPEN + "input[name=seconds]").getAttribute("value")).matches("[0-2](\\.\\d)?");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void aMissOffersALighterTopAndLighterBackOffsWithAndWithoutSignal(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 6, "squat 1x1 @8; 3x4 -15%");
    browser.signIn("tamsin").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    String line = line(app, session, 1);
    double planned = Double.parseDouble(browser.find(OPEN + "input[name=load]").getDomProperty("value"));
    try {
      browser.offline(true);
      browser.press(OPEN + "button[value=missed]");
      browser.awaitText("#queue-note", "kept on this phone");
      browser.awaitText(OPEN + ".ways", "No rep of the top set was made.");
      assertThat(browser.text(OPEN + ".ways")).as("the phone found out by itself").contains("A lighter top: ").contains("−10 %: ")
          .contains("As planned: ");
    } finally {
      browser.offline(false);
    }
    browser.awaitText("[data-row='" + line + "-1-1']", "missed");
    browser.awaitText(OPEN + "h2", "another attempt");
    double lighter = Double.parseDouble(browser.find(OPEN + "input[name=load]").getDomProperty("value"));
    assertThat(lighter).as("5 % lighter, down to what loads").isLessThanOrEqualTo(0.95 * planned).isGreaterThan(0.95 * planned - 2.5);
    browser.press(OPEN + ".btn-go[name=outcome]");
    browser.awaitText(OPEN + "h2", "back-off 1 of 3");
    assertThat(Double.parseDouble(browser.text(OPEN + ".big .number"))).as("15 % under what was made")
        .isCloseTo(0.85 * lighter, within(1.25));
    assertThat(app.jdbc().sql("select reps from logged_set where session_id = :s order by set_number").param("s", session)
        .query(Integer.class).list())
        .as("the miss stays").containsExactly(0, 1);
  }

  @Test
  void theRestBeginsWhenASetIsTakenNotWhileItIsAskedAbout(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 0, "squat 3x5 70%");
    browser.signIn("tamsin").phone().card(session);
    WebElement load = browser.find(OPEN + "input[name=load]");
    String planned = load.getDomProperty("value");
    load.clear();
    load.sendKeys("1");
    browser.press(OPEN + ".btn-go[name=outcome]");
    browser.awaitText(OPEN + "[role=alert]", "Is that right?");
    assertThat(browser.find("#rest").isDisplayed()).isFalse();
    browser.press(OPEN + "[role=alert] button[name=instead]");
    browser.await("#rest:not([hidden])");
    browser.awaitText("[data-row='" + line(app, session, 1) + "-1-1']", planned);
    browser.click("[data-rest-stop]");
  }

  @Test
  void aBuildUpThatReachedItsRpeAsksForNoMore(TestApp app) {
    long session = session(app, "Corwin", BEFORE_THE_DEMO, 2, "squat build 3 @8; 2x3 -10%");
    Client lifter = Client.of(app, "corwin");
    lifter.card(session);
    Map<String, String> second = entry(line(app, session, 1), "305", "3");
    second.put("set", "2");
    second.put("rpe", "8");
    second.put("sure", "1");
    assertThat(lifter.post("/sessions/" + session + "/sets", second).statusCode()).isLessThan(400);
    assertThat(lifter.card(session).body()).contains("not needed")
        .containsPattern("id=\"panel-" + line(app, session, 1) + "-2-1\"(?![^>]* hidden)");
  }

  @Test
  void whatEndedSinglesOnTheClockIsKept(TestApp app) {
    long session = session(app, "Corwin", BEFORE_THE_DEMO, 4, "squat density 10 300lb in 10:00");
    Client lifter = Client.of(app, "corwin");
    lifter.card(session);
    Map<String, String> seven = entry(line(app, session, 1), "300", "7");
    seven.put("stopped", "MISS");
    assertThat(lifter.post("/sessions/" + session + "/sets", seven).statusCode()).isLessThan(400);
    assertThat(lifter.card(session).body()).contains("300 lb × 7, a miss ended it").containsPattern("value=\"MISS\" selected");
  }

  @Test
  void anyWarmUpCanBeDeclaredTheTopSet(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 4, "squat 1x1 @8; 2x4 -15%");
    browser.signIn("tamsin").phone().card(session);
    browser.press(OPEN + ".ramp summary");
    List<WebElement> steps = browser.all(OPEN + ".ramp li b");
    String third = steps.get(2).getText();
    browser.press(browser.all(OPEN + ".declare").get(2));
    assertThat(browser.find(OPEN + "input[name=load]").getAttribute("value")).isEqualTo(third);
    browser.click(OPEN + ".btn-go[name=outcome]");
    String back = line(app, session, 1) + "-2-1";
    browser.awaitText("[data-row='" + line(app, session, 1) + "-1-1']", "done");
    double planned = Double.parseDouble(browser.find("[data-row='" + back + "'] .row-load").getText());
    assertThat(planned).as("15 % under the warm-up of " + third).isCloseTo(Double.parseDouble(third) * 0.85, within(1.25));
    show(browser, line(app, session, 1) + "-1-1");
    browser.click(OPEN + ".ramp summary");
    assertThat(browser.text(OPEN + ".ramp")).contains("not needed");
  }

  @Test
  void aFullSessionOfEightLinesFitsOneSideOfPaperInDigitsThatCanBeReadFromTheFloor(TestApp app, Browser browser) {
    long session = session(app, "Maren", BEFORE_THE_DEMO, 1, "squat 1x1 @8; 4x4 -15%", "bench 5x5 75%", "deadlift build 3 @8; 3x3 -10%",
        "front-squat 1x3 80%; 3xAMRAP -7.5% each", "squat cluster 3x5 88% gap 20s rest 4:00",
        "bench 10x2 55% rest 45s tempo 2-1-X-0 chains 10kg", "deadlift series 100/120/140/160kg", "bench 3x8-12 60%");
    browser.signIn("coach").desk().card(session);
    String pdf = (String) browser.driver().executeCdpCommand("Page.printToPDF", Map.of("preferCSSPageSize", true)).get("data");
    String text = new String(java.util.Base64.getDecoder().decode(pdf), java.nio.charset.StandardCharsets.ISO_8859_1);
    assertThat(Pattern.compile("/Type\\s*/Pages[^>]*/Count (\\d+)|/Count (\\d+)[^>]*/Type\\s*/Pages").matcher(text).results()
        .map(MatchResult::group).toList())
        .as("one A4 side").singleElement().asString().contains("/Count 1");
    browser.driver().executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", "print"));
    try {
      // a millimetre on paper is 96/25.4 pixels
      double millimetre = 96 / 25.4;
      assertThat(digitHeight(browser, ".paper-set b") / millimetre).as("working loads").isGreaterThanOrEqualTo(7);
      assertThat(digitHeight(browser, ".paper-ramp") / millimetre).as("ramps").isGreaterThanOrEqualTo(3.5);
      assertThat(browser.all(".paper article")).hasSize(8);
      assertThat(browser.find(".entry").isDisplayed()).as("no form on paper").isFalse();
      Object ramp = browser.driver().executeScript("return [...document.querySelectorAll('.paper-ramp')].every(r => "
          + "r.scrollWidth <= r.clientWidth && r.clientHeight < 30)");
      assertThat(ramp).as("a ramp in one line").isEqualTo(true);
    } finally {
      browser.driver().executeCdpCommand("Emulation.setEmulatedMedia", Map.of("media", ""));
    }
  }

  /** How high a digit is drawn, in pixels. */
  private static double digitHeight(Browser browser, String css) {
    return ((Number) browser.driver().executeScript("""
        const style = getComputedStyle(document.querySelector(arguments[0]));
        const pen = document.createElement("canvas").getContext("2d");
        pen.font = `${style.fontWeight} ${style.fontSize} ${style.fontFamily}`;
        return pen.measureText("7").actualBoundingBoxAscent;""", css)).doubleValue();
  }

  @Test
  void theSkylineMovesByArrowKeys(TestApp app, Browser browser) {
    long session = session(app, "Tamsin", BEFORE_THE_DEMO, 5, "squat 3x5 70%");
    browser.signIn("tamsin").phone().card(session);
    browser.tabTo(".sky a");
    browser.driver().switchTo().activeElement().sendKeys(org.openqa.selenium.Keys.ARROW_RIGHT, org.openqa.selenium.Keys.ARROW_RIGHT);
    assertThat(browser.text(OPEN + "h2")).isEqualTo("Squat, set 3 of 3");
    browser.driver().switchTo().activeElement().sendKeys(org.openqa.selenium.Keys.ARROW_LEFT);
    assertThat(browser.text(OPEN + "h2")).isEqualTo("Squat, set 2 of 3");
  }

  private static void mute(Browser browser) {
    browser.driver().executeScript("for (const kind of ['sound', 'vibration', 'flash']) localStorage.setItem('yarbel-mute-' + kind, '0')");
    for (String kind : List.of("sound", "vibration", "flash")) {
      browser.click("[data-mute=" + kind + "]");
    }
  }

  private static void press(Browser browser, String text) {
    browser.awaitText(OPEN + ".clock-acts", text);
    WebElement button = browser.all(OPEN + ".clock-acts button").stream().filter(b -> b.getText().equals(text)).findFirst().orElseThrow();
    browser.press(button);
  }

  private static void show(Browser browser, String panel) {
    browser.press(".overview a[data-panel='" + panel + "']");
  }
}

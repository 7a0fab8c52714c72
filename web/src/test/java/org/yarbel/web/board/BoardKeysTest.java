package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** The week board in a browser: by keyboard, by dragging, with what a spreadsheet copied. */
@ExtendWith(TestApp.class)
class BoardKeysTest {
  private static final LocalDate MONDAY = TestApp.TODAY;

  @Test
  void undoesAndRedoesByKeys(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Gwendolyn Ash", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    browser.find("body").sendKeys(Keys.chord(Keys.CONTROL, "z"));
    browser.awaitText(".week-bar .said", "The line is out again.");
    assertThat(lifter.on(MONDAY)).isEmpty();
    browser.find("body").sendKeys(Keys.chord(Keys.CONTROL, "y"));
    browser.awaitText(".week-bar .said", "Done again: 3x5 70%");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 70%");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void drawsSumsAndFindingsAnewWhenALineIsSaved(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Hartley Brooke", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    assertThat(browser.text("#week-head")).contains("The checks have nothing to say");
    WebElement work = browser.find("#day-" + MONDAY + " .slot[data-slot] .work[name=work]");
    work.sendKeys(Keys.chord(Keys.CONTROL, "a"), "3x5 75% @8", Keys.TAB);
    browser.awaitText("#margin-" + MONDAY, "but RPE 8 is written.");
    browser.awaitText("#week-head", "1 doubt");
    assertThat(browser.find("#board-steps button").isEnabled()).as("what was just saved can be undone").isTrue();
    browser.click("#margin-" + MONDAY + " .mend button");
    browser.awaitText("#day-" + MONDAY + " .said", "Mended: Squat 3x5 83% @8");
    browser.awaitText("#week-head", "The checks have nothing to say");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 83% @8");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  /** On a slow line the answer to what was saved comes when somebody has long typed on. */
  @ParameterizedTest
  @CsvSource({"week, .slot[data-slot] .work[name=work], .slot[data-slot] .loads", "weeks, .cell .work, .cell .loads"})
  void whatIsTypedWhileALineIsSavedIsWorkedOutAndSavedToo(String page, String field, String loads, TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Ottoline Reed " + page, Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/" + page + "?of=" + MONDAY));
    browser.slow(700);
    browser.find(field).sendKeys(Keys.chord(Keys.CONTROL, "a"), "3x5 7", Keys.ENTER, "5%");
    browser.await(field + "[aria-invalid]");
    assertThat(browser.find(field).getAttribute("value")).as("what was typed meanwhile").isEqualTo("3x5 75%");
    browser.find(field).sendKeys(Keys.TAB);
    browser.slow(0);
    browser.awaitText(loads, "150 ×3");
    new WebDriverWait(browser.driver(), Duration.ofSeconds(10)).until(saved -> lifter.on(MONDAY).equals(List.of("squat 3x5 75%")));
  }

  @Test
  void dragsALineToAnotherDay(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Imelda Frost", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    browser.drag(browser.find("#day-" + MONDAY + " .slot[data-slot] .handle"),
        browser.find("#day-" + MONDAY.plusDays(2) + " .day-label"), 8);
    browser.awaitText("#board > .said", "Moved to Wed 4 Mar.");
    assertThat(lifter.on(MONDAY.plusDays(2))).containsExactly("squat 3x5 70%");
    assertThat(browser.find("#day-" + MONDAY.plusDays(2) + " .slot[data-slot] .lift").getAttribute("value")).isEqualTo("Squat");
    browser.press("form[action$='/undo'] button");
    browser.awaitText(".week-bar .said", "The days stand as before.");
    browser.drag(browser.find("#day-" + MONDAY + " .slot[data-slot] .handle"),
        browser.find("#day-" + MONDAY.plusDays(3) + " .day-label"), 8);
    browser.awaitText("#board > .said", "Moved to Thu 5 Mar.");
    assertThat(browser.all(".week-bar .said")).as("the word of what was before").isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void whatIsTypedIntoALineSomebodyTookOutStaysAndIsTold(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Nerys Colt", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    long slot = lifter.slot(MONDAY, "squat");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    lifter.post("/slots/" + slot + "/remove", Map.of("version", "" + lifter.version(slot)));
    browser.find(".slot[data-slot] .work[name=work]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "3x5 75%", Keys.ENTER);
    browser.awaitText("#page-note", "somebody took it out meanwhile");
    assertThat(browser.find(".slot[data-slot] .work[name=work]").getAttribute("value")).isEqualTo("3x5 75%");
    // that the line is gone is an answer of 404, which the browser writes down
    browser.complaints();
  }

  @Test
  void rowsPastedIntoALineGoToTheTable(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Jasper Thorn", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    // copied as a person would: out of the week's own table
    browser.open(lifter.at("/sheet?of=" + MONDAY));
    browser.find("#table").sendKeys(Keys.chord(Keys.CONTROL, "a"), Keys.chord(Keys.CONTROL, "c"));
    browser.open(lifter.at("/week?of=" + MONDAY));
    browser.find(".slot[data-slot] .work[name=work]").sendKeys(Keys.chord(Keys.CONTROL, "v"));
    browser.await("#rows");
    assertThat(browser.find("#rows").getAttribute("value")).contains(MONDAY + "\tmain\tSquat\t3x5 70%");
    browser.click("form .btn-main");
    browser.awaitText(".week-bar .said", "1 line taken from the table.");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 70%", "squat 3x5 70%");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void writesACellOfTheWeeksSideBySideByKeyboard(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Keziah Lunn", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    lifter.add(MONDAY.plusWeeks(1), "MAIN", "squat", "3x5 72.5%");
    browser.desk().signIn("coach").open(lifter.at("/weeks?of=" + MONDAY));
    WebElement second = browser.driver().findElements(By.cssSelector(".cell .work")).get(1);
    second.sendKeys(Keys.chord(Keys.CONTROL, "a"), "3x5 75", Keys.TAB);
    browser.awaitText(".grid-board", "Not saved yet.");
    second = browser.driver().findElements(By.cssSelector(".cell .work")).get(1);
    assertThat(second.getAttribute("value")).as("nothing typed is lost").isEqualTo("3x5 75");
    second.sendKeys("%", Keys.TAB);
    browser.awaitText(".grid-board", "Saved.");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x5 75%");
    assertThat(browser.axe()).isEmpty();
  }

  /** Every field is changed before the button is pressed, as a person does. */
  @Test
  void movesCopiesAndFillsDownWithTheDateAndTheWeeksChangedFirst(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Mirabel Stowe", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    String line = ".slot[data-slot] ";
    browser.press("#day-" + MONDAY + " " + line + ".about summary");
    browser.await("#day-" + MONDAY + " " + line + "input[name=to]").sendKeys("03052026", Keys.TAB);
    browser.press(browser.find("#day-" + MONDAY + " " + line + "button[formaction*='copy=1']"));
    browser.awaitText("#board > .said", "Copied to Thu 5 Mar.");
    assertThat(lifter.on(MONDAY.plusDays(3))).containsExactly("squat 3x5 70%");
    // what stood open when the days were drawn anew still does
    browser.await("#day-" + MONDAY + " " + line + "input[name=to]").sendKeys("03072026");
    browser.press(browser.find("#day-" + MONDAY + " " + line + "button[formaction$='/to']"));
    browser.awaitText("#board > .said", "Moved to Sat 7 Mar.");
    assertThat(lifter.on(MONDAY)).isEmpty();
    String saturday = "#day-" + MONDAY.plusDays(5) + " " + line;
    browser.await(saturday + "input[name=weeks]").sendKeys(Keys.chord(Keys.CONTROL, "a"), "2");
    browser.press(browser.find(saturday + "button[formaction$='/down']"));
    browser.awaitText("#board > .said", "Filled down 2 weeks.");
    assertThat(lifter.on(MONDAY.plusDays(19))).containsExactly("squat 3x5 70%");
    assertThat(lifter.on(MONDAY.plusDays(26))).as("not the three weeks the field began with").isEmpty();
    browser.press(browser.await(saturday + "input[name=gear][value=these]"));
    browser.press(browser.find(saturday + "input[name=pieces][value=BELT]"));
    browser.awaitText(saturday, "belt");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void theFocusStaysWhereTheWorkIsWhenALineIsTakenOut(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Nerida Holt", Map.of("squat", "200"));
    List.of("3x5 70%", "3x5 72.5%", "3x5 75%").forEach(work -> lifter.add(MONDAY, "MAIN", "squat", work));
    browser.desk().signIn("coach").open(lifter.at("/week?of=" + MONDAY));
    browser.all("#day-" + MONDAY + " .slot[data-slot] .acts .link:last-child").get(1).sendKeys(Keys.ENTER);
    browser.awaitText("#day-" + MONDAY + " .said", "Taken out");
    WebElement focused = browser.driver().switchTo().activeElement();
    assertThat(focused.getAttribute("value")).as("the line that took its place").isEqualTo("3x5 75%");
    browser.awaitText("#board-steps", "Undo: taking out Squat 3x5 72.5%");
  }

  @Test
  void findsAnyoneByTypingFromEveryPageAndShowsTheKeys(TestApp app, Browser browser) {
    browser.desk().signIn("coach").open("/kit");
    new Actions(browser.driver()).sendKeys("/").perform();
    new Actions(browser.driver()).sendKeys("mare").perform();
    browser.awaitText("#found", "Maren Oakhurst");
    assertThat(browser.axe()).isEmpty();
    new Actions(browser.driver()).sendKeys(Keys.ENTER).perform();
    browser.awaitText("h1", "Maren Oakhurst");
    new Actions(browser.driver()).sendKeys("?").perform();
    browser.awaitText("h1", "Keys");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void setsUpAMethodAndSeesItsForecast(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Lysander Cope", Map.of("squat", "100"));
    browser.desk().signIn("coach").open(lifter.at("/progressions?lift=Squat&method=novice-linear"));
    browser.click("input[name=days][value=MONDAY]");
    browser.type("p-load", "60");
    browser.click(".method-form .btn-main");
    browser.awaitText(".said", "Written for the weeks to come.");
    browser.open(lifter.at("/weeks?of=" + MONDAY));
    assertThat(browser.all(".cell.is-forecast")).hasSize(3);
    assertThat(browser.all(".cell")).hasSize(4);
    assertThat(browser.text(".grid-board")).contains("67.5 ×5+");
  }
}

package org.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** Taking somebody on, their place and their numbers, as a coach does it in a browser. */
@ExtendWith(TestApp.class)
class TakeOnPathTest {
  private static void assertFine(Browser browser, String where) {
    assertThat(browser.axe()).as("axe on " + where).isEmpty();
    assertThat(browser.complaints()).as("console on " + where).isEmpty();
  }

  private static WebElement field(Browser browser, String name) {
    return browser.driver().findElement(By.name(name));
  }

  @Test
  void aLifterIsTakenOnFromTheKeyboardAlone(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/new");
    // the name has the focus; tab goes on from field to field
    WebElement at = browser.driver().switchTo().activeElement();
    assertThat(at.getAttribute("name")).isEqualTo("name");
    at.sendKeys("Fenella Strand", Keys.TAB, Keys.TAB, Keys.TAB);
    at = browser.driver().switchTo().activeElement();
    while (!"load.1".equals(at.getAttribute("name"))) {
      at.sendKeys(Keys.TAB);
      at = browser.driver().switchTo().activeElement();
    }
    at.sendKeys("140", Keys.TAB, "5", Keys.TAB, "@8");
    browser.awaitText("#gives-1", "max about 169.3 ± 6.6 kg");
    browser.driver().switchTo().activeElement().sendKeys(Keys.TAB);
    browser.driver().switchTo().activeElement().sendKeys(Keys.ENTER);
    browser.awaitText("h1", "Fenella Strand");
    browser.click("#day-2026-03-03 summary");
    browser.await("#day-2026-03-03 .new .work").sendKeys("3x5 70%");
    browser.awaitText("#day-2026-03-03 .new .loads", "117.5 ×3");
    new Actions(browser.driver()).click(browser.find("#day-2026-03-03 .new .lift")).sendKeys("paused squat", Keys.TAB).perform();
    browser.awaitText("#day-2026-03-03 .new .minded", "worked out as 92 % (± 5) of the squat");
    assertFine(browser, "board of a new lifter");
  }

  @Test
  void aSlipIsAskedAboutOnceAndNothingTypedIsLost(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/new");
    browser.type("name", "Garrick Vane");
    String[][] rows = {{"140", "tested"}, {"210", "tested"}, {"160", "tested"}};
    for (int row = 1; row <= 3; row++) {
      field(browser, "load." + row).sendKeys(rows[row - 1][0]);
      new Select(field(browser, "how." + row)).selectByValue(rows[row - 1][1]);
    }
    browser.click("button.btn-main");
    browser.awaitText("td .field-error", "Is it kg or lb? 210 kg does not fit the other lifts.");
    assertFine(browser, "new lifter with a question");
    assertThat(field(browser, "load.3").getAttribute("value")).isEqualTo("160");
    assertThat(new Select(field(browser, "how.3")).getFirstSelectedOption().getText()).isEqualTo("tested max");
    browser.click("button.btn-main");
    browser.awaitText("h1", "Garrick Vane");
  }

  @Test
  void whatIsTakenOutOfALifterComesBackWithOneClick(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/new");
    browser.type("name", "Hester Quayle");
    browser.click("button.btn-main");
    browser.awaitText("h1", "Hester Quayle");
    browser.open("/lifters/" + app.lifter("Hester"));
    field(browser, "bodyMass").sendKeys("71.5", Keys.ENTER);
    browser.awaitText(".said", "Weighed.");
    browser.click(".rows.short button");
    browser.awaitText(".said", "Taken out: 71.5 kg of 2026-03-02.");
    browser.click(".said button");
    browser.awaitText(".said", "Weighed.");
    assertThat(browser.text(".rows.short li b")).isEqualTo("71.5 kg");
    field(browser, "where").sendKeys("left knee");
    field(browser, "score").sendKeys("3", Keys.ENTER);
    browser.awaitText(".said", "Noted. Pain that stays or grows belongs to a clinician.");
    assertFine(browser, "lifter");
    assertFine(browser.phone().open("/lifters/" + app.lifter("Hester")), "lifter on a phone");
  }

  @Test
  void anotherKitMovesTheBoardAndUndoMovesItBack(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/kit");
    browser.find(".later input[name='name']").sendKeys("Cooper's yard", Keys.ENTER);
    browser.awaitText(".said", "The place is made.");
    String kit = browser.driver().getCurrentUrl().replaceAll(".*(/kit/\\d+)$", "$1");
    browser.open("/lifters/new");
    browser.type("name", "Idris Pell");
    new Select(field(browser, "place")).selectByVisibleText("Cooper's yard");
    field(browser, "load.1").sendKeys("200");
    new Select(field(browser, "how.1")).selectByValue("tested");
    browser.click("button.btn-main");
    browser.awaitText("h1", "Idris Pell");
    String board = browser.driver().getCurrentUrl().replaceAll(".*(/lifters/.*)$", "$1");
    browser.click("#day-2026-03-05 summary");
    browser.await("#day-2026-03-05 .new .work").sendKeys("3x5 71%", Keys.ENTER);
    browser.awaitText("#day-2026-03-05 .slot:not(.new) .loads", "142.5 ×3");
    browser.open(kit);
    for (String small : new String[] {"kg.5.size", "kg.6.size"}) {
      field(browser, small).clear();
    }
    browser.click(".save-bar button");
    browser.awaitText(".said", "Saved. Sessions not issued yet show their new loads.");
    browser.open(board);
    browser.awaitText("#day-2026-03-05 .slot:not(.new) .loads", "140 ×3");
    browser.open(kit);
    field(browser, "bar.0.mass").clear();
    field(browser, "bar.0.mass").sendKeys("-5");
    browser.click(".save-bar button");
    browser.awaitText("td .field-error", "A mass cannot be negative: -5.");
    assertFine(browser, "kit room with an error");
    field(browser, "bar.0.mass").clear();
    field(browser, "bar.0.mass").sendKeys("25");
    browser.click(".save-bar button");
    browser.awaitText(".said", "Saved.");
    browser.click(".said button");
    browser.awaitText(".said", "The kit is back as it was.");
    assertThat(field(browser, "bar.0.mass").getAttribute("value")).isEqualTo("20");
  }

  @Test
  void aSumStandsInItsLinkAndShowsOnlyTheFieldsItNeeds(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/workbench/bands");
    assertThat(field(browser, "pulls").isDisplayed()).isTrue();
    assertThat(field(browser, "chainMass").isDisplayed()).isFalse();
    new Select(field(browser, "kind")).selectByValue("chains");
    assertThat(field(browser, "pulls").isDisplayed()).isFalse();
    // a click takes the example whole, so that what is typed stands in its place
    browser.press(field(browser, "bar"));
    new Actions(browser.driver()).sendKeys("150").perform();
    assertThat(field(browser, "bar").getDomProperty("value")).isEqualTo("150");
    browser.press(field(browser, "bar"));
    new Actions(browser.driver()).sendKeys("140").perform();
    field(browser, "chainMass").sendKeys("9", Keys.ENTER);
    browser.awaitText(".came-out", "140 kg at the bottom, 158 kg at the top");
    String link = browser.driver().getCurrentUrl();
    browser.open("/");
    browser.open(link.replaceAll(".*(/workbench.*)$", "$1"));
    browser.awaitText(".came-out", "158 kg at the top");
  }
}

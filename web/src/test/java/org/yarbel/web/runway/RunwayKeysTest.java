package org.yarbel.web.runway;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** The Runway by keyboard and pointer, in a browser. */
@ExtendWith(TestApp.class)
class RunwayKeysTest {
  private static WebElement focused(Browser browser) {
    return browser.driver().switchTo().activeElement();
  }

  @Test
  void arrowKeysGoFromWeekToWeekAndSayWhatIsInThem(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/" + app.lifter("Emeric") + "/runway");
    assertThat(browser.text(".rw-said")).startsWith("Week of 2 Mar, 7 weeks out: Strength, week 5 of 6.");
    browser.tabTo(".rw-week");
    focused(browser).sendKeys(Keys.ARROW_RIGHT);
    assertThat(browser.text(".rw-said")).startsWith("Week of 9 Mar, 6 weeks out: Strength, week 6 of 6, easy");
    focused(browser).sendKeys(Keys.END);
    assertThat(browser.text(".rw-said")).contains("Off, week 1 of 1");
    focused(browser).sendKeys(Keys.ARROW_RIGHT);
    assertThat(browser.driver().findElements(org.openqa.selenium.By.cssSelector(".rw-week[tabindex='0']")))
        .as("one takes part in the order of Tab").hasSize(1);
    focused(browser).sendKeys(Keys.HOME, Keys.ENTER);
    browser.await("#week-head");
    assertThat(browser.driver().getCurrentUrl()).contains("/week?of=2026-01-05");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void aBlockIsOpenedFromThePictureChangedAndPutBack(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/" + app.lifter("Emeric") + "/runway");
    browser.tabTo(".rw-block:nth-of-type(1), .rw-block");
    browser.tabTo(".rw-block[href$='block=3']");
    focused(browser).sendKeys(Keys.ENTER);
    assertThat(browser.text("#block h2")).isEqualTo("Peak, 3 weeks");
    browser.click("form[action$='/blocks/3/longer'] button");
    assertThat(browser.text(".said")).contains("Peak: 3 → 4 weeks").contains("Strength: 6 → 5 weeks");
    browser.click(".said form button");
    browser.awaitText(".said", "stand");
    browser.open("/lifters/" + app.lifter("Emeric") + "/runway?block=3");
    assertThat(browser.text("#block h2")).isEqualTo("Peak, 3 weeks");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void whatIsWrongIsInSightWithItsField(TestApp app, Browser browser) {
    browser.desk().signIn("coach");
    browser.open("/lifters/" + app.lifter("Emeric") + "/runway?block=3");
    WebElement weeks = browser.find("#block input.form-control[name=weeks]");
    weeks.clear();
    weeks.sendKeys("9".repeat(60), Keys.ENTER);
    browser.awaitText("#block .field-error", "The weeks must be a whole number from 1 to 26 but was 999.");
    assertThat(focused(browser).getAttribute("name")).isEqualTo("weeks");
    assertThat(browser.driver().executeScript("const at = document.querySelector('#block .field-error').getBoundingClientRect();"
        + "return at.top > 0 && at.bottom < innerHeight;")).as("in sight").isEqualTo(true);
  }
}

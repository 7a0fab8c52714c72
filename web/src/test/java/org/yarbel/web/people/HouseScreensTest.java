package org.yarbel.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.House;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** The pages of people, house, data and old records: nothing axe finds, and no wider than a phone. */
@ExtendWith(TestApp.class)
class HouseScreensTest {
  private static void looked(Browser browser, List<String> paths) {
    Map<String, List<String>> found = new LinkedHashMap<>();
    Map<String, Object> wide = new LinkedHashMap<>();
    for (String path : paths) {
      browser.desk().open(path);
      found.put(path, browser.axe());
      browser.phone().open(path);
      wide.put(path, browser.driver().executeScript("return document.documentElement.scrollWidth"));
    }
    assertThat(found).allSatisfy((path, problems) -> assertThat(problems).as(path).isEmpty());
    assertThat(wide).allSatisfy((path, width) -> assertThat((Long) width).as(path).isLessThanOrEqualTo(390L));
  }

  @Test
  void forAnOwner(TestApp app, Browser browser) {
    House house = House.called(app, "Screens");
    long account = house.ids("account").get(0);
    browser.signIn("screens@coach.example");
    looked(browser, List.of("/people", "/people/accounts/" + account, "/people/letters", "/record", "/house", "/account", "/account/steps", "/club",
        "/lifters/" + house.lifters().get(0) + "/data", "/lifters/" + house.lifters().get(1) + "/records",
        "/records/" + house.ids("old_records").get(0)));
  }

  @Test
  void forAStrangerAndALifter(TestApp app, Browser browser) {
    House house = House.called(app, "Strange");
    browser.signOut();
    String link = app.jdbc().sql("select body from letter where club_id = :c").param("c", house.clubId()).query(String.class).single()
        .replaceAll("(?s).*(/join/[\\w-]{43}).*", "$1");
    looked(browser, List.of("/login", "/password", link));
    browser.signIn("strange@lifter.example");
    looked(browser, List.of("/me", "/club", "/lifters/" + house.lifters().get(0) + "/data", "/account"));
  }

  /** What an assistant reads is there, and nothing of it can be typed into. */
  @Test
  void forAnAssistant(TestApp app, Browser browser) {
    browser.desk().signIn("anselm").open("/lifters/" + app.lifter("Corwin") + "/week");
    assertThat(browser.all(".add").stream().filter(one -> one.isDisplayed())).isEmpty();
    assertThat(browser.driver().executeScript("return [...document.querySelectorAll('main form[method=post] input:not([type=hidden]), main "
        + "form[method=post] select')].filter(one => !one.readOnly && !one.disabled).length")).isEqualTo(0L);
    assertThat(browser.driver().executeScript("return [...document.querySelectorAll('main input')].filter(one => one.value && one.offsetParent)"
        + ".length > 3")).as("the lines are there to be read").isEqualTo(true);
    assertThat(browser.axe()).isEmpty();
  }

  /** Nobody is left before a bar that is full: what became of a table says so by itself, by hand from the paste to the undo. */
  @Test
  void whatWasTakenInIsSaidWithoutAsking(TestApp app, Browser browser) {
    Someone lifter = Someone.called(app, "Isbel Vance", Map.of("squat", "150"));
    browser.desk().signIn("coach").open(lifter.at("/records"));
    browser.type("text", "Date,Lift,Load kg,Reps\n2025-03-03,Squat,120,5\n2025-03-10,Squat,122.5,5\n");
    browser.press("main form:has(#text) button");
    browser.await("main form[action$='/take']");
    browser.press("main form[action$='/take'] button");
    browser.awaitText("#records-told", "2 sets taken in");
    browser.awaitText("#records-told", "1 of 1 done.");
    browser.press("#records-told form[action$='/undo'] button");
    browser.awaitText("main", "taken out");
    assertThat(browser.complaints()).isEmpty();
  }
}

package org.yarbel.web;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.yarbel.web.support.Background;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** Makes the pictures in docs/screenshots. Not part of the tests: its name keeps it out; the launcher calls it. */
@ExtendWith(TestApp.class)
class Screenshots {
  private final Path folder = Browser.root().resolve(System.getProperty("pictures", "docs/screenshots"));

  @Test
  void ofEveryMainScreen(TestApp app, Browser browser) {
    long maren = app.lifter("Maren");
    browser.desk();
    browser.signIn("coach");
    picture(browser, "floor");
    browser.open("/lifters/" + maren);
    picture(browser, "lifter");
    browser.open("/kit");
    picture(browser, "kit-room");
    browser.open("/people");
    browser.find("form[aria-label='Invite staff'] input[name=name]").sendKeys("Rosamund Vey");
    browser.press("form[aria-label='Invite staff'] button");
    browser.await(".entry-link");
    picture(browser, "people");
    browser.open("/lifters/" + app.lifter("Odile") + "/records");
    browser.find("#text").sendKeys("Datum;Übung;Gewicht;Sätze;Wdh;RPE;Bemerkung\n13.05.2024;Kniebeuge;102,5;3;5;8;gut geschlafen\n"
        + ";;110;1;3;8,5;\n14.05.2024;Bankdrücken;80;3;5;7,5;\n15.05.2024;Kniebeuge;900;1;1;;Tippfehler\n");
    browser.press("form .btn-main");
    browser.await("#what-comes-in");
    picture(browser, "old-records");
    browser.open("/workbench/estimate?load=140&reps=5&rpe=8&unit=kg");
    picture(browser, "workbench");
    browser.open("/lifters/" + app.lifter("Emeric") + "/runway");
    picture(browser, "runway");
    browser.open("/lifters/" + app.lifter("Corwin") + "/week");
    picture(browser, "week-board");
    browser.open("/lifters/" + app.lifter("Ansel") + "/weeks");
    picture(browser, "weeks-side-by-side");
    browser.open("/lifters/" + app.lifter("Leopold") + "/progressions?lift=Bench%20press&method=plus-sets");
    picture(browser, "methods");
    browser.open("/lifters/" + app.lifter("Emeric") + "/ledger?lift=squat");
    picture(browser, "ledger");
    Background.done(app.jdbc());
    browser.open("/calls");
    picture(browser, "calls");
    browser.open("/lifters/" + app.lifter("Tamsin") + "/look");
    picture(browser, "look");
    long session = app.session("Maren", TestApp.TODAY);
    browser.signIn("maren").phone().open("/me");
    picture(browser, "my-training");
    browser.open("/sessions/" + session + "/card");
    browser.awaitText(".card-head", "card 1");
    picture(browser, "card");
    long meet = app.jdbc().sql("select id from contest where name like 'Skelbeck%'").query(Long.class).single();
    browser.signIn("coach").desk().open("/contests/" + meet + "/day");
    picture(browser, "contest-table");
    browser.phone().open("/contests/" + meet + "/platform/" + app.jdbc().sql("select id from contest_athlete where contest_id = :meet and lifter_id = "
        + ":lifter").param("meet", meet).param("lifter", app.lifter("Juno")).query(Long.class).single());
    browser.await("#platform[data-along=yes]");
    picture(browser, "platform");
    browser.desk().open("/now");
    for (int i = 0; i < 3; i++) {
      long begun = browser.all(".now-set").size();
      browser.press(".now-begin button");
      browser.await(".now-row:nth-of-type(" + (begun + 1) + ") .now-set");
    }
    new Actions(browser.driver()).moveToElement(browser.find("h1")).perform();
    picture(browser, "training-now");
    review(browser, app.jdbc().sql("select max(id) from clip where lifter_id = :id").param("id", maren).query(Long.class).single());
    picture(browser, "review");
  }

  /** The rep of the film, read off its picture. */
  private static void review(Browser browser, long clip) {
    browser.open("/clips/" + clip + "/review");
    browser.awaitText("#time", "frame 0");
    browser.press(".stage");
    until(browser, 15);
    click(browser, "p", 190, 45);
    click(browser, "a", 190, 0);
    click(browser, "t", 190, 0);
    for (int quarter = 1; quarter <= 4; quarter++) {
      until(browser, 15 + 46 * quarter / 4);
      click(browser, "", 190 - 30 * quarter, 0);
    }
    click(browser, "e", 70, 0);
    browser.awaitText("#read", "m/s");
  }

  private static void until(Browser browser, int frame) {
    while (!browser.text("#time").endsWith(" frame " + frame)) {
      String before = browser.text("#time");
      new Actions(browser.driver()).sendKeys(".").perform();
      browser.awaitNot("#time", before);
    }
  }

  /** A key, and a click on the sleeve at a height of the picture of 320 by 240, drawn out to the right. */
  private static void click(Browser browser, String key, int y, int out) {
    WebElement canvas = browser.find(".stage canvas");
    double scale = canvas.getRect().getHeight() / 240.0;
    int down = (int) Math.round((y - 120) * scale);
    Actions actions = new Actions(browser.driver());
    (key.isEmpty() ? actions : actions.sendKeys(key)).moveToElement(canvas, 0, down).clickAndHold()
        .moveToElement(canvas, (int) Math.round(out * scale), down).release().perform();
  }

  private void picture(Browser browser, String name) {
    browser.picture(folder.resolve(name + ".png"));
  }
}

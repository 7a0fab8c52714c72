package org.yarbel.web;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** Makes the pictures in docs/screenshots. Not part of the tests: its name keeps it out; the launcher calls it. */
@ExtendWith(TestApp.class)
class Screenshots {
  private final Path folder = Browser.root().resolve(System.getProperty("pictures", "docs/screenshots"));

  @Test
  void ofEveryMainScreen(TestApp app, Browser browser) {
    long maren = app.lifter("Maren");
    browser.desk().open("/login");
    picture(browser, "sign-in");
    browser.signIn("coach");
    picture(browser, "floor");
    browser.open("/lifters/" + maren);
    picture(browser, "lifter");
    browser.open("/lifters/" + maren + "/week");
    picture(browser, "week-board");
    browser.open("/lifters/" + maren + "/ledger?lift=deadlift");
    picture(browser, "ledger");
    long session = app.session("Maren", TestApp.TODAY);
    browser.signIn("maren").phone().open("/sessions/" + session + "/card");
    picture(browser, "card-warm-up");
    browser.click(".ramp summary");
    picture(browser, "card");
    browser.desk().open("/sessions/" + session + "/card");
    picture(browser, "card-desk");
  }

  private void picture(Browser browser, String name) {
    browser.picture(folder.resolve(name + ".png"));
  }
}

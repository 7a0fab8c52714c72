package org.yarbel.web.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.yarbel.core.effort.Rpe;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** A coach goes through calls in a browser without touching the mouse. */
@ExtendWith(TestApp.class)
class CallKeysTest {
  private static final LocalDate TODAY = TestApp.TODAY;
  private static final LocalDate THURSDAY = TODAY.plusDays(3);
  private static final String HERE = ".call:focus";
  // a step of 2.5 kg is 2.8 % of the bench's 90, so 2.5 % it is: 76.9, to the half 77

  /** Rates squat and bench a point and a half easier than asked, so that two calls wait. */
  private static Someone undershooting(TestApp app, String name) {
    Someone lifter = Someone.called(app, name, Map.of("squat", "180", "bench", "120"));
    for (LocalDate day : List.of(TODAY.minusDays(4), TODAY.minusDays(1))) {
      for (String lift : List.of("squat", "bench")) {
        lifter.add(day, "MAIN", lift, "3x5 75% @8");
        lifter.lift(day, lift, Rpe.of(6.5), 5, 5, 5);
      }
    }
    lifter.add(THURSDAY, "MAIN", "squat", "3x5 75% @8");
    lifter.add(THURSDAY, "MAIN", "bench", "3x5 75% @8");
    lifter.lookAt();
    return lifter;
  }

  /** Keys to whatever has the focus. */
  private static void keys(Browser browser, CharSequence... keys) {
    for (CharSequence key : keys) {
      browser.driver().switchTo().activeElement().sendKeys(key);
    }
  }

  private static List<String> states(Someone lifter) {
    return lifter.app().jdbc().sql("select lift || ' ' || state from coach_call where lifter_id = :l and rule = 'too-easy-or-hard' order by lift, id")
        .param("l", lifter.id()).query(String.class).list();
  }

  @Test
  void eachLetterDecidesAndTheNextCallIsAtHand(TestApp app, Browser browser) {
    Someone lifter = undershooting(app, "Kit Letters");
    browser.desk().signIn("coach").open(lifter.at("/look"));
    keys(browser, "j");
    browser.awaitText(HERE + " header", "Bench press");
    keys(browser, "t");
    browser.awaitText(".call.is-decided", "taken: Up by");
    browser.awaitText(HERE + " header", "Squat");
    browser.awaitText(".look-next", "3x5 77% @8");
    keys(browser, "t");
    browser.awaitGone(".call:not(.is-decided)");
    assertThat(lifter.on(THURSDAY)).containsExactlyInAnyOrder("squat 3x5 76.5% @8", "bench 3x5 77% @8");
    assertThat(states(lifter)).containsExactly("bench TAKEN", "squat TAKEN");
    keys(browser, "u");
    browser.awaitText(HERE + " .said", "Taken back.");
    assertThat(browser.text(HERE + " header")).as("open again where it stood").contains("Squat");
    assertThat(lifter.on(THURSDAY)).containsExactlyInAnyOrder("squat 3x5 75% @8", "bench 3x5 77% @8");
    keys(browser, "l");
    browser.awaitText(".call.is-decided .said", "Left to lie");
    assertThat(states(lifter)).containsExactly("bench TAKEN", "squat UNDONE", "squat LYING");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void linesAreTypedOtherwiseWithAWordToTheLifter(TestApp app, Browser browser) {
    Someone lifter = undershooting(app, "Kay Typed");
    browser.desk().signIn("coach").open(lifter.at("/look"));
    keys(browser, "j", "e");
    keys(browser, Keys.chord(Keys.CONTROL, "a"), "3x5 7");
    browser.awaitText(".call:focus-within .comes-to", "The unit is missing");
    keys(browser, Keys.ENTER);
    browser.awaitText(HERE + " .said.wrong", "The unit is missing");
    keys(browser, "e");
    assertThat(browser.driver().switchTo().activeElement().getAttribute("value")).as("what was typed").isEqualTo("3x5 7");
    keys(browser, Keys.chord(Keys.CONTROL, "a"), "3x4 80% @8", Keys.ESCAPE, "m", "Trust it.", Keys.ENTER);
    browser.awaitText(".call.is-decided .said", "Kay Typed");
    assertThat(lifter.on(THURSDAY)).contains("bench 3x4 80% @8");
    assertThat(app.jdbc().sql("select word from coach_call where lifter_id = :l and state = 'TAKEN'").param("l", lifter.id())
        .query(String.class).single()).isEqualTo("Trust it.");
  }

  /** What a line comes to may still be on its way: the word goes into its field all the same, and none of its letters decides. */
  @Test
  void aWordIsWrittenWhileALoadIsOnItsWay(TestApp app, Browser browser) {
    Someone lifter = undershooting(app, "Kester Slow");
    browser.desk().signIn("coach").open(lifter.at("/look"));
    browser.slow(3000);
    try {
      keys(browser, "j", "e", Keys.chord(Keys.CONTROL, "a"), "3x4 80% @8");
      browser.await(".as-field.htmx-request");
      keys(browser, Keys.ESCAPE, "m", "Trust it.");
      assertThat(browser.driver().switchTo().activeElement().getAttribute("value")).isEqualTo("Trust it.");
    } finally {
      browser.slow(0);
    }
    keys(browser, Keys.ENTER);
    browser.awaitText(".call.is-decided .said", "Kester Slow");
    assertThat(lifter.on(THURSDAY)).contains("bench 3x4 80% @8");
    assertThat(states(lifter)).containsExactly("bench TAKEN", "squat OPEN");
  }

  @Test
  void refusedWithAReasonAndTheLooksGoneThrough(TestApp app, Browser browser) {
    Someone lifter = undershooting(app, "Aaab Refused");
    browser.desk().signIn("coach").open(lifter.at("/look?only=calls"));
    keys(browser, "j", "r", Keys.ENTER);
    browser.awaitText(HERE + " .said.wrong", "Say why in a few words");
    keys(browser, "r", "wedding on Saturday", Keys.ENTER);
    browser.awaitText(".call.is-decided .said", "Refused: wedding on Saturday.");
    assertThat(states(lifter)).containsExactly("bench REFUSED", "squat OPEN");
    String before = browser.text("h1");
    keys(browser, "w", "Rest well.", Keys.ESCAPE, "a");
    browser.awaitNot("h1", before);
    assertThat(app.jdbc().sql("select words from session_word where lifter_id = :l").param("l", lifter.id()).query(String.class).list())
        .containsExactly("Rest well.");
    keys(browser, "p");
    browser.awaitText("h1", before);
  }

  @Test
  void theWholeClubsPageTakesTheSameKeys(TestApp app, Browser browser) {
    undershooting(app, "Kim Club");
    browser.desk().signIn("coach").open("/calls?rule=too-easy-or-hard");
    keys(browser, "j", "f");
    assertThat(browser.find(HERE + " .call-facts").getAttribute("open")).isNotNull();
    keys(browser, "c");
    browser.awaitText(HERE + " .call-preview", "The checks");
    assertThat(browser.complaints()).isEmpty();
  }
}

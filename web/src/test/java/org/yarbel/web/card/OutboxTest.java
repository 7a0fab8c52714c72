package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.Role;

/** What a lifter writes down reaches the log, once, and what does not is not hidden from them. */
@ExtendWith(TestApp.class)
class OutboxTest {
  private static final String OPEN = ".panel:not([hidden]) ";
  private static final AtomicInteger NUMBER = new AtomicInteger();

  private Someone someone;
  private long session;

  @BeforeEach
  void aLifterWithASignInAndACardOfToday(TestApp app) {
    int number = NUMBER.incrementAndGet();
    someone = Someone.called(app, "Outbox " + number, Map.of("squat", "200"));
    someone.add(TestApp.TODAY, "MAIN", "squat", "1x1 @8; 2x4 -15%");
    app.bean(Accounts.class).add(someone.who().clubId(), email(), "tarnbrook-demo", "Outbox " + number, Role.LIFTER, someone.id());
    session = app.jdbc().sql("select id from training_session where lifter_id = :l").param("l", someone.id()).query(Long.class).single();
  }

  private String email() {
    return "outbox" + NUMBER.get() + "@tarnbrook.example";
  }

  private void card(Browser browser) {
    browser.phone().signIn(email()).card(session);
    browser.awaitText(".card-head", "card 1");
    new WebDriverWait(browser.driver(), Duration.ofSeconds(30)).until(driver -> browser.driver()
        .executeAsyncScript("const done = arguments[0]; caches.match(location.pathname).then((kept) => done(Boolean(kept)))"));
  }

  private static void log(Browser browser, String load) {
    WebElement field = browser.find(OPEN + "input[name=load]");
    field.clear();
    field.sendKeys(load);
    browser.press(browser.find(OPEN + ".pads input[value='8']").findElement(By.xpath("..")));
    browser.press(OPEN + ".btn-go[name=outcome]");
  }

  private List<String> logged() {
    return someone.app().jdbc().sql("select (load_ng / 1000000000000.0)::numeric(6,1) || 'x' || reps from logged_set where "
        + "session_id = :s order by part, set_number")
        .param("s", session).query(String.class).list();
  }

  @AfterEach
  void signalAgain(Browser browser) {
    browser.offline(false);
    browser.open("/login");
    browser.driver().executeScript("localStorage.clear()");
    // what it said of a network that was not there is nobody else's
    browser.complaints();
  }

  @Test
  void aCardOpenedAgainWithoutSignalShowsWhatWasLoggedWithIt(TestApp app, Browser browser) {
    card(browser);
    log(browser, "185");
    browser.awaitText(".overview .is-done", "185");
    // the kept card is brought up to date by the answer itself
    new WebDriverWait(browser.driver(), Duration.ofSeconds(10)).until(driver -> browser.driver().executeAsyncScript(
        "const done = arguments[0]; caches.match(location.pathname).then((kept) => kept.text()).then((page) => "
            + "done(page.includes('is-done')))"));
    browser.offline(true);
    browser.open("/sessions/" + session + "/card");
    browser.awaitText("#kept-note", "No signal");
    browser.awaitText(".overview .is-done", "185");
    assertThat(browser.text(OPEN + "h2")).contains("back-off 1 of 2");
    browser.offline(false);
    assertThat(logged()).containsExactly("185.0x1");
  }

  @Test
  void everySetWithoutSignalBeginsItsRest(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "185");
    browser.awaitText("#rest-label", "back-off 1 of 2");
    log(browser, "155");
    browser.awaitText("#rest-label", "back-off 2 of 2");
    browser.awaitText("#queue-note", "2 entries are kept on this phone");
  }

  /** 190 less 15 % is 161.5, 162.5 on the bar; with the 185 that was asked it would be 157.5. */
  @Test
  void theRestNamesTheLoadThatFollowsFromWhatWasLifted(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "190");
    browser.awaitText("#rest-label", "back-off 1 of 2: ");
    assertThat(browser.text(OPEN + ".number")).isEqualTo("162.5");
    assertThat(browser.text("#rest-label")).contains("back-off 1 of 2: 162.5 ×");
    assertThat(browser.text(OPEN + ".what-next a")).contains("back-off 2 of 2: 162.5 ×");
  }

  @Test
  void theRestNamesItWithSignalToo(TestApp app, Browser browser) {
    card(browser);
    log(browser, "190");
    browser.awaitText("#rest-label", "back-off 1 of 2: 162.5 ×");
  }

  @Test
  void aPageFromBeforeTheAnswerWritesNothingOver(TestApp app, Browser browser) {
    card(browser);
    String page = browser.driver().getPageSource();
    log(browser, "185");
    browser.awaitText(".overview .is-done", "185");
    assertThat(page).contains("name=\"seen\"");
    Client lifter = Client.of(app, email());
    String old = lifter.get("/sessions/" + session + "/card").body();
    assertThat(old).contains("Done:");
    Map<String, String> stale = new HashMap<>(Map.of("key",
        app.jdbc().sql("select entry_key::text from logged_set where session_id = :s").param("s", session)
        .query(String.class).single(), "slot", app.line(someone.slot(TestApp.TODAY, "squat")), "part", "1", "set", "1", "issue",
        "1", "seen", "-1", "load", "200", "reps", "1", "outcome", "done"));
    assertThat(lifter.post("/sessions/" + session + "/sets", stale).statusCode()).isEqualTo(409);
    stale.put("set", "2");
    stale.put("part", "2");
    stale.put("set", "1");
    assertThat(lifter.post("/sessions/" + session + "/sets", stale).body()).contains("This page had an entry of another set");
    assertThat(logged()).containsExactly("185.0x1");
  }

  @Test
  void whatWaitsIsSentFromWhateverPageIsOpenWhenTheSignalIsBack(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "185");
    browser.awaitText("#queue-note", "1 entry is kept on this phone");
    browser.offline(false);
    browser.open("/me");
    new WebDriverWait(browser.driver(), Duration.ofSeconds(30)).until(driver -> !logged().isEmpty());
    assertThat(logged()).containsExactly("185.0x1");
    assertThat(browser.find("#outbox").isDisplayed()).isFalse();
  }

  @Test
  void itGoesOnByItselfWithoutAnybodyTouchingThePhone(TestApp app, Browser browser) {
    card(browser);
    browser.gone(true);
    log(browser, "185");
    browser.awaitText("#queue-note", "1 entry is kept on this phone");
    browser.gone(false);
    new WebDriverWait(browser.driver(), Duration.ofSeconds(60)).until(driver -> !logged().isEmpty());
    browser.awaitText(".overview .is-done", "185");
  }

  @Test
  void whatIsRefusedLongAfterStaysInAListUntilItIsCleared(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "900");
    browser.awaitText("#queue-note", "1 entry is kept on this phone");
    browser.offline(false);
    browser.open("/me");
    browser.awaitText("#queue-refused", "Not taken: Squat, top single: 900 × 1 @8.");
    assertThat(browser.text("#queue-refused")).as("it was asked about, not taken as sure").contains("Is that right?");
    assertThat(logged()).isEmpty();
    browser.open("/me");
    browser.awaitText("#queue-refused", "900 × 1 @8");
    browser.press("#queue-refused a");
    browser.awaitText(OPEN + "h2", "top single");
    assertThat(browser.find(OPEN + "input[name=load]").getDomProperty("value")).as("it is back in its fields").isEqualTo("900");
    log(browser, "185");
    browser.awaitText(".overview .is-done", "185");
    assertThat(browser.find("#outbox").isDisplayed()).as("settled").isFalse();
  }

  @Test
  void aSetWhoseLineWentIsToldWithItsFigures(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "185");
    browser.awaitText("#queue-note", "1 entry is kept");
    app.jdbc().sql("delete from card_issue where session_id = :s").param("s", session).update();
    app.jdbc().sql("delete from training_session where id = :s").param("s", session).update();
    browser.offline(false);
    browser.open("/me");
    browser.awaitText("#queue-refused", "That set is no longer in the plan");
    assertThat(browser.text("#queue-refused")).contains("185 × 1 @8");
    browser.press("#queue-refused button");
    assertThat(browser.find("#outbox").isDisplayed()).isFalse();
  }

  @Test
  void whereNothingCanBeKeptItGoesOutAtOnce(TestApp app, Browser browser) {
    card(browser);
    browser.driver().executeScript("Storage.prototype.setItem = () => { throw new DOMException('full', 'QuotaExceededError'); }");
    log(browser, "185");
    browser.awaitText(".overview .is-done", "185");
    assertThat(logged()).containsExactly("185.0x1");
    browser.offline(true);
    log(browser, "157.5");
    browser.awaitText("#queue-note", "this phone keeps nothing");
    assertThat(browser.find(OPEN + "input[name=load]").getDomProperty("value")).isEqualTo("157.5");
  }

  @Test
  void signingOutAsksBeforeItDropsWhatIsNotWrittenDown(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    log(browser, "900");
    browser.awaitText("#queue-note", "1 entry is kept");
    assertThat((String) browser.driver().executeScript("return localStorage.getItem('yarbel-outbox')")).contains("900")
        .doesNotContain("_csrf");
    asksToSignOut(browser);
    browser.press("#sign-out-anyway");
    browser.awaitText("#queue-note", "you are still signed in, and nothing was dropped");
    browser.offline(false);
    browser.open("/me");
    browser.awaitText("#queue-refused", "900 × 1 @8");
    asksToSignOut(browser);
    browser.press("#sign-out-stay");
    assertThat(browser.find("#sign-out-question").isDisplayed()).isFalse();
    asksToSignOut(browser);
    browser.press("#sign-out-anyway");
    browser.awaitText("h1", "Sign in");
    assertThat((String) browser.driver().executeScript("return localStorage.getItem('yarbel-refused')")).isNull();
  }

  @Test
  void withoutSignalNobodyIsSignedOutAndTheCardStays(TestApp app, Browser browser) {
    card(browser);
    browser.offline(true);
    signOut(browser);
    browser.awaitText("#queue-note", "No signal: you are still signed in, and nothing was dropped");
    browser.open("/sessions/" + session + "/card");
    browser.awaitText("#kept-note", "No signal");
    browser.offline(false);
    browser.open("/me");
    signOut(browser);
    browser.awaitText("h1", "Sign in");
    assertThat((Boolean) browser.driver().executeAsyncScript("const done = arguments[0]; caches.match('/sessions/" + session
        + "/card').then((kept) => done(Boolean(kept)))"))
        .as("the card is gone from the phone").isFalse();
  }

  private static void signOut(Browser browser) {
    browser.press(".menu-open");
    browser.press("form.who button");
  }

  private static void asksToSignOut(Browser browser) {
    signOut(browser);
    browser.awaitText("#sign-out-question", "One entry on this phone is not written down yet. Signing out drops it.");
  }

  @Test
  void looksAheadOfAnybodyIssueNothing(TestApp app) {
    Client lifter = Client.of(app, email());
    for (String header : List.of("Sec-Purpose", "Purpose", "X-Moz")) {
      lifter.get("/sessions/" + session + "/card", header, "prefetch");
    }
    assertThat(app.jdbc().sql("select count(*) from card_issue where session_id = :s").param("s", session).query(Integer.class)
        .single()).isZero();
    assertThat(lifter.card(session).body()).contains("card 1");
  }

  @Test
  void whatWasDoneOfALineThatWentStandsOnTheDaysCard(TestApp app) {
    someone.add(TestApp.TODAY, "ASSISTANCE", "row", "2x8 80kg");
    someone.lift(TestApp.TODAY, "row", 8);
    app.jdbc().sql("delete from slot where id = :id").param("id", someone.slot(TestApp.TODAY, "row")).update();
    assertThat(someone.coach().card(session).body()).contains("Done, taken out since").containsPattern("row: 80 kg × 8");
  }
}

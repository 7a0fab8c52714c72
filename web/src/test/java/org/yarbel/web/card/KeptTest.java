package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** What a phone keeps by itself, and what is lifted from it without any signal. */
@ExtendWith(TestApp.class)
class KeptTest {
  private static final AtomicInteger NUMBER = new AtomicInteger();
  private static final LocalDate TOMORROW = TestApp.TODAY.plusDays(1);
  private static final String OPEN = ".panel:not([hidden]) ";
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private Someone someone;

  @BeforeEach
  void aLifterWithTwoDaysAhead(TestApp app) {
    int number = NUMBER.incrementAndGet();
    someone = Someone.called(app, "Kept " + number, Map.of("squat", "200"));
    someone.add(TestApp.TODAY, "MAIN", "squat", "1x1 @8; 2x4 -15%");
    someone.add(TOMORROW, "MAIN", "squat", "2x5 70%");
    someone.add(TestApp.TODAY.plusDays(9), "MAIN", "squat", "2x5 70%");
    someone.signsIn(email(), "tarnbrook-demo");
  }

  private String email() {
    return "kept" + NUMBER.get() + "@tarnbrook.example";
  }

  private long session(LocalDate day) {
    return someone.app().jdbc().sql("select id from training_session where lifter_id = :l and day = :d").param("l", someone.id())
        .param("d", day).query(Long.class).single();
  }

  private List<String> issues(LocalDate day) {
    return someone.app().jdbc().sql("select number || case when ahead then ' kept' else ' issued' end from card_issue where session_id = :s "
        + "order by number").param("s", session(day)).query(String.class).list();
  }

  @AfterEach
  void signalAgain(Browser browser) {
    browser.offline(false);
    browser.open("/login");
    browser.driver().executeScript("localStorage.clear()");
    browser.complaints();
  }

  @Test
  void whatIsKeptStillMovesUntilASetIsLiftedFromIt() {
    Client phone = Client.signIn(someone.app(), email());
    phone.get("/me");
    String first = phone.post("/me/kept", Map.of()).body();
    assertThat(first).contains("\"day\":\"" + TestApp.TODAY + "\"").contains("\"day\":\"" + TOMORROW + "\"")
        .doesNotContain(TestApp.TODAY.plusDays(9).toString());
    assertThat(phone.post("/me/kept", Map.of()).body()).as("nothing moved").isEqualTo(first);
    assertThat(issues(TOMORROW)).containsExactly("1 kept");
    assertThat(phone.get("/sessions/" + session(TOMORROW) + "/card").body()).as("to everybody else it is a look ahead")
        .contains("a look ahead: loads may still move");
    assertThat(phone.get("/sessions/" + session(TOMORROW) + "/card/kept").body()).contains("card 1").contains("name=\"issue\" value=\"1\"");
    someone.coach().get(someone.at("/week"));
    someone.coach().post("/slots/" + someone.slot(TOMORROW, "squat"), Map.of("kind", "MAIN", "lift", "squat", "work", "2x5 80%", "version",
        Integer.toString(someone.version(someone.slot(TOMORROW, "squat")))));
    assertThat(someone.on(TOMORROW)).containsExactly("squat 2x5 80%");
    assertThat(phone.post("/me/kept", Map.of()).body()).isNotEqualTo(first);
    assertThat(issues(TOMORROW)).containsExactly("1 kept", "2 kept");
    // the phone that was away lifts from the first: 70 % of 200 was asked, and what is not begun follows the plan of now
    String line = someone.app().line(someone.slot(TOMORROW, "squat"));
    int answer = phone.post("/sessions/" + session(TOMORROW) + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1",
        "set", "1", "issue", "1", "seen", "-1", "load", "140", "reps", "5", "outcome", "done", "sure", "1")).statusCode();
    assertThat(answer).isEqualTo(302);
    assertThat(someone.app().jdbc().sql("select asked_ng / 1000000000000 from logged_set where session_id = :s").param("s", session(TOMORROW))
        .query(Integer.class).single()).isEqualTo(140);
    assertThat(issues(TOMORROW)).containsExactly("1 issued", "2 kept", "3 issued");
  }

  @Test
  void theCardOfTodayThatWasKeptIsTheOneThatIsTaken() {
    Client phone = Client.signIn(someone.app(), email());
    phone.get("/me");
    phone.post("/me/kept", Map.of());
    assertThat(phone.card(session(TestApp.TODAY)).body()).contains("card 1");
    assertThat(issues(TestApp.TODAY)).containsExactly("1 issued");
  }

  @Test
  void anothersCardsAreKeptByNobody() {
    Client phone = Client.signIn(someone.app(), email());
    phone.get("/me");
    long other = someone.app().jdbc().sql("select min(id) from training_session where lifter_id <> :l").param("l", someone.id())
        .query(Long.class).single();
    assertThat(phone.get("/sessions/" + other + "/card/kept").statusCode()).isEqualTo(404);
    someone.coach().get("/");
    assertThat(someone.coach().post("/me/kept", Map.of()).statusCode()).isEqualTo(404);
  }

  /** As browsers do where somebody went on past the warning of a certificate: no worker comes from there. */
  @Test
  void aPhoneThatDoesNotTrustTheHouseIsToldSo(TestApp app, Browser browser) {
    Object script = browser.phone().signIn(email()).driver().executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source",
        "navigator.serviceWorker.register = () => Promise.reject(new DOMException('certificate', 'SecurityError'))")).get("identifier");
    try {
      browser.open("/me");
      browser.awaitText("#kept-here", "This phone does not trust the club's address yet");
      assertThat(browser.find("#kept-here .untrusted a").getDomAttribute("href")).isEqualTo("/trust");
      assertThat(browser.text("#kept-here")).doesNotContain("Kept on this phone");
    } finally {
      browser.driver().executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", script));
    }
    browser.open("/me");
    browser.awaitText("#kept-here", "Kept on this phone");
    assertThat(browser.find("#kept-here .untrusted").isDisplayed()).isFalse();
  }

  @Test
  void aCardThatDidNotComeIsNotSaidToBeKept(TestApp app, Browser browser) {
    Object script = browser.phone().signIn(email()).driver().executeCdpCommand("Page.addScriptToEvaluateOnNewDocument", Map.of("source",
        "const real = fetch; window.fetch = (address, how) => address === '/sessions/" + session(TOMORROW)
        + "/card/kept' ? Promise.resolve(new Response('', { status: 503 })) : real(address, how)")).get("identifier");
    browser.driver().executeAsyncScript("const done = arguments[0]; caches.delete('yarbel-cards').then(() => { localStorage.clear(); done(); })");
    try {
      browser.open("/me");
      browser.awaitText("#kept-here", "Kept on this phone for when there is no signal: the card up to Mon 2 Mar");
    } finally {
      browser.driver().executeCdpCommand("Page.removeScriptToEvaluateOnNewDocument", Map.of("identifier", script));
    }
    browser.open("/me");
    browser.awaitText("#kept-here", "the 2 cards up to Tue 3 Mar");
  }

  @Test
  void aPhoneStartsAndLiftsWithoutAnySignal(TestApp app, Browser browser) {
    browser.phone().signIn(email()).open("/me");
    browser.awaitText("#kept-here", "Kept on this phone for when there is no signal: the 2 cards up to Tue 3 Mar");
    browser.awaitText("#kept-here", "Nothing waits to be sent.");
    // the worker has the page from now on
    browser.open("/me");
    browser.awaitText("#kept-here", "as of just now");
    browser.offline(true);
    browser.open("/");
    browser.awaitText("#kept-note", "No signal: this is the page as it was just now");
    browser.press(".mine-days a[href$='/" + session(TOMORROW) + "/card']");
    browser.awaitText(".card-head", "card 1");
    browser.awaitText("#kept-note", "No signal");
    assertThat(browser.text(OPEN + ".number")).as("70 % of 200").isEqualTo("140");
    WebElement field = browser.find(OPEN + "input[name=load]");
    field.clear();
    field.sendKeys("140");
    browser.press(browser.find(OPEN + ".pads input[value='8']").findElement(By.xpath("..")));
    browser.press(OPEN + ".btn-go[name=outcome]");
    browser.awaitText("#queue-note", "1 entry is kept on this phone and will be sent by itself");
    browser.open("/me");
    browser.awaitText("#kept-here", "One entry waits to be sent.");
    // the session ends meanwhile: what waits is told at the door, and sent after it
    app.jdbc().sql("delete from sign_in where account_id = (select id from account where lifter_id = :l)").param("l", someone.id()).update();
    browser.offline(false);
    browser.open("/me");
    browser.awaitText("#waits-here", "One entry waits on this phone. Sign in");
    browser.type("email", email());
    browser.type("password", "tarnbrook-demo");
    browser.press("form .btn-main");
    // it is for tomorrow: asked, not dropped
    browser.awaitText("#queue-refused", "Is it lifted today?");
    browser.press(".menu-open");
    browser.press("form.who .link");
    browser.awaitText("#sign-out-question", "not written down yet");
    browser.press("#sign-out-anyway");
    until(() -> browser.driver().getCurrentUrl().contains("/login"), browser);
    assertThat(browser.driver().executeAsyncScript("const done = arguments[0]; caches.keys().then((all) => done(all.join()))"))
        .as("signing out empties the phone").isEqualTo("");
    assertThat(browser.driver().executeScript("return localStorage.length")).isEqualTo(0L);
  }

  private static void until(BooleanSupplier so, Browser browser) {
    new WebDriverWait(browser.driver(), PATIENCE).until(driver -> so.getAsBoolean());
  }

  @Test
  void aPhoneWithoutRoomSaysSo(TestApp app, Browser browser) {
    browser.phone().signIn(email()).open("/me");
    browser.awaitText("#kept-here", "the 2 cards");
    browser.driver().executeAsyncScript("const done = arguments[0]; caches.delete('yarbel-cards').then(() => { localStorage.clear(); done(); })");
    String origin = browser.driver().getCurrentUrl().replaceFirst("(https?://[^/]+).*", "$1");
    browser.driver().executeCdpCommand("Storage.overrideQuotaForOrigin", Map.of("origin", origin, "quotaSize", 20_000));
    try {
      browser.open("/me");
      browser.awaitText("#kept-here", "This phone has no room left:");
    } finally {
      browser.driver().executeCdpCommand("Storage.overrideQuotaForOrigin", Map.of("origin", origin));
    }
  }

  @Test
  void itInstallsWithIconsOfItsOwn(TestApp app, Browser browser) {
    Client stranger = new Client(app);
    assertThat(stranger.get("/manifest.webmanifest").headers().firstValue("Content-Type").orElse("")).startsWith("application/manifest+json");
    assertThat(stranger.get("/manifest.webmanifest").body()).contains("\"start_url\": \"/\"").contains("maskable");
    for (String icon : List.of("yarbel-180", "yarbel-192", "yarbel-512", "yarbel-mask-512")) {
      assertThat(stranger.bytes("/icons/" + icon + ".png").headers().firstValue("Content-Type").orElse("")).isEqualTo("image/png");
    }
    browser.phone().signIn(email()).open("/me");
    browser.awaitText("#kept-here", "Kept on this phone");
    assertThat(browser.driver().executeCdpCommand("Page.getInstallabilityErrors", Map.of()).toString())
        .as("what keeps the browser from installing it").doesNotContain("manifest", "icon", "start-url");
  }
}

package org.yarbel.web.support;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.JavascriptException;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium, one for all tests, in the size of a desk or a phone. */
public final class Browser {
  /** Brings an element into sight, waits until two frames show it at one place, and remembers where a click goes that misses it. */
  private static final String STANDS_STILL = """
      const [element, done] = arguments;
      element.scrollIntoView({ block: "center", behavior: "instant" });
      const place = () => Object.values(element.getBoundingClientRect().toJSON()).join();
      let before = "";
      let frames = 0;
      const look = () => {
        if (place() !== before && frames++ < 120) {
          before = place();
          requestAnimationFrame(look);
          return;
        }
        window.pressedElsewhere = undefined;
        addEventListener("click", ({ target }) => {
          const whole = element.closest("label, a, button") ?? element;
          window.pressedElsewhere = whole.contains(target) ? undefined : target.outerHTML.slice(0, 300);
        }, { capture: true, once: true });
        done();
      };
      requestAnimationFrame(look);
      """;

  private static Browser shared;

  private final ChromeDriver driver;
  private final Wire wire;

  private Browser(ChromeDriver driver, TestApp app) {
    this.driver = driver;
    this.wire = new Wire(app.port());
  }

  static synchronized Browser of(TestApp app) {
    if (shared == null) {
      shared = new Browser(start(), app);
      Runtime.getRuntime().addShutdownHook(new Thread(shared.driver::quit));
    }
    return shared;
  }

  private static ChromeDriver start() {
    try {
      ChromeOptions options = new ChromeOptions();
      options.setBinary("/usr/bin/chromium");
      options.addArguments("--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
          "--disable-background-networking", "--disable-component-update", "--disable-sync", "--hide-scrollbars",
          "--lang=en", "--user-data-dir=" + Files.createTempDirectory("yarbel-chromium-"), "--window-size=1280,800");
      ChromeDriverService service =
          new ChromeDriverService.Builder().usingDriverExecutable(new File("/usr/bin/chromedriver")).build();
      return new ChromeDriver(service, options);
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  public ChromeDriver driver() {
    return driver;
  }

  /** A desk's screen, 1280×800. */
  public Browser desk() {
    return size(1280, 800, false);
  }

  /** A phone's screen, 390×844. */
  public Browser phone() {
    return size(390, 844, true);
  }

  private Browser size(int width, int height, boolean mobile) {
    driver.executeCdpCommand("Emulation.setDeviceMetricsOverride",
        Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", mobile));
    return this;
  }

  /** Cuts the network off for the page and for its service worker, or puts it back. */
  public void offline(boolean off) {
    wire.cut(off);
    driver.executeCdpCommand("Network.enable", Map.of());
    driver.executeCdpCommand("Network.emulateNetworkConditions",
        Map.of("offline", off, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
  }

  /** Takes the application away, or puts it back, without the browser knowing of any change to its network. */
  public void gone(boolean away) {
    wire.cut(away);
  }

  public Browser open(String path) {
    driver.get(wire.url(path));
    return this;
  }

  /** Opens a card and waits until it is taken, which the page does by itself. */
  public Browser card(long session) {
    open("/sessions/" + session + "/card");
    await("#card:not([data-take])");
    return this;
  }

  /** Signs somebody of the demo in, as a new visitor. */
  public Browser signIn(String who) {
    signOut();
    open("/login");
    type("email", who.contains("@") ? who : who + "@tarnbrook.example");
    type("password", "tarnbrook-demo");
    click("button[type=submit].btn-main");
    await(".shell .who, .shell .menu-open");
    return this;
  }

  /** Takes the sign-in away from the browser; the page that was open is left first, or what it still fetches is told to sign in. */
  public void signOut() {
    driver.get("about:blank");
    driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
  }

  public void type(String id, String text) {
    WebElement field = driver.findElement(By.id(id));
    field.clear();
    field.sendKeys(text);
  }

  public void click(String css) {
    find(css).click();
  }

  /** Presses something as a person does: brought into sight, looked at until it stands still, pointed at, clicked. */
  public void press(WebElement element) {
    driver.executeAsyncScript(STANDS_STILL, element);
    new Actions(driver).moveToElement(element).click().perform();
    Object elsewhere = driver.executeScript("return window.pressedElsewhere ?? null");
    if (elsewhere != null) {
      throw new IllegalStateException("The page moved under the press, which went to " + elsewhere);
    }
  }

  /** The same with what is to be seen of a kind first; again when the page drew it anew before it was pressed. */
  public void press(String css) {
    waiting().ignoring(StaleElementReferenceException.class, JavascriptException.class).until(d -> {
      press(await(css));
      return true;
    });
  }

  /** Drags from the middle of one element to another, some pixels below its top: pressed, moved in steps, let go. */
  public void drag(WebElement from, WebElement to, int below) {
    driver.executeScript("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", from);
    int height = to.getRect().getHeight();
    new Actions(driver).moveToElement(from).clickAndHold().pause(Duration.ofMillis(60)).moveByOffset(4, 6).pause(Duration.ofMillis(60))
        .moveToElement(to, 0, below - height / 2).pause(Duration.ofMillis(120)).moveByOffset(1, 0).release().perform();
  }

  /** Goes on by Tab until something has the focus. */
  public WebElement tabTo(String css) {
    for (int i = 0; i < 200; i++) {
      WebElement focused = driver.switchTo().activeElement();
      if (all(css).contains(focused)) {
        return focused;
      }
      new Actions(driver).sendKeys(Keys.TAB).perform();
    }
    throw new IllegalStateException("Tab never came to " + css);
  }

  /** Makes every answer late by so many milliseconds; 0 for as quick as it is. */
  public void slow(int milliseconds) {
    driver.executeCdpCommand("Network.enable", Map.of());
    driver.executeCdpCommand("Network.emulateNetworkConditions",
        Map.of("offline", false, "latency", milliseconds, "downloadThroughput", -1, "uploadThroughput", -1));
  }

  /** The first of a kind, waited for: a page that a press leads to may still be on its way. */
  public WebElement find(String css) {
    return waiting().until(d -> all(css).stream().findFirst().orElse(null));
  }

  public List<WebElement> all(String css) {
    return driver.findElements(By.cssSelector(css));
  }

  public String text(String css) {
    return find(css).getText();
  }

  /** Waits until something is there to see. */
  public WebElement await(String css) {
    return waiting().withMessage(() -> "nothing to see of " + css + " at " + driver.getCurrentUrl() + ", which says "
        + driver.executeScript("return document.body.innerText.slice(0, 1500)")).ignoring(StaleElementReferenceException.class)
        .until(d -> all(css).stream().filter(WebElement::isDisplayed).findFirst().orElse(null));
  }

  /** Waits until none of a kind is to be seen. */
  public void awaitGone(String css) {
    waiting().ignoring(StaleElementReferenceException.class).until(d -> all(css).stream().noneMatch(WebElement::isDisplayed));
  }

  /** Waits until an element says something. */
  public void awaitText(String css, String text) {
    waiting().withMessage(() -> css + " says '" + (all(css).isEmpty() ? "nothing" : text(css)) + "', not '" + text + "'")
        // a node of the page before, while the next one comes, is told as an error of the driver's own now and then
        .ignoring(WebDriverException.class)
        .until(d -> all(css).stream().anyMatch(e -> e.getText().contains(text)));
  }

  /** Keeps from now on whatever elements of a kind say on this page: a clock goes on while a slow machine looks away. */
  public void listen(String css) {
    driver.executeScript("""
        const heard = [], look = () => document.querySelectorAll(arguments[0]).forEach((one) => heard.push(one.textContent));
        window.heard = heard;
        new MutationObserver(look).observe(document.body, { subtree: true, childList: true, characterData: true, attributeFilter: ["hidden"] });
        look();
        """, css);
  }

  /** Waits until one of what is listened to has said something. */
  public void awaitHeard(String pattern) {
    waiting().withMessage(() -> pattern + " was not said, but " + driver.executeScript("return [...new Set(window.heard)].join(', ')"))
        .until(d -> driver.executeScript("return window.heard.some((said) => new RegExp(arguments[0]).test(said))", pattern).equals(true));
  }

  /** Waits until an element says something else. */
  public void awaitNot(String css, String text) {
    waiting().ignoring(StaleElementReferenceException.class).until(d -> !text(css).equals(text));
  }

  private WebDriverWait waiting() {
    return new WebDriverWait(driver, Duration.ofSeconds(20), Duration.ofMillis(40));
  }

  /**
   * What axe finds wrong with the page, a line each. It runs in the page's own window: the other way opens a second one for every
   * page to put the parts of frames together, of which there are none here, and a slow machine loses it now and then.
   */
  public List<String> axe() {
    return new AxeBuilder().setLegacyMode().analyze(driver).getViolations().stream().map(Browser::describe).toList();
  }

  private static String describe(Rule rule) {
    return rule.getId() + ": " + rule.getHelp() + " " + rule.getNodes().stream().map(n -> n.getTarget() + "").toList();
  }

  /** What the browser's console complained about since the last call, the answers to bad input left out. */
  public List<String> complaints() {
    return driver.manage().logs().get("browser").getAll().stream()
        .map(entry -> entry.getMessage())
        .filter(message -> !message.contains("status of 4") && !message.contains("ERR_INTERNET_DISCONNECTED")
            // htmx writes the same a moment after its page was told, which may be in the next test
            && !message.contains("Response Status Error Code 4"))
        .toList();
  }

  /** Writes a picture of what is to be seen. */
  public void picture(Path file) {
    try {
      Files.createDirectories(file.getParent());
      Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    } catch (IOException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The project's folder. */
  public static Path root() {
    return TestDatabase.root();
  }
}

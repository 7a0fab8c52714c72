package org.yarbel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** A film whose speed is known to the frame, measured by hand through the page that coaches measure with. */
@ExtendWith(TestApp.class)
class DemoFilmTest {
  private static final String[] HTMX = {"HX-Request", "true"};

  /** Somebody with some sets of a day, a clip of the film each. */
  private record Filmed(Someone lifter, long session, List<String> clips) {
    static Filmed of(TestApp app, String name, int sets, byte[] film) {
      Someone lifter = Someone.called(app, name, Map.of("squat", "200"));
      lifter.add(TestApp.TODAY, "MAIN", "squat", "3x5 75%");
      long session = app.session(name, TestApp.TODAY);
      Client coach = lifter.coach();
      coach.post("/sessions/" + session + "/issue", Map.of(), HTMX);
      String line = app.jdbc().sql("select ref::text from slot where session_id = :s").param("s", session).query(String.class).single();
      List<String> clips = new ArrayList<>();
      for (int set = 1; set <= sets; set++) {
        coach.post("/sessions/" + session + "/sets", new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set",
            "" + set, "issue", "1", "seen", "-1", "load", "150", "reps", "5", "outcome", "done", "sure", "1")), HTMX);
        String key = UUID.randomUUID().toString();
        coach.post("/sessions/" + session + "/clips", Map.of("key", key, "bytes", "" + film.length, "slot", line, "part", "1", "set", "" + set));
        Matcher made = Pattern.compile("\"clip\":(\\d+)").matcher(coach.put("/clips/uploads/" + key + "?at=0", film).body());
        assertThat(made.find()).isTrue();
        clips.add(made.group(1));
      }
      return new Filmed(lifter, session, clips);
    }
  }

  private static void ready(Browser browser, int clips) {
    new WebDriverWait(browser.driver(), Duration.ofSeconds(90)).until(d -> (Boolean) browser.driver().executeScript("const all = "
        + "[...document.querySelectorAll('.stage')]; return all.length === arguments[0] && all.every((one) => "
        + "one.querySelector('video').readyState >= 2 && one.querySelector('canvas').width === 320)", clips));
  }

  /** The frame each clip shows. */
  private static List<Long> frames(Browser browser) {
    return (List<Long>) browser.driver().executeScript("return [...document.querySelectorAll('.stage video')].map((video) => "
        + "Math.floor(video.currentTime * 30 + 1e-4))");
  }

  @Test
  void twoClipsAreLinedUpAtAFrameEach(TestApp app, Browser browser) {
    Optional<byte[]> film = new DemoFilm(40).made();
    assumeThat(film).as("there is an ffmpeg here").isPresent();
    Filmed filmed = Filmed.of(app, "Beside Wren", 2, film.get());
    browser.signIn("coach").desk().open("/clips/" + filmed.clips().get(0) + "/review");
    browser.press(".looking form button");
    ready(browser, 2);
    assertThat((Boolean) browser.driver().executeScript("return document.querySelector('.review-acts').getBoundingClientRect().bottom < innerHeight"))
        .as("picture and buttons are seen together").isTrue();
    browser.press(".stage");
    frame(browser, 10);
    assertThat(frames(browser)).containsExactly(10L, 10L);
    browser.press("[data-do=align]");
    browser.awaitText("#hint", "Now only the second clip moves.");
    browser.press(".stage");
    frame(browser, 13);
    assertThat(frames(browser)).as("the first stays where it is").containsExactly(10L, 13L);
    browser.press("[data-do=align]");
    browser.awaitText("#hint", "Lined up");
    browser.press(".stage");
    frame(browser, 15);
    assertThat(frames(browser)).as("together from there").containsExactly(15L, 18L);
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  // 120 pixels of 5 mm in 40 frames of 1/30 s
  @Test
  void theFilmGoesUpAtTheSpeedItSays() {
    DemoFilm film = new DemoFilm(40);
    assertThat(film.velocity()).isCloseTo(0.6 / (40 / 30.0), within(1e-9));
    assertThat(film.sleeve(DemoFilm.FROM)).isEqualTo(DemoFilm.LOW);
    assertThat(film.sleeve(DemoFilm.FROM + 40)).isEqualTo(DemoFilm.HIGH);
  }

  @Test
  void theSpeedIsReadOffThePictureWithinThreePercent(TestApp app, Browser browser) {
    Optional<byte[]> film = new DemoFilm(40).made();
    assumeThat(film).as("there is an ffmpeg here").isPresent();
    Filmed filmed = Filmed.of(app, "Filmed Wren", 1, film.get());
    Someone lifter = filmed.lifter();
    Client coach = lifter.coach();
    long session = filmed.session();
    String clip = filmed.clips().get(0);
    browser.signIn("coach").desk().open("/clips/" + clip + "/review");
    ready(browser, 1);
    browser.press(".stage");
    frame(browser, DemoFilm.FROM);
    choose(browser, "plate");
    drag(browser, DemoFilm.ACROSS, DemoFilm.LOW, DemoFilm.ACROSS + DemoFilm.RADIUS, DemoFilm.LOW);
    choose(browser, "start");
    drag(browser, DemoFilm.ACROSS, DemoFilm.LOW, DemoFilm.ACROSS, DemoFilm.LOW);
    frame(browser, DemoFilm.FROM + 40);
    choose(browser, "end");
    drag(browser, DemoFilm.ACROSS, DemoFilm.HIGH, DemoFilm.ACROSS, DemoFilm.HIGH);
    browser.awaitText("#read", "m/s");
    Matcher read = Pattern.compile("([0-9.]+) ± ([0-9.]+) m/s: (\\d+) mm in ([0-9.]+) s").matcher(browser.text("#read"));
    assertThat(read.find()).as(browser.text("#read")).isTrue();
    assertThat(Double.parseDouble(read.group(1))).isCloseTo(new DemoFilm(40).velocity(), within(0.03 * new DemoFilm(40).velocity()));
    assertThat(Double.parseDouble(read.group(3))).isCloseTo(600, within(18.0));
    browser.press("[data-do=add]");
    browser.press(".measure .btn-main");
    browser.awaitText(".measure", "Written: 0.4");
    new Select(browser.find("select[name=mark]")).selectByVisibleText("depth");
    browser.press(".mark-form .btn");
    browser.awaitText("#clip-marks .rows", "depth");
    assertThat(browser.text("#clip-marks .rows")).contains(String.format(Locale.ROOT, "%.2f s", (DemoFilm.FROM + 40) / 30.0));
    assertThat(browser.text("#read")).as("the clicks stay").contains("m/s");
    assertThat(browser.text("#time")).endsWith(" frame " + (DemoFilm.FROM + 40));
    assertThat(app.jdbc().sql("select speed_source from logged_set where session_id = :s").param("s", session).query(String.class).list())
        .containsExactly("CLIP");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.complaints()).isEmpty();
    assertThat(coach.get("/sessions/" + session + "/clips").body()).contains("Squat 150 kg × 5");
    assertThat(coach.get(lifter.at("/ledger?lift=squat")).body()).as("the Ledger leads to it").contains("/clips/" + clip + "/review");
    coach.post("/clips/" + clip + "/marks", Map.of("mark", "KNEES_IN", "rep", "3", "at", "1.2"));
    assertThat(coach.get("/clips/" + clip + "/review").body()).contains("knees in, rep 3", "1.20 s");
    assertThat(coach.post("/clips/" + clip + "/marks", Map.of("mark", "DEPTH", "rep", "9", "at", "1.2")).body())
        .contains("is on rep 9, but 5 were tried.");
    assertThat(Client.of(app, "maren").get("/clips/" + clip + "/review").statusCode()).isEqualTo(403);
  }

  /** Frame by frame with the keys, until the one that is wanted is shown. */
  private static void frame(Browser browser, int wanted) {
    for (int i = 0; i < 200 && !browser.text("#time").endsWith(" frame " + wanted); i++) {
      String before = browser.text("#time");
      new Actions(browser.driver()).sendKeys(".").perform();
      browser.awaitNot("#time", before);
    }
    assertThat(browser.text("#time")).endsWith(" frame " + wanted);
  }

  private static void choose(Browser browser, String what) {
    new Actions(browser.driver()).sendKeys(Map.of("plate", "p", "start", "a", "end", "e").get(what)).perform();
    browser.await("[data-take=" + what + "][aria-pressed=true]");
  }

  /** From one place of the picture to another, in its own pixels; pressed and let go. */
  private static void drag(Browser browser, int x0, int y0, int x1, int y1) {
    WebElement canvas = browser.find(".stage canvas");
    browser.driver().executeScript("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", canvas);
    Rectangle box = canvas.getRect();
    double scale = box.getWidth() / 320.0;
    int middleX = box.getWidth() / 2;
    int middleY = box.getHeight() / 2;
    new Actions(browser.driver()).moveToElement(canvas, (int) Math.round(x0 * scale) - middleX, (int) Math.round(y0 * scale) - middleY)
        .clickAndHold().moveToElement(canvas, (int) Math.round(x1 * scale) - middleX, (int) Math.round(y1 * scale) - middleY).release().perform();
  }
}

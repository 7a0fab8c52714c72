package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.openqa.selenium.By;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** What the tracker needs to be told of a set, from the Card to what it makes of it. */
@ExtendWith(TestApp.class)
class HowItEndedTest {
  private static final String OPEN = ".panel:not([hidden]) ";

  private static Someone lifter(TestApp app, String name, String work) {
    Someone lifter = Someone.called(app, name, Map.of("squat", "200"));
    lifter.add(TestApp.TODAY, "MAIN", "squat", work);
    return lifter;
  }

  /** A day of Tamsin's that no other test touches. */
  private static long ofTamsin(TestApp app, int weeksBack, String work) {
    LocalDate day = TestApp.TODAY.minusWeeks(weeksBack).plusDays(4);
    Client.of(app, "coach").post("/lifters/" + app.lifter("Tamsin") + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat",
        "work", work), "HX-Request", "true");
    return app.session("Tamsin", day);
  }

  private static Map<String, String> entry(TestApp app, long session, int set, String load, String reps, String... more) {
    String line = app.jdbc().sql("select ref::text from slot where session_id = :id").param("id", session).query(String.class).single();
    Map<String, String> entry = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set", "" + set,
        "issue", "1", "seen", "-1", "load", load, "reps", reps, "outcome", "done", "sure", "1"));
    for (int i = 0; i < more.length; i += 2) {
      entry.put(more[i], more[i + 1]);
    }
    return entry;
  }

  private static List<Observation> seen(TestApp app, Someone lifter) {
    return lifter.within(() -> app.bean(LoggedSetRepository.class).ofLift(lifter.id(), "squat").stream().map(row -> row.observation())
        .toList());
  }

  // only "could not" is a failure; pain flags the day; no rep made by choice or for pain says nothing of strength
  @ParameterizedTest
  @CsvSource({"done,3,COULD_NOT,FAILED", "done,3,FORM_WENT,''", "done,3,MY_CHOICE,''", "done,3,HURT,FLAGGED", "done,3,'',''",
      "done,3,NONSENSE,''", "missed,3,'',FAILED", "missed,3,MY_CHOICE,PRACTICE", "missed,3,HURT,FLAGGED PRACTICE"})
  void whyThereWereNoMoreRepsSaysWhatASetIsWorth(String outcome, String reps, String ended, String traits) {
    TestApp app = TestApp.running();
    String name = (ended.isEmpty() ? "Nothing" : ended) + " " + outcome;
    Someone lifter = lifter(app, name, "5x5 75%");
    long session = app.session(name, TestApp.TODAY);
    lifter.coach().card(session);
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 1, "150", reps, "outcome", outcome, "ended", ended));
    assertThat(seen(app, lifter)).singleElement().satisfies(set -> {
      assertThat(set.reps()).isEqualTo(outcome.equals("missed") ? 0 : 3);
      assertThat(set.traits()).extracting(Trait::name).containsExactlyInAnyOrder(traits.isEmpty() ? new String[0] : traits.split(" "));
    });
  }

  @Test
  void easierThanSixIsARatingAndNotRatedIsNone(TestApp app) {
    Someone lifter = lifter(app, "Senna Thorpe", "3x5 75%");
    long session = app.session("Senna", TestApp.TODAY);
    lifter.coach().card(session);
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 1, "150", "5", "rpe", "easier"));
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 2, "150", "5", "rpe", ""));
    assertThat(seen(app, lifter)).extracting(set -> set.is(Trait.EASIER)).containsExactly(true, false);
    assertThat(seen(app, lifter)).extracting(Observation::rpe).containsOnlyNulls();
    assertThat(lifter.coach().card(session).body()).contains("150 kg × 5 easier than 6").containsPattern("value=\"easier\"[^>]*checked");
    assertThat(lifter.coach().get(lifter.at("/ledger")).body()).contains("150 × 5 easier than 6");
    Map<String, String> again = entry(app, session, 1, "150", "5", "rpe", "6", "seen", "0");
    lifter.post("/sessions/" + session + "/sets", again);
    assertThat(seen(app, lifter)).first().satisfies(set -> assertThat(set.is(Trait.EASIER)).as("changed to a 6").isFalse());
  }

  @Test
  void aSetThatIsFarEasierThanItCanBeIsAskedAbout(TestApp app) {
    Someone lifter = lifter(app, "Osric Vane", "1x3 90%");
    long session = app.session("Osric", TestApp.TODAY);
    lifter.coach().card(session);
    Map<String, String> entry = entry(app, session, 1, "182.5", "3", "rpe", "easier");
    entry.remove("sure");
    assertThat(lifter.coach().post("/sessions/" + session + "/sets", entry, "HX-Request", "true").body())
        .contains("Is that right? It speaks for a max of over ");
    assertThat(seen(app, lifter)).isEmpty();
  }

  @Test
  void everyAttemptOfAMaxIsASetOfItsOwn(TestApp app) {
    Someone lifter = lifter(app, "Wilf Garrow", "max 1");
    long session = app.session("Wilf", TestApp.TODAY);
    lifter.coach().card(session);
    String url = "/sessions/" + session + "/sets";
    assertThat(lifter.post(url, entry(app, session, 2, "200", "1")).statusCode()).as("there is no second yet").isEqualTo(404);
    lifter.post(url, entry(app, session, 1, "195", "1", "rpe", "9"));
    assertThat(lifter.coach().card(session).body()).contains("A heavier one if you like");
    lifter.post(url, entry(app, session, 2, "205", "0", "outcome", "missed"));
    assertThat(lifter.coach().card(session).body()).contains("A lighter attempt, or go on below");
    lifter.post(url, entry(app, session, 3, "205", "1", "rpe", "10"));
    assertThat(seen(app, lifter)).extracting(Observation::reps).containsExactly(1, 0, 1);
    assertThat(seen(app, lifter)).extracting(set -> set.load().number()).containsExactly("195", "205", "205");
    assertThat(lifter.post(url, entry(app, session, 9, "205", "1")).statusCode()).as("none is left out").isEqualTo(404);
  }

  @Test
  void todaysMaxStandsOnTheCardOnceSomethingIsLifted(TestApp app) {
    Someone lifter = lifter(app, "Petra Lune", "1x1 @8; 4x4 -15%; 1xAMRAP 70%");
    long session = app.session("Petra", TestApp.TODAY);
    String before = lifter.coach().card(session).body();
    assertThat(before).containsPattern("class=\"todays\" hidden").contains("goes up ", "as many as ");
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 1, "187.5", "1", "rpe", "10"));
    String after = lifter.coach().card(session).body();
    assertThat(after).contains("Today’s max ", "on a usual day and rested ", "The day is not as planned.").containsPattern("From today’s max: <b>1[0-9]{2}");
    LocalDate day = TestApp.TODAY;
    assertThat(lifter.coach().get(lifter.at("/ledger?lift=squat&before=" + day.plusDays(1))).body()).contains("187.5 × 1 @10");
  }

  /** A thumb on a phone: one rep fewer opens the question, the answer stands, is changed, and goes with the set. */
  @Test
  void aThumbSaysWhyThereWereNoMoreReps(TestApp app, Browser browser) {
    Client coach = Client.of(app, "coach");
    LocalDate day = TestApp.TODAY.minusWeeks(48).plusDays(5);
    coach.post("/lifters/" + app.lifter("Tamsin") + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 70%"),
        "HX-Request", "true");
    long session = app.session("Tamsin", day);
    browser.signIn("tamsin").phone().card(session);
    WebElement why = browser.find(OPEN + "details.why");
    assertThat(why.getDomAttribute("open")).as("as asked nobody is asked").isNull();
    browser.press(OPEN + "[aria-label='Fewer reps']");
    browser.await(OPEN + "details.why[open]");
    says(browser, "form went");
    assertThat(ended(app, session)).containsExactly("FORM_WENT");
    browser.press(".overview li a");
    browser.awaitText(OPEN + ".done-words", "× 4, form went");
    says(browser, "could not");
    assertThat(ended(app, session)).containsExactly("COULD_NOT");
    browser.press(".overview li a");
    browser.awaitText(OPEN + "h2", "set 1 of 3");
    says(browser, "not said");
    assertThat(ended(app, session)).containsExactly("-");
    browser.press(".overview li a");
    browser.awaitText(OPEN + "h2", "set 1 of 3");
    browser.press(OPEN + "button[value=clear]");
    browser.awaitText(".overview", "0 of 3");
    assertThat(ended(app, session)).as("not done after all").isEmpty();
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void whereItHurtStandsWithTheDayAndItsRatingSaysNothing(TestApp app) {
    Someone lifter = lifter(app, "Hurting Wynn", "3x5 75%");
    long session = app.session("Hurting", TestApp.TODAY);
    lifter.coach().card(session);
    lifter.post("/sessions/" + session + "/check-in", Map.of("sleep", "8", "place.1", "KNEE", "side.1", "LEFT", "score.1", "2"));
    Map<String, String> hurt = entry(app, session, 1, "150", "2", "ended", "HURT", "rpe", "9", "chips", "1", "hurtPlace", "KNEE", "hurtSide",
        "LEFT", "hurtScore", "5", "hurtWorse", "the way down");
    assertThat(lifter.post("/sessions/" + session + "/sets", hurt).body()).contains("slept 8 h; left knee 5 of 10, worse with the way down")
        .doesNotContain("left knee 2");
    assertThat(lifter.post("/sessions/" + session + "/sets", hurt).statusCode()).as("sent again it is known").isEqualTo(200);
    assertThat(app.jdbc().sql("select contexts from logged_set where session_id = :s").param("s", session).query(String.class).list())
        .containsExactly("PAIN");
    assertThat(seen(app, lifter)).singleElement().satisfies(set -> {
      assertThat(set.is(Trait.FLAGGED)).isTrue();
      assertThat(set.rpe()).as("two reps at 9 would speak for 163 kg").isNull();
    });
    assertThat(app.jdbc().sql("select rpe_halves from logged_set where session_id = :s").param("s", session).query(Integer.class).single())
        .as("the rating stands as it was given").isEqualTo(18);
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 2, "150", "5"));
    assertThat(app.jdbc().sql("select contexts from logged_set where session_id = :s and set_number = 2").param("s", session)
        .query(String.class).single()).as("what hurts is there in the next set, too").isEqualTo("PAIN");
  }

  @ParameterizedTest
  @CsvSource(delimiter = ';', value = {"KNEE;'';Say how much it hurts, from 0 to 10.", "'';4;Say where it hurts.",
      "KNEE;11;Pain must be from 0 to 10 but was 11", "KNEE;99999999999;Say how much it hurts, from 0 to 10."})
  void aPainThatCannotBeIsToldInTheSetAndLosesNothing(String place, String score, String sentence) {
    TestApp app = TestApp.running();
    String name = "Sore " + place + score;
    Someone lifter = lifter(app, name, "3x5 75%");
    long session = app.session(name, TestApp.TODAY);
    lifter.coach().card(session);
    String page = lifter.post("/sessions/" + session + "/sets", entry(app, session, 1, "150", "2", "ended", "HURT", "chips", "1", "hurtPlace", place,
        "hurtScore", score, "hurtWorse", "cold mornings")).body();
    assertThat(page).contains(sentence).contains("value=\"cold mornings\"");
    assertThat(ended(app, session)).isEmpty();
    // said of a set that ended otherwise it is no pain
    lifter.post("/sessions/" + session + "/sets", entry(app, session, 1, "150", "2", "ended", "MY_CHOICE", "chips", "1", "hurtPlace", place,
        "hurtScore", score));
    assertThat(ended(app, session)).containsExactly("MY_CHOICE");
  }

  @Test
  void aThumbSaysWhereItHurtWithoutSignal(TestApp app, Browser browser) {
    long session = ofTamsin(app, 47, "3x5 70%");
    browser.signIn("tamsin").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    try {
      browser.offline(true);
      assertThat(browser.find(OPEN + ".hurt-line").isDisplayed()).isFalse();
      for (int i = 0; i < 3; i++) {
        browser.press(OPEN + "button[aria-label='Fewer reps']");
      }
      browser.press(OPEN + "input[name=ended][value=HURT] + span");
      new Select(browser.await(OPEN + "select[name=hurtPlace]")).selectByVisibleText("knee");
      new Select(browser.find(OPEN + "select[name=hurtScore]")).selectByVisibleText("6");
      browser.press(OPEN + "button[value=done]");
      browser.awaitText(OPEN + "h2", "set 2 of 3");
      browser.awaitText(OPEN + ".more-said .brief", "pain");
    } finally {
      browser.offline(false);
    }
    browser.awaitText("#part-check-in .brief", "knee 6 of 10");
    assertThat(ended(app, session)).containsExactly("HURT");
    assertThat(browser.complaints()).isEmpty();
  }

  @Test
  void aMissedMaxIsTriedAgainWithoutSignal(TestApp app, Browser browser) {
    long session = ofTamsin(app, 48, "max 1");
    browser.signIn("tamsin").phone().card(session);
    browser.awaitText(".card-head", "card 1");
    try {
      browser.offline(true);
      browser.press(OPEN + "button[value=missed]");
      browser.awaitText(OPEN + "h2", "another attempt");
      browser.awaitText(OPEN + ".ways", "A lighter attempt, or go on below");
      browser.press(OPEN + ".btn-go[name=outcome]");
      browser.awaitText("#queue-note", "2 entries are kept");
    } finally {
      browser.offline(false);
    }
    browser.awaitText(".overview .row-state", "missed");
    browser.awaitText(".overview .row-state", "done");
    assertThat(app.jdbc().sql("select reps from logged_set where session_id = :s order by set_number").param("s", session)
        .query(Integer.class).list()).containsExactly(0, 1);
  }

  private static List<String> ended(TestApp app, long session) {
    return app.jdbc().sql("select coalesce(ended, '-') from logged_set where session_id = :id").param("id", session).query(String.class)
        .list();
  }

  /** Answers why there were no more reps, and is done with the set. */
  private static void says(Browser browser, String word) {
    browser.press(browser.find(".panel:not([hidden])").findElement(By.xpath(".//label[normalize-space()='" + word + "']")));
    browser.press(OPEN + ".btn-go[name=outcome]");
    browser.awaitText(OPEN + "h2", "set 2 of 3");
  }
}

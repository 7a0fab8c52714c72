package org.yarbel.web.runway;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class RunwayTest {
  /** A Saturday eleven weeks on: twelve weeks with its own. */
  private static final LocalDate CONTEST = TestApp.TODAY.plusWeeks(11).plusDays(5);
  private static final Pattern UNDO = Pattern.compile("name=\"change\" value=\"(\\d+)\"");

  private Someone someone;
  private long contest;

  @BeforeEach
  void somebodyWhoGoesToAContest(TestApp app) {
    someone = Someone.called(app, "Tobias Fenwright", Map.of("squat", "200", "bench", "140", "deadlift", "240"));
    someone.within(() -> {
      Lifter lifter = someone.lifter();
      lifter.life(null, null, null, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY));
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    contest = contest(app, "Marsh End Cup", CONTEST);
    send(app, contest, false);
  }

  private long contest(TestApp app, String name, LocalDate day) {
    return someone.within(() -> app.bean(Contests.class)
        .keep(null, new Contest.ContestSaid(name, Contest.Sport.POWERLIFTING, Contest.State.PLANNED, day, "Marsh End", "",
        AllowedGear.CLASSIC, "", "", List.of())).id());
  }

  private void send(TestApp app, long id, boolean counts) {
    someone.within(() -> {
      app.bean(Contests.class).send(id, someone.id(), "93", null, counts);
      return 0;
    });
  }

  private void move(TestApp app, Contest.State state, LocalDate day) {
    someone.within(() -> {
      Contest.ContestSaid said = app.bean(Contests.class).contest(contest).said();
      return app.bean(Contests.class).keep(contest, new Contest.ContestSaid(said.name(), said.sport(), state, day, said.place(),
          said.federation(), said.rules(), said.further(), said.classes(), said.events())).id();
    });
  }

  private Macrocycle plan() {
    return someone.within(() -> someone.app().bean(LongPlans.class).of(someone.id()).orElseThrow().plan());
  }

  private String blocks() {
    return String.join(", ", plan().blocks().stream().map(block -> block.purpose().word() + " " + block.weeks()).toList());
  }

  private HttpResponse<String> takeThePlan() {
    return someone.post(someone.at("/runway/plan"), Map.of("contest", Long.toString(contest)));
  }

  @Test
  void proposesAPlanWithItsReasonsAndWritesIt() {
    String page = someone.coach().get(someone.at("/runway")).body();
    assertThat(page).contains("No long plan yet").contains("12 weeks to the contest, its own week included")
        .contains("Bosquet et al. 2007").contains("Take this plan");
    assertThat(takeThePlan().body()).contains("The plan is taken").contains("11 weeks to Marsh End Cup");
    assertThat(blocks()).isEqualTo("volume 4, strength 3, peak 3, taper 2, off 1");
    assertThat(someone.on(TestApp.TODAY)).containsExactly("squat 4x8 65%", "front-squat 3x8 @7");
    assertThat(someone.on(TestApp.TODAY.plusDays(4))).contains("deadlift 4x8 65%");
    assertThat(someone.on(TestApp.TODAY.plusWeeks(3))).contains("squat 4x8 75%");
    assertThat(someone.coach().get(someone.at("/runway")).body()).contains("Strength, week 3 of 3, easy: half the load");
  }

  @Test
  void saysWhatStandsInItsWayAndTakesTheAnswer() {
    someone.add(TestApp.TODAY.plusWeeks(1), "MAIN", "squat", "5x5 60%");
    String page = someone.coach().get(someone.at("/runway")).body();
    assertThat(page).contains("1 line that you have written stands in its way").contains("Mon 9 Mar 2026: Squat 5x5 60%")
        .contains("aria-label=\"The weeks as proposed\"");
    assertThat(takeThePlan().body()).as("asked first").contains("Not taken yet: 1 line stands in its way.").contains("No long plan yet");
    assertThat(someone.on(TestApp.TODAY.plusWeeks(1))).containsExactly("squat 5x5 60%");
    String way = Pattern.compile("name=\"way\" required value=\"([^\"]+)\"|name=\"way\" value=\"([^\"]+)\" required").matcher(page)
        .results()
        .map(found -> found.group(1) == null ? found.group(2) : found.group(1)).findFirst().orElseThrow();
    String contestId = Pattern.compile("name=\"contest\" value=\"(\\d+)\"").matcher(page).results().map(found -> found.group(1))
        .findFirst().orElseThrow();
    assertThat(someone.post(someone.at("/runway/plan"), Map.of("contest", contestId, "way", way)).body()).contains("The plan is taken");
    assertThat(someone.on(TestApp.TODAY.plusWeeks(1))).as("no squat twice on a day").filteredOn(line -> line.startsWith("squat "))
        .hasSize(1);
  }

  @Test
  void drawsTheWeeksWithATableBehindThem() {
    takeThePlan();
    String page = someone.coach().get(someone.at("/runway")).body();
    assertThat(page).contains("weeks out").contains("aria-label=\"Week of 2 Mar, 11 weeks out: Volume, week 1 of 4. Squat")
        .contains("The weeks in a table")
        .contains("opener tested on").contains("rehearsal on").contains("On the day of the contest the plan stands at");
    assertThat(page).contains("Change the block volume, 4 weeks from 2 Mar");
    assertThat(someone.coach().get(someone.at("/runway?taper=THREE_WEEKS")).body()).contains("with three weeks, −30, −50 and −70 % at");
  }

  @Test
  void undoTakesThePlanBackWithWhatItWrote() {
    Matcher undo = UNDO.matcher(takeThePlan().body());
    assertThat(undo.find()).isTrue();
    assertThat(someone.post(someone.at("/runway/undo"), Map.of("change", undo.group(1))).body())
        .contains("The days stand as before.").contains("No long plan yet");
    assertThat(someone.on(TestApp.TODAY)).isEmpty();
    assertThat(someone.coach().get(someone.at("/progressions")).statusCode()).isEqualTo(200);
  }

  @Test
  void whatACoachEditedStaysWhenABlockChanges() {
    takeThePlan();
    long slot = someone.slot(TestApp.TODAY, "squat");
    someone.coach().post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", "5x5 70%", "version",
        Integer.toString(someone.version(slot))));
    String body = someone.post(someone.at("/runway/blocks/1/longer"), Map.of()).body();
    assertThat(body).contains("Volume: 4 → 5 weeks").contains("Strength: 3 → 2 weeks").contains("what one block takes another gives");
    assertThat(blocks()).isEqualTo("volume 5, strength 2, peak 3, taper 2, off 1");
    assertThat(someone.on(TestApp.TODAY)).contains("squat 5x5 70%");
    assertThat(someone.on(TestApp.TODAY.plusWeeks(3))).as("the easy week moved on").contains("squat 4x8 75%");
  }

  @Test
  void theFormOfABlockKeepsWhatWasTypedAndSaysWhatIsWrong() {
    takeThePlan();
    assertThat(someone.coach().get(someone.at("/runway?block=1")).body()).contains("Save the block").contains("value=\"65\"");
    Map<String, String> form = new HashMap<>(Map.of("purpose", "VOLUME", "weeks", "40", "every", "3", "easy", "LESS_VOLUME",
        "basis", "TESTED", "lift-0", "Squat", "method-0", "RISING", "was-0", "RISING", "days-0", "MONDAY", "p-0-from", "twelve"));
    HttpResponse<String> refused = someone.coach().post(someone.at("/runway/blocks/1"), form);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("The weeks must be a whole number from 1 to 26 but was 40.").contains("value=\"40\"")
        .contains("&#39;first week, %&#39; must be from 40 to 100 but was twelve.").contains("value=\"twelve\"");
    form.putAll(Map.of("weeks", "4", "p-0-from", "60"));
    assertThat(someone.post(someone.at("/runway/blocks/1"), form).body()).contains("Changed.");
    Block block = plan().block(1).orElseThrow().block();
    assertThat(block.uses()).singleElement().satisfies(use -> assertThat(use.settings()).containsEntry("from", "60"));
    assertThat(someone.on(TestApp.TODAY)).containsExactly("squat 4x8 60% tested");
    assertThat(someone.on(TestApp.TODAY.plusDays(4))).as("the deadlift was taken out of the block").isEmpty();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "blocks/1/split?first=9 | The first part must have 1 to 3 weeks but was to have 9.",
      "blocks/1/split?first=x | The first part must have 1 to 3 weeks but was to have 0.",
      "blocks/5/merge         | There is no block behind it to merge with.",
      "blocks/1/earlier       | There is nothing ahead to move it past.",
      "blocks/77/longer       | That block is not there any more.",
  })
  void whatCannotBeIsSaid(String path, String sentence) {
    takeThePlan();
    String[] parts = path.split("\\?first=");
    assertThat(someone.post(someone.at("/runway/" + parts[0]), parts.length > 1 ? Map.of("first", parts[1]) : Map.of()).body())
        .contains("Not changed. " + sentence);
  }

  @Test
  void aContestThatMovesIsSeenAndRefittedAndTheOldPlanComesBack(TestApp app) {
    takeThePlan();
    String before = blocks();
    move(app, Contest.State.PLANNED, CONTEST.minusWeeks(3));
    assertThat(someone.coach().get(someone.at("/runway")).body()).contains("The plan does not lead to where the contest is.")
        .contains("Look at old and new");
    String page = someone.coach().get(someone.at("/runway/refit")).body();
    assertThat(page).contains("As it stands").contains("Volume: 4 → 2 weeks").contains("The contest is 3 weeks earlier.")
        .contains("Strength 1/2");
    assertThat(blocks()).as("only looked at").isEqualTo(before);
    String after = someone.post(someone.at("/runway/refit"), Map.of()).body();
    assertThat(after).contains("Refitted: what is done stays.");
    assertThat(blocks()).isEqualTo("volume 2, strength 2, peak 3, taper 2, off 1");
    Matcher undo = UNDO.matcher(after);
    assertThat(undo.find()).isTrue();
    someone.post(someone.at("/runway/undo"), Map.of("change", undo.group(1)));
    assertThat(blocks()).isEqualTo(before);
    assertThat(plan().contest()).as("the plan is the old one; that the contest moved is said again").isEqualTo(CONTEST);
    assertThat(someone.coach().get(someone.at("/runway")).body()).contains("The plan does not lead to where the contest is.");
  }

  @Test
  void putOffWithoutADateItHoldsAndComesBackWithOne(TestApp app) {
    takeThePlan();
    move(app, Contest.State.POSTPONED, null);
    assertThat(someone.post(someone.at("/runway/refit"), Map.of()).body()).contains("Holding until there is a date")
        .contains("Parked until there is a date:");
    assertThat(blocks()).isEqualTo("hold 3");
    assertThat(plan().parked()).extracting(Block::purpose).containsExactly(Purpose.PEAK, Purpose.TAPER);
    assertThat(someone.on(TestApp.TODAY.plusWeeks(3))).as("repeated").isEqualTo(someone.on(TestApp.TODAY)).contains("squat 4x4 77.5%");
    move(app, Contest.State.PLANNED, CONTEST.plusWeeks(5));
    someone.post(someone.at("/runway/refit"), Map.of());
    assertThat(blocks()).endsWith("peak 3, taper 2");
    assertThat(plan().over()).isZero();
  }

  @Test
  void cancelledItEndsInAMockContest(TestApp app) {
    takeThePlan();
    move(app, Contest.State.CANCELLED, CONTEST);
    assertThat(someone.post(someone.at("/runway/refit"), Map.of()).body())
        .contains("The contest is cancelled. A mock contest shows what the work came to.");
    assertThat(blocks()).isEqualTo("volume 4, strength 3, test 1");
    assertThat(someone.coach().get(someone.at("/runway")).body()).doesNotContain("The plan does not lead");
  }

  @Test
  void anotherDateIsLookedAtBeforeTheContestMoves(TestApp app) {
    takeThePlan();
    LocalDate later = CONTEST.plusWeeks(2);
    assertThat(someone.coach().get(someone.at("/runway/refit?day=" + later)).body()).contains("If Marsh End Cup moved")
        .contains("Move the contest and refit");
    assertThat(someone.<LocalDate>within(() -> app.bean(Contests.class).contest(contest).day())).isEqualTo(CONTEST);
    someone.post(someone.at("/runway/refit"), Map.of("day", later.toString()));
    assertThat(someone.<LocalDate>within(() -> app.bean(Contests.class).contest(contest).day())).isEqualTo(later);
    assertThat(plan().contest()).isEqualTo(later);
    assertThat(someone.coach().get(someone.at("/runway/refit?day=" + TestApp.TODAY.minusDays(3))).body())
        .contains("is behind: a contest cannot move there");
    assertThat(someone.coach().get(someone.at("/runway/refit?day=soon")).body()).contains("Write the day as year-month-day");
  }

  @Test
  void ofTwoContestsCloseTogetherOneIsATrainingDayAndItSaysWhy(TestApp app) {
    takeThePlan();
    long small = contest(app, "Reed Bank Open", CONTEST.minusWeeks(7));
    send(app, small, false);
    assertThat(someone.coach().get(someone.at("/runway")).body()).as("far enough: both are peaks, and the nearer one comes first")
        .contains("It leads to Reed Bank Open")
        .doesNotContain("as a training day");
    long near = contest(app, "Sluice Gate Cup", CONTEST.minusWeeks(2));
    send(app, near, false);
    someone.within(() -> {
      app.bean(Contests.class).stay(small, someone.id());
      return 0;
    });
    assertThat(someone.coach().get(someone.at("/runway")).body())
        .contains("Sluice Gate Cup is a training day: 2 weeks from Marsh End Cup, which is the later one.");
    someone.post(someone.at("/runway/refit"), Map.of());
    assertThat(plan().trainingDays()).containsExactly(CONTEST.minusWeeks(2));
    assertThat(plan().contest()).isEqualTo(CONTEST);
    send(app, near, true);
    assertThat(someone.coach().get(someone.at("/runway")).body()).contains("Marsh End Cup is a training day")
        .contains("marked as the one that counts");
    someone.post(someone.at("/runway/refit"), Map.of());
    assertThat(plan().contest()).isEqualTo(CONTEST.minusWeeks(2));
    assertThat(plan().over()).isZero();
  }

  @Test
  void aContestInThreeDaysLeavesOpenersAndRest(TestApp app) {
    long soon = contest(app, "Short Notice Meet", TestApp.TODAY.plusDays(3));
    send(app, soon, true);
    String page = someone.coach().get(someone.at("/runway?propose=" + soon)).body();
    assertThat(page).contains("There is no time to get stronger: openers, and rest.");
    someone.post(someone.at("/runway/plan"), Map.of("contest", Long.toString(soon)));
    assertThat(blocks()).isEqualTo("taper 1, off 1");
    assertThat(someone.on(TestApp.TODAY.plusDays(2))).isEmpty();
  }

  @Test
  void whoHasNoNumbersOrNoDayGetsASentence(TestApp app) {
    Someone nobody = Someone.called(app, "Unwritten Page", Map.of());
    nobody.within(() -> {
      Lifter lifter = nobody.lifter();
      lifter.life(null, null, null, EnumSet.noneOf(DayOfWeek.class));
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    assertThat(nobody.coach().get(nobody.at("/runway")).body())
        .contains("No day of the week is free: tick the free days on the Lifter page first.");
    nobody.within(() -> {
      Lifter lifter = nobody.lifter();
      lifter.life(null, null, null, EnumSet.of(DayOfWeek.MONDAY));
      return app.bean(LifterRepository.class).saveAndFlush(lifter).id();
    });
    assertThat(nobody.coach().get(nobody.at("/runway")).body())
        .contains("There is no lift to plan: write down a max of one on the Lifter page first.");
    assertThat(nobody.post(nobody.at("/runway/plan"), Map.of()).body()).contains("There is no lift to plan");
    assertThat(nobody.post(nobody.at("/runway/goal"), Map.of("lift", "squat", "goal", "100")).statusCode()).isEqualTo(200);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "190   | The goal of 190 kg is not over the max of 200 kg",
      "280   | The goal of 280 kg is 40 % over the max of 200 kg",
      "heavy | Write the mass as a number in kg",
      "-5    | A mass cannot be negative",
  })
  void aGoalThatCannotBeIsSaidBesideItsField(String goal, String sentence) {
    takeThePlan();
    String page = someone.post(someone.at("/runway/goal"), Map.of("lift", "squat", "goal", goal, "on", "")).body();
    assertThat(page).contains("The goal is not written down: see below.").contains(sentence).contains("value=\"" + goal + "\"");
  }

  @Test
  void aGoalStandsWithItsWayAndWhatIsBelievable() {
    takeThePlan();
    assertThat(someone.post(someone.at("/runway/goal"), Map.of("lift", "squat", "goal", "240", "on", "")).body())
        .contains("The goal stands. Mind: in 12 weeks about 16.5 kg on top of today&#39;s 201.2 kg is believable.")
        .contains("from 201.2 kg to 240 kg on 23 May");
    assertThat(someone.post(someone.at("/runway/goal"), Map.of("lift", "squat", "goal", "", "on", "")).body())
        .contains("No goal of that lift any more.");
  }

  @Test
  void methodsThatRanEndWhereThePlanBegins() {
    someone.method("squat", "rpe-weeks", TestApp.TODAY, Map.of());
    assertThat(someone.on(TestApp.TODAY)).contains("squat 3x5 @7");
    takeThePlan();
    assertThat(someone.on(TestApp.TODAY)).doesNotContain("squat 3x5 @7").contains("squat 4x8 65%");
    someone.post(someone.at("/runway/end"), Map.of());
    assertThat(someone.on(TestApp.TODAY)).isEmpty();
    assertThat(someone.coach().get(someone.at("/runway")).body()).contains("No long plan yet");
  }

  @Test
  void isTheCoachsAndOfTheClub(TestApp app) {
    takeThePlan();
    assertThat(Client.of(app, "maren").get(someone.at("/runway")).statusCode()).isEqualTo(403);
    assertThat(someone.coach().get("/lifters/999999999/runway").statusCode()).isEqualTo(404);
    assertThat(someone.coach().get(someone.at("/runway?block=77")).statusCode()).isEqualTo(404);
    assertThat(someone.coach().post(someone.at("/runway/blocks/1/dance"), Map.of()).statusCode()).isEqualTo(404);
  }
}

package org.yarbel.web.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Editing;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Use;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** The long plan as it is kept: a method for each lift of a block, easy weeks, and undo of all of it. */
@ExtendWith(TestApp.class)
class LongPlansTest {
  private static final LocalDate MONDAY = TestApp.TODAY;

  private Someone someone;

  @BeforeEach
  void somebody(TestApp app) {
    someone = Someone.called(app, "Ysolde Block", Map.of("squat", "200", "bench", "140"));
  }

  /** Volume four weeks, strength three with an easy one, peak three, taper two; squats on Mondays, presses on Wednesdays. */
  private static Macrocycle plan(LocalDate contest) {
    return Proposal.of(new Proposal.Request(Level.INTERMEDIATE, List.of(Catalogue.standard().ofKey("squat").orElseThrow(),
        Catalogue.standard().ofKey("bench")
        .orElseThrow()), List.of(), EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY), contest, MONDAY, false, Deload.LESS_VOLUME,
        MassUnit.KG, List.of())).plan();
  }

  private static final LocalDate CONTEST = MONDAY.plusWeeks(11).plusDays(5);

  private long take(Macrocycle plan) {
    return someone.within(() -> someone.app().bean(LongPlans.class).take(someone.lifter(), plan, null, someone.who())).orElseThrow();
  }

  private List<Progression> methods() {
    return someone.within(() -> someone.app().bean(ProgressionRepository.class).findByLifterIdOrderById(someone.id()));
  }

  /** One that was to begin next week and was taken back writes nothing, and nobody is reminded of it. */
  @Test
  void aPlanThatIsTakenBackBeforeItBeginsIsForgotten() {
    LocalDate next = MONDAY.plusWeeks(1);
    Macrocycle later = Proposal.of(new Proposal.Request(Level.INTERMEDIATE,
        List.of(Catalogue.standard().ofKey("squat").orElseThrow()), List.of(),
        EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY), null, next, false, Deload.LESS_VOLUME, MassUnit.KG, List.of())).plan();
    undo(take(later));
    assertThat(methods()).isNotEmpty().allSatisfy(method -> assertThat(method.runsOn(MONDAY)).isFalse());
    assertThat(someone.method("Squat", "rpe-weeks", MONDAY, Map.of()).body()).contains("Written for the weeks to come")
        .doesNotContain("Mind:");
  }

  private List<LocalDate> easyWeeks() {
    return someone.within(() -> someone.app().bean(DeloadWeekRepository.class).findByLifterIdAndMondayBetween(someone.id(), MONDAY,
        MONDAY.plusYears(1)).stream()
        .map(DeloadWeek::monday).sorted().toList());
  }

  private String undo(long change) {
    return someone.within(() -> someone.app().bean(Undo.class).change(change));
  }

  @Test
  void eachLiftOfABlockIsAMethodFromItsFirstMondayToItsEnd() {
    take(plan(CONTEST));
    assertThat(methods()).extracting(p -> p.blockNo() + " " + p.lift() + " " + p.method().key() + " " + p.startsOn() + " "
        + p.endsOn()).contains(
        "1 squat rising 2026-03-02 2026-03-30", "2 bench rising 2026-03-30 2026-04-20", "3 squat peak 2026-04-20 2026-05-11",
        "4 bench taper 2026-05-11 2026-05-25");
    assertThat(methods()).allSatisfy(p -> assertThat(p.contestOn()).isEqualTo(CONTEST));
    assertThat(methods().stream().filter(p -> p.blockNo() == 1).findFirst().orElseThrow().settings()).containsEntry("weeks", "4");
    assertThat(easyWeeks()).containsExactly(MONDAY.plusWeeks(6));
  }

  @Test
  void anotherMethodInABlockTakesTheOldOnesPlace() {
    take(plan(CONTEST));
    Macrocycle plan = plan(CONTEST);
    Block volume = plan.blocks().get(0);
    Block changed = volume.withUses(volume.uses().stream().map(use -> use.lift().equals("squat")
        ? new Use("squat", Method.RPE_WEEKS, Map.of("sets", "4"), use.days())
        : use).toList());
    long change = take(new Editing(plan, MONDAY).change(changed).now());
    assertThat(someone.on(MONDAY)).containsExactly("squat 4x5 @7");
    assertThat(methods()).filteredOn(p -> p.blockNo() == 1 && p.lift().equals("squat")).extracting(p -> p.method() + " " + p.runsOn(MONDAY))
        .containsExactly("RISING false", "RPE_WEEKS true");
    assertThat(undo(change)).startsWith("The days stand as before.");
    assertThat(someone.on(MONDAY)).first().isEqualTo("squat 4x8 65%");
    assertThat(methods()).filteredOn(p -> p.blockNo() == 1 && p.lift().equals("squat")).extracting(p -> p.method() + " " + p.runsOn(MONDAY))
        .containsExactly("RISING true", "RPE_WEEKS false");
  }

  @Test
  void undoBringsBackThePlanItsEasyWeeksAndTheDayItCountsDownTo() {
    take(plan(CONTEST));
    long change = take(plan(CONTEST.minusWeeks(4)));
    assertThat(methods().stream().filter(p -> p.endsOn() == null || p.endsOn().isAfter(p.startsOn())))
        .allSatisfy(p -> assertThat(p.contestOn()).isEqualTo(CONTEST.minusWeeks(4)));
    undo(change);
    assertThat(someone.<LocalDate>within(() -> someone.app().bean(LongPlans.class).of(someone.id()).orElseThrow().plan().contest()))
        .isEqualTo(CONTEST);
    assertThat(easyWeeks()).containsExactly(MONDAY.plusWeeks(6));
    assertThat(methods()).filteredOn(p -> p.method() == Method.TAPER && p.runsOn(CONTEST)).isNotEmpty()
        .allSatisfy(p -> assertThat(p.contestOn()).isEqualTo(CONTEST));
  }

  @Test
  void nothingIsKeptTwiceWhenNothingIsNew() {
    take(plan(CONTEST));
    int before = methods().size();
    assertThat(someone.<Boolean>within(() -> someone.app().bean(LongPlans.class).take(someone.lifter(), plan(CONTEST), null,
        someone.who()).isEmpty())).isTrue();
    assertThat(methods()).hasSize(before);
  }

  @Test
  void aLoggedSetLetsThePlanGoOnIntoItsNextBlock() {
    take(plan(CONTEST));
    assertThat(someone.on(MONDAY.plusWeeks(4))).as("four weeks are written").isEmpty();
    someone.within(() -> {
      someone.app().bean(Programs.class).write(someone.lifter(), MONDAY.plusWeeks(6), someone.who());
      return 0;
    });
    assertThat(someone.on(MONDAY.plusWeeks(4))).containsExactly("squat 5x4 75%");
    assertThat(someone.on(MONDAY.plusWeeks(6))).as("the easy week: half the sets of the block's first week")
        .containsExactly("squat 2x4 75%");
  }

  @Test
  void aDayOfAContestOnTheWayIsLeftOutAndTheDayBeforeIt() {
    LocalDate small = MONDAY.plusWeeks(1).plusDays(2);
    take(plan(CONTEST).through(List.of(small)));
    assertThat(someone.on(small)).containsExactly("squat max 1 @8.5", "bench max 1 @8.5");
    assertThat(someone.on(MONDAY.plusWeeks(1))).first().asString().startsWith("squat 4x8");
    assertThat(someone.on(small.plusWeeks(1))).first().asString().startsWith("bench 4x8");
  }

  @Test
  void endedItLeavesWhatWasEdited() {
    take(plan(CONTEST));
    long slot = someone.slot(MONDAY, "squat");
    someone.coach().post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", "3x3 70%", "version",
        Integer.toString(someone.version(slot))));
    someone.within(() -> someone.app().bean(LongPlans.class).end(someone.lifter(), someone.who()));
    assertThat(someone.on(MONDAY)).containsExactly("squat 3x3 70%");
    assertThat(someone.on(MONDAY.plusWeeks(1))).isEmpty();
    assertThat(easyWeeks()).isEmpty();
    assertThat(someone.<Boolean>within(() -> someone.app().bean(LongPlans.class).of(someone.id()).isEmpty())).isTrue();
  }
}

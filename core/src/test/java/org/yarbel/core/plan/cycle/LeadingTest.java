package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.Deload;

/** The weeks are counted on a calendar by hand; what is led to follows our own rule of {@link Meets}. */
class LeadingTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final LocalDate SATURDAY = MONDAY.plusWeeks(11).plusDays(5);
  private static final Macrocycle PLAN = plan(SATURDAY);

  private static Macrocycle plan(LocalDate contest) {
    return Proposal.of(new Proposal.Request(Level.INTERMEDIATE, List.of(Catalogue.standard().ofKey("squat").orElseThrow()), List.of(),
        Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY), contest, MONDAY, false, Deload.HALF_LOAD, MassUnit.KG, List.of())).plan();
  }

  private static Meets.Meet meet(long id, String name, LocalDate day) {
    return new Meets.Meet(id, name, day, false);
  }

  private static Leading leading(Macrocycle plan, Long contest, Meets.Meet... meets) {
    return new Leading(plan, contest, Meets.roles(List.of(meets)), MONDAY, day -> MONDAY);
  }

  private static Leading.Led planned(LocalDate day) {
    return new Leading.Led(Leading.Standing.PLANNED, day);
  }

  @Test
  void nothingChangesWhileThePlanLeadsThere() {
    assertThat(leading(PLAN, 1L, meet(1, "Spring cup", SATURDAY)).due(planned(SATURDAY))).isEmpty();
    assertThat(leading(PLAN, null).due(null)).as("no contest at all").isEmpty();
  }

  @Test
  void aContestThatMovedIsFollowed() {
    Leading.Due due = leading(PLAN, 1L, meet(1, "Spring cup", SATURDAY.plusWeeks(2))).due(planned(SATURDAY.plusWeeks(2))).orElseThrow();
    assertThat(due.contestId()).isEqualTo(1);
    assertThat(due.refit().now().contest()).isEqualTo(SATURDAY.plusWeeks(2));
    assertThat(due.refit().now().weeks()).isEqualTo(PLAN.weeks() + 2);
  }

  @Test
  void aContestBehindIsLeftAlone() {
    LocalDate behind = MONDAY.minusDays(2);
    assertThat(leading(PLAN, 1L, meet(2, "Autumn cup", SATURDAY.plusWeeks(20))).due(planned(behind))).isEmpty();
  }

  @Test
  void oneThatIsCancelledLeavesItsWorkAndLeadsToTheNext() {
    Leading.Led cancelled = new Leading.Led(Leading.Standing.CANCELLED, SATURDAY);
    Leading.Due alone = leading(PLAN, 1L).due(cancelled).orElseThrow();
    assertThat(alone.contestId()).isNull();
    assertThat(alone.refit().now().contest()).isNull();
    assertThat(leading(PLAN, 1L).due(null).orElseThrow().contestId()).as("taken out of the list").isNull();
    Leading.Due next = leading(PLAN, 1L, meet(2, "Autumn cup", SATURDAY.plusWeeks(8))).due(cancelled).orElseThrow();
    assertThat(next.contestId()).isEqualTo(2);
    assertThat(next.refit().changes().get(0))
        .isEqualTo(new Changed("It leads to Autumn cup", "It is the next contest that is peaked for."));
    assertThat(leading(alone.refit().now(), 1L).due(cancelled)).as("done already").isEmpty();
  }

  @Test
  void onePutOffHoldsUntilThereIsADate() {
    Leading.Led postponed = new Leading.Led(Leading.Standing.POSTPONED, null);
    Leading.Due held = leading(PLAN, 1L).due(postponed).orElseThrow();
    assertThat(held.refit().now().holds()).isTrue();
    assertThat(held.contestId()).isEqualTo(1);
    assertThat(leading(held.refit().now(), 1L).due(postponed)).as("it holds already").isEmpty();
    assertThat(leading(held.refit().now(), 1L, meet(2, "Autumn cup", SATURDAY)).due(postponed).orElseThrow().contestId()).isEqualTo(2);
  }

  @Test
  void aContestOnTheWayIsATrainingDayWithItsReason() {
    LocalDate early = SATURDAY.minusWeeks(3);
    Leading.Due due = leading(PLAN, 1L, meet(1, "Spring cup", SATURDAY), meet(2, "Club day", early)).due(planned(SATURDAY)).orElseThrow();
    assertThat(due.refit().now().trainingDays()).containsExactly(early);
    assertThat(due.refit().changes()).extracting(Changed::what).containsExactly("Club day as a training day");
    Leading.Due gone = leading(due.refit().now(), 1L, meet(1, "Spring cup", SATURDAY)).due(planned(SATURDAY)).orElseThrow();
    assertThat(gone.refit().now().trainingDays()).isEmpty();
    assertThat(gone.refit().changes()).extracting(Changed::what).containsExactly("No contest on the way any more");
  }

  @Test
  void whatIfItMovedIsToldOrRefused() {
    Leading leading = leading(PLAN, 1L, meet(1, "Spring cup", SATURDAY));
    assertThat(leading.moved(planned(SATURDAY.minusWeeks(1))).refit().now().contest()).isEqualTo(SATURDAY.minusWeeks(1));
    assertThat(leading.moved(new Leading.Led(Leading.Standing.POSTPONED, null)).refit().now().holds()).isTrue();
    assertThat(leading.moved(planned(null)).refit().now().holds()).as("without a day").isTrue();
    assertThat(leading.moved(new Leading.Led(Leading.Standing.CANCELLED, SATURDAY)).contestId()).isNull();
    assertThat(leading.moved(planned(MONDAY)).refit().now().contest()).as("today is not behind").isEqualTo(MONDAY);
    assertThat(catchThrowableOfType(Refused.class, () -> leading.moved(planned(MONDAY.minusDays(1)))).sentence())
        .isEqualTo("The day 2026-03-01 is behind: a contest cannot move there.");
  }
}

package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.yarbel.core.watch.Weeks.MONDAY;
import static org.yarbel.core.watch.Weeks.kg;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The move that is offered with a fault of layout: the nearest that mends it and breaks nothing else. */
class LayoutTest {
  private static final LocalDate WEDNESDAY = MONDAY.plusDays(2);

  private final Weeks weeks = new Weeks();

  @BeforeEach
  void knowFrontSquats() {
    weeks.maxes.put("front-squat", kg("160"));
  }

  private Finding.@Nullable Move move(String check, String... lines) {
    return weeks.find(check, lines).get(0).move();
  }

  @Test
  void theLiftOfTheFaultGoesToTheNearestDayAndNothingElseOfItsDay() {
    Finding.Move move = move("consecutive-days", "Mon main squat 3x3 90%", "Tue main bench 3x3 60%", "Tue main squat 3x3 90%",
        "Tue second front-squat 3x3 80%", "Tue prepare squat 1x5 40%");
    assertThat(move.lines()).as("what only warms up stays").containsExactly(3L, 4L);
    assertThat(move.from()).isEqualTo(MONDAY.plusDays(1));
    assertThat(move.to()).isEqualTo(WEDNESDAY);
    assertThat(move.words()).isEqualTo("the squat of Tuesday to Wednesday");
  }

  @Test
  void aDayWhereItMakesAnotherFaultIsNoPlace() {
    // hard on Wednesday it would stand before Thursday's deadlift, on Friday behind it; on Thursday a light one stands
    assertThat(move("consecutive-days", "Mon main squat 3x3 90%", "Tue main squat 3x3 90%", "Thu main squat 3x3 60%",
        "Thu main deadlift 3x3 90%").to())
        .isEqualTo(MONDAY.plusDays(5));
  }

  @Test
  void whereTheLiftStandsAlreadyIsNoPlace() {
    assertThat(move("consecutive-days", "Mon main squat 3x3 90%", "Tue main squat 3x3 90%", "Wed main squat 3x3 60%",
        "Thu main squat 3x3 60%").to())
        .as("light squats stand on Wednesday and Thursday").isEqualTo(MONDAY.plusDays(4));
    assertThat(move("consecutive-days", "Mon main squat 3x3 90%", "Tue main squat 3x3 90%", "Wed prepare squat 1x5 40%").to())
        .as("a warm-up counts for nothing").isEqualTo(WEDNESDAY);
  }

  @Test
  void todayIsAPlaceAndYesterdayIsNone() {
    weeks.today = WEDNESDAY;
    assertThat(move("consecutive-days", "Thu main squat 3x3 90%", "Fri main squat 3x3 90%").to()).as("the nearest")
        .isEqualTo(MONDAY.plusDays(5));
    weeks.free.addAll(Set.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY));
    Finding.Move move = move("consecutive-days", "Thu main squat 3x3 90%", "Fri main squat 3x3 90%");
    assertThat(move.from()).as("Friday's on Wednesday would stand before Thursday's").isEqualTo(MONDAY.plusDays(3));
    assertThat(move.to()).as("it is today, and Tuesday is behind").isEqualTo(WEDNESDAY);
  }

  @Test
  void whereNoDayIsBetterItIsOnlyNoted() {
    weeks.free.addAll(Set.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY));
    // each has a light day of its own beside the other's hard one
    String[] lines = {"Thu main squat 3x3 90%", "Thu main deadlift 3x3 60%", "Fri main squat 3x3 60%", "Fri main deadlift 3x3 90%"};
    assertThat(move("squat-then-deadlift", lines).words()).isEqualTo("the deadlift of Friday to Monday");
    weeks.free.remove(DayOfWeek.MONDAY);
    assertThat(weeks.find("squat-then-deadlift", lines)).singleElement().satisfies(found -> {
      assertThat(found.move()).isNull();
      assertThat(found.sentence()).endsWith(" The free days leave no better place.");
    });
  }

  @Test
  void ofARunOfHardDaysAnyLiftMayGo() {
    Finding.Move move = move("hard-days-running", "Mon main squat 3x3 90%", "Tue main bench 3x3 90%", "Wed main deadlift 3x3 90%");
    assertThat(move.lines()).containsExactly(3L);
    assertThat(move.to()).isEqualTo(MONDAY.plusDays(3));
    assertThat(weeks.of("Mon main squat 3x3 90%", "Tue main bench 3x3 90%", "Wed main deadlift 3x3 90%")
        .moved(move.lines(), move.to()).hardDays())
        .containsExactly(MONDAY, MONDAY.plusDays(1), MONDAY.plusDays(3));
  }

  @Test
  void aFaultThatStoodBeforeMayStandAfter() {
    // the bench is hard on Friday and Saturday as well; the move of the squat cannot mend that, and need not
    List<Finding> found = weeks.find("consecutive-days", "Mon main squat 3x3 90%", "Tue main squat 3x3 90%",
        "Fri main bench 3x3 90%", "Sat main bench 3x3 90%");
    assertThat(found).hasSize(2).allSatisfy(one -> assertThat(one.move()).isNotNull());
    assertThat(found.get(0).move().to()).isEqualTo(WEDNESDAY);
  }
}

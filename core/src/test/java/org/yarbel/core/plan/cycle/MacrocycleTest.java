package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.yarbel.core.plan.cycle.Plans.MONDAY;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.plan.progress.Exposure;

class MacrocycleTest {
  private static List<String> lines(Macrocycle plan, String lift) {
    return Plans.written(plan).stream().filter(line -> line.lift().equals(lift))
        .map(line -> line.day().getDayOfMonth() + " " + line.work()).toList();
  }

  @Test
  void placesItsBlocksOneBehindTheOther() {
    Macrocycle plan = Plans.plan(11, "volume 4 easy, strength 3, peak 2, taper 2");
    assertThat(plan.weeks()).isEqualTo(11);
    assertThat(plan.over()).isZero();
    assertThat(plan.placed()).extracting(Macrocycle.Placed::monday)
        .containsExactly(MONDAY, MONDAY.plusWeeks(4), MONDAY.plusWeeks(7), MONDAY.plusWeeks(9));
    assertThat(plan.easyWeeks()).containsOnlyKeys(MONDAY.plusWeeks(3));
    assertThat(plan.week(MONDAY.plusWeeks(7).plusDays(3)).orElseThrow().block().purpose()).isEqualTo(Purpose.PEAK);
    assertThat(plan.week(MONDAY.minusDays(1))).isEmpty();
  }

  @Test
  void tellsHowManyWeeksAreTooManyOrMissing() {
    assertThat(Plans.plan(8, "volume 5, strength 3, taper 2").over()).isEqualTo(2);
    assertThat(Plans.plan(12, "volume 5, strength 3, taper 2, off 1").over()).isEqualTo(-2);
    assertThat(Plans.plan(0, "volume 5").over()).isZero();
  }

  @Test
  void writesABlockWithItsEasyWeekAsTheHandbookHasIt() {
    // 65 to 75 % in three weeks of training; the easy week is the next exposure at half the load
    assertThat(lines(Plans.plan(0, "volume 4 easy"), "deadlift")).containsExactly("6 4x8 65%", "13 4x8 70%", "20 4x8 75%", "27 4x8 32.5%");
  }

  @Test
  void countsDownToTheDayOfTheContest() {
    List<Written> written = Plans.written(Plans.plan(4, "peak 2, taper 2"));
    // trained on Mondays and Thursdays before a Saturday: the last squat a week or more out is nine days before it
    assertThat(written).filteredOn(line -> line.lift().equals("squat") && line.mark() == Exposure.Mark.OPENER).singleElement()
        .satisfies(line -> assertThat(line.day()).isEqualTo(Plans.saturday(4).minusDays(9)));
    // the last pull ten days or more out is on a Friday, fifteen days before, in the block before the taper
    assertThat(written).filteredOn(line -> line.lift().equals("deadlift") && line.mark() == Exposure.Mark.OPENER).singleElement()
        .satisfies(line -> assertThat(line.remarks().get(0)).startsWith("The last heavy day, 15 days out")
            .contains("Usual is 10–14 days out"));
    assertThat(Plans.written(Plans.plan(5, "peak 2, taper 3"))).filteredOn(line -> line.mark() == Exposure.Mark.OPENER)
        .extracting(line -> line.lift() + " " + line.block()).containsExactly("deadlift 2", "squat 2");
    assertThat(written).filteredOn(line -> line.mark() == Exposure.Mark.REHEARSAL).extracting(Written::lift).containsExactly("squat");
    assertThat(written).allSatisfy(line -> assertThat(line.day()).isBefore(Plans.saturday(4).minusDays(2)));
  }

  @Test
  void aContestOfLessImportanceIsATrainingDayWithRestBefore() {
    LocalDate small = MONDAY.plusWeeks(2).plusDays(4);
    Macrocycle plan = Plans.plan(11, "volume 6, peak 3, taper 2").through(List.of(small));
    List<Written> week = Plans.written(plan).stream().filter(line -> Macrocycle.monday(line.day()).equals(MONDAY.plusWeeks(2))).toList();
    assertThat(week).extracting(line -> line.day().getDayOfWeek() + " " + line.lift() + " " + line.work())
        .containsExactly("MONDAY squat 4x8 69%", "MONDAY front-squat 3x8 @7", "FRIDAY squat max 1 @8.5", "FRIDAY deadlift max 1 @8.5");
  }

  @Test
  void aSplitBlockWritesWhatItWroteWhole() {
    Macrocycle whole = Plans.plan(0, "strength 5");
    Macrocycle parts = new Editing(whole, MONDAY).split(1, 2).now();
    assertThat(Plans.text(parts)).isEqualTo("strength 2, strength 3");
    assertThat(lines(parts, "deadlift")).isEqualTo(lines(whole, "deadlift"));
    assertThat(new Editing(parts, MONDAY).merge(1).now().blocks()).singleElement()
        .satisfies(block -> assertThat(lines(parts.withBlocks(List.of(block)), "deadlift")).isEqualTo(lines(whole, "deadlift")));
  }

  @ParameterizedTest
  @CsvSource({"1, false, 'strength 1, strength 4 easy'", "3, false, 'strength 3, strength 2 easy'", "4, true, 'strength 4, strength 1'"})
  void aSplitKeepsTheEasyWeekWhereItIs(int first, boolean lost, String parts) {
    Macrocycle whole = Plans.plan(0, "strength 5 easy");
    Macrocycle split = new Editing(whole, MONDAY).split(1, first).now();
    assertThat(Plans.text(split)).isEqualTo(parts);
    assertThat(split.easyWeeks().keySet()).isEqualTo(lost ? Set.of() : whole.easyWeeks().keySet());
  }

  @Test
  void goesToAnotherLifterOnTheDaysTheyHave() {
    Macrocycle plan = Plans.plan(11, "volume 6, peak 3, taper 2");
    LocalDate theirs = MONDAY.plusWeeks(1).plusDays(2);
    Macrocycle same = plan.copied(theirs, null, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY));
    assertThat(same.startsOn()).isEqualTo(MONDAY.plusWeeks(1));
    assertThat(same.contest()).isNull();
    assertThat(same.blocks()).isEqualTo(plan.blocks());
    Macrocycle other = plan.copied(theirs, null, EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY));
    assertThat(other.blocks().get(0).uses()).extracting(Use::days).containsExactly(Set.of(DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY),
        Set.of(DayOfWeek.SATURDAY));
  }

  @Test
  void aHoldGoesOnUntilThereIsADate() {
    Macrocycle plan = Plans.plan(0, "strength 2, hold 3");
    assertThat(plan.holds()).isTrue();
    assertThat(plan.assigned().get(2).endsOn()).isNull();
    List<String> pulls = Written.all(plan, Plans.briefs(), Plans.LIFTS, MONDAY.plusWeeks(2), MONDAY.plusWeeks(8)).stream()
        .filter(line -> line.lift().equals("deadlift")).map(Written::work).toList();
    assertThat(pulls).containsExactly("4x4 77.5%", "4x4 80%", "4x4 82.5%", "4x4 77.5%", "4x4 80%", "4x4 82.5%");
  }

  @Test
  void refusesWhatIsNoPlan() {
    assertThatThrownBy(() -> new Macrocycle(MONDAY.plusDays(1), null, List.of(), List.of(), List.of()))
        .hasMessageContaining("starts on a Monday");
    assertThatThrownBy(() -> Plans.plan(0, "volume 27")).hasMessage("A block has 1 to 26 weeks but should have 27");
    assertThatThrownBy(() -> Plans.plan(0, "volume 26, volume 26, volume 26, volume 26, volume 1"))
        .hasMessageContaining("at most 104 weeks");
    assertThatThrownBy(() -> new Use("squat", Objects.requireNonNull(Purpose.VOLUME.method()), Map.of(), Set.of()))
        .hasMessageContaining("needs a day");
  }
}

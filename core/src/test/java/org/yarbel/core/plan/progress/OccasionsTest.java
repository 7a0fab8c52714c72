package org.yarbel.core.plan.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Catalogue;

class OccasionsTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final Set<DayOfWeek> TWICE = EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY);

  private static List<String> days(Occasions.Turn turn, Set<LocalDate> easy, Set<LocalDate> without, int weeks) {
    return Occasions.of(MONDAY, TWICE, turn, day -> !without.contains(day), easy::contains, MONDAY.plusWeeks(weeks)).stream()
        .map(at -> at.day().getDayOfMonth() + " " + at.number() + (at.easy() ? " easy " + at.key() : "")).toList();
  }

  @Test
  void numbersTheDaysFromTheFirstMondayOn() {
    assertThat(days(Occasions.Turn.EVERY, Set.of(), Set.of(), 2)).containsExactly("2 0", "5 1", "9 2", "12 3");
  }

  @Test
  void anEasyWeekCountsAsNoExposureAndDoesTheNextOnesMadeEasy() {
    assertThat(days(Occasions.Turn.EVERY, Set.of(MONDAY.plusWeeks(1)), Set.of(), 3))
        .containsExactly("2 0", "5 1", "9 2 easy -1", "12 3 easy -2", "16 2", "19 3");
  }

  @Test
  void aDayThatIsLeftOutHasNoNumber() {
    assertThat(days(Occasions.Turn.EVERY, Set.of(), Set.of(MONDAY.plusDays(3)), 2)).containsExactly("2 0", "9 1", "12 2");
  }

  @Test
  void twoLiftsGoByTurnsAndShareAllDays() {
    assertThat(days(Occasions.Turn.FIRST, Set.of(), Set.of(), 2)).containsExactly("2 0", "9 1");
    assertThat(days(Occasions.Turn.SECOND, Set.of(), Set.of(), 2)).containsExactly("5 0", "12 1");
  }

  @ParameterizedTest
  @CsvSource({"3, EVERY, 3", "3, FIRST, 1", "4, SECOND, 2", "1, FIRST, 1", "0, EVERY, 1"})
  void hasAtLeastOneExposureAWeek(int days, Occasions.Turn turn, int perWeek) {
    assertThat(Occasions.perWeek(days, turn)).isEqualTo(perWeek);
  }

  /** The deadlift 10–14 days out, the squat 7–10, the bench press 5–7: common practice, no source. */
  @ParameterizedTest
  @CsvSource({"deadlift, 10–14", "front-squat, 7–10", "squat, 7–10", "bench, 5–7", "log-press, 5–7",
      "stiff-legged-deadlift, 10–14", "yoke-walk, 10–14"})
  void everyLiftHasItsLastHeavyDays(String lift, String window) {
    assertThat(LastHeavy.of(Catalogue.standard().ofKey(lift).orElseThrow()).text()).isEqualTo(window);
  }

  @Test
  void theLastHeavyExposureIsTheNearestThatIsNotTooNear() {
    List<Integer> all = List.of(19, 15, 12, 8, 5, 1);
    assertThat(new Countdown(12, all).lastHeavy(7)).hasValue(8);
    assertThat(new Countdown(12, all).lastHeavy(10)).hasValue(12);
    assertThat(new Countdown(12, all).lastHeavy(20)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1, 0, 0.3", "7, 0, 0.3", "8, 1, 0.5", "14, 1, 0.5", "15, 2, 0.7", "21, 2, 0.7", "22, 3, 1", "0, -1, 0", "-3, -1, 0"})
  void theVolumeFallsByThirtyFiftyAndSeventyPercent(int days, int weeks, double left) {
    Countdown countdown = new Countdown(days, List.of(days));
    assertThat(countdown.weeks()).isEqualTo(weeks);
    assertThat(Tapering.left(countdown.weeks())).isEqualTo(left);
  }
}

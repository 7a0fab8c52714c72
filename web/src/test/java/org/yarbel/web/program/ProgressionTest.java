package org.yarbel.web.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;

class ProgressionTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

  private static Progression on(Method method, Turn turn, Set<DayOfWeek> days, Map<String, String> settings) {
    Progression progression = new Progression(1, "squat", method);
    progression.set(settings, MONDAY, days, turn);
    return progression;
  }

  @Test
  void keepsItsDaysAndSettings() {
    Set<DayOfWeek> days = EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.SUNDAY);
    Progression progression = on(Method.LADDER, Turn.FIRST, days, Map.of("tiers", "8,5", "note", "ö \"x\""));
    assertThat(progression.days()).isEqualTo(days);
    assertThat(progression.settings()).isEqualTo(Map.of("tiers", "8,5", "note", "ö \"x\""));
    assertThat(progression.turn()).isEqualTo(Turn.FIRST);
    assertThat(progression.startsOn()).isEqualTo(MONDAY);
  }

  @Test
  void countsExposuresAWeek() {
    Set<DayOfWeek> three = EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY);
    assertThat(on(Method.LADDER, Turn.EVERY, three, Map.of()).perWeek()).isEqualTo(3);
    assertThat(on(Method.LADDER, Turn.SECOND, three, Map.of()).perWeek()).isEqualTo(1);
    assertThat(on(Method.LADDER, Turn.FIRST, EnumSet.of(DayOfWeek.MONDAY), Map.of()).perWeek()).as("never none").isEqualTo(1);
  }

  @Test
  void remembersWhatWasTakenOut() {
    Progression progression = on(Method.LADDER, Turn.EVERY, EnumSet.of(DayOfWeek.MONDAY), Map.of());
    progression.leaveOut(3, 0);
    progression.leaveOut(3, 1);
    progression.leaveOut(3, 0);
    assertThat(progression.leftOut()).containsExactlyInAnyOrder("3.0", "3.1");
    progression.leaveOut(Set.of("3.1"));
    assertThat(progression.leftOut()).containsExactly("3.1");
  }

  @Test
  void endsAndGoesOn() {
    Progression progression = on(Method.LADDER, Turn.EVERY, EnumSet.of(DayOfWeek.MONDAY), Map.of());
    progression.end(MONDAY);
    assertThat(progression.endsOn()).isEqualTo(MONDAY);
    progression.end(null);
    assertThat(progression.endsOn()).isNull();
  }

  @Test
  void tellsItsOwnEasyWeeks() {
    Progression plus = on(Method.PLUS_SETS, Turn.EVERY, EnumSet.of(DayOfWeek.MONDAY), Map.of());
    assertThat(EasyWeeks.own(List.of(plus), MONDAY.plusWeeks(3))).isTrue();
    assertThat(EasyWeeks.own(List.of(plus), MONDAY.plusWeeks(4))).isFalse();
    assertThat(EasyWeeks.own(List.of(plus), MONDAY.minusWeeks(1))).as("before it began").isFalse();
    Progression longer = on(Method.RPE_WEEKS, Turn.EVERY, EnumSet.of(DayOfWeek.MONDAY), Map.of("from", "6"));
    assertThat(EasyWeeks.own(List.of(plus, longer), MONDAY.plusWeeks(4))).isTrue();
  }

  @ParameterizedTest
  @EnumSource(DayOfWeek.class)
  void aWeekBeginsOnItsMonday(DayOfWeek day) {
    assertThat(Macrocycle.monday(MONDAY.plusDays(day.getValue() - 1L))).isEqualTo(MONDAY);
  }
}

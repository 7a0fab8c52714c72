package org.yarbel.core.plan.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The methods that count down to a contest, day by day. Bosquet et al. 2007, from memory: the volume falls, the loads stay; the
 * windows of the last heavy day and the 3 and 4 days of rest and primer are common practice, no source.
 */
class CountdownRulesTest {
  private static final Catalogue LIFTS = Catalogue.standard();

  private static Brief brief(Method method, String lift, int perWeek, Map<String, String> settings) {
    return new Brief(LIFTS.ofKey(lift).orElseThrow(), MassUnit.KG, new MaxNumbers(null, Mass.of("240", MassUnit.KG), null, null),
        EffortChart.HOUSE, null, Settings.check(method, settings, LIFTS).settings(), perWeek, LIFTS);
  }

  /** Exposures of a method that are lifted so many days before the contest. */
  private static Brief counting(Brief brief, int days, String all) {
    return brief.counting(new Countdown(days, Arrays.stream(all.split(" ")).map(Integer::valueOf).toList()));
  }

  private static String text(Exposure exposure) {
    return exposure.lines().isEmpty() ? "-" : exposure.lines().get(0).work().toString();
  }

  // four sets of three before: 70, 50 and 30 % of them are left three, two and one weeks out
  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "none", value = {
      "24 | 24 17 10 3 | 4x3 85%          | none   | Taper: 0 % less volume, the loads stay.",
      "21 | 21 14 7    | 3x3 85%          | none   | Taper: 30 % less volume, the loads stay.",
      "17 | 24 17 10 3 | 3x3 85%          | none   | Taper: 30 % less volume, the loads stay.",
      "14 | 14 11      | 2x3 85%          | none   | Taper: 50 % less volume, the loads stay.",
      "15 | 15 8       | 1x1 91%; 2x3 85% | OPENER | The last heavy day, 15 days out: the opener, good for three on a bad day. "
          + "Usual is 10–14 days out: move it there if the week allows.",
      "14 | 14 7       | 1x1 91%; 1x3 85% | OPENER | The last heavy day, 14 days out: the opener, good for three on a bad day.",
      "10 | 24 17 10 3 | 1x1 91%; 1x3 85% | OPENER | The last heavy day, 10 days out: the opener, good for three on a bad day.",
      "9  | 16 9 2     | 2x2 82.5%        | none   | 9 days to the contest: light and fast, nothing heavy any more.",
      "5  | 12 5       | 1x2 82.5%        | none   | 5 days to the contest: light and fast, nothing heavy any more.",
      "4  | 11 4       | 2x1 80%          | none   | 4 days to the contest: light and fast, nothing heavy any more.",
      "3  | 24 17 10 3 | 2x1 80%          | none   | 3 days to the contest: light and fast, nothing heavy any more.",
      "2  | 9 2        | -                | none   | 2 days to the contest: rest.",
      "1  | 8 1        | -                | none   | 1 day to the contest: rest.",
      "0  | 7 0        | -                | none   | The day of the contest: the platform is the session.",
      "-1 | 6 -1       | -                | none   | The contest is behind: rest.",
  })
  void aTaperCountsTheDaysDown(int days, String all, String work, Exposure.@Nullable Mark mark, String remark) {
    Exposure exposure = Method.TAPER.rule().write(counting(brief(Method.TAPER, "deadlift", 1, Map.of()), days, all), List.of(), 0, 0);
    assertThat(text(exposure)).isEqualTo(work);
    assertThat(exposure.mark()).isEqualTo(mark);
    assertThat(exposure.remarks()).containsExactly(remark);
  }

  @Test
  void aTaperHasLighterFurtherDaysAndAnOpenerAloneWhereOneSetIsLeft() {
    Brief twice = counting(brief(Method.TAPER, "deadlift", 2, Map.of()), 17, "17 14 10");
    assertThat(text(Method.TAPER.rule().write(twice, List.of(), 1, 0))).as("a set fewer, at 75 %").isEqualTo("2x3 75%");
    Brief one = counting(brief(Method.TAPER, "deadlift", 1, Map.of("sets", "1")), 10, "10 3");
    assertThat(text(Method.TAPER.rule().write(one, List.of(), 0, 0))).isEqualTo("1x1 91%");
    assertThat(text(Method.TAPER.rule().write(counting(brief(Method.TAPER, "deadlift", 2, Map.of("sets", "1")), 17, "17 10"),
        List.of(), 1, 0))).isEqualTo("1x3 75%");
  }

  @Test
  void aTaperWaitsForADateAndForNumbers() {
    Brief dated = brief(Method.TAPER, "deadlift", 1, Map.of());
    assertThat(Method.TAPER.rule().write(dated, List.of(), 0, 0).remarks())
        .containsExactly("A taper needs the date of a contest: it waits until there is one.");
    Brief unknown = new Brief(dated.lift(), MassUnit.KG, MaxNumbers.NONE, EffortChart.HOUSE, null, dated.settings(), 1, LIFTS);
    assertThat(text(Method.TAPER.rule().write(unknown, List.of(), 0, 0))).contains("@");
    assertThat(text(Method.TAPER.rule().write(counting(unknown, 12, "12"), List.of(), 0, 0))).contains("@");
  }

  @ParameterizedTest
  @CsvSource({"BEGINNER,1", "INTERMEDIATE,2", "ADVANCED,3"})
  void aTaperTakesLongerTheFurtherALifterIs(Level level, int weeks) {
    assertThat(Tapering.weeks(level)).isEqualTo(weeks);
    assertThat(Tapering.weeks(null)).isEqualTo(2);
    assertThat(Tapering.left(-1)).isZero();
    assertThat(IntStream.range(0, 4).mapToDouble(Tapering::left)).containsExactly(0.3, 0.5, 0.7, 1.0);
  }

  // three weeks from 90 to 95 %, the second a rehearsal; the deadlift's last heavy day is 10 to 14 days out
  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "none", value = {
      "0 | none | none       | 1x1 90%; 4x3 80%     | none",
      "1 | none | none       | 1x1 92.5%; 4x3 82.5% | REHEARSAL",
      "2 | none | none       | 1x1 95%; 4x3 85%     | none",
      "3 | none | none       | 1x1 95%; 4x3 85%     | none",
      "2 | 17   | 24 17 10 3 | 1x1 95%; 4x3 85%     | none",
      "2 | 10   | 24 17 10 3 | 1x1 91%; 4x3 85%     | OPENER",
      "2 | 16   | 16 9 2     | 1x1 91%; 4x3 85%     | OPENER",
      "2 | 14   | 17 14 10 7 | 1x1 95%; 4x3 85%     | none",
      "2 | 9    | 16 9 2     | 4x2 82.5%            | none",
      "2 | 7    | 7          | 4x2 82.5%            | none",
      "2 | 4    | 11 4       | 2x1 80%              | none",
  })
  void singlesToAPeakRiseAndEndInTime(int number, @Nullable Integer days, @Nullable String all, String work, Exposure.@Nullable Mark mark) {
    Brief brief = brief(Method.PEAK, "deadlift", 1, Map.of());
    Exposure exposure = Method.PEAK.rule().write(days == null ? brief : counting(brief, days, all), List.of(), number, 0);
    assertThat(text(exposure)).isEqualTo(work);
    assertThat(exposure.mark()).isEqualTo(mark);
  }

  @Test
  void aShortPeakRehearsesInItsLastWeekAndFurtherDaysAreTriples() {
    assertThat(Method.PEAK.rule().write(brief(Method.PEAK, "squat", 1, Map.of("weeks", "1")), List.of(), 0, 0).mark())
        .isEqualTo(Exposure.Mark.REHEARSAL);
    assertThat(Method.PEAK.rule().write(brief(Method.PEAK, "squat", 1, Map.of("rehearsal", "0")), List.of(), 0, 0).mark()).isNull();
    assertThat(text(Method.PEAK.rule().write(brief(Method.PEAK, "squat", 2, Map.of()), List.of(), 1, 0))).isEqualTo("4x3 75%");
    assertThat(text(Method.PEAK.rule().write(brief(Method.PEAK, "squat", 1, Map.of("sets", "0")), List.of(), 0, 0))).isEqualTo("1x1 90%");
    assertThat(text(Method.PEAK.rule().write(brief(Method.PEAK, "squat", 1, Map.of("basis", "goal")), List.of(), 0, 0)))
        .as("there is no goal").isEqualTo("1x1 90%; 4x3 80%");
  }

  // a yoke of 300 kg: 75 % and 85 % of it, a rehearsal every third week, the last run at it 10 days out or more, then 60 %
  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "none", value = {
      "0 | none | none     | carry 3x20m 225kg rest 3:00 | none",
      "1 | none | none     | carry 3x20m 255kg rest 3:00 | none",
      "2 | none | none     | carry 1x20m 300kg in 60s    | REHEARSAL",
      "2 | 17   | 17 10    | carry 1x20m 300kg in 60s    | REHEARSAL",
      "2 | 16   | 16 12    | carry 3x20m 255kg rest 3:00 | none",
      "0 | 16   | 16 9     | carry 1x20m 300kg in 60s    | LAST_HEAVY",
      "0 | 10   | 17 10 3  | carry 1x20m 300kg in 60s    | LAST_HEAVY",
      "1 | 9    | 16 9 2   | carry 3x20m 180kg rest 3:00 | none",
      "1 | 4    | 11 4     | carry 3x20m 180kg rest 3:00 | none",
      "1 | 3    | 10 3     | -                           | none",
      "1 | 0    | 7 0      | -                           | none",
  })
  void anEventIsRunAtItsMassInTimeAndNoLater(int number, @Nullable Integer days, @Nullable String all, String work,
      Exposure.@Nullable Mark mark) {
    Brief brief = brief(Method.EVENT_WEEKS, "yoke-walk", 1, Map.of("mass", "300"));
    Exposure exposure = Method.EVENT_WEEKS.rule().write(days == null ? brief : counting(brief, days, all), List.of(), number, 0);
    assertThat(text(exposure)).isEqualTo(work);
    assertThat(exposure.mark()).isEqualTo(mark);
  }

  @Test
  void anEventSaysWhatItIsFor() {
    Brief brief = brief(Method.EVENT_WEEKS, "yoke-walk", 1, Map.of("mass", "300"));
    Rule rule = Method.EVENT_WEEKS.rule();
    assertThat(rule.write(counting(brief, 9, "16 9 2"), List.of(), 1, 0).remarks())
        .containsExactly("9 days to the contest: light and clean.");
    assertThat(rule.write(counting(brief, 3, "10 3"), List.of(), 1, 0).remarks()).containsExactly("3 days to the contest: rest.");
    assertThat(rule.write(counting(brief, -2, "5 -2"), List.of(), 1, 0).remarks())
        .containsExactly("The day of the contest: the platform is the session.");
    assertThat(rule.write(brief, List.of(), 0, 0).remarks()).isEmpty();
    assertThat(rule.write(brief, List.of(), 2, 0).remarks()).containsExactly("Rehearsal at contest mass, as on the day.");
    assertThat(rule.write(brief(Method.EVENT_WEEKS, "yoke-walk", 2, Map.of("mass", "300")), List.of(), 5, 0).mark())
        .as("once a week").isNull();
    assertThat(text(rule.write(brief(Method.EVENT_WEEKS, "yoke-walk", 1, Map.of("mass", "300", "every", "2")), List.of(), 0, 0)))
        .as("of two weeks none is the lightest")
        .isEqualTo("carry 3x20m 255kg rest 3:00");
    assertThat(text(rule.write(brief(Method.EVENT_WEEKS, "farmers-hold", 1, Map.of("mass", "120")), List.of(), 0, 0)))
        .isEqualTo("hold 3x20s 90kg");
    assertThat(text(rule.write(brief(Method.EVENT_WEEKS, "farmers-hold", 1, Map.of("mass", "120")), List.of(), 2, 0)))
        .isEqualTo("hold 1x60s 120kg");
    assertThat(text(rule.write(brief(Method.EVENT_WEEKS, "log-press", 1, Map.of("mass", "120")), List.of(), 1, 0)))
        .isEqualTo("3x5 102.5kg");
    assertThat(text(rule.write(brief(Method.EVENT_WEEKS, "stone-load", 1, Map.of()), List.of(), 1, 0)))
        .as("no mass is written down").isEqualTo("3x1");
  }

  @Test
  void whatCountsDownAndWhatPeaksIsKnownOfEachMethod() {
    assertThat(Arrays.stream(Method.values()).filter(method -> method.rule().countsDown()))
        .contains(Method.TAPER, Method.PEAK, Method.EVENT_WEEKS)
        .doesNotContain(Method.SHRINKING_JUMPS, Method.PLUS_SETS, Method.RISING, Method.BLOCKS, Method.NOVICE_LINEAR);
    assertThat(Arrays.stream(Method.values()).filter(method -> method.rule().peaking(Settings.defaults(method), 0)))
        .contains(Method.TAPER, Method.PEAK, Method.GOAL_WAVE, Method.SHRINKING_JUMPS)
        .doesNotContain(Method.RISING, Method.BLOCKS, Method.RPE_WEEKS, Method.EVENT_WEEKS);
    Settings strong = Settings.check(Method.RISING, Map.of("from", "75"), LIFTS).settings();
    assertThat(Method.RISING.rule().peaking(strong, 0)).as("what rises from 75 % on is strength").isTrue();
    assertThat(Method.RISING.rule().peaking(Settings.check(Method.RISING, Map.of("from", "74.5"), LIFTS).settings(), 0)).isFalse();
    assertThat(IntStream.range(0, 12).filter(week -> Method.BLOCKS.rule().peaking(Settings.defaults(Method.BLOCKS), week)))
        .as("four weeks of volume").startsWith(4).hasSize(8);
    assertThat(Exposure.Mark.LAST_HEAVY.word()).isEqualTo("last heavy day");
    assertThat(Exposure.Mark.LAST_HEAVY.letter()).isEqualTo("H");
  }

  @Test
  void blocksAreFewerDaysTheHeavierTheyAre() {
    Rule rule = Method.BLOCKS.rule();
    Brief brief = brief(Method.BLOCKS, "squat", 3, Map.of("volume", "1", "strength", "1", "peak", "1"));
    assertThat(IntStream.range(0, 18).mapToObj(i -> text(rule.write(brief, List.of(), i, 0)))).containsExactly(
        "4x8 65%", "4x8 65%", "4x8 65%", "5x4 75%", "5x4 75%", "-", "3x2 85%", "-", "-", "1x1 90%; 2x2 80%", "-", "-", "-", "-",
        "-", "-", "-", "-");
    assertThat(rule.write(brief, List.of(), 12, 0).remarks()).containsExactly("The week of the contest: the platform is the session.");
    assertThat(rule.write(brief, List.of(), 15, 0).remarks()).containsExactly("A week off.");
    assertThat(rule.write(brief, List.of(), 18, 0).remarks()).containsExactly("The blocks are over: start again from new numbers.");
    assertThat(rule.write(brief, List.of(), 0, 0).lines()).extracting(Exposure.Line::lift).containsExactly("squat", "front-squat");
  }

  @Test
  void risingPercentagesHaveLighterFurtherDaysDownToTheirLeast() {
    Rule rule = Method.RISING.rule();
    Brief brief = brief(Method.RISING, "squat", 2, Map.of("from", "45", "to", "55", "weeks", "2", "beside", "front-squat"));
    assertThat(IntStream.range(0, 5).mapToObj(i -> text(rule.write(brief, List.of(), i, 0))))
        .containsExactly("4x8 45%", "3x8 40%", "4x8 55%", "3x8 47.5%", "4x8 45%");
    assertThat(rule.write(brief, List.of(), 0, 0).lines()).extracting(Exposure.Line::lift).containsExactly("squat", "front-squat");
    assertThat(rule.write(brief, List.of(), 1, 0).lines()).hasSize(1);
    Exposure goal = rule.write(brief(Method.RISING, "squat", 1, Map.of("basis", "goal")), List.of(), 0, 0);
    assertThat(goal.remarks()).containsExactly("There is no goal max of this lift: it is planned by RPE until there is one.");
  }
}

package org.yarbel.core.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.notation.WorkLine;

/** What a card knows of a low day by itself. */
class LowDayTest {
  private final Pictures lifter = new Pictures().said(0, 5.0, 1, 2).ahead(0, "squat", "1x3 85%; 3x5 -15%");

  @Test
  void itAgreesWithWhatTheCoachIsTold() {
    Picture picture = lifter.lifted(2, "squat", "3x5 75% @8", "135x5 @7").points("squat", 15, 177, 180).make();
    CheckIn said = picture.answers(picture.today()).orElseThrow().said();
    assertThat(LowDay.of(picture).with(said).value()).isEqualTo(Readiness.of(picture).value());
  }

  @Test
  void theAnswersAddUpToTheSame() {
    // by hand: nothing logged is 50; sleep 5 h −5, energy 1 −10, joints 2 −5
    LowDay day = LowDay.of(lifter.make());
    assertThat(day.points()).isEqualTo(50);
    assertThat(LowDay.answers().get("sleep")).containsEntry("10", -5.0).containsEntry("12", 0.0).containsEntry("16", 10.0)
        .containsEntry("32", 10.0).containsEntry("0", -10.0);
    assertThat(LowDay.answers().get("energy")).containsEntry("1", -10.0).containsEntry("3", 0.0).containsEntry("5", 10.0);
    assertThat(LowDay.answers().get("joints").get("2")).isCloseTo(-5, within(1e-9));
    assertThat(day.low(new CheckIn(10, 1, 2, null, List.of()))).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"2, 3, false", "2, 2, true"})
  void fortyIsNotLow(int energy, int joints, boolean low) {
    // sleep 5 h −5, energy 2 −5: 40 and not under it; joints 2 takes five more
    assertThat(LowDay.of(lifter.make()).low(new CheckIn(10, energy, joints, null, List.of()))).isEqualTo(low);
  }

  @Test
  void nothingAnsweredIsNoLowDay() {
    Picture picture = new Pictures().lifted(1, "squat", "3x5 75%", "135x2/5", "135x2/5", "135x2/5")
        .lifted(3, "squat", "3x5 75% @8", "135x5 @10").make();
    assertThat(LowDay.of(picture).points()).isLessThan(40);
    assertThat(LowDay.of(picture).low(new CheckIn(null, null, null, null, List.of()))).isFalse();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', textBlock = """
      LIGHTER   | 1x3 85%; 3x5 -15% | 1x3 80.5%; 3x5 -15%
      CAPPED    | 1x3 85%; 3x5 -15% | 1x3 85% cap @8; 3x5 -15% cap @8
      TECHNIQUE | 1x3 85%; 3x5 -15% | 3x3 60%
      CAPPED    | 1x1 @9            | 1x1 @8
      CAPPED    | 1x1 @8            |
      """)
  void eachWayIsALineOfItsOwn(EasyWay way, String line, String becomes) {
    assertThat(way.of(WorkLine.parse(line).line(), EffortChart.HOUSE, 5).map(WorkLine::toString).orElse(null)).isEqualTo(becomes);
  }
}

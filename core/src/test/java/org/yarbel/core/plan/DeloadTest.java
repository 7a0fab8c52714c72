package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Level;
import org.yarbel.core.notation.WorkLine;

/** Four schools of easy weeks; common practice, no source. */
class DeloadTest {
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "3x5 80%                  | 3x5 40%",
      "3x5+ 85% tm              | 3x5 42.5% tm",
      "3x8-12 60kg              | 3x8-12 30kg",
      // 5 at 8 is 83 % by the house chart
      "3x5 @8                   | 3x5 41.5% est",
      // a single at 8 is 93 %; the back-offs would hang in the air
      "1x1 @8; 4x4 -15%         | 1x1 46.5% est; 4x4 46.5% est",
      "max 1; 1xAMRAP 80% top   | 3x3 46.5% est; 1x5 46.5% est",
      "cluster 3x6 93% gap 20s  | 3x3 46.5%",
      "carry 3x20m 140kg        | carry 3x20m 70kg",
      "series 100/120/140kg     | series 100kg",
      "3x5                      | 3x5",
  })
  void halvesTheLoadThatWasPlanned(String work, String easy) {
    assertThat(Deload.HALF_LOAD.applied(WorkLine.parse(work).line(), EffortChart.HOUSE).map(WorkLine::toString)).contains(easy);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "5x5 80%          | 2x5 80%",
      "3x5+ 85% tm      | 1x5 85% tm",
      "1x1 @8; 4x4 -15% | 1x1 @8; 2x4 -15%",
      "max 1            | 1x1 @8",
      "3x8-12           | 1x8-12",
  })
  void halvesTheVolumeAndKeepsTheIntensity(String work, String easy) {
    assertThat(Deload.LESS_VOLUME.applied(WorkLine.parse(work).line(), EffortChart.HOUSE).map(WorkLine::toString)).contains(easy);
  }

  @Test
  void practisesLightlyOrNotAtAll() {
    assertThat(Deload.LIGHT_TECHNIQUE.applied(WorkLine.parse("3x5 @9").line(), EffortChart.HOUSE).map(WorkLine::toString))
        .contains("3x3 60%");
    assertThat(Deload.LIGHT_TECHNIQUE.applied(WorkLine.parse("3x8-12 60kg").line(), EffortChart.HOUSE).map(WorkLine::toString))
        .contains("3x8-12 30kg");
    assertThat(Deload.DAYS_OFF.applied(WorkLine.parse("3x5 @9").line(), EffortChart.HOUSE).map(WorkLine::toString)).isEmpty();
  }

  @Test
  void writesOnlyWhatCanBeRead() {
    for (Deload kind : Deload.values()) {
      for (String work : new String[] {"emom 8x2 75%", "density 10 90% in 10:00", "negative 1x8 120%", "hold 3x30s 60kg",
          "timed 1x60s 100kg", "build 8 @7", "warm 1x5 30%; 8x1 60%",
          "3x3 120% reverse 40kg", "10x2 55% rest 45s tempo 2-1-X-0 chains 20kg", "2xAMRAP bw+10kg", "1x1 92%; 3xAMRAP -7.5% each"}) {
        kind.applied(WorkLine.parse(work).line(), EffortChart.HOUSE).map(WorkLine::toString)
            .ifPresent(easy -> assertThat(WorkLine.parse(easy).line().toString()).as(kind + " of " + work)
            .isEqualTo(easy));
      }
    }
  }

  @Test
  void saysItsCeilingAndWhenItIsDue() {
    assertThat(Deload.LIGHT_TECHNIQUE.ceiling()).isEqualTo("nothing over 70 % nor over RPE 6");
    assertThat(Deload.LESS_VOLUME.ceiling()).isEqualTo("nothing over RPE 8.5");
    assertThat(Deload.DAYS_OFF.ceiling()).isEqualTo("nothing at all");
    // every 4–6 weeks heavy, advanced, dieting; 6 most; 8–12 beginners: the handbook
    assertThat(Deload.Interval.of(Level.ADVANCED, false)).isEqualTo(new Deload.Interval(4, 6));
    assertThat(Deload.Interval.of(Level.BEGINNER, true)).isEqualTo(new Deload.Interval(4, 6));
    assertThat(Deload.Interval.of(Level.INTERMEDIATE, false).most()).isEqualTo(6);
    assertThat(Deload.Interval.of(Level.BEGINNER, false)).isEqualTo(new Deload.Interval(8, 12));
  }

  @Test
  void asksWhetherTheVolumeSitsWhereItCostsTooMuchWhenItIsNeededOften() {
    assertThat(Deload.often(3)).hasValueSatisfying(asked -> assertThat(asked).contains("lifts that cost less"));
    assertThat(Deload.often(4)).isEmpty();
  }
}

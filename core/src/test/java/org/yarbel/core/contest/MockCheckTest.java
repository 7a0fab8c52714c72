package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;

/** Ratings held against the max of a mock contest, worked out by hand from the published table: 5 reps are 87 % of a max, 3 are 93 %. */
class MockCheckTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 14);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Observation set(int daysBefore, String load, int reps, String rpe) {
    return Observation.of(DAY.minusDays(daysBefore), kg(load), reps, Rpe.parse(rpe));
  }

  @Test
  void aRepTooManySaidToBeLeftEachTimeIsDrawnTowardsNothingWhileTheSetsAreFew() {
    // 174 kg of 200 go up five times: with three done two are left, and RPE 7 says three
    List<Observation> log = IntStream.range(0, 6).mapToObj(nth -> set(3 + 4 * nth, "174", 3, "7")).toList();
    MockCheck check = MockCheck.of(log, DAY, kg("200"), EffortChart.HOUSE);
    assertThat(check.sets()).hasSize(6).allSatisfy(one -> {
      assertThat(one.said()).isEqualTo(3);
      assertThat(one.left()).isEqualTo(2, within(0.01));
    });
    assertThat(check.bias()).isEqualTo(6.0 / 9, within(0.01));
  }

  @Test
  void onlyTheFourWeeksBeforeItsDayAreLookedAtAndNothingThatWasOff() {
    List<Observation> log = List.of(set(29, "174", 3, "7"), set(28, "174", 3, "7"), set(0, "174", 3, "7"), set(-2, "174", 3, "7"),
        set(5, "174", 3, "7").with(Observation.Trait.FLAGGED, true), set(5, "174", 3, "7").with(Observation.Trait.FAILED, true),
        Observation.of(DAY.minusDays(5), kg("174"), 3, null), set(6, "100", 5, "6"));
    MockCheck check = MockCheck.of(log, DAY, kg("200"), EffortChart.HOUSE);
    assertThat(check.sets()).extracting(one -> one.set().date()).containsExactly(DAY.minusDays(28));
  }

  @Test
  void ratingsThatHoldHaveNoBiasAndNoneIsOverARep() {
    assertThat(MockCheck.of(List.of(set(3, "186", 2, "9"), set(9, "174", 4, "9")), DAY, kg("200"), EffortChart.HOUSE).bias())
        .isEqualTo(0, within(0.01));
    List<Observation> far = IntStream.range(0, 20).mapToObj(nth -> set(1 + nth, "186", 3, "6")).toList();
    assertThat(MockCheck.of(far, DAY, kg("200"), EffortChart.HOUSE).bias()).isEqualTo(1);
    assertThat(MockCheck.of(List.of(), DAY, kg("200"), EffortChart.HOUSE).bias()).isZero();
  }
}

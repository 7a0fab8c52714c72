package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** Effort of planned sets by the house chart: Haff and Triplett's table to ten reps, Epley beyond; both from memory. */
class CountedSetTest {
  private static final Mass MAX = Mass.of("200", MassUnit.KG);
  private static final Loadables LOADABLES = Loadables.of(Kit.standard(MassUnit.KG));

  private static CountedSet counted(String work) {
    return counted(work, EffortChart.HOUSE);
  }

  private static CountedSet counted(String work, EffortChart chart) {
    MaxNumbers numbers = new MaxNumbers(null, MAX, null, null);
    ResolvedSet set = Resolver.resolve(new Resolver.Request(WorkLine.parse(work), Basis.ESTIMATED, numbers, Map.of(),
        Mass.of("90", MassUnit.KG), LOADABLES, MassUnit.KG, chart, Movement.SQUAT, false, List.of(), null, null)).sets().get(0);
    return CountedSet.of(set, MAX, chart);
  }

  @ParameterizedTest
  @CsvSource({
      // 100 % is one to failure, 95 two, 90 four, 85 six, 80 eight, 75 ten
      "1x1 100%, 1, 100, 10", "1x2 95%, 2, 95, 10", "1x1 95%, 1, 95, 9", "1x4 90%, 4, 90, 10", "1x3 90%, 3, 90, 9",
          "1x6 85%, 6, 85, 10", "1x5 80%, 5, 80, 7",
      "1x8 80%, 8, 80, 10", "1x10 75%, 10, 75, 10", "1x5 75%, 5, 75, 5", "1x12 75%, 12, 75, 12", "1x6-10 75%, 8, 75, 8"})
  void predictsTheEffortOfASet(String work, double reps, double percent, double rpe) {
    CountedSet set = counted(work);
    assertThat(set.reps()).isEqualTo(reps);
    assertThat(set.percent()).isCloseTo(percent, within(1e-9));
    assertThat(set.rpe()).isCloseTo(rpe, within(1e-6));
  }

  @Test
  void takesTheWrittenEffortBeforeThePredictedOne() {
    assertThat(counted("3x5 75% @8").rpe()).isEqualTo(8);
    assertThat(counted("3x5 @7").rpe()).isEqualTo(7);
  }

  @Test
  void asksTheLiftersOwnChart() {
    // with a stretch of 0.8 ten on the curve are 1 + 9/0.8 = 12.25 for this lifter
    assertThat(counted("1x10 75%", new EffortChart(EffortChart.HOUSE.curve(), 0.8)).rpe()).isCloseTo(10 - 2.25, within(1e-6));
  }

  @Test
  void countsOpenSetsByWhatTheChartGives() {
    assertThat(counted("1xAMRAP 80%").reps()).isEqualTo(8);
    assertThat(counted("1xAMRAP").reps()).isEqualTo(8);
    assertThat(counted("hold 1x30s 60kg").reps()).isEqualTo(1);
  }

  @ParameterizedTest
  @CsvSource({"1x5 65%, true", "1x5 64%, false", "1x5 64% @6, true", "1x8-12, true", "warm 1x5 80%, false", "1x1 @6, true",
      "1x3 50%, false"})
  void tellsAHardSet(String work, boolean hard) {
    assertThat(counted(work).hard()).isEqualTo(hard);
  }

  @ParameterizedTest
  @CsvSource({"1x5 80%, 3.2", "1x1 100%, 1", "1x10 50%, 2.5", "1x8-12, 0", "warm 1x5 80%, 0"})
  void weighsASetByRepsAndPercentSquared(String work, double load) {
    assertThat(counted(work).load()).isCloseTo(load, within(1e-9));
  }

  @Test
  void knowsNoEffortOfWorkThatTellsNothingOfTheMax() {
    assertThat(counted("cluster 3x6 90% gap 20s").rpe()).isNaN();
    assertThat(counted("carry 2x20m 120kg").percent()).isEqualTo(60);
    assertThat(counted("1x3 110%").rpe()).as("beyond the max").isGreaterThan(10);
  }
}

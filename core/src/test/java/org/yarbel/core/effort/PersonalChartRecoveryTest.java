package org.yarbel.core.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Lifters made up with a chart of their own get it back from enough sets, and are drawn towards 1 by few. */
class PersonalChartRecoveryTest {
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  private static List<PersonalChart.ToFailure> log(double stretch, int sets, RandomGenerator random) {
    List<PersonalChart.ToFailure> log = new ArrayList<>();
    while (log.size() < sets) {
      double share = 0.7 + 0.2 * random.nextDouble();
      // by the lifter's own chart: curve(1 + (n − 1)·k) = share, so n = 1 + (m − 1)/k
      double reps = 1 + (RepMaxCurve.HOUSE.repsAt(share).orElseThrow() - 1) / stretch;
      PersonalChart.ToFailure set = new PersonalChart.ToFailure(MAX.scaled(share), (int) Math.round(reps), MAX);
      if (set.serves()) {
        log.add(set);
      }
    }
    return log;
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.7, 0.85, 1.0, 1.2, 1.4})
  void isFoundFromFortySets(double stretch) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(4);
    assertThat(PersonalChart.fit(RepMaxCurve.HOUSE, log(stretch, 40, random)).stretch()).isCloseTo(stretch, within(0.06));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.7, 1.4})
  void isHalfBelievedFromOneSet(double stretch) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(4);
    double fitted = PersonalChart.fit(RepMaxCurve.HOUSE, log(stretch, 1, random)).stretch();
    assertThat(fitted).isBetween(Math.min(stretch, 1), Math.max(stretch, 1));
    assertThat(Math.abs(fitted - 1)).isLessThan(Math.abs(stretch - 1));
  }
}

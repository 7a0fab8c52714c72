package org.yarbel.core.sim;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Odds against what made-up lifters of all 63 kinds then make. */
class ContestTrialTest {
  private static final int LIFTERS = 1260;

  @Test
  void ofAttemptsCalledWithEightyPercentSoManyAreMade() {
    List<ContestTrial.Result> results = IntStream.rangeClosed(1, 3)
        .mapToObj(number -> ContestTrial.ofAllKinds(LIFTERS, 0.8, number, 77)).toList();
    assertThat(results).allSatisfy(result -> {
      assertThat(result.calledShare()).isBetween(79.9, 80.1);
      assertThat(result.share()).isBetween(76.0, 84.0);
    });
    ContestTrial.Result all = results.stream().reduce(ContestTrial.Result.NONE, ContestTrial.Result::plus);
    assertThat(all.attempts()).isEqualTo(3 * LIFTERS);
    assertThat(all.share()).isBetween(78.0, 82.0);
  }
}

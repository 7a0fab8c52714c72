package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.VariationRatio;

/** The ratio of contest to gym, worked out by hand as a mean weighted by what is known. */
class ContestRatioTest {
  private static final LocalDate DAY = LocalDate.of(2025, 10, 4);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static ContestRatio.Past past(LocalDate day, String gym, Attempt... attempts) {
    return new ContestRatio.Past(day, new LiftDay("squat", List.of(attempts)), new Estimate(kg(gym), kg(gym).scaled(0.01)));
  }

  @Test
  void withoutAContestItIsTheUsualOne() {
    VariationRatio none = ContestRatio.of(List.of(), DAY);
    assertThat(none.percent()).isCloseTo(98, within(1e-9));
    assertThat(none.sd()).isCloseTo(2, within(1e-9));
    assertThat(none.exposures()).isZero();
  }

  @Test
  void oneContestAtTheLimitIsWeighedAgainstTheUsual() {
    VariationRatio learned = ContestRatio.of(List.of(past(DAY, "200", Attempt.of(1, kg("175"), Verdict.good(null)),
        Attempt.of(2, kg("186"), Verdict.good(null)), Attempt.of(3, kg("192.5"), Verdict.not(Verdict.Reason.STRENGTH)))), DAY);
    // 93 % seen with a variance of 0.5² + 1², against 98 % with (2 / 98)²; gain = 4.165 / (4.165 + 1.25) = 0.769
    assertThat(learned.percent()).isCloseTo(94.13, within(0.02));
    assertThat(learned.exposures()).isEqualTo(1);
  }

  @Test
  void whatWasMissedForFormLeavesMoreOpen() {
    VariationRatio turnedDown = ContestRatio.of(List.of(past(DAY, "200", Attempt.of(1, kg("186"), Verdict.good(null)),
        Attempt.of(2, kg("192.5"), Verdict.not(Verdict.Reason.COMMAND)))), DAY);
    // a variance of 2² + 1²; gain = 4.165 / 9.165 = 0.454
    assertThat(turnedDown.percent()).isCloseTo(95.69, within(0.02));
    assertThat(ContestRatio.of(List.of(past(DAY, "200", Attempt.of(1, kg("186"), Verdict.not(null)))), DAY).exposures())
        .as("nothing made, nothing learned").isZero();
  }
}

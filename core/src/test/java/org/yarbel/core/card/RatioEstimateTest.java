package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The default ratios are our own; the products were worked by hand. */
class RatioEstimateTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final Map<String, String> OWN = Map.of("squat", "200", "bench", "100", "paused-bench", "97");
  private static final RatioEstimate ESTIMATES = new RatioEstimate(LIFTS,
      lift -> Optional.ofNullable(OWN.get(lift.key())).map(max -> Mass.of(max, MassUnit.KG)),
      lift -> lift.key().equals("box-squat") ? Optional.of(new Lift.Ratio(96, 3)) : Optional.empty());

  private static Lift lift(String key) {
    return LIFTS.ofKey(key).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "squat, 200", "front-squat, 164", "zercher-squat, 147.6", // 90 % of 82 %
    "box-squat, 192", "speed-box-squat, 192", // a learned ratio, and the default upon it
    "paused-bench, 97", "overhead-press, 62", "push-press, 77.5",
  })
  void goesUpTheFamilyToTheFirstNumberThatIsKnown(String key, String max) {
    assertThat(ESTIMATES.of(lift(key))).contains(Mass.of(max, MassUnit.KG));
  }

  @Test
  void saysWhatTheRatioGivesBesideALiftsOwnNumber() {
    assertThat(ESTIMATES.byRatio(lift("paused-bench"))).contains(Mass.of("100", MassUnit.KG));
    assertThat(ESTIMATES.byRatio(lift("squat"))).as("it varies nothing").isEmpty();
  }

  @Test
  void knowsNothingWhereNothingUpTheFamilyIsKnown() {
    assertThat(ESTIMATES.of(lift("deficit-deadlift"))).isEmpty();
    assertThat(ESTIMATES.of(lift("leg-press"))).as("a machine has no ratio").isEmpty();
    assertThat(ESTIMATES.ratio(lift("plank"))).isEmpty();
  }
}

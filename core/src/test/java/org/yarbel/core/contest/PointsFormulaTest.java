package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.contest.PointsFormula.Event;
import org.yarbel.core.contest.PointsFormula.Gear;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Expected points were computed outside this code from the published polynomials; coefficients from memory. */
class PointsFormulaTest {
  private static double points(PointsFormula formula, Sex sex, String body, String total, Gear gear, Event event) {
    return formula.points(sex, Mass.of(body, MassUnit.KG), Mass.of(total, MassUnit.KG), gear, event);
  }

  // Wilks 1994, DOTS 2019, IPF GL 2020, three body masses or more of each
  @ParameterizedTest
  @CsvSource({
    "WILKS, MALE, 60, 500, CLASSIC, FULL, 426.4371",
    "DOTS, MALE, 60, 500, CLASSIC, FULL, 422.0213",
    "WILKS, MALE, 93, 800, CLASSIC, FULL, 502.5521",
    "DOTS, MALE, 93, 800, CLASSIC, FULL, 509.0009",
    "WILKS, MALE, 140, 1000, CLASSIC, FULL, 558.8067",
    "DOTS, MALE, 140, 1000, CLASSIC, FULL, 548.0199",
    "WILKS, FEMALE, 52, 350, CLASSIC, FULL, 436.3229",
    "DOTS, FEMALE, 52, 350, CLASSIC, FULL, 426.6155",
    "WILKS, FEMALE, 63, 420, CLASSIC, FULL, 451.0621",
    "DOTS, FEMALE, 63, 420, CLASSIC, FULL, 451.7163",
    "WILKS, FEMALE, 84, 560, CLASSIC, FULL, 499.3745",
    "DOTS, FEMALE, 84, 560, CLASSIC, FULL, 515.2860",
    "IPFGL, MALE, 74, 700, CLASSIC, FULL, 102.7669",
    "IPFGL, MALE, 93, 800, CLASSIC, FULL, 104.6569",
    "IPFGL, MALE, 120, 950, CLASSIC, FULL, 110.4337",
    "IPFGL, MALE, 74, 700, EQUIPPED, FULL, 86.7492",
    "IPFGL, MALE, 93, 800, EQUIPPED, FULL, 86.7581",
    "IPFGL, MALE, 120, 950, EQUIPPED, FULL, 91.8129",
    "IPFGL, MALE, 74, 200, CLASSIC, BENCH, 106.6600",
    "IPFGL, MALE, 93, 220, CLASSIC, BENCH, 104.3767",
    "IPFGL, MALE, 120, 260, CLASSIC, BENCH, 109.6892",
    "IPFGL, MALE, 74, 200, EQUIPPED, BENCH, 77.8831",
    "IPFGL, MALE, 93, 220, EQUIPPED, BENCH, 72.7686",
    "IPFGL, MALE, 120, 260, EQUIPPED, BENCH, 76.4862",
    "IPFGL, FEMALE, 74, 700, CLASSIC, FULL, 139.7959",
    "IPFGL, FEMALE, 93, 800, CLASSIC, FULL, 145.7433",
    "IPFGL, FEMALE, 120, 950, CLASSIC, FULL, 162.8504",
    "IPFGL, FEMALE, 74, 700, EQUIPPED, FULL, 116.2760",
    "IPFGL, FEMALE, 93, 800, EQUIPPED, FULL, 121.2071",
    "IPFGL, FEMALE, 120, 950, EQUIPPED, FULL, 134.2678",
    "IPFGL, FEMALE, 74, 200, CLASSIC, BENCH, 155.0579",
    "IPFGL, FEMALE, 93, 220, CLASSIC, BENCH, 160.6607",
    "IPFGL, FEMALE, 120, 260, CLASSIC, BENCH, 184.5590",
    "IPFGL, FEMALE, 74, 200, EQUIPPED, BENCH, 110.3766",
    "IPFGL, FEMALE, 93, 220, EQUIPPED, BENCH, 110.7914",
    "IPFGL, FEMALE, 120, 260, EQUIPPED, BENCH, 123.0470",
  })
  void followsThePublishedFormula(PointsFormula formula, Sex sex, String body, String total, Gear gear, Event event, double points) {
    assertThat(points(formula, sex, body, total, gear, event)).isCloseTo(points, within(0.0005));
  }

  @Test
  void dotsTakesABodyMassBeyondItsLimitsAsTheLimit() {
    assertThat(points(PointsFormula.DOTS, Sex.MALE, "250", "900", Gear.CLASSIC, Event.FULL))
        .isEqualTo(points(PointsFormula.DOTS, Sex.MALE, "210", "900", Gear.CLASSIC, Event.FULL));
    assertThat(points(PointsFormula.DOTS, Sex.FEMALE, "30", "300", Gear.CLASSIC, Event.FULL))
        .isEqualTo(points(PointsFormula.DOTS, Sex.FEMALE, "40", "300", Gear.CLASSIC, Event.FULL));
  }

  @ParameterizedTest
  @CsvSource({"MALE, 39.9", "MALE, 202", "FEMALE, 26.4", "FEMALE, 154.6"})
  void wilksRefusesABodyMassItIsNotMadeFor(Sex sex, String body) {
    assertThatThrownBy(() -> points(PointsFormula.WILKS, sex, body, "500", Gear.CLASSIC, Event.FULL))
        .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("for the Wilks formula but was " + body);
  }

  @Test
  void goodLiftRefusesABodyMassWithoutMeaning() {
    assertThatThrownBy(() -> points(PointsFormula.IPFGL, Sex.FEMALE, "20", "100", Gear.CLASSIC, Event.BENCH))
        .hasMessage("The formula is not made for a body mass of 20 kg");
  }

  @Test
  void isFoundByItsKey() {
    assertThat(PointsFormula.ofKey("ipfgl")).contains(PointsFormula.IPFGL);
    assertThat(PointsFormula.ofKey("other")).isEmpty();
  }
}

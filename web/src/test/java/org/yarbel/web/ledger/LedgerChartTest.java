package org.yarbel.web.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.log.TrackedPoint;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class LedgerChartTest {
  private static List<TrackedPoint> points(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    return app.bean(CurrentClub.class).within(club, () -> app.bean(TrackedPointRepository.class)
        .findByLifterIdAndLiftOrderByDay(app.lifter("Corwin"), "deadlift"));
  }

  @Test
  void keepsEverythingInsideThePictureWithinRoundRules(TestApp app) {
    LedgerChart chart = LedgerChart.of(points(app), List.of(), MassUnit.LB, 1180, 280);
    assertThat(chart.dots()).isNotEmpty().allSatisfy(dot -> {
      assertThat(dot.x()).isBetween(44.0, 1166.0);
      assertThat(dot.y()).isBetween(8.0, 256.0);
      assertThat(dot.label()).endsWith(" lb");
    });
    assertThat(Arrays.stream(chart.band().split("[ ,]")).mapToDouble(Double::parseDouble)).allMatch(v -> v >= 0 && v <= 1180);
    assertThat(chart.rows()).hasSizeBetween(2, 8);
    double step = Double.parseDouble(chart.rows().get(1).label()) - Double.parseDouble(chart.rows().get(0).label());
    assertThat(step).isIn(1.0, 2.5, 5.0, 10.0, 20.0, 25.0, 50.0);
    assertThat(chart.line().split(" ")).as("a day without a rated set has no dot").hasSizeGreaterThanOrEqualTo(chart.dots().size());
  }

  @Test
  void showsTheSameInTheOtherUnit(TestApp app) {
    LedgerChart pounds = LedgerChart.of(points(app), List.of(), MassUnit.LB, 1180, 280);
    LedgerChart kilograms = LedgerChart.of(points(app), List.of(), MassUnit.KG, 1180, 280);
    assertThat(kilograms.dots()).hasSameSizeAs(pounds.dots());
    assertThat(Double.parseDouble(kilograms.rows().get(0).label())).isLessThan(Double.parseDouble(pounds.rows().get(0).label()) / 2);
    assertThat(kilograms.text()).contains("tracked now at").endsWith("kg");
  }

  @Test
  void isEmptyWithoutAnObservation() {
    assertThat(LedgerChart.of(List.of(), List.of(), MassUnit.KG, 1180, 280).empty()).isTrue();
  }
}

package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** A total spread over the lifts, held against every other way to come to it. */
class TotalAimTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 14);
  private static final RuleSet RULES = RuleSet.usual();

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static DayOdds odds(String max) {
    return DayOdds.of(new Tracker(Level.ADVANCED, new TestedMax(kg(max), DAY.minusDays(10))).run(List.of(), MassUnit.KG).standing().on(DAY),
        DayOdds.USUAL_RATIO);
  }

  private static Map<String, DayOdds> open() {
    Map<String, DayOdds> open = new LinkedHashMap<>();
    open.put("squat", odds("200"));
    open.put("bench", odds("130"));
    open.put("deadlift", odds("235"));
    return open;
  }

  @ParameterizedTest
  @ValueSource(strings = {"500", "545", "550", "552.5", "567.5", "590"})
  void theThirdsComeToTheTotalAndNoOtherWayToItIsMuchLikelier(String total) {
    TotalAim aim = TotalAim.of(open(), kg("0"), kg(total), RULES);
    assertThat(aim.thirds().values().stream().map(Mass::nanograms).reduce(0L, Long::sum)).isEqualTo(kg(total).nanograms());
    double best = 0;
    for (double squat = 140; squat <= 240; squat += 2.5) {
      for (double bench = 80; bench <= 170; bench += 2.5) {
        double pull = Double.parseDouble(total) - squat - bench;
        best = Math.max(best, open().get("squat").chance(kg(Double.toString(squat))) * open().get("bench").chance(kg(Double.toString(bench)))
            * open().get("deadlift").chance(kg(Double.toString(pull))));
      }
    }
    // one after the other is not quite the best of all ways
    assertThat(aim.chance()).isBetween(best * 0.85 - 0.002, best + 1e-9);
  }

  @Test
  void whatIsLiftedAlreadyCounts() {
    Map<String, DayOdds> pull = Map.of("deadlift", odds("235"));
    assertThat(TotalAim.of(pull, kg("320"), kg("551"), RULES).thirds()).as("rounded up, as 230 would not do")
        .containsExactly(Map.entry("deadlift", kg("232.5")));
    assertThat(TotalAim.of(pull, kg("320"), kg("321"), RULES).thirds()).as("no lower than the bar with its collars")
        .containsExactly(Map.entry("deadlift", kg("25")));
    assertThat(TotalAim.of(pull, kg("320"), kg("900"), RULES).chance()).isEqualTo(0, within(0.001));
  }
}

package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class SpeedTableTest {
  private static Mass kg(String kg) {
    return Mass.of(kg, MassUnit.KG);
  }

  private static SpeedTable.Measured set(String load, int reps, String rpe, String speeds) {
    return new SpeedTable.Measured(kg(load), reps, rpe.isEmpty() ? null : Rpe.parse(rpe), RepSpeeds.parse(speeds));
  }

  private static SpeedTable bench(SpeedTable.Measured... sets) {
    return SpeedTable.of(List.of(sets), kg("125"), Movement.BENCH, MassUnit.KG);
  }

  @Test
  void singlesAndLastRepsStandByTheirRating() {
    SpeedTable table = bench(set("110", 1, "8", "0.26"), set("112.5", 1, "8", "0.24"), set("100", 5, "8", "0.45 0.42 0.38 0.33 0.28"),
        set("100", 5, "8", "0.44"), set("120", 1, "9.5", "0.16"), set("90", 3, "", "0.5 0.48 0.47"));
    assertThat(table.rows()).extracting(SpeedTable.Row::rpe).containsExactly(Rpe.of(8), Rpe.of(9.5));
    SpeedTable.Row eight = table.at(Rpe.of(8)).orElseThrow();
    assertThat(eight.singles()).isEqualTo(new SpeedTable.Range(240, 260, 2));
    assertThat(eight.singles().words()).isEqualTo("0.24–0.26 m/s");
    assertThat(eight.lastReps()).as("only where each rep was measured").isEqualTo(new SpeedTable.Range(280, 280, 1));
    assertThat(eight.lastReps().words()).isEqualTo("0.28 m/s");
    assertThat(table.at(Rpe.of(7))).isEmpty();
  }

  @Test
  void aSpeedIsToldByTheRatingItCameAtBefore() {
    SpeedTable table = bench(set("110", 1, "8", "0.26"), set("112.5", 1, "8", "0.24"), set("120", 1, "9.5", "0.16"));
    assertThat(table.says(250)).contains(Rpe.of(8));
    assertThat(table.says(240 - 30)).as("0.03 under the slowest").contains(Rpe.of(8));
    assertThat(table.says(209)).as("nothing is near").isEmpty();
    assertThat(table.says(190)).contains(Rpe.of(9.5));
    assertThat(table.says(600)).isEmpty();
    assertThat(bench().says(250)).isEmpty();
  }

  @Test
  void onlyTheLastRepTellsOfARating() {
    List<SpeedTable.Row> rows = bench(set("110", 1, "8", "0.26"), set("120", 1, "9.5", "0.16")).rows();
    assertThat(SpeedTable.says(rows, set("110", 1, "", "0.25"))).contains(Rpe.of(8));
    assertThat(SpeedTable.says(rows, set("100", 3, "", "0.4 0.3 0.17"))).as("the last of three").contains(Rpe.of(9.5));
    assertThat(SpeedTable.says(rows, set("100", 3, "", "0.4 0.3 0.25 0.1"))).as("the one that failed is not the last").contains(Rpe.of(8));
    assertThat(SpeedTable.says(rows, set("100", 3, "", "0.25"))).as("the best of three tells nothing").isEmpty();
  }

  // worked by hand: 1.1 − 0.008·load through four loads; at 0.16 m/s (own, rated 9.5) 117.5 kg, at 0.17 (typical) 116.25 kg
  @Test
  void theLineSpeaksForAMaxAtTheSlowestSingleOrATypicalOne() {
    SpeedTable.Measured[] line = {set("60", 3, "", "0.62"), set("80", 3, "", "0.46"), set("100", 1, "7", "0.30"), set("110", 1, "8.5", "0.22")};
    SpeedTable typical = bench(line);
    assertThat(typical.refused()).isNull();
    assertThat(typical.line().r2()).isCloseTo(1, within(1e-9));
    assertThat(typical.own()).isFalse();
    assertThat(typical.max().ratioTo(kg("116.25"))).isCloseTo(1, within(1e-6));
    SpeedTable own = bench(line[0], line[1], line[2], line[3], set("117.5", 1, "9.5", "0.16"));
    assertThat(own.own()).isTrue();
    assertThat(own.max().ratioTo(kg("117.5"))).isCloseTo(1, within(1e-6));
    SpeedTable press = SpeedTable.of(List.of(line), kg("125"), Movement.PRESS, MassUnit.KG);
    assertThat(press.max()).as("nobody knows how slow a press gets").isNull();
  }

  @Test
  void saysWhyThereIsNoLine() {
    assertThat(bench(set("100", 1, "8", "0.3")).refused()).isEqualTo(
        "A speed profile needs four sets at three loads at least; there are 1 at 1.");
    assertThat(SpeedTable.of(List.of(), null, Movement.BENCH, MassUnit.KG).refused()).isEqualTo(
        "There is no tracked max yet to judge the loads by.");
    assertThat(bench(set("60", 1, "", "0.3"), set("80", 1, "", "0.4"), set("100", 1, "", "0.5"), set("110", 1, "", "0.6")).refused())
        .isEqualTo("The bar does not slow with the load: look at how it was measured.");
    assertThat(bench(set("60", 1, "", "0.6"), set("80", 1, "", "0.1"), set("100", 1, "", "0.6"), set("110", 1, "", "0.2")).max()).isNull();
  }
}

package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** Where a load comes from, said in one line; each figure worked out by hand. */
class WhyThisTest {
  private static final Loadables LOADS = Loadables.of(Kit.standard(MassUnit.KG));
  private static final MaxNumbers NUMBERS = new MaxNumbers(kg("180"), kg("182.5"), kg("162.5"), kg("200"),
      new MaxNumbers.Origins(LocalDate.of(2026, 1, 5), LocalDate.of(2026, 3, 2), LocalDate.of(2026, 5, 25), null), null);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static List<String> why(String work, LoggedSet... logged) {
    return WhyThis.of(Resolver.resolve(new Resolver.Request(WorkLine.parse(work), Basis.ESTIMATED, NUMBERS, Map.of("deadlift",
        new MaxNumbers(null, kg("220"), null, null)), kg("90"), LOADS, MassUnit.KG, EffortChart.HOUSE, Movement.SQUAT, false,
        List.of(logged), null, null)), Catalogue.standard());
  }

  @Test
  void aShareNamesItsNumberItsDayAndWhatLoads() {
    // 75 % of 182.5 is 136.875; the standard kit has a 20 kg bar with 2.5 kg collars
    assertThat(why("3x5 75%")).singleElement().asString().startsWith("75 % of the estimated max, 182.5 kg, as of Mon 2 Mar 2026, is 136.9 kg; ")
        .contains(" kg is the nearest that loads: ").endsWith(" a side");
    assertThat(why("3x5 80% tested")).singleElement().asString().startsWith("80 % of the tested max, 180 kg, tested on Mon 5 Jan 2026, is 144 kg");
    assertThat(why("1x2 90% goal")).singleElement().asString().startsWith("90 % of the goal max, 200 kg, for Mon 25 May 2026, is 180 kg");
    assertThat(why("3x5 60% of deadlift")).singleElement().asString().startsWith("60 % of the deadlift’s estimated max, 220 kg, is 132 kg");
  }

  @Test
  void anEffortNamesTheChartAndBackOffsTheirTopSet() {
    // a single at 8 is three reps to failure, 93 % of 182.5: 169.7
    assertThat(why("1x1 @8; 4x4 -15%")).hasSize(2).satisfies(lines -> {
      assertThat(lines.get(0)).startsWith("3 reps to failure by the effort chart, of the estimated max, 182.5 kg, as of Mon 2 Mar 2026, is 169.7 kg");
      assertThat(lines.get(1)).startsWith("15 % less than the top set (1.1), is ");
    });
    assertThat(why("1x1 92%; 3xAMRAP -7.5% each").get(2)).startsWith("7.5 % less than the set before it");
  }

  @Test
  void whatAMissWouldCostIsRoundedDown() {
    assertThat(why("density 10 90% in 10:00")).singleElement().asString().contains("is the next below that loads");
  }

  @Test
  void whatIsWrittenOrPickedSaysSo() {
    assertThat(why("3x5 100kg")).singleElement().asString().startsWith("Written as it is");
    assertThat(why("4x8-12")).containsExactly("The lifter picks it");
    assertThat(why("3x5 bw+20kg")).singleElement().asString().startsWith("body mass, 90 kg, and 20 kg");
  }

  @Test
  void whatWasLiftedStandsBesideWhatWasAsked() {
    assertThat(why("1x1 @8", new LoggedSet(1, 1, kg("175"), 1, null)).get(0)).endsWith("is 169.7 kg; lifted 175 kg: 25 ×3, 2.5 a side");
  }
}

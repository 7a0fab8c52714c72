package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

class DefaultRestTest {
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  // common practice, no source: 90 % or @9 4:00; 80–90 3:00; 70–80 2:30; under 2:00; assistance 1:30; three reps or fewer
  // under 65 % 60 s; events and clusters 3:00
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "1x1 90% | false | 240", "5x5 70% @9 | false | 240", "3x3 80% | false | 180", "3x3 89.5% | false | 180", "4x6 70% | false | 150",
    "4x8 65% | false | 120", "8x3 60% | false | 60", "8x3 65% | false | 120", "3x12 50% | true | 90", "3x3 85% | true | 90",
    "cluster 3x5 92% gap 20s | false | 180", "carry 2x20m 140kg | false | 180", "hold 3x30s 60kg | true | 90", "emom 10x2 80% | false | 0",
    "3x10 | false | 120",
  })
  void restsAsIsUsual(String work, boolean assistance, int seconds) {
    ResolvedSet set = Resolver.resolve(Resolver.Request.of(WorkLine.parse(work), Basis.ESTIMATED, new MaxNumbers(MAX, MAX, null, null),
        Loadables.of(Kit.standard(MassUnit.KG)))).sets().get(0);
    assertThat(DefaultRest.seconds(set, assistance)).isEqualTo(seconds);
  }

  @Test
  void aLiftIsWarmFromItsOwnFamilyAndFromKindredOnes() {
    Catalogue lifts = Catalogue.standard();
    Lift squat = lifts.ofKey("squat").orElseThrow();
    Lift front = lifts.ofKey("front-squat").orElseThrow();
    Lift bench = lifts.ofKey("bench").orElseThrow();
    Lift deadlift = lifts.ofKey("deadlift").orElseThrow();
    Mass heavy = Mass.of("180", MassUnit.KG);
    List<Warmth.Taken> squatted = List.of(new Warmth.Taken(squat, heavy));
    assertThat(Warmth.of(front, squatted, lifts)).as("a variation of it").isEqualTo(heavy);
    assertThat(Warmth.of(bench, squatted, lifts)).as("another body part").isNull();
    assertThat(Warmth.of(squat, List.of(), lifts)).isNull();
    Lift other = lifts.ofKey("good-morning").orElseThrow();
    assertThat(Warmth.of(deadlift, List.of(new Warmth.Taken(other, Mass.of("80", MassUnit.KG))), lifts))
        .as(other.name() + ", of the same pattern").isNotNull();
  }

  @Test
  void onlySetsThatCompareSaySomethingOfTheMax() {
    for (String work : List.of("cluster 3x5 92% gap 20s", "density 5 90% in 5:00", "negative 1x5 110%", "hold 1x30s 60kg",
        "carry 1x20m 60kg", "timed 1x60s 60kg", "warm 1x5 60%; 1x1 80%", "3x3 80% chains 15kg", "3x3 100% reverse 20kg")) {
      assertThat(first(work).tellsOfMax()).as(work).isFalse();
    }
    for (String work : List.of("5x5 75%", "max 1", "build 5 @8", "emom 5x2 80%", "series 100/120kg", "1x5+ 80%", "1xAMRAP 80%")) {
      assertThat(first(work).tellsOfMax()).as(work).isTrue();
    }
  }

  private static ResolvedSet first(String work) {
    return Resolver.resolve(Resolver.Request.of(WorkLine.parse(work), Basis.ESTIMATED, new MaxNumbers(MAX, MAX, null, null),
        Loadables.of(Kit.standard(MassUnit.KG)))).sets().get(0);
  }
}

package org.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

class LifterContextTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final PlaceKit KIT = new PlaceKit(MassUnit.KG,
      List.of(new Bar("Bar", kg("20"), List.of(), true, true), new Bar("Squat bar", kg("25"), List.of("none-of-these"), true, true)),
      kg("0"), PlateStock.standard(MassUnit.KG).plates(), false, List.of(), List.of(), List.of(), List.of());
  private static final LifterContext.Loads LOADS = new LifterContext.Loads() {
    @Override
    public Optional<PlaceKit.Loaded> of(Lift lift, String bar) {
      return KIT.loaded(lift, LIFTS, MassUnit.KG, bar);
    }

    @Override
    public Loadables search(PlaceKit.Loaded loaded) {
      return loaded.search();
    }

    @Override
    public List<String> bars() {
      return KIT.bars().stream().map(Bar::name).toList();
    }
  };
  private static final LifterContext CONTEXT = new LifterContext(MassUnit.KG, kg("90"),
      Map.of("squat", new LifterContext.Known(new MaxNumbers(null, kg("200"), null, null), Basis.ESTIMATED, null, EffortChart.HOUSE, Level.BEGINNER)),
      RampStyle.SHRINKING, LIFTS, LOADS);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Details details(String bar, String ramp) {
    return new Details(false, bar, null, null, null, null, null, null, ramp);
  }

  private static LifterContext.Worked work(String lift, String work, Details details, int rounds, Mass warmTo) {
    return CONTEXT.work(CONTEXT.lift(lift), work, details, rounds, warmTo);
  }

  private static List<Mass> ramp(LifterContext.Worked worked) {
    return worked.line().ramp().stream().map(RampStep::load).toList();
  }

  // Handbook, negatives: the share is of what is lifted unaided, spotters carry the rest, over 130 % is refused; 165 x 1.25 = 206.25
  @Test
  void aNegativeIsCountedFromWhatIsLiftedUnaided() {
    LifterContext bench = new LifterContext(MassUnit.KG, kg("90"),
        Map.of("bench", new LifterContext.Known(new MaxNumbers(null, kg("165"), null, null), Basis.ESTIMATED, null, EffortChart.HOUSE, Level.ADVANCED)),
        RampStyle.SHRINKING, LIFTS, LOADS);
    for (String work : List.of("negative 1x6 125%", "negative 1x6 125% of bench")) {
      LifterContext.Worked worked = bench.work(bench.lift("bench-negative"), work, Details.NONE, 1, null);
      assertThat(worked.line()).as(work).isNotNull();
      assertThat(worked.line().sets().get(0).load()).as(work).isEqualTo(kg("205"));
      assertThat(worked.line().cautions()).extracting(Caution::text).as("205 less 165").contains("At 205 kg the spotters carry 40 kg at the least.");
    }
    assertThat(bench.work(bench.lift("bench"), "1x1 @8; negative 1x4 110%", Details.NONE, 1, null).line().cautions())
        .filteredOn(caution -> caution.code().equals("negative")).singleElement().satisfies(caution -> assertThat(caution.parts()).containsExactly(2));
    assertThat(bench.work(bench.lift("bench-negative"), "negative 1x6 130%", Details.NONE, 1, null).line()).isNotNull();
    assertThat(bench.work(bench.lift("bench-negative"), "negative 1x6 131%", Details.NONE, 1, null).line()).as("over 130 %").isNull();
    assertThat(bench.work(bench.lift("bench-negative"), "negative 1x6 240kg", Details.NONE, 1, null).line()).as("in kilograms too").isNull();
  }

  @Test
  void aLiftThatIsWarmNeedsLessOfItsRamp() {
    assertThat(ramp(work("squat", "1x1 90%", Details.NONE, 1, null))).hasSizeGreaterThan(3).first().isEqualTo(kg("20"));
    assertThat(ramp(work("squat", "1x1 90%", Details.NONE, 1, kg("100")))).hasSizeBetween(1, 3).allMatch(load -> load.compareTo(kg("100")) > 0);
    assertThat(ramp(work("squat", "1x1 90%", Details.NONE, 1, kg("180")))).isEmpty();
  }

  @Test
  void whatIsSaidBesideTheWorkMovesTheLoads() {
    assertThat(ramp(work("squat", "3x5 70%", details("Squat bar", null), 1, null)).get(0)).as("the bare squat bar").isEqualTo(kg("25"));
    assertThat(ramp(work("squat", "3x5 70%", details("of another place", null), 1, null)).get(0)).isEqualTo(kg("20"));
    assertThat(ramp(work("squat", "3x5 70%", details(null, "40x10 90x5 130x2 kg"), 1, null))).containsExactly(kg("40"), kg("90"), kg("130"));
  }

  @Test
  void roundsMultiplyTheSetsUpToWhatALineMayHave() {
    assertThat(work("squat", "2x5 60%", Details.NONE, 3, null).line().notation()).isEqualTo("6x5 60%");
    assertThat(work("stone-load", "series " + "80/".repeat(19) + "80kg", Details.NONE, 3, null).line().sets())
        .as("what has no sets of its own is done once").hasSize(20);
    LifterContext.Worked tooMany = work("squat", "1x5 60%; 20x5 60%", Details.NONE, 3, null);
    assertThat(tooMany.line()).isNull();
    assertThat(tooMany.wrong().problems()).singleElement().satisfies(problem -> {
      assertThat(problem.from()).as("at its part").isEqualTo(9);
      assertThat(problem.message()).isEqualTo("In 3 rounds this comes to more than 50 sets: write fewer, or fewer rounds.");
    });
  }

  @Test
  void theLevelOfALiftIsThatOfWhatItVariesWhereNobodySaid() {
    assertThat(CONTEXT.level(CONTEXT.lift("front-squat"))).isEqualTo(Level.BEGINNER);
    assertThat(CONTEXT.level(CONTEXT.lift("bench"))).isNull();
    assertThat(work("squat", "max 1", Details.NONE, 1, null).line().cautions()).extracting(Caution::code).containsExactly("spotters", "level");
  }

  @Test
  void whatFallsIsToldAndWhereANumberComesFrom() {
    assertThat(work("stone-load", "series 100/120kg", Details.NONE, 1, null).line().cautions()).extracting(Caution::code).contains("landing");
    assertThat(work("front-squat", "3x5 70%", Details.NONE, 1, null).line().cautions()).extracting(Caution::code).containsExactly("by-ratio");
    assertThat(work("squat", "3x5 70%", Details.NONE, 1, null).line().cautions()).isEmpty();
  }
}

package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
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

class SessionResolverTest {
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
      Map.of("squat", new LifterContext.Known(new MaxNumbers(null, kg("200"), null, null), Basis.ESTIMATED, null,
          EffortChart.HOUSE, Level.BEGINNER)),
      RampStyle.SHRINKING, LIFTS, LOADS);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static PlannedLine.Beside details(String bar, String ramp) {
    return new PlannedLine.Beside(bar, ramp);
  }

  private static SessionResolver.Worked work(String lift, String work, PlannedLine.Beside beside, int rounds, Mass warmTo) {
    return new SessionResolver(CONTEXT).work(new PlannedLine(CONTEXT.lift(lift), work, beside, rounds, null), warmTo);
  }

  private static SessionResolver.Worked alone(LifterContext context, String lift, String work) {
    return new SessionResolver(context).alone(PlannedLine.of(context.lift(lift), work));
  }

  private static List<Mass> ramp(SessionResolver.Worked worked) {
    return worked.line().ramp().stream().map(RampStep::load).toList();
  }

  // Handbook, negatives: the share is of what is lifted unaided, spotters carry the rest, over 130 % is refused; 165 x 1.25 = 206.25
  @Test
  void aNegativeIsCountedFromWhatIsLiftedUnaided() {
    LifterContext bench = new LifterContext(MassUnit.KG, kg("90"),
        Map.of("bench", new LifterContext.Known(new MaxNumbers(null, kg("165"), null, null), Basis.ESTIMATED, null,
            EffortChart.HOUSE, Level.ADVANCED)),
        RampStyle.SHRINKING, LIFTS, LOADS);
    for (String work : List.of("negative 1x6 125%", "negative 1x6 125% of bench")) {
      SessionResolver.Worked worked = alone(bench, "bench-negative", work);
      assertThat(worked.line()).as(work).isNotNull();
      assertThat(worked.line().sets().get(0).load()).as(work).isEqualTo(kg("205"));
      assertThat(worked.line().cautions()).extracting(Caution::text).as("205 less 165")
          .contains("At 205 kg the spotters carry 40 kg at the least.");
    }
    assertThat(alone(bench, "bench", "1x1 @8; negative 1x4 110%").line().cautions())
        .filteredOn(caution -> caution.code().equals("negative")).singleElement()
        .satisfies(caution -> assertThat(caution.parts()).containsExactly(2));
    assertThat(alone(bench, "bench-negative", "negative 1x6 130%").line()).isNotNull();
    assertThat(alone(bench, "bench-negative", "negative 1x6 131%").line()).as("over 130 %").isNull();
    assertThat(alone(bench, "bench-negative", "negative 1x6 240kg").line()).as("in kilograms too").isNull();
  }

  @Test
  void aLiftThatIsWarmNeedsLessOfItsRamp() {
    assertThat(ramp(work("squat", "1x1 90%", PlannedLine.Beside.NONE, 1, null))).hasSizeGreaterThan(3).first().isEqualTo(kg("20"));
    assertThat(ramp(work("squat", "1x1 90%", PlannedLine.Beside.NONE, 1, kg("100")))).hasSizeBetween(1, 3)
        .allMatch(load -> load.compareTo(kg("100")) > 0);
    assertThat(ramp(work("squat", "1x1 90%", PlannedLine.Beside.NONE, 1, kg("180")))).isEmpty();
  }

  @Test
  void whatIsSaidBesideTheWorkMovesTheLoads() {
    assertThat(ramp(work("squat", "3x5 70%", details("Squat bar", null), 1, null)).get(0)).as("the bare squat bar").isEqualTo(kg("25"));
    assertThat(ramp(work("squat", "3x5 70%", details("of another place", null), 1, null)).get(0)).isEqualTo(kg("20"));
    assertThat(ramp(work("squat", "3x5 70%", details(null, "40x10 90x5 130x2 kg"), 1, null)))
        .containsExactly(kg("40"), kg("90"), kg("130"));
  }

  @Test
  void roundsMultiplyTheSetsUpToWhatALineMayHave() {
    assertThat(work("squat", "2x5 60%", PlannedLine.Beside.NONE, 3, null).line().notation()).isEqualTo("6x5 60%");
    assertThat(work("stone-load", "series " + "80/".repeat(19) + "80kg", PlannedLine.Beside.NONE, 3, null).line().sets())
        .as("what has no sets of its own is done once").hasSize(20);
    SessionResolver.Worked tooMany = work("squat", "1x5 60%; 20x5 60%", PlannedLine.Beside.NONE, 3, null);
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
    assertThat(work("squat", "max 1", PlannedLine.Beside.NONE, 1, null).line().cautions()).extracting(Caution::code)
        .containsExactly("spotters", "level");
  }

  @Test
  void whatFallsIsToldAndWhereANumberComesFrom() {
    assertThat(work("stone-load", "series 100/120kg", PlannedLine.Beside.NONE, 1, null).line().cautions()).extracting(Caution::code)
        .contains("landing");
    assertThat(work("front-squat", "3x5 70%", PlannedLine.Beside.NONE, 1, null).line().cautions()).extracting(Caution::code)
        .containsExactly("by-ratio");
    assertThat(work("squat", "3x5 70%", PlannedLine.Beside.NONE, 1, null).line().cautions()).isEmpty();
  }

  // 145 kg of 200: what the line was written for, whatever the lifter's training max is by now
  @Test
  void aLineKeepsTheTrainingMaxItWasWrittenFor() {
    LifterContext later = new LifterContext(MassUnit.KG, kg("90"), Map.of("squat",
        new LifterContext.Known(new MaxNumbers(null, kg("200"), kg("160"), null), Basis.TRAINING, null, EffortChart.HOUSE, null)),
        RampStyle.SHRINKING, LIFTS, LOADS);
    PlannedLine written = new PlannedLine(later.lift("squat"), "1x5+ 100%", PlannedLine.Beside.NONE, 1, kg("145"));
    SessionResolver resolver = new SessionResolver(later);
    assertThat(resolver.alone(written).line().sets().get(0).load()).isEqualTo(kg("145"));
    assertThat(resolver.withoutRamp(written).orElseThrow().sets().get(0).load()).isEqualTo(kg("145"));
    assertThat(resolver.after(List.of(PlannedLine.of(later.lift("plank"), "hold 1x30s")), written).line().sets().get(0).load())
        .isEqualTo(kg("145"));
    assertThat(resolver.alone(written.saying("1x5+ 100% tm")).line().sets().get(0).load()).as("with another text").isEqualTo(kg("145"));
    assertThat(written.saying(later.lift("bench"), "1x5").trainingMax()).as("another lift has another").isNull();
    assertThat(resolver.alone(PlannedLine.of(later.lift("squat"), "1x5+ 100%")).line().sets().get(0).load()).as("the lifter's own")
        .isEqualTo(kg("160"));
  }

  @Test
  void whatIsLiftedBeforeMakesALiftWarm() {
    SessionResolver resolver = new SessionResolver(CONTEXT);
    PlannedLine light = PlannedLine.of(CONTEXT.lift("squat"), "3x5 50%");
    PlannedLine heavy = PlannedLine.of(CONTEXT.lift("squat"), "1x1 90%");
    List<Mass> cold = ramp(resolver.alone(heavy));
    List<SessionResolver.Worked> session = resolver.session(List.of(light, heavy));
    assertThat(ramp(session.get(1))).as("100 kg are lifted by then").hasSizeLessThan(cold.size())
        .allMatch(load -> load.compareTo(kg("100")) > 0);
    assertThat(ramp(resolver.after(List.of(light), heavy))).isEqualTo(ramp(session.get(1)));
    assertThat(ramp(resolver.session(List.of(heavy, light)).get(1))).as("nothing is left to warm").isEmpty();
    PlannedLine unknown = PlannedLine.of(CONTEXT.lift("squat"), "3x8");
    assertThat(ramp(resolver.session(List.of(unknown, heavy)).get(1))).as("nobody knows what the lifter picks").isEqualTo(cold);
  }

  @Test
  void fiftySetsAreAllALineMayHave() {
    assertThat(work("squat", "25x5 60%", PlannedLine.Beside.NONE, 2, null).line().sets()).hasSize(50);
    assertThat(work("squat", "17x5 60%", PlannedLine.Beside.NONE, 3, null).line()).isNull();
  }

  @Test
  void whatIsLoweredWithHelpIsSaidOnceWhateverTheWork() {
    LifterContext bench = new LifterContext(MassUnit.KG, kg("90"),
        Map.of("bench", new LifterContext.Known(new MaxNumbers(null, kg("165"), null, null), Basis.ESTIMATED, null,
            EffortChart.HOUSE, Level.ADVANCED)),
        RampStyle.SHRINKING, LIFTS, LOADS);
    for (String work : List.of("3x3 100%", "negative 1x6 100%")) {
      assertThat(alone(bench, "bench-negative", work).line().cautions()).as(work)
          .filteredOn(caution -> caution.code().equals("negative")).hasSize(1);
    }
    assertThat(alone(bench, "bench", "3x3 80%").line().cautions()).isEmpty();
    assertThat(alone(bench, "bench", "3x3 80%").line().ramp()).as("alone it has a ramp").isNotEmpty();
  }

  @Test
  void aNumberByRatioIsToldWhereTheLineAsksForIt() {
    LifterContext named = new LifterContext(MassUnit.KG, kg("90"), Map.of(
        "squat", new LifterContext.Known(new MaxNumbers(null, kg("200"), null, null), Basis.ESTIMATED, null, EffortChart.HOUSE, null),
        "front-squat", new LifterContext.Known(MaxNumbers.NONE, Basis.ESTIMATED, null, EffortChart.HOUSE, null)),
        RampStyle.SHRINKING, LIFTS, LOADS);
    Map.of("3x5 70%", true, "1x1 @8", true, "3x5 60% of squat", false, "3x5 60kg", false, "3x5 60kg @8", false,
        "3x5 60% of squat; 2x3 70%", true).forEach((work, told) ->
        assertThat(alone(named, "front-squat", work).line().cautions().stream()
            .anyMatch(caution -> caution.code().equals("by-ratio"))).as(work).isEqualTo(told));
    LifterContext own = new LifterContext(MassUnit.KG, kg("90"), Map.of(
        "squat", new LifterContext.Known(new MaxNumbers(null, kg("200"), null, null), Basis.ESTIMATED, null, EffortChart.HOUSE, null),
        "front-squat", new LifterContext.Known(new MaxNumbers(null, kg("150"), null, null), Basis.ESTIMATED, null,
            EffortChart.HOUSE, null)), RampStyle.SHRINKING, LIFTS, LOADS);
    assertThat(alone(own, "front-squat", "3x5 70%").line().cautions()).isEmpty();
  }
}

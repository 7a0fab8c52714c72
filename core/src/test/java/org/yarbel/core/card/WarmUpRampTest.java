package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateSeries;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The rules of the ramp are common practice, no source; its aims are our own default. */
class WarmUpRampTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static String text(WarmUpRamp ramp) {
    return ramp.steps().stream().map(s -> s.load().number() + "x" + s.reps()).collect(Collectors.joining(" "));
  }

  @ParameterizedTest
  @CsvSource({
    "240, SQUAT, 20x10 70x8 130x5 182.5x3 212.5x2 227.5x1",
    "20, BENCH, ''",
    "60, DEADLIFT, ''",
    "30, BENCH, 20x5 27.5x2",
    "100, BENCH, 20x10 50x5 75x3 87.5x2 95x1",
    "182.5, DEADLIFT, 60x8 100x5 140x3 160x2 172.5x1",
  })
  void leadsUpToTheTop(String top, Movement movement, String steps) {
    assertThat(text(WarmUpRamp.to(kg(top), KG, movement, RampStyle.SHRINKING))).isEqualTo(steps);
  }

  // the first step and jumps of 40 kg or 90 lb, the last dropped when nearer than a quarter jump: common practice, no source
  @ParameterizedTest
  @CsvSource({
    "180, 40, SQUAT, 20x10 60x8 100x5 140x3",
    "185, 40, SQUAT, 20x10 60x8 100x5 140x3",
    "190, 40, SQUAT, 20x10 60x8 100x5 140x3 180x1",
    "200, 40, DEADLIFT, 60x8 100x5 140x3 180x2",
    "100, 15, BENCH, 20x10 35x8 50x5 65x5 80x3 95x1",
    "20, 40, BENCH, ''",
  })
  void jumpsEvenlyWhereTheLifterLikesThat(String top, String jump, Movement movement, String steps) {
    WarmUpRamp ramp = WarmUpRamp.to(kg(top), KG, movement, new RampStyle(kg(jump)));
    assertThat(text(ramp)).isEqualTo(steps);
  }

  @Test
  void theEvenJumpIsFortyKilogramsOrNinetyPounds() {
    assertThat(RampStyle.even(MassUnit.KG).jump()).isEqualTo(kg("40"));
    assertThat(RampStyle.even(MassUnit.LB).jump()).isEqualTo(Mass.of("90", MassUnit.LB));
    assertThat(new RampStyle(kg("10")).reaches(kg("200"))).isTrue();
    assertThat(new RampStyle(kg("10")).reaches(kg("201"))).isFalse();
    assertThat(RampStyle.SHRINKING.reaches(kg("900"))).isTrue();
  }

  @Test
  void takesFewPlatesOffAndOnBetweenTheSteps() {
    for (int top = 100; top <= 300; top += 5) {
      Mass load = kg(Integer.toString(top));
      List<Loading> ramp = new ArrayList<>(
          WarmUpRamp.to(load, KG, Movement.SQUAT, RampStyle.SHRINKING).steps().stream().map(RampStep::loading).toList());
      List<Loading> fewestPlates = new ArrayList<>(ramp.stream().map(l -> KG.exact(l.total()).orElseThrow()).toList());
      ramp.add(KG.exact(load).orElseThrow());
      fewestPlates.add(KG.exact(load).orElseThrow());
      assertThat(PlateSeries.changes(ramp)).as("to " + top).isLessThanOrEqualTo(PlateSeries.changes(fewestPlates));
    }
  }

  @Test
  void saysThatALightPullIsRaised() {
    WarmUpRamp ramp = WarmUpRamp.to(kg("50"), KG, Movement.DEADLIFT, RampStyle.SHRINKING);
    assertThat(ramp.steps()).isEmpty();
    assertThat(ramp.note()).isEqualTo(
        "A pull lighter than 60 kg starts too low: raise the bar on blocks, or use light full-size plates.");
  }

  @Test
  void aPullFromTheFloorStartsWithFullSizePlates() {
    assertThat(WarmUpRamp.to(kg("200"), KG, Movement.DEADLIFT, RampStyle.SHRINKING).steps().get(0).loading().sideText()).isEqualTo("20");
    Loadables pounds = Loadables.of(Kit.standard(MassUnit.LB));
    assertThat(WarmUpRamp.to(Mass.of("405", MassUnit.LB), pounds, Movement.DEADLIFT, RampStyle.SHRINKING).steps().get(0).load())
        .isEqualTo(Mass.of("135", MassUnit.LB));
  }

  static Stream<Loadables> bars() {
    // curl 8 and 12, axle 10 and 15, multi-grip 15, straight 20, squat and safety 25, trap 30, cambered 38.5, log 30 to 110 kg;
    // straight 45, women's 35, squat 55, cambered 85 lb: common practice, no source
    Stream<Loadables> kilograms = Stream.of("8", "10", "12", "15", "20", "25", "30", "38.5", "70", "110")
        .map(bar -> Loadables.of(new Kit(kg(bar), kg("0"), PlateStock.standard(MassUnit.KG))));
    Stream<Loadables> pounds = Stream.of("45", "35", "55", "85")
        .map(bar -> Loadables.of(new Kit(Mass.of(bar, MassUnit.LB), kg("0"), PlateStock.standard(MassUnit.LB))));
    return Stream.concat(kilograms, pounds);
  }

  @ParameterizedTest
  @MethodSource("bars")
  void keepsItsRulesForEveryTopOfAnOrdinaryGym(Loadables loadables) {
    for (Movement movement : List.of(Movement.SQUAT, Movement.DEADLIFT)) {
      Mass floor = loadables.lightest().total().plus(kg(movement.fromFloor() ? "60" : "20"));
      loadables.between(floor, kg("450")).forEach(top -> assertKeepsRules(top.total(), loadables, movement));
    }
  }

  private static void assertKeepsRules(Mass top, Loadables loadables, Movement movement) {
    WarmUpRamp ramp = WarmUpRamp.to(top, loadables, movement, RampStyle.SHRINKING);
    List<RampStep> steps = ramp.steps();
    String name = movement + " to " + top.text() + ": " + text(ramp);
    assertThat(ramp.note()).as(name).isNull();
    assertThat(steps).as(name).hasSizeBetween(2, 8);
    assertThat(steps).as(name).allMatch(s -> loadables.exact(s.load()).isPresent());
    List<Long> loads = new ArrayList<>(steps.stream().map(s -> s.load().nanograms()).toList());
    loads.add(top.nanograms());
    List<Long> jumps = IntStream.range(1, loads.size()).mapToObj(i -> loads.get(i) - loads.get(i - 1)).toList();
    long last = jumps.get(jumps.size() - 1);
    assertThat(jumps).as(name + ", none smaller than the last").allMatch(jump -> jump > 0 && jump >= last);
    for (int i = 1; i < jumps.size(); i++) {
      if (loads.get(i) >= 0.7 * top.nanograms()) {
        assertThat(jumps.get(i)).as(name + ", shrinking from 70 %").isLessThanOrEqualTo(jumps.get(i - 1));
      }
    }
    RampStep lastStep = steps.get(steps.size() - 1);
    assertThat(lastStep.load().ratioTo(top)).as(name).isBetween(0.86, 0.98);
    assertThat(lastStep.reps()).as(name).isBetween(1, 2);
    for (int i = 1; i < steps.size(); i++) {
      assertThat(steps.get(i).reps()).as(name).isLessThanOrEqualTo(steps.get(i - 1).reps());
    }
  }

  @Test
  void hasFourToEightStepsToAHeavyTop() {
    for (int top = 100; top <= 450; top += 5) {
      assertThat(WarmUpRamp.to(kg(Integer.toString(top)), KG, Movement.SQUAT, RampStyle.SHRINKING).steps()).as("to " + top)
          .hasSizeBetween(4, 8);
    }
  }

  @Test
  void aWarmLiftNeedsFewerSteps() {
    WarmUp after140 = new WarmUp(RampStyle.SHRINKING, kg("140"), null);
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, after140, kg("0")))).isEqualTo("182.5x3 212.5x2 227.5x1");
    WarmUp after200 = new WarmUp(RampStyle.SHRINKING, kg("200"), null);
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, after200, kg("0")))).isEqualTo("212.5x2 227.5x1");
    WarmUp after240 = new WarmUp(RampStyle.SHRINKING, kg("240"), null);
    assertThat(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, after240, kg("0")).steps()).as("nothing left to warm").isEmpty();
    WarmUp afterKindred = new WarmUp(RampStyle.SHRINKING, kg("0"), null);
    for (int top = 60; top <= 300; top += 5) {
      assertThat(WarmUpRamp.to(kg(Integer.toString(top)), KG, Movement.BENCH, afterKindred, kg("0")).steps()).hasSizeBetween(0, 3);
    }
  }

  @Test
  void keepsToTheStepsALifterLikes() {
    RampStyle four = new RampStyle(null, 4);
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, four))).as("the first and those near the top")
        .isEqualTo("20x10 182.5x3 212.5x2 227.5x1");
    assertThat(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new RampStyle(kg("20"), 5)).steps()).hasSize(5);
    assertThatThrownBy(() -> new RampStyle(null, 9)).hasMessage("The steps of a ramp must be limited to 2 to 8 but were 9");
  }

  @Test
  void whatSomebodyWroteByHandStandsWhenTheTopMoves() {
    WarmUp written = new WarmUp(RampStyle.SHRINKING, null, HandRamp.parse("20x15 70x5 120x3, 160x1, 180x1", MassUnit.KG));
    assertThat(text(WarmUpRamp.to(kg("200"), KG, Movement.SQUAT, written, kg("0")))).isEqualTo("20x15 70x5 120x3 160x1 180x1");
    assertThat(text(WarmUpRamp.to(kg("170"), KG, Movement.SQUAT, written, kg("0")))).as("a lower top").isEqualTo("20x15 70x5 120x3 160x1");
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, written, kg("0")))).as("a higher top: worked-out steps go on")
        .isEqualTo("20x15 70x5 120x3 160x1 180x1 212.5x1 227.5x1");
    assertThat(text(WarmUpRamp.to(kg("20"), KG, Movement.SQUAT, written, kg("0")))).as("nothing below it").isEmpty();
  }

  @Test
  void readsAHandWrittenRampAndSaysWhatIsWrong() {
    HandRamp ramp = HandRamp.parse(" 45x10, 95 x 5 135×3 LB", MassUnit.KG);
    assertThat(ramp).hasToString("45x10 95x5 135x3 lb");
    assertThat(HandRamp.parse(ramp.toString(), MassUnit.KG)).isEqualTo(ramp);
    assertThatThrownBy(() -> HandRamp.parse("20x10 60", MassUnit.KG))
        .hasMessage("A warm-up is written load x reps, such as 20x10 60x5 100x3, but '60' is not");
    assertThatThrownBy(() -> HandRamp.parse("60x5 60x3", MassUnit.KG)).hasMessage("The warm-up must rise, but 60 follows 60");
    assertThatThrownBy(() -> HandRamp.parse("60x0", MassUnit.KG))
        .hasMessage("A warm-up step must have a load and 1 to 100 reps but was 60x0");
    assertThatThrownBy(() -> HandRamp.parse("banana", MassUnit.KG)).hasMessageContaining("'banana' is not");
  }

  @Test
  void startsAboveWhatReverseBandsHold() {
    WarmUpRamp ramp = WarmUpRamp.to(kg("260"), KG, Movement.BENCH, WarmUp.SHRINKING, kg("60"));
    assertThat(ramp.steps()).isNotEmpty().allSatisfy(step -> assertThat(step.load()).isGreaterThan(kg("60")));
  }

  @Test
  void doesWhatPoorPlatesAllowAndSaysWhatTheyDoNot() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(19);
    String[] sizes = {"25", "20", "15", "10", "5", "2.5"};
    for (int round = 0; round < 1_000; round++) {
      List<PlateStock.Pairs> pairs = new ArrayList<>();
      for (String size : sizes) {
        if (random.nextInt(3) == 0) {
          pairs.add(new PlateStock.Pairs(kg(size), 1 + random.nextInt(3)));
        }
      }
      Loadables poor = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, pairs)));
      Mass top = poor.nearest(kg(Integer.toString(40 + random.nextInt(200)))).total();
      WarmUpRamp ramp = WarmUpRamp.to(top, poor, Movement.BENCH, RampStyle.SHRINKING);
      String name = top.text() + " from " + pairs + ": " + text(ramp);
      Mass before = kg("0");
      for (RampStep step : ramp.steps()) {
        assertThat(step.load()).as(name).isGreaterThan(before).isLessThan(top);
        assertThat(poor.exact(step.load())).as(name).isPresent();
        before = step.load();
      }
      if (!ramp.steps().isEmpty() && before.ratioTo(top) < 0.86) {
        assertThat(ramp.note()).as(name).contains("make nothing between 86 and 98 %");
      }
    }
  }

  // reps by the share of the top: 8, from 45 % five, from 70 % three, from 85 % two, from 92 % one; ten with a bare bar under half
  @ParameterizedTest
  @CsvSource({
    "200, 45, SQUAT, 20x10 65x8 110x5 155x3", "200, 70, SQUAT, 20x10 90x5 160x3", "200, 60, SQUAT, 20x10 80x8 140x3",
        "200, 50, SQUAT, 20x10 70x8 120x5 170x2",
    "200, 82, SQUAT, 20x10 102.5x5", "40, 10, BENCH, 20x5 30x3", "41.25, 10, BENCH, 20x10 30x3", "50, 10, BENCH, 20x10 30x5 40x3",
  })
  void hasRepsByTheShareOfTheTop(String top, String jump, Movement movement, String steps) {
    assertThat(text(WarmUpRamp.to(kg(top), KG, movement, new RampStyle(kg(jump))))).isEqualTo(steps);
  }

  @Test
  void aSingleStepFarUnderTheTopIsDoneForTen() {
    Loadables bare = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("25"), 1)))));
    WarmUpRamp ramp = WarmUpRamp.to(kg("70"), bare, Movement.BENCH, RampStyle.SHRINKING);
    assertThat(text(ramp)).isEqualTo("20x10");
    assertThat(ramp.note()).isEqualTo("The plates here make nothing between 86 and 98 % of 70 kg: the last warm-up is 20 kg.");
    assertThat(text(WarmUpRamp.to(kg("28"), bare, Movement.BENCH, RampStyle.SHRINKING))).as("from 70 % on it is one of the last")
        .isEqualTo("20x2");
  }

  @Test
  void whatIsWarmToJustALastJumpBelowKeepsTheStep() {
    // to 240 the last step is 227.5, a jump of 12.5: warm to 200 needs what is from 212.5 on
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new WarmUp(RampStyle.SHRINKING, kg("200"), null), kg("0"))))
        .isEqualTo("212.5x2 227.5x1");
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new WarmUp(RampStyle.SHRINKING, kg("200.1"), null), kg("0"))))
        .isEqualTo("227.5x1");
  }

  @Test
  void handWrittenStepsUpToEightySixPercentStandAlone() {
    WarmUp written = new WarmUp(RampStyle.SHRINKING, null, HandRamp.parse("20x10 172x1", MassUnit.KG));
    assertThat(text(WarmUpRamp.to(kg("200"), KG, Movement.SQUAT, written, kg("0")))).as("172.5 is 86.25 %").isEqualTo("20x10 172.5x1");
    assertThat(text(WarmUpRamp.to(kg("202.5"), KG, Movement.SQUAT, written, kg("0")))).as("85.2 %").startsWith("20x10 172.5x1 ")
        .hasSizeGreaterThan("20x10 172.5x1".length());
    WarmUp falling = new WarmUp(RampStyle.SHRINKING, null, HandRamp.parse("100x5 100.5x3 150x1", MassUnit.KG));
    assertThat(text(WarmUpRamp.to(kg("170"), KG, Movement.SQUAT, falling, kg("0")))).as("what comes to the same load is done once")
        .isEqualTo("100x5 150x1");
  }

  @Test
  void aRampOfSixKeepsTheFirstAndTheLastFive() {
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new RampStyle(null, 6)))).as("as many as there are")
        .isEqualTo("20x10 70x8 130x5 182.5x3 212.5x2 227.5x1");
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new RampStyle(null, 5)))).isEqualTo("20x10 130x5 182.5x3 212.5x2 227.5x1");
    assertThat(text(WarmUpRamp.to(kg("240"), KG, Movement.SQUAT, new RampStyle(null, 2)))).isEqualTo("20x10 227.5x1");
  }

  @Test
  void aPullWithoutFullSizePlatesStartsWithTheLargestThereAre() {
    Loadables small = Loadables.of(new Kit(kg("20"), kg("0"),
        new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("25"), 4), new PlateStock.Pairs(kg("2.5"), 1)))));
    assertThat(WarmUpRamp.to(kg("200"), small, Movement.DEADLIFT, RampStyle.SHRINKING).steps().get(0).load())
        .as("2.5 kg is the largest up to 20").isEqualTo(kg("25"));
    Loadables large = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("25"), 4)))));
    assertThat(WarmUpRamp.to(kg("200"), large, Movement.DEADLIFT, RampStyle.SHRINKING).steps().get(0).load()).isEqualTo(kg("70"));
    Loadables none = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of())));
    assertThat(WarmUpRamp.to(kg("30"), none, Movement.DEADLIFT, RampStyle.SHRINKING).steps().get(0).load()).isEqualTo(kg("20"));
  }
}

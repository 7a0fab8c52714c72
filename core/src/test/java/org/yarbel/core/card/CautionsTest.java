package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;

/** What is to be minded of a line, at its limits and beside them. Handbook, cautions of each kind of work. */
class CautionsTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Resolver.Request request(String line, Movement movement, @Nullable Level level) {
    return request(line, movement, level, KG);
  }

  private static Resolver.Request request(String line, Movement movement, @Nullable Level level, Loadables loadables) {
    return new Resolver.Request(WorkLine.parse(line), Basis.ESTIMATED, new MaxNumbers(null, kg("200"), null, null), Map.of(),
        kg("92"), loadables, MassUnit.KG, EffortChart.HOUSE, movement, false, List.of(), null, level);
  }

  private static List<Caution> cautions(String line, Movement movement, @Nullable Level level) {
    return Resolver.resolve(request(line, movement, level)).cautions();
  }

  private static String codes(List<Caution> cautions) {
    return cautions.stream().map(Caution::code).collect(Collectors.joining(" "));
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "max 1                     | SQUAT    | ADVANCED     | spotters",
      "max 1                     | DEADLIFT | ADVANCED     | spotters lower-back",
      "max 1                     | SQUAT    | INTERMEDIATE | spotters",
      "max 1                     | SQUAT    | BEGINNER     | spotters level",
      "timed 1x60s 100kg         | DEADLIFT | ADVANCED     | lower-back",
      "timed 1x60s 100kg         | SQUAT    | ADVANCED     | ''",
      "density 10 80% in 10:00   | DEADLIFT | ADVANCED     | lower-back",
      "cluster 3x4 80% gap 20s   | DEADLIFT | ADVANCED     | ''",
      "hold 3x30s 60kg           | DEADLIFT | ADVANCED     | ''",
      "3x5 70%                   | DEADLIFT | BEGINNER     | ''",
      "1xAMRAP 70%               | DEADLIFT | BEGINNER     | open-set lower-back",
      "1xAMRAP 70%               | SQUAT    | BEGINNER     | open-set",
      "3x5+ 70%                  | SQUAT    | BEGINNER     | open-set",
      "1xAMRAP 70% cap @9        | SQUAT    | BEGINNER     | open-set",
      "1xAMRAP 70% cap @8.5      | SQUAT    | BEGINNER     | ''",
      "negative 1x4 100%         | BENCH    | ADVANCED     | negative",
      "negative 1x4 101.25%      | BENCH    | ADVANCED     | negative spotters-carry",
      "negative 1x4 100%         | BENCH    | INTERMEDIATE | negative level",
      "negative 1x4 100%         | BENCH    | BEGINNER     | negative level",
      "3x3 80% bands 10>40kg     | SQUAT    | ADVANCED     | band-pair",
      "3x3 80% bands 10>40kg     | SQUAT    | INTERMEDIATE | band-pair level",
      "3x3 80% chains 20kg       | SQUAT    | ADVANCED     | ''",
      "3x3 80% chains 20kg       | SQUAT    | BEGINNER     | level",
      "3x3 80% reverse 30kg      | SQUAT    | ADVANCED     | band-pair",
      "1x5 82.5kg reverse 80kg   | SQUAT    | ADVANCED     | band-pair",
      "1x5 80kg reverse 80kg     | SQUAT    | ADVANCED     | band-pair bar-floats",
      "1x1 100%                  | SQUAT    | ADVANCED     | over-max",
      "1x1 99%                   | SQUAT    | ADVANCED     | ''",
  })
  void eachKindOfWorkHasItsOwn(String line, Movement movement, Level level, String codes) {
    assertThat(codes(cautions(line.strip(), movement, level))).isEqualTo(codes);
  }

  @Test
  void nobodysLevelIsWarnedOf() {
    assertThat(codes(cautions("max 1", Movement.SQUAT, null))).isEqualTo("spotters");
    assertThat(codes(cautions("negative 1x4 100%", Movement.BENCH, null))).isEqualTo("negative");
  }

  @Test
  void theyStandAtThePartTheyAreAbout() {
    assertThat(cautions("3x3 70%; max 1; negative 1x3 105%", Movement.BENCH, Level.BEGINNER))
        .filteredOn(caution -> !caution.code().equals("over-max"))
        .allSatisfy(caution -> assertThat(caution.parts()).isNotEmpty().doesNotContain(1));
  }

  @Test
  void aBeginnerIsToldToChooseAndALaterLifterToTakeCare() {
    assertThat(cautions("negative 1x4 100%", Movement.BENCH, Level.BEGINNER)).extracting(Caution::text)
        .contains("Assisted negatives are not for beginners: choose plain sets.");
    assertThat(cautions("negative 1x4 100%", Movement.BENCH, Level.INTERMEDIATE)).extracting(Caution::text)
        .contains("Assisted negatives are with care at this level.");
    assertThat(cautions("3x3 80% reverse 30kg", Movement.SQUAT, Level.INTERMEDIATE)).extracting(Caution::text)
        .contains("Reverse bands are with care at this level.");
    assertThat(cautions("3x3 80% chains 20kg", Movement.SQUAT, Level.INTERMEDIATE)).extracting(Caution::text)
        .contains("Bands and chains are with care at this level.");
    assertThat(cautions("1x1 100%", Movement.SQUAT, Level.ADVANCED)).extracting(Caution::text).singleElement().asString()
        .startsWith("100 % of the estimated max is all that the lifter has shown").endsWith("safeties set.");
  }

  /**
   * A full lift is planned up to 110 % of a max and 120 % of a training max, a negative up to 130 %: the figures
   * themselves are allowed.
   */
  @ParameterizedTest
  @CsvSource({"1x1 110%,true", "1x1 110.5%,false", "1x1 120% reverse 40kg,true", "negative 1x3 130%,true",
      "negative 1x3 130.5%,false", "negative 1x3 260kg,true", "negative 1x3 262.5kg,false"})
  void theMostThatIsPlannedIsAllowed(String line, boolean allowed) {
    Resolver.Request request = request(line, Movement.BENCH, Level.ADVANCED);
    if (allowed) {
      assertThat(Resolver.resolve(request).sets()).isNotEmpty();
    } else {
      assertThatThrownBy(() -> Resolver.resolve(request)).isInstanceOf(NotationException.class);
    }
  }

  @Test
  void theBarAndTheStockAreTheEnds() {
    Loadables little = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("25"), 1)))));
    Map.of("1x5 20kg", "", "1x5 10kg", "under-bar", "1x5 70kg", "", "1x5 80kg", "beyond-stock").forEach((line, code) ->
        assertThat(codes(Resolver.resolve(request(line, Movement.SQUAT, null, little)).cautions())).as(line).isEqualTo(code));
  }

  /** Our own bounds of a training max: 50 to 95 % of the estimate; by default 90 %. */
  @Test
  void aTrainingMaxIsAShareWithinItsBounds() {
    assertThat(MaxNumbers.trainingFrom(kg("200"))).isEqualTo(kg("180"));
    assertThat(MaxNumbers.trainingFrom(kg("200"), 0.5)).isEqualTo(kg("100"));
    assertThat(MaxNumbers.trainingFrom(kg("200"), 0.95)).isEqualTo(kg("190"));
    for (double share : new double[] {0.499, 0.951, Double.NaN}) {
      assertThatThrownBy(() -> MaxNumbers.trainingFrom(kg("200"), share)).isInstanceOf(Refused.class);
    }
    assertThatThrownBy(() -> MaxNumbers.trainingFrom(kg("200"), 0.96))
        .hasMessage("The training max must be from 50 to 95 % of the estimated max but was 96 %");
    assertThat(new MaxNumbers(null, null, kg("150"), null).withEstimate(kg("200"), "squat").training())
        .as("one that was said stays").isEqualTo(kg("150"));
    assertThat(MaxNumbers.NONE.withEstimate(kg("200"), "squat").training()).isEqualTo(kg("180"));
  }

  @Test
  void aHandWrittenRampHasOneToTwelveStepsThatRise() {
    String twelve = IntStream.rangeClosed(1, 12).mapToObj(i -> 10 * i + "x1").collect(Collectors.joining(" "));
    assertThat(HandRamp.parse(twelve, MassUnit.KG).steps()).hasSize(12);
    assertThatThrownBy(() -> HandRamp.parse(twelve + " 130x1", MassUnit.KG)).hasMessage("A warm-up must have 1 to 12 steps but had 13");
    assertThat(HandRamp.parse("20x100", MassUnit.LB).steps().get(0)).isEqualTo(new HandRamp.Step(Mass.of("20", MassUnit.LB), 100));
    assertThatThrownBy(() -> HandRamp.parse("20x101", MassUnit.KG)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> HandRamp.parse("0x10", MassUnit.KG)).isInstanceOf(Refused.class);
    assertThat(HandRamp.parse("60x1 kg", MassUnit.LB).steps().get(0).load()).isEqualTo(kg("60"));
  }
}

package org.yarbel.core.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class LiftTest {
  private static final Catalogue OURS = Catalogue.standard();

  private static Lift lift(String key) {
    return OURS.ofKey(key).orElseThrow();
  }

  private static Lift own(String key, String parent) {
    return new Lift(key, "Own " + key, parent, Movement.SQUAT, Pattern.SQUAT, Equipment.BAR, Lift.Contest.NO, false,
        parent == null ? null : new Lift.Ratio(70, 7), Set.of(Muscle.QUADS), Variation.parse("pause=3"));
  }

  static Stream<Lift> catalogue() {
    return OURS.all().stream();
  }

  @ParameterizedTest
  @MethodSource("catalogue")
  void isNamedByOneWordOfTheNotationAndHangsInTheTree(Lift lift) {
    assertThat(lift.key()).matches("[a-z][a-z0-9-]*");
    assertThat(OURS.ofKey(lift.key().toUpperCase(Locale.ROOT))).contains(lift);
    assertThat(OURS.line(lift)).startsWith(lift);
    assertThat(OURS.line(lift).get(OURS.line(lift).size() - 1).parent()).isNull();
    assertThat(lift.muscles()).as("every lift trains something").isNotEmpty();
    assertThat(Variation.parse(lift.variation().toString())).isEqualTo(lift.variation());
  }

  // The three lifts of a powerlifting contest: a fact of the trade
  @Test
  void theContestLiftsComeFirst() {
    assertThat(OURS.powerlifts()).extracting(Lift::key).containsExactly("squat", "bench", "deadlift");
    assertThat(OURS.all().subList(0, 3)).isEqualTo(OURS.powerlifts());
  }

  // Events of a strongman contest: facts of the trade
  @ParameterizedTest
  @CsvSource({"log-press, LOG", "axle-clean-and-press, AXLE", "yoke-walk, YOKE", "farmers-walk, FARMERS_HANDLES",
    "stone-load, STONE", "keg-load, KEG", "sandbag-carry, SANDBAG", "tyre-flip, TYRE", "sledge-drag, SLEDGE",
    "frame-carry, FRAME"})
  void knowsTheEventsOfStrongmanAndWhatTheyAreDoneWith(String key, Equipment equipment) {
    assertThat(lift(key).equipment()).isEqualTo(equipment);
    assertThat(lift(key).contest()).isEqualTo(Lift.Contest.STRONGMAN);
    assertThat(equipment.implement()).isTrue();
  }

  // what the schools of the trade plan with: common practice, no source
  @ParameterizedTest
  @ValueSource(strings = {
    "front-squat,box-squat,pin-squat,squat-negative,reverse-band-squat,band-squat,chain-squat,good-morning,paused-squat,tempo-squat",
    "pin-press,lock-out-press,reverse-band-bench,close-grip-bench,floor-press,board-press,bench-negative,band-bench,chain-bench",
    "deficit-deadlift,block-pull,pin-pull-above-knee,pin-pull-below-knee,reverse-band-deadlift,stiff-legged-deadlift,speed-deadlift",
    "log-press,axle-press,yoke-walk,farmers-walk,stone-load,keg-throw,sledge-push,tyre-flip,deadlift-hold,front-hold",
    "row,back-extension,chin-up,dip,lunge,leg-curl,plank,hip-thrust,face-pull,triceps-extension,curl,calf-raise,bike"})
  void hasWhatEverySchoolPlansWith(String keys) {
    for (String key : keys.split(",")) {
      assertThat(OURS.ofKey(key)).as(key).isPresent();
    }
  }

  @Test
  void everyCloseVariantIsOfItsParentsFamilyAndPattern() {
    OURS.all().stream().filter(Lift::close).forEach(lift -> {
      Lift parent = OURS.parent(lift).orElseThrow();
      assertThat(lift.movement()).as(lift.name()).isEqualTo(parent.movement());
      assertThat(lift.pattern()).as(lift.name()).isEqualTo(parent.pattern());
      assertThat(lift.ratio()).as(lift.name()).isNotNull();
    });
  }

  @Test
  void everyImplementAndEveryMuscleHasALift() {
    for (Equipment equipment : Equipment.values()) {
      assertThat(OURS.all()).as(equipment.word()).anyMatch(lift -> lift.equipment() == equipment);
    }
    for (Muscle muscle : Muscle.values()) {
      assertThat(OURS.all()).as(muscle.word()).anyMatch(lift -> lift.muscles().contains(muscle));
    }
    for (Pattern pattern : Pattern.values()) {
      assertThat(OURS.all()).as(pattern.word()).anyMatch(lift -> lift.pattern() == pattern);
    }
  }

  // Our own defaults as written down for coaches: share of the parent in %
  @ParameterizedTest
  @CsvSource({"front-squat, squat, 82", "high-bar-squat, squat, 94", "safety-bar-squat, squat, 90", "paused-squat, squat, 92",
    "box-squat, squat, 92", "close-grip-bench, bench, 90", "paused-bench, bench, 100", "incline-bench, bench, 80",
    "floor-press, bench, 92", "overhead-press, bench, 62", "deficit-deadlift, deadlift, 92",
    "stiff-legged-deadlift, deadlift, 80", "block-pull, deadlift, 105", "sumo-deadlift, deadlift, 100"})
  void startsAVariationAtTheDefaultRatio(String key, String parent, double percent) {
    Lift.Ratio ratio = lift(key).ratio();
    assertThat(lift(key).parent()).isEqualTo(parent);
    assertThat(ratio).isNotNull();
    assertThat(ratio.percent()).isEqualTo(percent);
    assertThat(ratio.sd()).isBetween(5.0, 7.0);
  }

  @Test
  void saysInWordsHowALiftDiffers() {
    assertThat(lift("close-grip-bench").variation().words()).isEqualTo("close grip");
    assertThat(Variation.parse("pause=2 grip=close").words()).isEqualTo("close grip, 2 s pause");
    assertThat(lift("tempo-squat").variation().words()).isEqualTo("tempo 5-0-2-0");
    assertThat(lift("block-pull").variation().words()).isEqualTo("from blocks, below the knee");
    assertThatThrownBy(() -> Variation.parse("pause=2 pause=3")).hasMessageContaining("given twice");
    assertThatThrownBy(() -> Variation.parse("colour=red")).hasMessage("There is no trait 'colour' of a lift");
    assertThatThrownBy(() -> Variation.parse("pause=long")).hasMessage("The pause of a lift cannot be 'long'");
    assertThatThrownBy(() -> Variation.parse("pause")).hasMessageContaining("looks like pause=2");
  }

  // Facts of the trade: what shares the movement shares the totals
  @ParameterizedTest
  @CsvSource({"front-squat, squat", "paused-squat, squat", "goblet-squat, squat", "leg-press, leg-press",
      "overhead-press, overhead-press", "close-grip-bench, bench", "sumo-deadlift, deadlift", "squat, squat"})
  void countsWithTheFamilyOfItsMovement(String key, String family) {
    assertThat(OURS.family(OURS.ofKey(key).orElseThrow()).key()).isEqualTo(family);
  }

  @Test
  void onlyADeadliftStartsOnTheFloor() {
    assertThat(Movement.DEADLIFT.fromFloor()).isTrue();
    assertThat(Movement.SQUAT.fromFloor()).isFalse();
    assertThat(lift("block-pull").movement()).isEqualTo(Movement.DEADLIFT);
  }

  @Test
  void anUnknownKeyIsNoLift() {
    assertThat(OURS.ofKey("handstand")).isEmpty();
    assertThat(OURS.ofKey("")).isEmpty();
  }

  @Test
  void isFoundByWhatIsTyped() {
    assertThat(OURS.named(" front squat ")).contains(lift("front-squat"));
    assertThat(OURS.named("FRONT-SQUAT")).contains(lift("front-squat"));
    assertThat(OURS.named("Front")).isEmpty();
    assertThat(OURS.unknown("Front")).isEqualTo("There is no lift 'Front'. Maybe front-squat?");
    assertThat(OURS.unknown("squad")).isEqualTo("There is no lift 'squad'. Maybe squat?");
    assertThat(OURS.unknown("xyzzy")).isEqualTo("There is no lift 'xyzzy'.");
    assertThat(OURS.unknown("")).isEqualTo("Write which lift.");
  }

  @Test
  void takesAClubsOwnLiftsIntoTheTree() {
    Catalogue club = OURS.with(List.of(own("barn-squat", "front-squat"), own("barn-door", null)));
    assertThat(club.ofKey("barn-squat").map(club::line).orElseThrow()).extracting(Lift::key)
        .containsExactly("barn-squat", "front-squat", "squat");
    assertThat(club.children(lift("front-squat"))).extracting(Lift::key).contains("barn-squat", "zercher-squat");
    assertThat(club.heads()).extracting(Lift::key).contains("barn-door", "squat").doesNotContain("barn-squat");
    assertThat(OURS.ofKey("barn-squat")).as("ours stay").isEmpty();
  }

  @Test
  void refusesOwnLiftsThatCannotBe() {
    assertThatThrownBy(() -> OURS.with(List.of(own("squat", null))))
        .hasMessage("There is a lift squat already: choose another key");
    assertThatThrownBy(() -> OURS.with(List.of(own("a", "nowhere")))).hasMessage("The lift Own a varies 'nowhere', which is no lift");
    assertThatThrownBy(() -> OURS.with(List.of(own("a", "b"), own("b", "a")))).hasMessageContaining("cannot vary itself");
    assertThatThrownBy(() -> own("Big Squat", null)).hasMessageContaining("one word of small letters");
    assertThatThrownBy(() -> new Lift.Ratio(250, 5)).hasMessage("The ratio to the parent must be from 20 to 200 % but was 250.0");
  }

  @Test
  void namesTheFirstBadLineOfATable() {
    assertThatThrownBy(() -> Catalogue.read("t.txt", "# head\nsquat | Squat | | squat"))
        .hasMessage("t.txt, line 2: A lift has 10 columns, not 4: squat | Squat | | squat");
    String line = "a | A | | squat | squat | bar | | | quads |";
    assertThatThrownBy(() -> Catalogue.read("t.txt", line + "\n" + line)).hasMessageStartingWith("t.txt, line 2: The lift a stands twice");
    assertThatThrownBy(() -> Catalogue.read("t.txt", line.replace("bar", "broom"))).hasMessageStartingWith("t.txt, line 1: ");
  }

  // Our own thresholds of load over body mass, men / women
  @ParameterizedTest
  @CsvSource({
    "squat, MALE, 124, BEGINNER", "squat, MALE, 125, INTERMEDIATE", "squat, MALE, 200, ADVANCED",
    "squat, FEMALE, 90, INTERMEDIATE", "squat, FEMALE, 150, ADVANCED", "bench, MALE, 89, BEGINNER",
    "bench, MALE, 150, ADVANCED", "bench, FEMALE, 55, INTERMEDIATE", "bench, FEMALE, 100, ADVANCED",
    "deadlift, MALE, 239, INTERMEDIATE", "deadlift, MALE, 240, ADVANCED", "deadlift, FEMALE, 110, INTERMEDIATE",
    "deadlift, FEMALE, 190, ADVANCED"})
  void suggestsALevelFromLoadOverBodyMass(String key, Sex sex, String max, Level level) {
    Mass hundred = Mass.of("100", MassUnit.KG);
    LocalDate today = LocalDate.of(2026, 3, 2);
    assertThat(LevelSuggestion.of(lift(key), sex, Mass.of(max, MassUnit.KG), hundred, null, today)).contains(level);
    Level firstYear = level == Level.ADVANCED ? Level.INTERMEDIATE : level;
    assertThat(LevelSuggestion.of(lift(key), sex, Mass.of(max, MassUnit.KG), hundred, today.minusMonths(11), today))
        .as("in the first year never advanced").contains(firstYear);
    assertThat(LevelSuggestion.of(lift(key), sex, Mass.of(max, MassUnit.KG), hundred, today.minusYears(1), today)).contains(level);
  }

  @Test
  void suggestsNothingForLiftsWithoutThresholds() {
    Mass mass = Mass.of("100", MassUnit.KG);
    assertThat(LevelSuggestion.of(lift("front-squat"), Sex.MALE, mass, mass, null, LocalDate.EPOCH)).isEmpty();
  }

  @Test
  void partOfTheRangeIsFromPinsOrBlocksNotFromTheBottom() {
    Catalogue lifts = Catalogue.standard();
    for (String key : List.of("block-pull", "pin-pull-above-knee", "half-squat-from-pins", "lock-out-press")) {
      assertThat(lifts.ofKey(key).orElseThrow().variation().partial()).as(key).isTrue();
    }
    for (String key : List.of("squat", "pin-squat", "paused-bench", "deadlift")) {
      assertThat(lifts.ofKey(key).orElseThrow().variation().partial()).as(key).isFalse();
    }
  }
}

package org.yarbel.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/** What a kit may be, at each limit and just beyond; and what a ladder of loads says a gram beside a load. */
class KitLimitsTest {
  private static final String SIXTY = "x".repeat(60);
  private static final List<Band.Pull> PULLS = List.of(new Band.Pull(40, kg("0")), new Band.Pull(100, kg("20")));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Arguments limit(String what, ThrowingCallable within, ThrowingCallable beyond) {
    return Arguments.of(what, within, beyond);
  }

  static Stream<Arguments> limits() {
    return Stream.of(
        limit("a bar's name", () -> new Bar(SIXTY, kg("20"), List.of(), true, true),
            () -> new Bar(SIXTY + "x", kg("20"), List.of(), true, true)),
        limit("a bar's mass", () -> new Bar("Bar", kg("200"), List.of(), true, true), () -> new Bar("Bar", kg("200.01"), List.of(),
            true, true)),
        limit("a bar at all", () -> new Bar("Bar", kg("0.01"), List.of(), true, true),
            () -> new Bar("Bar", kg("0"), List.of(), true, true)),
        limit("the bar of a kit", () -> new Kit(kg("200"), kg("0"), PlateStock.standard(MassUnit.KG)),
            () -> new Kit(kg("200.01"), kg("0"), PlateStock.standard(MassUnit.KG))),
        limit("the collars of a kit", () -> new Kit(kg("20"), kg("20"), PlateStock.standard(MassUnit.KG)),
            () -> new Kit(kg("20"), kg("20.01"), PlateStock.standard(MassUnit.KG))),
        limit("the collars of a place", () -> place("20"), () -> place("20.01")),
        limit("a chain's name", () -> new Chain(SIXTY, kg("10"), kg("0")), () -> new Chain(SIXTY + "x", kg("10"), kg("0"))),
        limit("a chain's mass", () -> new Chain("Chain", kg("100"), kg("0")), () -> new Chain("Chain", kg("100.01"), kg("0"))),
        limit("a chain's slack", () -> new Chain("Chain", kg("10"), kg("10")), () -> new Chain("Chain", kg("10"), kg("10.01"))),
        limit("a dumbbell", () -> new Dumbbell(kg("200"), kg("200"), false), () -> new Dumbbell(kg("200"), kg("200.01"), false)),
        limit("a dumbbell's stamp", () -> new Dumbbell(kg("200"), kg("20"), false), () -> new Dumbbell(kg("200.01"), kg("20"), false)),
        limit("a dumbbell at all", () -> new Dumbbell(kg("0"), kg("0.01"), false), () -> new Dumbbell(kg("10"), kg("0"), false)),
        limit("an implement's name", () -> new Implement(Equipment.STONE, SIXTY, kg("100"), false),
            () -> new Implement(Equipment.STONE, SIXTY + "x", kg("100"), false)),
        limit("an implement's mass", () -> new Implement(Equipment.STONE, "Stone", kg("1000"), false),
            () -> new Implement(Equipment.STONE, "Stone", kg("1000.01"), false)),
        limit("one that takes plates", () -> new Implement(Equipment.YOKE, "Yoke", kg("500"), true),
            () -> new Implement(Equipment.YOKE, "Yoke", kg("500.01"), true)),
        limit("one that takes none", () -> new Implement(Equipment.YOKE, "Yoke", kg("500.01"), false),
            () -> new Implement(Equipment.YOKE, "Yoke", kg("0"), false)),
        limit("a band's name", () -> new Band(SIXTY, "", null, PULLS), () -> new Band(SIXTY + "x", "", null, PULLS)),
        limit("a band's make", () -> new Band("Red", SIXTY, null, PULLS), () -> new Band("Red", SIXTY + "x", null, PULLS)),
        limit("a short length", () -> new Band.Pull(5, kg("1")), () -> new Band.Pull(4, kg("1"))),
        limit("a long length", () -> new Band.Pull(400, kg("1")), () -> new Band.Pull(401, kg("1"))),
        limit("a pull", () -> new Band.Pull(40, kg("200")), () -> new Band.Pull(40, kg("200.01"))),
        limit("two equal pulls", () -> new Band("Red", "", null, List.of(new Band.Pull(40, kg("10")), new Band.Pull(50, kg("10")))),
            () -> new Band("Red", "", null, List.of(new Band.Pull(40, kg("10")), new Band.Pull(50, kg("9.99"))))),
        limit("two lengths", () -> new Band("Red", "", null, PULLS), () -> new Band("Red", "", null, PULLS.subList(0, 1))));
  }

  private static PlaceKit place(String collars) {
    return new PlaceKit(MassUnit.KG, List.of(), kg(collars), List.of(), false, List.of(), List.of(), List.of(), List.of());
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("limits")
  void theLimitItselfIsAllowed(String what, ThrowingCallable within, ThrowingCallable beyond) {
    assertThatCode(within).as(what).doesNotThrowAnyException();
    assertThatThrownBy(beyond).as(what).isInstanceOf(Refused.class);
  }

  private static final Loadables OWN = Loadables.of(new Kit(kg("20"), kg("0"),
      new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("10"), 2)))));
  /** 20 kg plates beside 45 lb ones, which are 20.41 kg. */
  private static final Loadables MIXED = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG,
      List.of(new PlateStock.Pairs(kg("20"), 1), new PlateStock.Pairs(Mass.of("45", MassUnit.LB), 1)))));

  private static Mass beside(Loading loading, long nanograms) {
    return Mass.ofNanograms(loading.total().nanograms() + nanograms, MassUnit.KG);
  }

  // a gram is as near as a scale goes: within it a load is hit, from it on it is another
  @Test
  void whatIsLessThanAGramBesideALoadIsTheLoad() {
    for (Loadables loadables : List.of(OWN, MIXED)) {
      List<Loading> all = loadables == OWN ? OWN.between(kg("0"), kg("100"))
          : Stream.of(kg("20"), kg("60"), Mass.ofNanograms(20_000_000_000_000L + 2 * Mass.of("45", MassUnit.LB)
          .nanograms(), MassUnit.KG)).map(total -> MIXED.exact(total).orElseThrow()).toList();
      long gram = Mass.TOLERANCE_NANOGRAMS;
      for (int i = 0; i < all.size(); i++) {
        Loading here = all.get(i);
        for (long off : new long[] {-gram + 1, 0, gram - 1}) {
          Mass target = beside(here, off);
          assertThat(loadables.exact(target)).as("%s %s", here.total(), off).contains(here);
          assertThat(loadables.below(target)).contains(here);
          assertThat(loadables.above(target)).contains(here);
          assertThat(loadables.nearest(target)).isEqualTo(here);
        }
        for (long off : new long[] {-gram, gram}) {
          assertThat(loadables.exact(beside(here, off))).as("%s %s", here.total(), off).isEmpty();
        }
        assertThat(loadables.below(beside(here, gram))).contains(here);
        assertThat(loadables.above(beside(here, -gram))).contains(here);
      }
    }
  }

  @Test
  void theEndsOfTheLadderAreAGramWide() {
    long gram = Mass.TOLERANCE_NANOGRAMS;
    for (Loadables loadables : List.of(OWN, MIXED)) {
      Loading least = loadables.lightest();
      Mass most = loadables == OWN ? kg("60") : Mass.ofNanograms(60_000_000_000_000L + 2 * Mass.of("45", MassUnit.LB).nanograms(),
          MassUnit.KG);
      assertThat(loadables.tooLight(beside(least, -gram + 1))).isFalse();
      assertThat(loadables.tooLight(beside(least, -gram))).isTrue();
      assertThat(loadables.tooHeavy(Mass.ofNanograms(most.nanograms() + gram - 1, MassUnit.KG))).isFalse();
      assertThat(loadables.tooHeavy(Mass.ofNanograms(most.nanograms() + gram, MassUnit.KG))).isTrue();
      assertThat(loadables.below(beside(least, -gram))).isEmpty();
      assertThat(loadables.above(Mass.ofNanograms(most.nanograms() + gram, MassUnit.KG))).isEmpty();
      assertThat(loadables.onBar()).isTrue();
    }
    assertThat(Loadables.fixed(List.of(kg("80")), MassUnit.KG).onBar()).isFalse();
  }

  @Test
  void ofTwoEquallyNearTheLowerIsTaken() {
    assertThat(OWN.nearest(kg("30")).total()).isEqualTo(kg("20"));
    assertThat(OWN.nearest(Mass.ofNanograms(30_000_000_000_000L + Mass.TOLERANCE_NANOGRAMS, MassUnit.KG)).total()).isEqualTo(kg("40"));
    assertThat(OWN.nearestBelow(kg("39.9")).total()).isEqualTo(kg("20"));
    assertThat(OWN.nearestBelow(kg("10")).total()).isEqualTo(kg("20"));
    assertThat(OWN.between(kg("20"), kg("40"))).hasSize(2);
    assertThat(OWN.between(kg("20.1"), kg("39.9"))).isEmpty();
  }

  @Test
  void ofTwoMixesOfOneTotalTheOneWithFewerPlatesIsTaken() {
    // a plate of 11 lb is 4.9895 kg, within half a gram of 2.5 and 2.49 kg together
    Mass eleven = Mass.of("11", MassUnit.LB);
    Loadables loadables = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("25"), 1),
        new PlateStock.Pairs(kg("2.5"), 1), new PlateStock.Pairs(kg("2.49"), 1), new PlateStock.Pairs(eleven, 1)))));
    assertThat(loadables.exact(kg("29.98")).orElseThrow().perSide()).containsExactly(eleven);
    assertThat(loadables.exact(kg("79.98")).orElseThrow().perSide()).containsExactly(kg("25"), eleven);
    assertThat(loadables.exact(kg("20")).orElseThrow().perSide()).isEmpty();
    assertThat(loadables.exact(kg("25")).orElseThrow().perSide()).containsExactly(kg("2.5"));
    assertThat(loadables.platesAt(loadables.rungNear(kg("70").nanograms()))).isEqualTo(1);
    assertThat(loadables.below(kg("69.9")).orElseThrow().perSide()).as("all but the largest")
        .containsExactly(eleven, kg("2.5"), kg("2.49"));
    assertThat(loadables.above(kg("41")).orElseThrow().total()).isEqualTo(kg("70"));
    assertThat(loadables.above(kg("90"))).isEmpty();
    assertThat(loadables.below(kg("19"))).isEmpty();
  }

  /** Our own limit of what is too small to round by: under 1.1 kg, so that 1.25 kg is not. */
  @Test
  void aPlateUnderElevenHundredGramsIsFractional() {
    assertThat(PlaceKit.fractional(new PlateStock.Pairs(kg("1.1"), 1))).isFalse();
    assertThat(PlaceKit.fractional(new PlateStock.Pairs(kg("1.09"), 1))).isTrue();
    Kit kit = new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(new PlateStock.Pairs(kg("10"), 1))),
        List.of(new PlateStock.Pairs(kg("0.5"), 1)));
    Loadables loadables = Loadables.of(kit);
    assertThat(loadables.nearest(kg("41")).total()).as("nothing is rounded by half kilograms").isEqualTo(kg("40"));
    assertThat(loadables.exact(kg("41"))).as("but what is written is loaded").isPresent();
    assertThat(loadables.below(kg("41.5")).orElseThrow().total()).isEqualTo(kg("41"));
    assertThat(loadables.above(kg("20.5")).orElseThrow().total()).isEqualTo(kg("21"));
    assertThat(loadables.tooHeavy(kg("41"))).isFalse();
    assertThat(loadables.tooHeavy(kg("41.1"))).isTrue();
  }

  @Test
  void aLoadableDumbbellTakesPlatesUpToTenKilograms() {
    PlaceKit kit = new PlaceKit(MassUnit.KG, List.of(), kg("0"),
        List.of(new PlateStock.Pairs(kg("10"), 2), new PlateStock.Pairs(kg("10.5"), 2)), false,
        List.of(new Dumbbell(kg("2"), kg("2.5"), true)), List.of(), List.of(), List.of());
    Lift dumbbell = Catalogue.standard().all().stream().filter(lift -> lift.equipment() == Equipment.DUMBBELL).findFirst().orElseThrow();
    assertThat(kit.loaded(dumbbell, Catalogue.standard(), MassUnit.KG).orElseThrow().search().heaviest().total()).isEqualTo(kg("22.5"));
  }

  @Test
  void aBarThatIsReservedForOneLiftIsNoOthers() {
    Catalogue lifts = Catalogue.standard();
    PlaceKit kit = new PlaceKit(MassUnit.KG, List.of(new Bar("Squat bar", kg("25"), List.of("squat"), true, true),
        new Bar("Bar", kg("20"), List.of(), true, true)), kg("0"), List.of(), false, List.of(), List.of(), List.of(), List.of());
    Map.of("squat", "Squat bar", "front-squat", "Squat bar", "bench", "Bar", "deadlift", "Bar").forEach((lift, bar) ->
        assertThat(kit.bar(lifts.ofKey(lift).orElseThrow(), lifts)).as(lift)
        .hasValueSatisfying(own -> assertThat(own.name()).isEqualTo(bar)));
    PlaceKit alone = new PlaceKit(MassUnit.KG, kit.bars().subList(0, 1), kg("0"), List.of(), false, List.of(), List.of(),
        List.of(), List.of());
    assertThat(alone.bar(lifts.ofKey("bench").orElseThrow(), lifts)).as("a bar kept for squats is no bar for a bench").isEmpty();
    assertThat(alone.loaded(lifts.ofKey("bench").orElseThrow(), lifts, MassUnit.KG)).isEmpty();
  }

  @Test
  void aBandWithoutAPartnerIsToldBesideTheOneMostLikeIt() {
    Band red = new Band("Red", "Made up", LocalDate.of(2025, 1, 1), PULLS);
    Band blue = new Band("Blue", "Made up", LocalDate.of(2025, 1, 1), List.of(new Band.Pull(40, kg("0")), new Band.Pull(100, kg("60"))));
    Band heavier = new Band("Red 2", "Made up", LocalDate.of(2025, 1, 1),
        List.of(new Band.Pull(40, kg("0")), new Band.Pull(100, kg("25"))));
    assertThat(withBands(red).bandsWithoutPartner()).containsExactly("Red has no partner here");
    assertThat(withBands(red, red).bandsWithoutPartner()).isEmpty();
    assertThat(withBands(red, red, red).bandsWithoutPartner()).as("the third of three").hasSize(1);
    assertThat(withBands(red, blue, heavier).withoutPartner(red).orElseThrow()).as("25 is nearer to 20 than 60 is")
        .isEqualTo(red.mismatch(heavier).orElseThrow());
    assertThat(withBands(blue, red, heavier).bandsWithoutPartner()).as("two that nearly match are told of once")
        .contains(red.mismatch(heavier).orElseThrow()).hasSize(2);
  }

  private static PlaceKit withBands(Band... bands) {
    return new PlaceKit(MassUnit.KG, List.of(), kg("0"), List.of(), false, List.of(), List.of(bands), List.of(), List.of());
  }

  @Test
  void reverseBandsHoldABarThatIsNoHeavier() {
    Band band = new Band("Red", "", null, PULLS);
    assertThat(LoadCurve.held(band, 100)).isEqualTo(kg("40"));
    assertThatThrownBy(() -> LoadCurve.reverse(kg("40"), band, 100, 40)).isInstanceOf(LoadCurve.Floats.class);
    assertThat(LoadCurve.reverse(kg("40.1"), band, 100, 40).top()).isEqualTo(kg("40.1"));
    assertThat(LoadCurve.bands(kg("60"), band, 40, 40).top()).as("no way at all").isEqualTo(kg("60"));
    assertThat(LoadCurve.bands(kg("60"), band, 30, 100).bottom()).as("it hangs slack").isEqualTo(kg("60"));
    assertThatThrownBy(() -> LoadCurve.bands(kg("60"), band, 50, 40)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> LoadCurve.reverse(kg("60"), band, 40, 50)).isInstanceOf(Refused.class);
  }
}

package org.yarbel.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class PlaceKitTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final Bar ORDINARY = new Bar("Bar", kg("20"), List.of(), true, true);
  private static final Bar SQUAT_BAR = new Bar("Squat bar", kg("25"), List.of("squat"), false, true);
  private static final Bar SAFETY_BAR = new Bar("Safety-squat bar", kg("30"), List.of("safety-bar-squat"), false, false);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static PlateStock.Pairs pairs(String size, MassUnit unit, int pairs) {
    return new PlateStock.Pairs(Mass.of(size, unit), pairs);
  }

  private static PlaceKit place(boolean mixing) {
    return new PlaceKit(MassUnit.KG, List.of(ORDINARY, SQUAT_BAR, SAFETY_BAR), kg("5"),
        List.of(pairs("20", MassUnit.KG, 4), pairs("10", MassUnit.KG, 3), pairs("45", MassUnit.LB, 4)), mixing,
        List.of(new Dumbbell(kg("20"), kg("22.5"), false), new Dumbbell(kg("30"), kg("32.5"), false)),
        List.of(), List.of(),
        List.of(new Implement(Equipment.LOG, "Log", kg("60"), true), new Implement(Equipment.STONE, "Stone", kg("120"), false),
            new Implement(Equipment.STONE, "Stone", kg("100"), false),
            new Implement(Equipment.FARMERS_HANDLES, "Handles", kg("12"), true)));
  }

  private static Optional<Loadables> loaded(PlaceKit place, String lift, MassUnit unit) {
    return place.loaded(LIFTS.ofKey(lift).orElseThrow(), LIFTS, unit).map(PlaceKit.Loaded::search);
  }

  @Test
  void takesTheBarOfTheLiftElseOfWhatItVariesElseTheOrdinaryOne() {
    PlaceKit place = place(false);
    Stream.of("squat", "paused-squat", "zercher-squat").forEach(key ->
        assertThat(place.bar(LIFTS.ofKey(key).orElseThrow(), LIFTS)).as(key).contains(SQUAT_BAR));
    assertThat(place.bar(LIFTS.ofKey("safety-bar-squat").orElseThrow(), LIFTS)).contains(SAFETY_BAR);
    assertThat(place.bar(LIFTS.ofKey("bench").orElseThrow(), LIFTS)).contains(ORDINARY);
    assertThat(loaded(place, "squat", MassUnit.KG).orElseThrow().lightest().total()).as("with collars").isEqualTo(kg("30"));
  }

  @Test
  void aDumbbellIsMeantByItsStampOrByWhatItWeighs() {
    Loadables dumbbells = loaded(place(false), "lunge", MassUnit.KG).orElseThrow();
    assertThat(dumbbells.meant(kg("20"))).as("its stamp").isEqualTo(kg("22.5"));
    assertThat(dumbbells.meant(kg("22.5"))).as("its mass").isEqualTo(kg("22.5"));
    assertThat(dumbbells.meant(kg("27"))).as("neither").isEqualTo(kg("27"));
  }

  @Test
  void bandsThatDifferMakeNoPair() {
    Band left = new Band("Red left", "Own", LocalDate.of(2025, 1, 1), Band.pulls("60:12 100:26", MassUnit.KG));
    Band right = new Band("Red right", "Own", LocalDate.of(2025, 1, 1), Band.pulls("60:12 100:26", MassUnit.KG));
    Band old = new Band("Red old", "Own", LocalDate.of(2019, 1, 1), Band.pulls("60:12 100:26", MassUnit.KG));
    PlaceKit pair = new PlaceKit(MassUnit.KG, List.of(ORDINARY), kg("0"), List.of(pairs("20", MassUnit.KG, 4)), false, List.of(),
        List.of(left, right, old), List.of(), List.of());
    assertThat(pair.withoutPartner(left)).isEmpty();
    assertThat(pair.withoutPartner(old).orElseThrow()).contains("make no pair").contains("not of the same age");
    PlaceKit single = new PlaceKit(MassUnit.KG, List.of(ORDINARY), kg("0"), List.of(pairs("20", MassUnit.KG, 4)), false, List.of(),
        List.of(left), List.of(), List.of());
    assertThat(single.withoutPartner(left)).contains("Red left has no partner here");
  }

  @Test
  void mixesUnitsOnlyWhereTheCoachAllowsIt() {
    assertThat(place(false).stock(MassUnit.KG).plates()).extracting(p -> p.size().text()).containsExactly("20 kg", "10 kg");
    assertThat(place(false).stock(MassUnit.LB).plates()).extracting(p -> p.size().text()).containsExactly("45 lb");
    assertThat(place(true).stock(MassUnit.KG).plates()).extracting(p -> p.size().text()).containsExactly("45 lb", "20 kg", "10 kg");
    PlaceKit kilogramsOnly = PlaceKit.of(Kit.standard(MassUnit.KG));
    assertThat(kilogramsOnly.stock(MassUnit.LB).unit()).as("a place without pound plates").isEqualTo(MassUnit.KG);
  }

  @Test
  void loadsImplementsWithPlatesOrAsTheyAre() {
    PlaceKit place = place(false);
    assertThat(loaded(place, "log-press", MassUnit.KG).orElseThrow().nearest(kg("100")).total()).isEqualTo(kg("100"));
    assertThat(loaded(place, "stone-load", MassUnit.KG).orElseThrow().nearest(kg("150")).total()).isEqualTo(kg("120"));
    assertThat(loaded(place, "dumbbell-row", MassUnit.KG).orElseThrow().nearest(kg("23")).total()).as("the true mass")
        .isEqualTo(kg("22.5"));
    assertThat(loaded(place, "keg-load", MassUnit.KG)).as("no keg here").isEmpty();
    assertThat(loaded(place, "plank", MassUnit.KG)).isEmpty();
  }

  @Test
  void roundsByOrdinaryPlatesAndUsesFractionalOnesOnlyWhereAskedExactly() {
    PlaceKit place = new PlaceKit(MassUnit.KG, List.of(ORDINARY), kg("0"), List.of(pairs("20", MassUnit.KG, 4),
        pairs("10", MassUnit.KG, 1), pairs("1.25", MassUnit.KG, 1), pairs("0.5", MassUnit.KG, 1), pairs("0.25", MassUnit.KG, 1)),
        false, List.of(), List.of(), List.of(), List.of());
    Loadables loadables = loaded(place, "bench", MassUnit.KG).orElseThrow();
    assertThat(loadables.nearest(kg("61.2")).total()).isEqualTo(kg("60"));
    assertThat(loadables.nearest(kg("61")).total()).as("worked out, not written").isEqualTo(kg("60"));
    assertThat(loadables.written(kg("61")).sideText()).isEqualTo("20 0.5");
    assertThat(loadables.written(kg("64")).sideText()).isEqualTo("20 1.25 0.5 0.25");
    assertThat(loadables.written(kg("61.2")).total()).isEqualTo(kg("60"));
    assertThat(loadables.below(kg("61.2")).orElseThrow().total()).as("every total").isEqualTo(kg("61"));
    assertThat(loadables.between(kg("60"), kg("80"))).extracting(l -> l.total().number()).containsExactly("60", "62.5", "80");
    assertThat(PlateSeries.of(List.of(kg("60"), kg("61")), loadables)).extracting(Loading::sideText).containsExactly("20", "20 0.5");
  }

  // two handles share the plates: of four pairs each takes two, of three one
  @Test
  void halvesTheStockForTwoHands() {
    Loadables handle = loaded(place(false), "farmers-walk", MassUnit.KG).orElseThrow();
    assertThat(handle.heaviest().total()).isEqualTo(kg("112"));
    assertThat(handle.heaviest().sideText()).isEqualTo("20 20 10");
  }

  @Test
  void aLoadableDumbbellTakesSmallPlates() {
    PlaceKit place = new PlaceKit(MassUnit.KG, List.of(ORDINARY), kg("0"),
        List.of(pairs("20", MassUnit.KG, 4), pairs("5", MassUnit.KG, 4), pairs("2.5", MassUnit.KG, 1)), false,
        List.of(new Dumbbell(kg("0"), kg("3"), true)), List.of(), List.of(), List.of());
    assertThat(loaded(place, "dumbbell-row", MassUnit.KG).orElseThrow().heaviest().total()).isEqualTo(kg("23"));
  }

  @Test
  void refusesWhatCannotBe() {
    assertThatThrownBy(() -> new Bar("Bar", kg("201"), List.of(), true, true))
        .hasMessage("The bar must be over 0 and at most 200 kg but was 201 kg");
    assertThatThrownBy(() -> new Bar(" ", kg("20"), List.of(), true, true)).hasMessageContaining("1 to 60 characters");
    assertThatThrownBy(() -> new Dumbbell(kg("20"), kg("0"), false)).hasMessage("The true mass of a dumbbell must be over 0");
    assertThatThrownBy(() -> new Chain("Chain", kg("8"), kg("9")))
        .hasMessage("What hangs at the bottom cannot be more than the chain: 9 kg of 8 kg");
    assertThatThrownBy(() -> new Implement(Equipment.BAR, "Bar", kg("20"), true)).hasMessageContaining("no implement");
    assertThatThrownBy(() -> new Implement(Equipment.STONE, "Stone", kg("1001"), false))
        .hasMessage("An implement must be over 0 and at most 1000 kg but was 1001 kg");
  }

  private static Band band(String name, String make, LocalDate since, String... pulls) {
    return new Band(name, make, since, Stream.of(pulls).map(p -> p.split(":"))
        .map(p -> new Band.Pull(Integer.parseInt(p[0]), kg(p[1]))).toList());
  }

  @Test
  void aBandPullsHarderTheFurtherItIsStretched() {
    Band band = band("Light", "Own", null, "100:26", "60:12");
    assertThat(band.pullAt(60)).isEqualTo(kg("12"));
    assertThat(band.pullAt(80)).as("half way").isEqualTo(kg("19"));
    assertThatThrownBy(() -> band.pullAt(120))
        .hasMessage("The band Light was measured from 60 to 100 cm, not at 120 cm: measure it there");
    assertThatThrownBy(() -> band("Light", "Own", null, "60:12", "100:10")).hasMessage(
        "A band pulls harder the further it is stretched, but from 60 to 100 cm the pull falls from 12 kg to 10 kg");
    assertThatThrownBy(() -> band("Light", "Own", null, "60:12", "60:13")).hasMessage("The length 60 cm was given twice");
    assertThatThrownBy(() -> band("Light", "Own", null, "60:12")).hasMessage("Measure a band at two lengths at least");
  }

  @Test
  void readsPullsAsTheyAreTyped() {
    assertThat(Band.pulls(" 60:12;100:26,5 ", MassUnit.KG)).containsExactly(new Band.Pull(60, kg("12")), new Band.Pull(100, kg("26.5")));
    assertThat(new Band("A", "", null, Band.pulls("100:26.5 60:12", MassUnit.KG)).pullsText()).isEqualTo("60:12 100:26.5");
    assertThatThrownBy(() -> Band.pulls("60:12 100", MassUnit.KG))
        .hasMessage("Write each length in cm with its pull, such as 60:12 100:26; '100' is not that");
    assertThatThrownBy(() -> Band.pulls("3:1 60:12", MassUnit.KG)).hasMessage("The length of a band must be from 5 to 400 cm but was 3");
  }

  @Test
  void aPairOfBandsIsOfTheSameMakeAgeAndPull() {
    LocalDate may = LocalDate.of(2025, 5, 1);
    Band left = band("A", "Own", may, "60:12", "100:26");
    assertThat(left.mismatch(band("B", "own", may.plusMonths(2), "60:12.2", "100:26.5"))).isEmpty();
    assertThat(left.mismatch(band("B", "Own", may.plusMonths(9), "60:12", "100:26")))
        .contains("A and B make no pair: they are not of the same age");
    assertThat(left.mismatch(band("B", "Other", may, "60:8", "100:20")))
        .contains("A and B make no pair: they are of different make, they do not pull alike");
    PlaceKit place = new PlaceKit(MassUnit.KG, List.of(ORDINARY), kg("0"), List.of(), false, List.of(),
        List.of(left, band("B", "Own", may, "60:12", "100:26"), band("C", "Own", may.minusYears(2), "60:12", "100:26")),
        List.of(), List.of());
    assertThat(place.bandsWithoutPartner()).containsExactly("C and A make no pair: they are not of the same age");
  }

  // by hand: bottom = bar + slack part, top = bar + what pulls at lock-out; reverse: bottom = bar − held, top = bar
  @Test
  void drawsTheLoadFromBottomToTop() {
    Band band = band("Light", "Own", null, "40:0", "60:12", "100:26");
    LoadCurve bands = LoadCurve.bands(kg("100"), band, 60, 100);
    assertThat(bands.bottom()).isEqualTo(kg("124"));
    assertThat(bands.top()).isEqualTo(kg("152"));
    LoadCurve chains = LoadCurve.chains(kg("100"), new Chain("Chain", kg("10"), kg("2")));
    assertThat(chains.bottom()).isEqualTo(kg("104"));
    assertThat(chains.points().get(5)).isEqualTo(kg("112"));
    assertThat(chains.top()).isEqualTo(kg("120"));
    LoadCurve reverse = LoadCurve.reverse(kg("200"), band, 100, 30);
    assertThat(reverse.bottom()).isEqualTo(kg("148"));
    assertThat(reverse.top()).as("the bands hang slack").isEqualTo(kg("200"));
    assertThat(LoadCurve.firstBar(kg("150"), band, 100)).as("free load and what they hold").isEqualTo(kg("202"));
  }

  @Test
  void aBarLighterThanTheBandsFloats() {
    Band band = band("Heavy", "Own", null, "40:10", "100:60");
    assertThatThrownBy(() -> LoadCurve.reverse(kg("100"), band, 100, 40))
        .hasMessage("The bar floats: the bands hold 120 kg at the bottom and the bar has 100 kg. Start above it");
    assertThatThrownBy(() -> LoadCurve.bands(kg("100"), band, 90, 50)).hasMessageContaining("the wrong way round");
  }

  @Test
  void aLineCanAskForAnotherBarOfThePlace() {
    PlaceKit kit = new PlaceKit(MassUnit.KG, List.of(new Bar("Bar", kg("20"), List.of(), true, true),
        new Bar("Squat bar", kg("25"), List.of(), true, true)), kg("0"), List.of(new PlateStock.Pairs(kg("20"), 4)), false,
        List.of(), List.of(), List.of(), List.of());
    Catalogue lifts = Catalogue.standard();
    Lift squat = lifts.ofKey("squat").orElseThrow();
    assertThat(kit.loaded(squat, lifts, MassUnit.KG, "squat BAR").orElseThrow().search().lightest().total()).isEqualTo(kg("25"));
    assertThat(kit.loaded(squat, lifts, MassUnit.KG, null).orElseThrow().search().lightest().total()).isEqualTo(kg("20"));
    assertThat(kit.loaded(squat, lifts, MassUnit.KG, "of another place").orElseThrow().search().lightest().total())
        .as("a bar this place does not have").isEqualTo(kg("20"));
  }
}

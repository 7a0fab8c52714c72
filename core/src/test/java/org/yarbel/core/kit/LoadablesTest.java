package org.yarbel.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class LoadablesTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Loadables of(String bar, String collars, String... plates) {
    List<PlateStock.Pairs> pairs = new ArrayList<>();
    for (String plate : plates) {
      String[] sizeAndPairs = plate.split("x");
      pairs.add(new PlateStock.Pairs(kg(sizeAndPairs[0]), Integer.parseInt(sizeAndPairs[1])));
    }
    return Loadables.of(new Kit(kg(bar), kg(collars), new PlateStock(MassUnit.KG, pairs)));
  }

  // Plain sums: bar 20, 2 × (25 + 25 + 25 + 5 + 1.25) = 182.5
  @ParameterizedTest
  @CsvSource({"182.5, 25 25 25 5 1.25", "20, ''", "100, 25 15", "60, 20", "142.5, 25 25 10 1.25"})
  void loadsWithTheFewestPlatesTheHeaviestFirst(String total, String side) {
    assertThat(KG.exact(kg(total)).orElseThrow().sideText()).isEqualTo(side);
  }

  @Test
  void takesThePlatesThatAreThereWhereGreedyWouldFail() {
    Loadables odd = of("20", "0", "25x1", "20x2", "15x1");
    assertThat(odd.exact(kg("100")).orElseThrow().sideText()).isEqualTo("25 15");
    assertThat(of("20", "0", "25x1", "20x2").exact(kg("100")).orElseThrow().sideText())
        .as("25 first leaves 15, which nothing makes")
        .isEqualTo("20 20");
  }

  @Test
  void roundsToTheNearestAndOfTwoEquallyNearToTheLower() {
    assertThat(KG.nearest(kg("155.125")).total()).isEqualTo(kg("155"));
    assertThat(KG.nearest(kg("156.25")).total()).as("half way").isEqualTo(kg("155"));
    assertThat(KG.nearest(kg("156.2504")).total()).as("half way within a gram").isEqualTo(kg("155"));
    assertThat(KG.nearest(kg("156.26")).total()).isEqualTo(kg("157.5"));
    assertThat(KG.nearestBelow(kg("157.4")).total()).isEqualTo(kg("155"));
  }

  @Test
  void saysWhatIsBelowAndAbove() {
    assertThat(KG.below(kg("101")).orElseThrow().total()).isEqualTo(kg("100"));
    assertThat(KG.above(kg("101")).orElseThrow().total()).isEqualTo(kg("102.5"));
    assertThat(KG.below(kg("19"))).isEmpty();
    assertThat(of("20", "0", "20x1").above(kg("61"))).isEmpty();
    assertThat(of("20", "0", "20x1").nearest(kg("300")).total()).isEqualTo(kg("60"));
  }

  @Test
  void countsTheCollars() {
    Loadables contest = of("20", "5", "25x4", "2.5x1");
    assertThat(contest.exact(kg("75")).orElseThrow().sideText()).isEqualTo("25");
    assertThat(contest.lightest().total()).isEqualTo(kg("25"));
  }

  @Test
  void aBarWithoutPlatesLoadsItself() {
    assertThat(of("20", "0").nearest(kg("100")).total()).isEqualTo(kg("20"));
  }

  @Test
  void agreesWithTryingEveryCombinationOnGeneratedStocks() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(7);
    String[] sizes = {"25", "20", "15", "11.3", "10", "5", "2.5", "1.25", "0.5"};
    for (int round = 0; round < 60; round++) {
      List<String> stock = new ArrayList<>();
      for (String size : sizes) {
        if (random.nextInt(2) == 0 && stock.size() < 4) {
          stock.add(size + "x" + (1 + random.nextInt(3)));
        }
      }
      Loadables loadables = of("20", "0", stock.toArray(String[]::new));
      everyCombination(loadables.kit().stock()).forEach((side, fewest) -> {
        Loading loading = loadables.exact(Mass.ofNanograms(kg("20").nanograms() + 2 * side, MassUnit.KG)).orElseThrow();
        assertThat(loading.perSide()).as("%s on %s", loading, stock).isEqualTo(fewest);
      });
    }
  }

  /** For each sum of one side, the fewest plates, of equally few the heavier first. */
  private static Map<Long, List<Mass>> everyCombination(PlateStock stock) {
    Map<Long, List<Mass>> best = new TreeMap<>(Map.of(0L, List.of()));
    for (PlateStock.Pairs pairs : stock.plates()) {
      Map<Long, List<Mass>> next = new TreeMap<>();
      best.forEach((sum, plates) -> {
        List<Mass> with = new ArrayList<>(plates);
        for (int n = 0; n <= pairs.pairs(); n++) {
          next.merge(sum + n * pairs.size().nanograms(), List.copyOf(with), LoadablesTest::better);
          with.add(pairs.size());
        }
      });
      best = next;
    }
    return best;
  }

  private static List<Mass> better(List<Mass> a, List<Mass> b) {
    Comparator<List<Mass>> heavierFirst = (x, y) -> {
      for (int i = 0; i < x.size(); i++) {
        int order = y.get(i).compareTo(x.get(i));
        if (order != 0) {
          return order;
        }
      }
      return 0;
    };
    return Comparator.<List<Mass>>comparingInt(List::size).thenComparing(heavierFirst).compare(a, b) <= 0 ? a : b;
  }

  @Test
  void refusesAStockThatCannotBe() {
    assertThatThrownBy(() -> of("20", "0", "25x2", "25x3")).hasMessage("The plate size 25 kg was given twice");
    assertThatThrownBy(() -> of("20", "0", "25x0"))
        .hasMessage("The pairs of a plate size must be from 1 to 20 but were 0 of 25 kg");
    assertThatThrownBy(() -> of("20", "0", "1.255x1"))
        .hasMessage("The plate size must be in steps of 0.01 but was 1.255 kg");
    assertThatThrownBy(() -> of("300", "0")).hasMessage("The bar must be from 0 to 200 kg but was 300 kg");
  }

  @Test
  void loadsPoundPlatesOnAPoundBar() {
    Loading loading = Loadables.of(Kit.standard(MassUnit.LB)).exact(Mass.of("315", MassUnit.LB)).orElseThrow();
    assertThat(loading.sideText()).isEqualTo("45 45 45");
  }

  private static PlateStock.Pairs pairs(String size, MassUnit unit, int pairs) {
    return new PlateStock.Pairs(Mass.of(size, unit), pairs);
  }

  private static Loadables mixed() {
    return Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, List.of(
        pairs("25", MassUnit.KG, 2), pairs("20", MassUnit.KG, 2), pairs("10", MassUnit.KG, 1), pairs("2.5", MassUnit.KG, 1),
        pairs("45", MassUnit.LB, 3), pairs("10", MassUnit.LB, 2), pairs("2.5", MassUnit.LB, 1)))));
  }

  // 1 lb = 0.45359237 kg exactly (international yard and pound, 1959)
  @Test
  void addsKilogramAndPoundPlatesExactly() {
    Mass target = kg("20").plus(Mass.of("90", MassUnit.LB)).plus(kg("20"));
    assertThat(target.toString()).isEqualTo("80.8233133 kg");
    assertThat(mixed().exact(target).orElseThrow().sideText()).isEqualTo("45lb 10");
    assertThat(mixed().exact(kg("80.823")).orElseThrow().sideText()).as("within a gram").isEqualTo("45lb 10");
    assertThat(mixed().exact(kg("80.83"))).isEmpty();
  }

  @Test
  void findsTheSameMixedTotalsAsTryingEveryCombination() {
    Loadables mixed = mixed();
    Map<Long, List<Mass>> all = everyCombination(mixed.kit().stock());
    all.forEach((side, fewest) -> {
      Mass total = Mass.ofNanograms(kg("20").nanograms() + 2 * side, MassUnit.KG);
      assertThat(mixed.exact(total).orElseThrow().perSide()).as(total.toString()).hasSameSizeAs(fewest);
    });
    TreeMap<Long, List<Mass>> sides = new TreeMap<>(all);
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(3);
    for (int i = 0; i < 300; i++) {
      Mass target = Mass.ofNanograms(random.nextLong(kg("20").nanograms(), kg("320").nanograms()), MassUnit.KG);
      long side = (target.nanograms() - kg("20").nanograms()) / 2;
      Long down = sides.floorKey(side);
      Long up = sides.ceilingKey(side);
      if (mixed.exact(target).isEmpty()) {
        assertThat(mixed.below(target).map(l -> l.total().nanograms())).as("below " + target)
            .contains(kg("20").nanograms() + 2 * down);
        assertThat(mixed.above(target).map(l -> l.total().nanograms())).as("above " + target)
            .isEqualTo(java.util.Optional.ofNullable(up).map(u -> kg("20").nanograms() + 2 * u));
      }
    }
  }

  @Test
  void plansWithOwnPlatesAndTakesAMixedTotalOnlyBetweenThem() {
    Loadables mixed = mixed();
    assertThat(mixed.nearest(kg("90")).sideText()).as("an own total stays").isEqualTo("25 10");
    assertThat(mixed.nearest(kg("97")).sideText()).as("95 and 110 are the own ones").isEqualTo("25 10 2.5 2.5lb");
    List<Loading> ladder = mixed.between(kg("20"), kg("320"));
    List<Mass> own = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, mixed.kit().stock().plates().stream()
        .filter(p -> p.size().unit() == MassUnit.KG).toList()))).between(kg("20"), kg("320")).stream().map(Loading::total).toList();
    assertThat(ladder).extracting(Loading::total).containsAll(own);
    for (int i = 1; i < ladder.size(); i++) {
      assertThat(ladder.get(i).total().minus(ladder.get(i - 1).total())).isGreaterThanOrEqualTo(kg("0.5"));
    }
  }

  @Test
  void thingsThatAreLiftedAsTheyAreHaveNoPlates() {
    Loadables stones = Loadables.fixed(List.of(kg("140"), kg("100"), kg("120")), MassUnit.KG);
    assertThat(stones.onBar()).isFalse();
    assertThat(stones.nearest(kg("110")).total()).as("the lower of two equally near").isEqualTo(kg("100"));
    assertThat(stones.nearest(kg("131"))).isEqualTo(new Loading(kg("140"), List.of()));
    assertThat(stones.below(kg("90"))).isEmpty();
    assertThat(stones.above(kg("141"))).isEmpty();
  }

  @Test
  void knowsItsLadderByRungs() {
    int rung = KG.rungNear(kg("101").nanograms());
    assertThat(KG.totalAt(rung)).isEqualTo(kg("100").nanograms());
    assertThat(KG.at(rung)).isEqualTo(KG.nearest(kg("101")));
    assertThat(KG.platesAt(rung)).as("25 15").isEqualTo(2);
    assertThat(KG.totalAt(KG.rungs() - 1)).isEqualTo(KG.heaviest().total().nanograms());
  }

  @Test
  void saysWhatLiesBeyondItsEnds() {
    assertThat(KG.tooLight(kg("19.99"))).isTrue();
    assertThat(KG.tooLight(kg("20"))).isFalse();
    assertThat(KG.tooHeavy(KG.heaviest().total())).isFalse();
    assertThat(KG.tooHeavy(KG.heaviest().total().plus(kg("1")))).isTrue();
    Loadables mixed = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG,
        List.of(new PlateStock.Pairs(kg("20"), 1), new PlateStock.Pairs(Mass.of("45", MassUnit.LB), 1)))));
    assertThat(mixed.tooHeavy(kg("100.8"))).as("20 + 2 × (20 + 20.41)").isFalse();
    assertThat(mixed.tooHeavy(kg("100.9"))).isTrue();
  }

  // counted by hand: 60 = 20, 100 = 20 20, 140 = 20 20 20 need 3 plates on; with 25s more come off
  @Test
  void loadsASeriesWithTheFewestChanges() {
    List<Loading> series = PlateSeries.of(List.of(kg("60"), kg("100"), kg("140")), KG);
    assertThat(series).extracting(Loading::sideText).containsExactly("20", "20 20", "20 20 20");
    assertThat(PlateSeries.changes(series)).isEqualTo(3);
    List<Loading> fewestPlates = series.stream().map(l -> KG.exact(l.total()).orElseThrow()).toList();
    assertThat(PlateSeries.changes(fewestPlates)).as("20, 25 15, 25 25 10").isEqualTo(1 + 3 + 3);
    assertThat(PlateSeries.of(List.of(), KG)).isEmpty();
    assertThat(PlateSeries.of(List.of(kg("20"), kg("300")), of("20", "0", "20x1"))).extracting(Loading::sideText).containsExactly("", "20");
  }

  @Test
  void noOtherWayToLoadAShortSeriesHasFewerChanges() {
    Loadables small = of("20", "0", "25x2", "20x2", "10x2", "5x2");
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(11);
    List<Loading> ladder = small.between(kg("20"), kg("120"));
    for (int round = 0; round < 40; round++) {
      List<Mass> loads = List.of(ladder.get(random.nextInt(ladder.size())).total(),
          ladder.get(random.nextInt(ladder.size())).total(), ladder.get(random.nextInt(ladder.size())).total());
      int best = Integer.MAX_VALUE;
      for (Loading a : everyWay(loads.get(0), small)) {
        for (Loading b : everyWay(loads.get(1), small)) {
          for (Loading c : everyWay(loads.get(2), small)) {
            best = Math.min(best, PlateSeries.changes(List.of(a, b, c)));
          }
        }
      }
      assertThat(PlateSeries.changes(PlateSeries.of(loads, small))).as(loads.toString()).isEqualTo(best);
    }
  }

  // sixteen sizes a hundredth apart, twenty pairs each: more ways than anybody could look at
  @Test
  void aStockWithEndlessWaysIsAnsweredAllTheSame() {
    String[] sizes = new String[16];
    for (int i = 0; i < 16; i++) {
      sizes[i] = "1." + (10 + i) + "x20";
    }
    Loadables odd = of("20", "0", sizes);
    List<Loading> series = PlateSeries.of(List.of(kg("100"), kg("150"), kg("120.02")), odd);
    assertThat(series).extracting(l -> l.total().number()).containsExactly("100", "150", "120.02");
    assertThat(odd.between(kg("100"), kg("101"))).hasSizeGreaterThan(40);
  }

  /** Every way to make a total with up to two plates a side more than the fewest. */
  private static List<Loading> everyWay(Mass total, Loadables loadables) {
    int most = loadables.exact(total).orElseThrow().perSide().size() + 2;
    List<List<Mass>> sides = new ArrayList<>(List.of(List.of()));
    for (PlateStock.Pairs pairs : loadables.kit().stock().plates()) {
      List<List<Mass>> next = new ArrayList<>();
      for (List<Mass> side : sides) {
        List<Mass> with = new ArrayList<>(side);
        for (int n = 0; n <= pairs.pairs(); n++) {
          next.add(List.copyOf(with));
          with.add(pairs.size());
        }
      }
      sides = next;
    }
    return sides.stream().filter(side -> side.size() <= most)
        .filter(side -> loadables.kit().empty().nanograms() + 2 * side.stream().mapToLong(Mass::nanograms).sum() == total.nanograms())
        .map(side -> new Loading(total, side)).toList();
  }

  /** Sixteen sizes of each unit in steps that share nothing: billions of mixes, of which minutes would be spent. */
  @Test
  void looksAtSoManyMixesOnlyAndSaysWhatItLeaves() {
    List<PlateStock.Pairs> odd = new ArrayList<>();
    for (int i = 0; i < PlateStock.MAX_SIZES; i++) {
      odd.add(new PlateStock.Pairs(kg((3 + 2 * i) + ".0" + (1 + i % 9)), 20));
      odd.add(new PlateStock.Pairs(Mass.of((5 + 3 * i) + ".0" + (1 + i % 7), MassUnit.LB), 20));
    }
    long began = System.nanoTime();
    Loadables all = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, odd)));
    assertThat(Duration.ofNanos(System.nanoTime() - began)).as("over a minute, before").isLessThan(Duration.ofSeconds(20));
    assertThat(all.leavesOut()).isTrue();
    assertThat(all.nearest(kg("100")).total().ratioTo(kg("100"))).isBetween(0.995, 1.005);
    assertThat(KG.leavesOut()).isFalse();
    List<PlateStock.Pairs> gym = new ArrayList<>(PlateStock.standard(MassUnit.KG).plates());
    gym.addAll(PlateStock.standard(MassUnit.LB).plates());
    assertThat(Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, gym))).leavesOut()).as("an ordinary gym's").isFalse();
  }
}

package org.yarbel.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
}

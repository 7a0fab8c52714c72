package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The ramp beside the plain enumeration of everything it could be: of all last steps within three loadings of their aims, and of
 * all steps between, none is better by the rule than what the search took. The rule is our own default.
 */
class WarmUpSearchTest {
  private static final double[][] AIMS = {{0.76, 0.885, 0.95}, {0.82, 0.93}, {0.92}};
  private static final double EQUAL = 1_000;

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  /** Everything a kit makes, lightest first, with the loads as numbers. */
  private record Stock(List<Loading> all, long top) {
    long load(int at) {
      return all.get(at).total().nanograms();
    }

    long start() {
      return load(0);
    }

    int plates(int at) {
      return all.get(at).perSide().size();
    }

    int near(double aim) {
      return IntStream.range(0, all.size()).boxed().min(Comparator.comparingDouble(i -> Math.abs(load(i) - aim))).orElseThrow();
    }
  }

  /** What some last steps cost; infinite where they break a rule. */
  private static double cost(Stock stock, int[] steps, double[] aims) {
    double cost = 0;
    long upper = stock.top;
    long above = 0;
    for (int i = steps.length - 1; i >= -1; i--) {
      long load = i < 0 ? stock.start() : stock.load(steps[i]);
      double share = (double) load / stock.top;
      boolean wrongLast = i == steps.length - 1 && (share < 0.86 || share > 0.98);
      if (upper <= load || upper - load < above || i >= 0 && load <= stock.start() || wrongLast) {
        return Double.POSITIVE_INFINITY;
      }
      double off = i < 0 ? 0 : 100 * (share - aims[i]);
      cost += (upper - load == above ? EQUAL : 0) + off * off + (i < 0 ? 0 : 0.2 * stock.plates(steps[i]));
      above = upper - load;
      upper = load;
    }
    return cost;
  }

  private static double best(Stock stock, double[] aims, int[] steps, int i) {
    if (i == aims.length) {
      return cost(stock, steps, aims);
    }
    int near = stock.near(aims[i] * stock.top);
    double best = Double.POSITIVE_INFINITY;
    for (int at = Math.max(near - 3, 0); at <= Math.min(near + 3, stock.all.size() - 1); at++) {
      steps[i] = at;
      best = Math.min(best, best(stock, aims, steps, i + 1));
    }
    return best;
  }

  private static int at(Stock stock, Mass load) {
    return IntStream.range(0, stock.all.size()).filter(i -> stock.load(i) == load.nanograms()).findFirst().orElseThrow();
  }

  /** How many last steps there are to be, and what the best of them cost; null where there are none. */
  private record Finish(double[] aims, double cost) {
    static @Nullable Finish of(Stock stock) {
      Finish even = null;
      for (double[] aims : AIMS) {
        double cost = best(stock, aims, new int[aims.length], 0);
        if (cost < EQUAL) {
          return new Finish(aims, cost);
        }
        even = cost < Double.POSITIVE_INFINITY ? new Finish(aims, cost) : even;
      }
      return even;
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"25x8 20x1 15x1 10x2 5x2 2.5x1 1.25x1", "20x5 10x1 5x1 2.5x1", "25x4 10x1", "20x6 15x2", "50x4 5x1",
      "10x12", "25x6 20x1 15x1 10x1 5x1 2.5x1 1.25x1 0.5x1"})
  void noOtherRampIsBetterByTheRule(String plates) {
    List<PlateStock.Pairs> pairs = new ArrayList<>();
    for (String plate : plates.split(" ")) {
      pairs.add(new PlateStock.Pairs(kg(plate.split("x")[0]), Integer.parseInt(plate.split("x")[1])));
    }
    Loadables loadables = Loadables.of(new Kit(kg("20"), kg("0"), new PlateStock(MassUnit.KG, pairs)));
    List<Loading> all = loadables.between(kg("0"), kg("600"));
    int compared = 0;
    for (Loading top : all) {
      if (top.total().compareTo(kg("30")) < 0 || top.total().compareTo(kg("320")) > 0) {
        continue;
      }
      Stock stock = new Stock(all, top.total().nanograms());
      WarmUpRamp ramp = WarmUpRamp.to(top.total(), loadables, Movement.SQUAT, RampStyle.SHRINKING);
      Finish finish = Finish.of(stock);
      String name = top.total().text() + " from " + plates + ": " + ramp.steps().stream().map(step -> step.load().number()).toList();
      assertThat(ramp.note() == null).as(name).isEqualTo(finish != null);
      if (finish == null) {
        continue;
      }
      compared++;
      int[] steps = ramp.steps().stream().mapToInt(step -> at(stock, step.load())).toArray();
      int lower = steps.length - finish.aims.length;
      int[] last = Arrays.copyOfRange(steps, lower, steps.length);
      assertThat(cost(stock, last, finish.aims)).as(name).isCloseTo(finish.cost, offset(1e-9));
      assertLower(stock, steps, lower, name);
    }
    assertThat(compared).isPositive();
  }

  /** The first step is the start; those between are as many as fit, near even, of few plates. */
  private static void assertLower(Stock stock, int[] steps, int lower, String name) {
    assertThat(steps[0]).as(name).isZero();
    long first = stock.load(steps[lower]);
    long least = lower + 1 < steps.length ? stock.load(steps[lower + 1]) - first : stock.top - first;
    long gap = first - stock.start();
    long wanted = Math.max(Math.round(gap / (0.27 * stock.top)), (long) Math.ceil(gap / 70e12));
    int most = (int) Math.min(Math.min(wanted, 5), gap / least);
    for (int n = Math.max(most, 1); n > 1; n--) {
      double best = between(stock, new int[n - 1], 0, n, first, least);
      if (best < Double.POSITIVE_INFINITY) {
        assertThat(lower).as(name + ", steps below").isEqualTo(n);
        int[] taken = Arrays.copyOfRange(steps, 1, lower);
        assertThat(betweenCost(stock, taken, n, first, least)).as(name).isCloseTo(best, offset(1e-9));
        return;
      }
    }
    assertThat(lower).as(name + ", steps below").isEqualTo(1);
  }

  private static double between(Stock stock, int[] steps, int i, int n, long first, long least) {
    if (i == steps.length) {
      return betweenCost(stock, steps, n, first, least);
    }
    double spacing = (double) (first - stock.start()) / n;
    double aim = stock.start() + spacing * (i + 1);
    double best = Double.POSITIVE_INFINITY;
    for (int at : IntStream.range(0, stock.all.size()).boxed().filter(at -> Math.abs(stock.load(at) - aim) <= 0.4 * spacing)
        .sorted(Comparator.comparingDouble(at -> stock.plates(at) + Math.abs(stock.load(at) - aim) / spacing)).limit(8).toList()) {
      steps[i] = at;
      best = Math.min(best, between(stock, steps, i + 1, n, first, least));
    }
    return best;
  }

  private static double betweenCost(Stock stock, int[] steps, int n, long first, long least) {
    double spacing = (double) (first - stock.start()) / n;
    long from = stock.start();
    long jump = 0;
    double cost = 0;
    for (int i = 0; i < steps.length; i++) {
      double off = (stock.load(steps[i]) - stock.start() - spacing * (i + 1)) / spacing;
      jump = stock.load(steps[i]) - from;
      from = stock.load(steps[i]);
      cost += jump < least ? Double.POSITIVE_INFINITY : stock.plates(steps[i]) + 6 * off * off;
    }
    return first - from < least || first - from > jump ? Double.POSITIVE_INFINITY : cost;
  }
}

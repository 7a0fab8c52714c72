package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The search for the best ramp to one top, on the rungs of the ladder: numbers only, since every line of every page
 * asks for it.
 */
final class RampSearch {
  /** The last steps as shares of the top, the fullest way first; fewer for light tops and poor plates. */
  private static final double[][] AIMS = {{0.76, 0.885, 0.95}, {0.82, 0.93}, {0.92}};

  private static final int MOST_LOWER_JUMPS = 5;
  private static final double LOWER_JUMP_SHARE = 0.27;
  private static final Mass LOWER_JUMP_MOST = Mass.of("70", MassUnit.KG);
  /** How many loadings on each side of an aim are tried. */
  private static final int REACH = 3;
  /** How many loadings are tried for each lower step. */
  private static final int CANDIDATES = 8;
  /** The cost of a jump that does not shrink, more than any distance from the aims. */
  private static final double EQUAL_JUMP = 1_000;

  private final Loadables loadables;
  private final Loading start;
  private final long top;
  private final long startTotal;
  private int[] chosen = new int[0];
  private int[] best = new int[0];
  private boolean found;
  private double bestCost;

  RampSearch(Mass top, Loading start, Loadables loadables) {
    this.top = top.nanograms();
    this.start = start;
    this.startTotal = start.total().nanograms();
    this.loadables = loadables;
  }

  private void begin(int steps) {
    chosen = new int[steps];
    best = new int[steps];
    found = false;
    bestCost = Double.MAX_VALUE;
  }

  private void keep(double cost) {
    bestCost = cost;
    best = chosen.clone();
    found = true;
  }

  /** The last steps: the most that shrink at every jump, else the fewest that at least never grow; empty when none do. */
  int[] finish() {
    int[] even = new int[0];
    for (double[] aims : AIMS) {
      begin(aims.length);
      finish(aims, aims.length - 1, top, 0, 0);
      if (found && bestCost < EQUAL_JUMP) {
        return best;
      }
      even = found ? best : even;
    }
    return even;
  }

  // From the top downwards: each jump must be at least the one above it, strictly unless the plates force it.
  private void finish(double[] aims, int i, long upper, long jumpAbove, double cost) {
    if (cost >= bestCost) {
      return;
    }
    if (i < 0) {
      double rest = jumpCost(upper - startTotal, jumpAbove);
      if (cost + rest < bestCost) {
        keep(cost + rest);
      }
      return;
    }
    int near = loadables.rungNear(Math.round(aims[i] * top));
    // the nearest first, then by turns below and above
    for (int n = 0; n <= 2 * REACH; n++) {
      int rung = n % 2 == 1 ? near - (n + 1) / 2 : near + n / 2;
      if (rung >= 0 && rung < loadables.rungs()) {
        long load = loadables.totalAt(rung);
        double share = (double) load / top;
        boolean last = i == aims.length - 1;
        if (load > startTotal && load < upper && (!last || share >= WarmUpRamp.LAST_LEAST && share <= WarmUpRamp.LAST_MOST)) {
          double off = (share - aims[i]) * 100;
          chosen[i] = rung;
          finish(aims, i - 1, load, upper - load,
              cost + jumpCost(upper - load, jumpAbove) + off * off + 0.2 * loadables.platesAt(rung));
        }
      }
    }
  }

  private static double jumpCost(long jump, long jumpAbove) {
    if (jump < jumpAbove) {
      return Double.MAX_VALUE;
    }
    return jump == jumpAbove ? EQUAL_JUMP : 0;
  }

  /** The first step, convenient ones between, and the last steps. */
  List<Loading> withLower(int[] finish) {
    long first = loadables.totalAt(finish[0]);
    long least = finish.length > 1 ? loadables.totalAt(finish[1]) - first : top - first;
    long gap = first - startTotal;
    int jumps = (int) Math.max(
        Math.round(gap / (LOWER_JUMP_SHARE * top)), Math.ceil((double) gap / LOWER_JUMP_MOST.nanograms()));
    jumps = (int) Math.min(Math.min(jumps, MOST_LOWER_JUMPS), gap / Math.max(least, 1));
    List<Loading> all = new ArrayList<>();
    all.add(start);
    for (int n = Math.max(jumps, 1); n > 1; n--) {
      begin(n - 1);
      double spacing = (double) gap / n;
      int[][] near = new int[n - 1][];
      for (int i = 1; i < n; i++) {
        near[i - 1] = fewPlates(startTotal + spacing * i, spacing);
      }
      lower(near, 0, spacing, startTotal, 0, first, least, 0);
      if (found) {
        for (int rung : best) {
          all.add(loadables.at(rung));
        }
        break;
      }
    }
    for (int rung : finish) {
      all.add(loadables.at(rung));
    }
    return all;
  }

  private void lower(int[][] near, int i, double spacing, long from, long jumpBefore, long first, long least, double cost) {
    if (cost >= bestCost) {
      return;
    }
    if (i == near.length) {
      if (first - from >= least && first - from <= jumpBefore) {
        keep(cost);
      }
      return;
    }
    double aim = startTotal + spacing * (i + 1);
    for (int rung : near[i]) {
      long jump = loadables.totalAt(rung) - from;
      if (jump >= least) {
        double off = (loadables.totalAt(rung) - aim) / spacing;
        chosen[i] = rung;
        lower(near, i + 1, spacing, from + jump, jump, first, least, cost + loadables.platesAt(rung) + 6 * off * off);
      }
    }
  }

  /** Up to eight rungs around an aim, those with few plates first. */
  private int[] fewPlates(double aim, double spacing) {
    int from = loadables.rungNear(Math.round(Math.max(aim - 0.4 * spacing, 0)));
    int[] rungs = new int[CANDIDATES];
    double[] costs = new double[CANDIDATES];
    int count = 0;
    for (int rung = from; rung < loadables.rungs() && loadables.totalAt(rung) <= aim + 0.4 * spacing; rung++) {
      double cost = loadables.platesAt(rung) + Math.abs(loadables.totalAt(rung) - aim) / spacing;
      int place = count;
      while (place > 0 && costs[place - 1] > cost) {
        place--;
      }
      if (place < CANDIDATES && loadables.totalAt(rung) >= aim - 0.4 * spacing) {
        int end = Math.min(count, CANDIDATES - 1);
        System.arraycopy(rungs, place, rungs, place + 1, end - place);
        System.arraycopy(costs, place, costs, place + 1, end - place);
        rungs[place] = rung;
        costs[place] = cost;
        count = Math.min(count + 1, CANDIDATES);
      }
    }
    return Arrays.copyOf(rungs, count);
  }
}

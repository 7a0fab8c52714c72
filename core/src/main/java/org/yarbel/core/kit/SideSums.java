package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.yarbel.core.mass.Mass;

/**
 * Every sum that plates of one unit make on one side of a bar, with the fewest plates of each (of equally few, the
 * heavier first plate).
 *
 * <p>The stock is limited, so taking the heaviest plate that fits is wrong; the table is searched completely once, by
 * dynamic programming over the sums, and then answers by look-ups.
 */
final class SideSums {
  private static final long MAX_SIDE = Mass.of("520", org.yarbel.core.mass.MassUnit.KG).nanograms();
  private static final int UNREACHED = Integer.MAX_VALUE / 2;

  /** Heaviest first. */
  private final List<PlateStock.Pairs> plates;
  private final long step;
  /** For each plate size, lightest first, and each sum in steps: how many of that size it takes. */
  private final byte[][] taken;
  private final int[] fewest;
  /** The sums that can be loaded, in steps, rising. */
  private final int[] sums;

  private SideSums(List<PlateStock.Pairs> plates, long step, byte[][] taken, int[] fewest) {
    this.plates = plates;
    this.step = step;
    this.taken = taken;
    this.fewest = fewest;
    this.sums = IntStream.range(0, fewest.length).filter(s -> fewest[s] < UNREACHED).toArray();
  }

  /** Searches all the sums of plates of one unit, given heaviest first. */
  static SideSums of(List<PlateStock.Pairs> plates) {
    long step = 0;
    long sum = 0;
    for (PlateStock.Pairs pairs : plates) {
      step = gcd(pairs.size().nanograms(), step);
      sum += pairs.size().nanograms() * pairs.pairs();
    }
    if (plates.isEmpty()) {
      return new SideSums(plates, 1, new byte[0][], new int[] {0});
    }
    int states = Math.toIntExact(Math.min(sum, MAX_SIDE) / step) + 1;
    int[] fewest = new int[states];
    Arrays.fill(fewest, UNREACHED);
    fewest[0] = 0;
    byte[][] taken = new byte[plates.size()][];
    int reached = 0;
    for (int i = 0; i < plates.size(); i++) {
      PlateStock.Pairs pairs = plates.get(plates.size() - 1 - i);
      int size = (int) (pairs.size().nanograms() / step);
      taken[i] = new byte[states];
      int most = (int) Math.min((long) reached + (long) size * pairs.pairs(), states - 1L);
      fewest = withSize(fewest, size, pairs.pairs(), most, taken[i]);
      reached = most;
    }
    return new SideSums(plates, step, taken, fewest);
  }

  // Sizes come lightest first, so of equally few plates the choice with more of this size has the heavier first plate.
  // Sums that differ by whole plates of this size form a row; along it the best number of them is a minimum over the last
  // so many places, which a queue of candidates gives in one pass.
  private static int[] withSize(int[] fewest, int size, int pairs, int most, byte[] taken) {
    int[] next = fewest.clone();
    int[] queue = new int[most / size + 1];
    for (int start = 0; start < size && start <= most; start++) {
      int head = 0;
      int tail = 0;
      int last = (most - start) / size;
      for (int place = 0; place <= last; place++) {
        int sum = start + place * size;
        int own = fewest[sum] - place;
        while (tail > head && fewest[start + queue[tail - 1] * size] - queue[tail - 1] > own) {
          tail--;
        }
        queue[tail++] = place;
        if (queue[head] < place - pairs) {
          head++;
        }
        int from = queue[head];
        int count = fewest[start + from * size] - from + place;
        if (from < place && count < UNREACHED) {
          next[sum] = count;
          taken[sum] = (byte) (place - from);
        }
      }
    }
    return next;
  }

  int size() {
    return sums.length;
  }

  /** The sum at an index, in nanograms; rising. */
  long sum(int index) {
    return sums[index] * step;
  }

  /** How many plates the sum at an index takes. */
  int count(int index) {
    return fewest[sums[index]];
  }

  /** The index of a sum that can be loaded. */
  int indexOf(long nanograms) {
    return Arrays.binarySearch(sums, Math.toIntExact(nanograms / step));
  }

  /** The fewest plates that make the sum at an index, heaviest first. */
  List<Mass> plates(int index) {
    List<Mass> found = new ArrayList<>();
    int left = sums[index];
    for (int i = taken.length - 1; i >= 0; i--) {
      Mass size = plates.get(taken.length - 1 - i).size();
      int n = taken[i][left];
      for (int k = 0; k < n; k++) {
        found.add(size);
      }
      left -= (int) (size.nanograms() / step) * n;
    }
    return found;
  }

  private static long gcd(long a, long b) {
    return b == 0 ? a : gcd(b, a % b);
  }
}

package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * The totals that planning uses where kilogram and pound plates mix on one bar: every sum of the own plates, and mixed ones that
 * lie {@value #SPACING_GRAMS} g or more from every other, those with the fewest plates first.
 *
 * @param mixes by what they weigh, rising
 * @param leavesOut whether there were more mixes than are looked at, so that some may lack
 */
record MixedLadder(List<Mix> mixes, boolean leavesOut) {
  static final long SPACING_GRAMS = 500;

  private static final long SPACING = SPACING_GRAMS * 1_000_000_000L;
  /** So many pairs of sums are looked at, in a fraction of a second; an ordinary gym of both units has some 200,000. */
  private static final int MOST_MIXES = 8_000_000;

  /**
   * A sum of own plates and one of others, by their indexes.
   *
   * @param side what both weigh, in nanograms
   */
  record Mix(int own, int other, long side) {}

  /** Searches it. */
  static MixedLadder of(SideSums own, SideSums other) {
    List<Mix> kept = new ArrayList<>();
    long most = Math.max(own.sum(own.size() - 1), other.sum(other.size() - 1));
    Room room = new Room(2 * most);
    for (int i = 0; i < own.size(); i++) {
      room.take(2 * own.sum(i));
      kept.add(new Mix(i, 0, own.sum(i)));
    }
    List<List<Integer>> ownByCount = byCount(own);
    List<List<Integer>> otherByCount = byCount(other);
    int looked = 0;
    for (int plates = 1; looked < MOST_MIXES && plates <= ownByCount.size() + otherByCount.size() - 2; plates++) {
      for (int ofOther = Math.max(1, plates - ownByCount.size() + 1); ofOther <= Math.min(plates, otherByCount.size() - 1); ofOther++) {
        for (int j : otherByCount.get(ofOther)) {
          if (looked >= MOST_MIXES) {
            break;
          }
          looked += ownByCount.get(plates - ofOther).size();
          for (int i : ownByCount.get(plates - ofOther)) {
            long both = own.sum(i) + other.sum(j);
            if (both <= most && room.has(2 * both)) {
              room.take(2 * both);
              kept.add(new Mix(i, j, both));
            }
          }
        }
      }
    }
    kept.sort(Comparator.comparingLong(Mix::side));
    return new MixedLadder(kept, looked >= MOST_MIXES);
  }

  /** The sums by how many plates they take. */
  private static List<List<Integer>> byCount(SideSums sums) {
    List<List<Integer>> byCount = new ArrayList<>();
    for (int i = 0; i < sums.size(); i++) {
      while (byCount.size() <= sums.count(i)) {
        byCount.add(new ArrayList<>());
      }
      byCount.get(sums.count(i)).add(i);
    }
    return byCount;
  }

  /** Where a total has no other within the spacing: cells of that width, each with its lowest and highest total. */
  private static final class Room {
    private final long[] lowest;
    private final long[] highest;

    Room(long most) {
      int cells = Math.toIntExact(most / SPACING) + 3;
      lowest = new long[cells];
      highest = new long[cells];
      Arrays.fill(lowest, Long.MAX_VALUE);
      Arrays.fill(highest, Long.MIN_VALUE);
    }

    boolean has(long total) {
      int cell = cell(total);
      return lowest[cell] == Long.MAX_VALUE
          && (highest[cell - 1] == Long.MIN_VALUE || total - highest[cell - 1] >= SPACING)
          && (lowest[cell + 1] == Long.MAX_VALUE || lowest[cell + 1] - total >= SPACING);
    }

    void take(long total) {
      int cell = cell(total);
      lowest[cell] = Math.min(lowest[cell], total);
      highest[cell] = Math.max(highest[cell], total);
    }

    // one cell is free below the first
    private static int cell(long total) {
      return (int) (total / SPACING) + 1;
    }
  }
}

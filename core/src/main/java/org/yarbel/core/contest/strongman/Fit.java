package org.yarbel.core.contest.strongman;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Whether so many rivals can do a task at once, each with a place of their own in each event left. Both rivals and places are numbered
 * from 0, the one that makes it easier first; whoever can do it with two places can do it with places that help more.
 *
 * <p>The rival with the hardest task is served first: each place of the first event in turn, and of the second the least helpful that
 * will do, since what helps more is then left to the others. All places are given away, so that no more help can be wasted on one rival
 * than there is over for all; what wastes least is tried first, and what failed once not again.
 */
final class Fit {
  /** A dozen athletes never come near it. Beyond it they are said to fit: what is sure is then still sure, what is open may not be. */
  private static final int MOST_TRIED = 20_000;

  private final int rivals;
  private final Reach reach;
  private final Set<Long> failed = new HashSet<>();
  private final long[] needs;

  /**
   * What places do for the rivals.
   *
   * @param second by rival and place in the first event: the least helpful place in the second event that will do; −1 where none does
   * @param help by place in the first and in the second event: how much they help together, on a scale on which both add up
   */
  record Reach(int[][] second, long[][] help) {}

  private record Pair(int first, int second, long wasted) {}

  Fit(int rivals, Reach reach) {
    this.rivals = rivals;
    this.reach = reach;
    this.needs = new long[rivals];
  }

  /** With one event left: the hardest task gets what helps most. */
  boolean fitsInOne() {
    for (int rival = 0; rival < rivals; rival++) {
      if (reach.second()[rival][rivals - 1 - rival] < 0) {
        return false;
      }
    }
    return true;
  }

  /** With two events left. */
  boolean fitsInTwo() {
    long over = 0;
    for (int rival = rivals - 1; rival >= 0; rival--) {
      long least = leastNeed(rival);
      if (least == Long.MAX_VALUE) {
        return false;
      }
      needs[rival] = least;
      int nth = rivals - 1 - rival;
      over += reach.help()[nth][nth] - least;
      if (over < 0) {
        return false;
      }
    }
    return served(rivals - 1, 0, 0, over);
  }

  private long leastNeed(int rival) {
    long least = Long.MAX_VALUE;
    for (int first = 0; first < rivals; first++) {
      int second = least(rival, first, 0);
      if (second >= 0) {
        least = Math.min(least, reach.help()[first][second]);
      }
    }
    return least;
  }

  /** The places given away are bits. */
  private boolean served(int rival, int first, int second, long over) {
    if (rival < 0 || failed.size() >= MOST_TRIED) {
      return true;
    }
    long given = (long) first << Integer.SIZE | second;
    if (failed.contains(given)) {
      return false;
    }
    for (Pair pair : pairs(rival, first, second, over)) {
      if (served(rival - 1, first | 1 << pair.first(), second | 1 << pair.second(), over - pair.wasted())) {
        return true;
      }
    }
    failed.add(given);
    return false;
  }

  private List<Pair> pairs(int rival, int first, int second, long over) {
    List<Pair> pairs = new ArrayList<>();
    for (int place = 0; place < rivals; place++) {
      int other = (first & 1 << place) == 0 ? least(rival, place, second) : -1;
      long wasted = other < 0 ? 0 : reach.help()[place][other] - needs[rival];
      if (other >= 0 && wasted <= over) {
        pairs.add(new Pair(place, other, wasted));
      }
    }
    pairs.sort(Comparator.comparingLong(Pair::wasted));
    return pairs;
  }

  /** The least helpful place of the second event that is free and will do; −1 for none. */
  private int least(int rival, int first, int second) {
    int most = Math.min(reach.second()[rival][first], rivals - 1);
    int free = ~second & (1 << most + 1) - 1;
    return free == 0 ? -1 : Integer.SIZE - 1 - Integer.numberOfLeadingZeros(free);
  }
}

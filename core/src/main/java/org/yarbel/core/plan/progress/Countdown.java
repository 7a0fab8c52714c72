package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.OptionalInt;

/**
 * The days that are left to a contest when an exposure is lifted.
 *
 * @param days from the exposure to the contest; 0 on its day, under 0 behind it
 * @param all the same of every exposure of the method, so that it can tell which is the last heavy one
 */
public record Countdown(int days, List<Integer> all) {
  private static final int WEEK = 7;

  public Countdown {
    all = List.copyOf(all);
  }

  /**
   * The exposure that is the last heavy one, by the days it is out: the nearest to the contest among those of the window;
   * where none falls into it, the nearest before it.
   *
   * @param nearest so many days out it may be at the latest
   */
  OptionalInt lastHeavy(int nearest) {
    return all.stream().mapToInt(Integer::intValue).filter(out -> out >= nearest).min();
  }

  /** Whole weeks from this exposure to the contest: 0 in the last seven days. */
  int weeks() {
    return Math.floorDiv(days - 1, WEEK);
  }
}

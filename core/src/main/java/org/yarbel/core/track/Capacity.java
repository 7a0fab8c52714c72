package org.yarbel.core.track;

import org.yarbel.core.effort.RepMaxCurve;

/**
 * The house curve as the tracker needs it: how far over a load the max must be, in ln, for a number of reps to failure.
 *
 * <p>0 at one rep, 0.051293 at two (95 %). Straight between whole reps, with Epley's formula from 11 on up to 30; beyond, and
 * under one rep, the last piece goes on. It says nothing of how sure that is.
 */
final class Capacity {
  static final int MOST_REPS = 30;
  private static final double[] OVER = new double[MOST_REPS + 1];

  static {
    for (int reps = 1; reps <= MOST_REPS; reps++) {
      OVER[reps] = -Math.log(RepMaxCurve.HOUSE.formula(reps));
    }
  }

  private Capacity() {}

  /** How far the max must be over a load, in ln, for so many reps to failure. */
  static double over(double reps) {
    int below = piece(reps);
    return OVER[below] + (reps - below) * (OVER[below + 1] - OVER[below]);
  }

  /** How fast {@link #over} rises at so many reps. */
  static double steep(double reps) {
    int below = piece(reps);
    return OVER[below + 1] - OVER[below];
  }

  /** The reps to failure with a max so far over the load; under one where it is below. */
  static double repsAt(double over) {
    if (over <= 0) {
      return 1 + over / OVER[2];
    }
    int below = 1;
    while (below < MOST_REPS - 1 && OVER[below + 1] < over) {
      below++;
    }
    return below + (over - OVER[below]) / (OVER[below + 1] - OVER[below]);
  }

  private static int piece(double reps) {
    return (int) Math.min(Math.max(Math.floor(reps), 1), MOST_REPS - 1);
  }
}

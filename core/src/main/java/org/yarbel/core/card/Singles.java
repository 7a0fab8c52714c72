package org.yarbel.core.card;

import org.yarbel.core.mass.Mass;

/** What is said about many singles of one load while they are counted. Common practice, no source. */
public final class Singles {
  /** A round of fewer singles than this was too heavy. */
  public static final int FEW_IN_A_ROUND = 4;

  private static final double LIGHTER = 0.95;

  private Singles() {}

  /** From how many singles on a round was heavy enough and not too heavy; a shorter round has to be made whole. */
  public static int enough(int asked) {
    return Math.min(asked, FEW_IN_A_ROUND);
  }

  /** The load after a round with too few. */
  public static Mass lighter(Mass load) {
    return load.scaled(LIGHTER);
  }

  /** The advice after a round with too few. */
  public static String afterFew() {
    return "under four: 5 % lighter next time";
  }

  /** The advice before as many singles as go in a time. */
  public static String beforeDensity() {
    return "begin with 30 s between";
  }
}

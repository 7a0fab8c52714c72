package org.yarbel.core.plan;

/**
 * The zones of intensity with how many reps of one lift a session bears: Prilepin's table.
 *
 * <p>Source: A. S. Prilepin, the table for weightlifters as it is handed on in the trade; figures from memory. Over 90 %
 * some prints give 7 as the best number.
 */
public enum Zone {
  UNDER_70("under 70 %", 0, 18, 30, 24),
  FROM_70("70–80 %", 70, 12, 24, 18),
  FROM_80("80–90 %", 80, 10, 20, 15),
  FROM_90("90 % and over", 90, 4, 10, 4);

  private static final double TOLERANCE = 1e-9;

  private final String word;
  private final int from;
  private final int fewest;
  private final int most;
  private final int best;

  Zone(String word, int from, int fewest, int most, int best) {
    this.word = word;
    this.from = from;
    this.fewest = fewest;
    this.most = most;
    this.best = best;
  }

  /** The zone of a share of the max, in percent from 0. */
  public static Zone of(double percent) {
    Zone zone = UNDER_70;
    for (Zone next : values()) {
      if (percent >= next.from - TOLERANCE) {
        zone = next;
      }
    }
    return zone;
  }

  /** The words a person reads: {@code 70–80 %}. */
  public String word() {
    return word;
  }

  /** The least reps a session that means to train it has. */
  public int fewest() {
    return fewest;
  }

  /** The most reps a session bears. */
  public int most() {
    return most;
  }

  /** The number that is held to be best. */
  public int best() {
    return best;
  }
}

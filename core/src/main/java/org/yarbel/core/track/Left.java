package org.yarbel.core.track;

import org.yarbel.core.mass.Refused;

/**
 * How many reps a set looked to have left.
 *
 * @param least of them, 0 for none at all
 * @param most of them; infinite where nobody could tell
 */
public record Left(double least, double most) {
  public Left {
    if (!(least >= 0 && most >= least)) {
      throw new Refused("At least " + least + " reps left are more than at most " + most);
    }
  }

  /** So many or more. */
  public static Left atLeast(double least) {
    return new Left(least, Double.POSITIVE_INFINITY);
  }

  /** So many or fewer. */
  public static Left atMost(double most) {
    return new Left(0, most);
  }
}

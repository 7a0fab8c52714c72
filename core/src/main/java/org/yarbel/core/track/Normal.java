package org.yarbel.core.track;

import org.apache.commons.numbers.gamma.Erfc;

/** The standard normal distribution. */
final class Normal {
  private static final double ROOT_TWO_PI = Math.sqrt(2 * Math.PI);
  private static final double ROOT_TWO = Math.sqrt(2);
  /** Below this the ratio is taken from its series: numerator and denominator are both too small. */
  private static final double TAIL = -8;

  private Normal() {}

  /** Φ(t), to fifteen places also where it is small. */
  static double below(double t) {
    return 0.5 * Erfc.value(-t / ROOT_TWO);
  }

  /** φ(t). */
  static double density(double t) {
    return Math.exp(-t * t / 2) / ROOT_TWO_PI;
  }

  /** φ(t)/Φ(t): how far the mean of what lies above −t is from 0. */
  static double ratio(double t, double below) {
    return t < TAIL ? -t - 1 / t + 2 / (t * t * t) : density(t) / below;
  }
}

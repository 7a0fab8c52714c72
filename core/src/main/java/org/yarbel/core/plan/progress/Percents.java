package org.yarbel.core.plan.progress;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Percentages as rules write them. */
final class Percents {
  private Percents() {}

  /** To the nearest half, the upper of two equally near. */
  static double toHalf(double percent) {
    return Math.floor(2 * percent + 0.5) / 2;
  }

  /** Without trailing zeros: {@code 82.5}. */
  static String text(double number) {
    BigDecimal rounded = BigDecimal.valueOf(number).setScale(2, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0, RoundingMode.UNNECESSARY).toPlainString() : rounded.toPlainString();
  }

  /** The value of step {@code at} of {@code steps} that rise evenly from one end to the other, to the nearest half. */
  static double between(double from, double to, int at, int steps) {
    return toHalf(steps < 2 ? from : from + (to - from) * at / (steps - 1));
  }
}

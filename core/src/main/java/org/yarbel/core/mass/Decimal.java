package org.yarbel.core.mass;

import java.math.BigDecimal;

/**
 * Reads decimal numbers that come from outside, such as '142.5'.
 *
 * <p>A number has at most {@value #MOST_DIGITS} digits, and its last digit stands at most {@value #MOST_SCALE} places from the
 * point. What is larger or finer is refused before anything is computed with it: a few letters such as {@code 1e-10000000} name
 * a number whose sums take minutes. It models no range of meaning: what a load or a rating may be is asked of their own types.
 */
public final class Decimal {
  /** The most digits of a number. */
  public static final int MOST_DIGITS = 30;
  /** How many places from the point its last digit may stand, on either side. */
  public static final int MOST_SCALE = 30;

  private static final int MOST_CHARACTERS = 64;

  private Decimal() {}

  /**
   * Reads a number in digits, with a point and an exponent where it has them.
   *
   * @throws NumberFormatException when it is none, or has too many digits
   */
  public static BigDecimal parse(String text) {
    String plain = text.strip();
    if (plain.length() > MOST_CHARACTERS) {
      throw new NumberFormatException("The number has more than " + MOST_CHARACTERS + " characters");
    }
    return bounded(new BigDecimal(plain));
  }

  /**
   * The number itself when it has no more digits than any sum here can be asked for.
   *
   * @throws NumberFormatException when it has
   */
  public static BigDecimal bounded(BigDecimal number) {
    if (!fits(number)) {
      throw new NumberFormatException("The number must have at most " + MOST_DIGITS + " digits, the last at most " + MOST_SCALE
          + " places from the point");
    }
    return number;
  }

  /** Whether a number has no more digits than any sum here can be asked for. */
  public static boolean fits(BigDecimal number) {
    // the scale first: to count the digits of a number is quick, to write one out is not
    return Math.abs((long) number.scale()) <= MOST_SCALE && number.precision() <= MOST_DIGITS;
  }
}

package org.yarbel.core.mass;

/** So many of something in words. */
public final class Count {
  private Count() {}

  /** {@code 1 week}, {@code 3 weeks}. */
  public static String of(long number, String one) {
    return number + " " + one + (number == 1 ? "" : "s");
  }
}

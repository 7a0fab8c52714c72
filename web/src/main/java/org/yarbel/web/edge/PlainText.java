package org.yarbel.web.edge;

/** Text as a person can have typed it: without NUL and without halves of signs, which no database column and no page can hold. */
public final class PlainText {
  private PlainText() {}

  /** The text without them. */
  public static String of(String text) {
    return clean(text) ? text : text.codePoints().filter(PlainText::good)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
  }

  private static boolean clean(String text) {
    return text.codePoints().allMatch(PlainText::good);
  }

  // the half of a pair that stands alone comes as a code point of its own
  private static boolean good(int sign) {
    return sign != 0 && (sign < Character.MIN_SURROGATE || sign > Character.MAX_SURROGATE);
  }
}

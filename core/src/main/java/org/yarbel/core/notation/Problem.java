package org.yarbel.core.notation;

/**
 * What is wrong with a line, and where.
 *
 * @param from the first UTF-16 unit of the place in the typed text
 * @param to the unit behind the last; equal to {@code from} at the end of the text
 * @param message a plain sentence that says what would be right
 */
public record Problem(int from, int to, String message) {
  /** A problem at a span. */
  public static Problem at(Span span, String message) {
    return new Problem(span.from(), span.to(), message);
  }
}

package org.yarbel.web.api;

/** Thrown for a value that is described but out of its range: 422. */
final class OutOfRange extends RuntimeException {
  private static final long serialVersionUID = 1;

  OutOfRange(String message) {
    super(message, null, false, false);
  }
}

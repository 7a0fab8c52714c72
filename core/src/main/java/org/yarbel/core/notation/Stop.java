package org.yarbel.core.notation;

/** A problem that ends the part it stands in. */
final class Stop extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient Problem problem;

  Stop(Span span, String message) {
    super(message, null, false, false);
    this.problem = Problem.at(span, message);
  }

  Problem problem() {
    return problem;
  }
}

package org.yarbel.web.problem;

/** Thrown for what does not exist for who asks: an unknown id, another club's, or another lifter's. All look the same. */
public final class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1;

  public NotFound() {
    super("There is nothing at this address.", null, false, false);
  }
}

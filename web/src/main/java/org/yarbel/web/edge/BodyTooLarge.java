package org.yarbel.web.edge;

import java.io.IOException;

/** Thrown where a body is read beyond its limit. */
public final class BodyTooLarge extends IOException {
  private static final long serialVersionUID = 1;

  private final long most;

  BodyTooLarge(long most) {
    super("The body has more than " + most + " bytes");
    this.most = most;
  }

  /** How many bytes it may have. */
  public long most() {
    return most;
  }
}

package org.yarbel.core.records;

import java.io.Serial;

/** A row that cannot be read, with the reason as a person is told it. */
public final class Unreadable extends Exception {
  @Serial private static final long serialVersionUID = 1;

  Unreadable(String reason) {
    super(reason, null, false, false);
  }

  /** Why. */
  public String reason() {
    return getMessage();
  }
}

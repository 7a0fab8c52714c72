package org.yarbel.core.watch;

import java.util.Locale;

/** How much a finding matters. */
public enum Severity {
  /** Good to know. */
  NOTE,
  /** Worth a second thought. */
  DOUBT,
  /** Cannot be meant, or somebody may be hurt. */
  STOP;

  /** The word a person reads: {@code doubt}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}

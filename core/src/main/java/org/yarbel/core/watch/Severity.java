package org.yarbel.core.watch;

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
    return name().toLowerCase(java.util.Locale.ROOT);
  }
}

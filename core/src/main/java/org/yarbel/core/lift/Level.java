package org.yarbel.core.lift;

import java.util.Locale;

/** How far a lifter has come in one lift; judged per lift, since the same person may be new to another. */
public enum Level {
  BEGINNER,
  INTERMEDIATE,
  ADVANCED;

  /** The word a person reads: {@code beginner}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}

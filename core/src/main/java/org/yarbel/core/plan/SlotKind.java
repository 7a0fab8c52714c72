package org.yarbel.core.plan;

import java.util.Locale;

/** What a slot is for in its session. */
public enum SlotKind {
  PREPARE,
  MAIN,
  SECOND,
  ASSISTANCE,
  CONDITIONING,
  COOL_DOWN;

  /** The word a person reads: {@code cool-down}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether it is a lift the session is about: a main or a second one. */
  public boolean mainWork() {
    return this == MAIN || this == SECOND;
  }

  /** Whether it counts as training and not as getting ready or winding down. */
  public boolean counts() {
    return this != PREPARE && this != COOL_DOWN;
  }
}

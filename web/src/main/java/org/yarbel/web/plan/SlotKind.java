package org.yarbel.web.plan;

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
}

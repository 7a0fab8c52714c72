package org.yarbel.core.card;

import java.util.Locale;

/** What a set is for; the skyline draws each in its own pattern. */
public enum Role {
  STRAIGHT,
  TOP,
  BACKOFF,
  /** A step of a build-up; the last that is done counts. */
  BUILD,
  MAX,
  OPEN,
  PLUS,
  CLUSTER,
  DENSITY,
  EMOM,
  NEGATIVE,
  HOLD,
  CARRY,
  TIMED,
  SERIES,
  /** A written warm-up: no back-off ever follows it. */
  WARM;

  private final String key = name().toLowerCase(Locale.ROOT);

  /** The name in the API: the constant in small letters. */
  public String key() {
    return key;
  }
}

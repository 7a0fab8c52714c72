package org.yarbel.core.card;

import java.util.Locale;

/** What a set is for; the skyline draws each in its own pattern. */
public enum Role {
  STRAIGHT,
  TOP,
  BACKOFF,
  OPEN,
  PLUS;

  /** The name in the API: the constant in small letters. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }
}

package org.yarbel.core.call;

import java.util.Locale;

/** How sure a call is: by how many exposures agree. Our own default. */
public enum Confidence {
  LOW,
  MEDIUM,
  HIGH;

  /** Of so many exposures that agree: one, two, three and more. */
  public static Confidence of(int exposures) {
    if (exposures >= 3) {
      return HIGH;
    }
    return exposures == 2 ? MEDIUM : LOW;
  }

  /** The word a person reads: {@code medium}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}

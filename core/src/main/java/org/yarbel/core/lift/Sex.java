package org.yarbel.core.lift;

import java.util.Locale;

/** The sex a published formula or threshold is given for. */
public enum Sex {
  FEMALE("f"),
  MALE("m");

  private final String symbol;

  Sex(String symbol) {
    this.symbol = symbol;
  }

  /** The letter in the API and in links: {@code f} or {@code m}. */
  public String symbol() {
    return symbol;
  }

  /** The word a person reads: {@code female}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}

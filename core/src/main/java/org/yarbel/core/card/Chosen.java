package org.yarbel.core.card;

/** Which of several loads that stood beside each other on the Card was taken for a set. */
public enum Chosen {
  /** The planned load, although the top set was missed. */
  PLANNED("as planned"),
  TOP_SET("from the top set"),
  TODAY("from today's max"),
  CUT("10 % lighter after the miss"),
  LIGHTER("lighter, a low day"),
  CAPPED("capped, a low day"),
  TECHNIQUE("light technique, a low day");

  private final String word;

  Chosen(String word) {
    this.word = word;
  }

  /** Whether the whole session was made easier than planned, whose targets say nothing of its sets then. */
  public boolean easierDay() {
    return this == LIGHTER || this == CAPPED || this == TECHNIQUE;
  }

  /** As it is read: {@code from today's max}. */
  public String word() {
    return word;
  }
}

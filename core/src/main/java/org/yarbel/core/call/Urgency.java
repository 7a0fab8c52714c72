package org.yarbel.core.call;

/** What comes first in a list of calls. */
public enum Urgency {
  /** It hurts, or somebody should mind something before the next rep. */
  CAUTION("caution"),
  /** Something was missed. */
  MISS("missed"),
  /** It has to be decided this week. */
  DUE("due this week"),
  /** All else. */
  REST("when there is time");

  private final String word;

  Urgency(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code due this week}. */
  public String word() {
    return word;
  }
}

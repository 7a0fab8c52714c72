package org.yarbel.core.log;

/**
 * In what state a set was lifted, where that was not as usual. Each of them makes the set a poor witness of strength: the tracker
 * counts it less.
 */
public enum Context {
  NO_BELT("no belt"),
  SHORT_SLEEP("short sleep"),
  ILL("ill"),
  PAIN("pain"),
  OTHER_GEAR("other bar or gear"),
  OTHER_PLACE("other place"),
  HURRY("in a hurry"),
  SOMETHING_ELSE("something else");

  private final String word;

  Context(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code short sleep}. */
  public String word() {
    return word;
  }
}

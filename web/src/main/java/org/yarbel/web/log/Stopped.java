package org.yarbel.web.log;

/** What ended singles against the clock before the time was up. */
public enum Stopped {
  MISS("a miss ended it"),
  CHOICE("stopped by choice");

  private final String word;

  Stopped(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }
}

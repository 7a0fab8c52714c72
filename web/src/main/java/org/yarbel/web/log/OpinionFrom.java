package org.yarbel.web.log;

/** What a second opinion about a rating comes from. */
public enum OpinionFrom {
  SEEN("saw it"),
  CLIP("saw the clip");

  private final String word;

  OpinionFrom(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code saw the clip}. */
  public String word() {
    return word;
  }
}

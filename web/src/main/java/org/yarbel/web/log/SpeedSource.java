package org.yarbel.web.log;

/** Where the speed of a set comes from. */
public enum SpeedSource {
  TYPED("typed"),
  CLIP("from a clip"),
  DEVICE("from a device");

  private final String word;

  SpeedSource(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code from a clip}. */
  public String word() {
    return word;
  }
}

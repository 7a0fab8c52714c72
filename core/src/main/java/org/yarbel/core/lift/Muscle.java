package org.yarbel.core.lift;

/** The muscles that volume is counted for, as coarse as a coach counts them. */
public enum Muscle {
  QUADS("quads"),
  HAMSTRINGS("hamstrings"),
  GLUTES("glutes"),
  CALVES("calves"),
  LOWER_BACK("lower back"),
  UPPER_BACK("upper back"),
  LATS("lats"),
  CHEST("chest"),
  SHOULDERS("shoulders"),
  TRICEPS("triceps"),
  BICEPS("biceps"),
  GRIP("grip"),
  TRUNK("trunk");

  private final String word;

  Muscle(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code lower back}. */
  public String word() {
    return word;
  }
}

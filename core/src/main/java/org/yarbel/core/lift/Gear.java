package org.yarbel.core.lift;

/** What is worn or held to lift more; what is normal for a lifter is no context flag. */
public enum Gear {
  BELT("belt"),
  KNEE_SLEEVES("knee sleeves"),
  KNEE_WRAPS("knee wraps"),
  WRIST_WRAPS("wrist wraps"),
  ELBOW_SLEEVES("elbow sleeves"),
  STRAPS("straps"),
  SQUAT_SUIT("squat suit"),
  BENCH_SHIRT("bench shirt"),
  DEADLIFT_SUIT("deadlift suit");

  private final String word;

  Gear(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code knee sleeves}. */
  public String word() {
    return word;
  }
}

package org.yarbel.core.lift;

/** What is worn, or how the bar is held, to lift more; what is normal for a lifter is no context flag. */
public enum Gear {
  BELT("belt"),
  KNEE_SLEEVES("knee sleeves"),
  KNEE_WRAPS("knee wraps"),
  WRIST_WRAPS("wrist wraps"),
  ELBOW_SLEEVES("elbow sleeves"),
  STRAPS("straps"),
  SQUAT_SUIT("squat suit"),
  BENCH_SHIRT("bench shirt"),
  DEADLIFT_SUIT("deadlift suit"),
  HOOK_GRIP("hook grip"),
  MIXED_GRIP("mixed grip");

  private final String word;

  Gear(String word) {
    this.word = word;
  }

  /** Whether it is worn for a lift at all; common practice, no source. */
  public boolean serves(Lift lift) {
    boolean event = switch (lift.pattern()) {
      case CARRY, LOADING, DRAG -> true;
      default -> false;
    };
    return serves(lift.movement()) || event && (this == BELT || this == KNEE_SLEEVES || this == ELBOW_SLEEVES);
  }

  /** Whether it is worn for the lifts of a family. */
  public boolean serves(Movement movement) {
    return switch (this) {
      case BELT -> movement == Movement.SQUAT || movement == Movement.PRESS || movement == Movement.DEADLIFT;
      case KNEE_SLEEVES -> movement == Movement.SQUAT || movement == Movement.DEADLIFT;
      case KNEE_WRAPS, SQUAT_SUIT -> movement == Movement.SQUAT;
      case WRIST_WRAPS, ELBOW_SLEEVES -> movement == Movement.BENCH || movement == Movement.PRESS || movement == Movement.SQUAT;
      case STRAPS, DEADLIFT_SUIT, HOOK_GRIP, MIXED_GRIP -> movement == Movement.DEADLIFT;
      case BENCH_SHIRT -> movement == Movement.BENCH;
    };
  }

  /** Whether it is a way to hold the bar, which no rule book forbids. */
  public boolean grip() {
    return this == HOOK_GRIP || this == MIXED_GRIP;
  }

  /** The words a person reads: {@code knee sleeves}. */
  public String word() {
    return word;
  }
}

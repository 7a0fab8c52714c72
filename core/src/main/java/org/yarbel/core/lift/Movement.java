package org.yarbel.core.lift;

/** The family a lift belongs to; it decides where its warm-up starts and how it is named among the main lifts. */
public enum Movement {
  SQUAT,
  BENCH,
  PRESS,
  DEADLIFT,
  OTHER;

  /** Whether the bar starts on the floor, so that full-size plates set its height from the first step on. */
  public boolean fromFloor() {
    return this == DEADLIFT;
  }
}

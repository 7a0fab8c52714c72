package org.yarbel.core.plan.progress;

import org.yarbel.core.lift.Lift;

/**
 * How many days before a contest a lift is trained heavy for the last time: the deadlift 10–14, the squat 7–10, the bench
 * press and other presses 5–7, events at contest mass 10–14. Common practice, no source.
 *
 * @param nearest at the latest
 * @param furthest at the earliest
 */
public record LastHeavy(int nearest, int furthest) {
  private static final LastHeavy PULL = new LastHeavy(10, 14);
  private static final LastHeavy SQUAT = new LastHeavy(7, 10);
  private static final LastHeavy PRESS = new LastHeavy(5, 7);

  /** The window of a lift. */
  public static LastHeavy of(Lift lift) {
    return switch (lift.movement()) {
      case SQUAT -> SQUAT;
      case BENCH, PRESS -> PRESS;
      default -> PULL;
    };
  }

  /** {@code 10–14}. */
  public String text() {
    return nearest + "–" + furthest;
  }
}

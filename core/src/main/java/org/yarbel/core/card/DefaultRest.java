package org.yarbel.core.card;

/** How long one rests after a set when nobody says so. Common practice, no source. */
public final class DefaultRest {
  private static final int ASSISTANCE = 90;
  private static final int EVENTS = 180;
  private static final int SPEED = 60;
  private static final int FAST_REPS = 3;
  private static final double HARD_RPE = 9;

  private DefaultRest() {}

  /**
   * The rest after a set, in seconds.
   *
   * @param assistance whether the line is neither a main nor a second lift
   */
  public static int seconds(ResolvedSet set, boolean assistance) {
    switch (set.role()) {
      case CARRY, TIMED, SERIES, CLUSTER, DENSITY, HOLD -> {
        return assistance && set.role() == Role.HOLD ? ASSISTANCE : EVENTS;
      }
      case EMOM -> {
        return 0;
      }
      case WARM -> {
        return SPEED;
      }
      default -> { }
    }
    double percent = set.percent() == null ? 0 : set.percent();
    if (percent >= 90 || set.rpe() != null && set.rpe().value() >= HARD_RPE) {
      return 240;
    }
    if (assistance) {
      return ASSISTANCE;
    }
    boolean fast = percent > 0 && percent < 65 && set.reps() != null && set.reps() <= FAST_REPS;
    if (percent >= 80) {
      return 180;
    }
    if (percent >= 70) {
      return 150;
    }
    return fast ? SPEED : 120;
  }
}

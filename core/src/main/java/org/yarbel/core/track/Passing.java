package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * What passes between two days of a log: growth while training goes on, loss in a layoff, and its coming back.
 *
 * @param days that pass
 * @param grown of them, those the gain goes on for
 * @param lost of ln(max) in a layoff
 * @param back of ln(max) that comes back of what was lost
 * @param idle days of layoff at their end
 * @param idleBefore days of layoff at their beginning
 */
record Passing(long days, double grown, double lost, double back, double idle, double idleBefore) {

  /**
   * From one day to another.
   *
   * @param lastTrained null where nothing was trained yet
   * @param idle days of layoff so far
   * @param lost what it has taken so far and has not given back
   */
  static Passing between(LocalDate from, LocalDate to, @Nullable LocalDate lastTrained, double idle, double lost) {
    long days = ChronoUnit.DAYS.between(from, to);
    double grown = days;
    double idleNow = 0;
    if (lastTrained != null) {
      long left = ChronoUnit.DAYS.between(from, lastTrained.plusDays(Constants.GROWS_AFTER_TRAINING_DAYS));
      grown = Math.min(Math.max(left, 0), days);
      idleNow = Math.max(0, ChronoUnit.DAYS.between(lastTrained, to) - Constants.LAYOFF_AFTER_DAYS);
    }
    double drop = loss(idleNow) - loss(idle);
    double back = idleNow > 0 ? 0 : Math.min(lost, Constants.LAYOFF_LOSS * grown);
    return new Passing(days, grown, drop, back, idleNow, idle);
  }

  private static double loss(double idle) {
    return Math.min(Constants.LAYOFF_LOSS * idle, Constants.LAYOFF_MOST);
  }

  /** The variance that comes to ln(max). */
  double strayed() {
    return Constants.STRAY * Constants.STRAY * days + Constants.LAYOFF_SD * Constants.LAYOFF_SD * (idle * idle - idleBefore * idleBefore);
  }

  /** What stays of what is drawn back to its usual value in so many days. */
  double stays(double time) {
    return Math.exp(-days / time);
  }
}

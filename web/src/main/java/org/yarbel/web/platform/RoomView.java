package org.yarbel.web.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The warm-up room of a contest.
 *
 * @param late minutes that all of it is late; below 0 for early
 * @param attemptSeconds how long an attempt takes, by which one lifter more shifts
 * @param rule what it counts by, in a sentence
 * @param due all steps of all lifters, in the order they are due
 */
public record RoomView(long contest, String contestName, int late, long attemptSeconds, boolean shared, List<WarmingView> warming,
    List<DueView> due, List<String> waiting, String rule) {

  /**
   * Somebody who warms up.
   *
   * @param at when the opener is lifted, in milliseconds of the epoch
   * @param clock the same on the wall
   * @param ahead attempts before it
   */
  public record WarmingView(long athlete, String name, String lift, String liftName, String opener, long at, String clock, int ahead) {}

  /**
   * A step that is due.
   *
   * @param number of the step in its ramp, from 0
   * @param at when, in milliseconds of the epoch
   * @param changes what comes off and goes on where one bar is shared; null for the first
   */
  public record DueView(long athlete, String name, String lift, String liftName, int number, String load, int reps, String side,
      long at, String clock,
      boolean done,
      @Nullable String changes) {}
}

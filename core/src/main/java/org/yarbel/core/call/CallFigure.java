package org.yarbel.core.call;

import java.util.Arrays;
import java.util.Optional;
import org.yarbel.core.watch.Figure;

/** The figures of the calls that a club can set; our own defaults. */
public enum CallFigure implements Figure {
  CALL_NUMBERS_OFF("an estimate is off the number planned with by, %", 2, 1, 10),
  CALL_OFF_TARGET("sets are too easy or too hard when off their RPE by, points", 1, 0.5, 3),
  CALL_PLUS_OVER("a plus set is far over (under) its minimum by, reps", 5, 2, 12),
  CALL_MISS_DAYS("misses belong together within, days", 21, 7, 60),
  CALL_MISS_CUT("after the second miss loads fall by, %", 5, 1, 15),
  CALL_MISS_RESET("after the third miss loads are reset to, %", 90, 70, 97),
  CALL_MARKS("the same mark in so many of five sessions", 3, 2, 5),
  CALL_FORM_RESET("where form goes loads are reset to, % of where it went", 95, 80, 99),
  CALL_PAIN("pain of 10 from which a call is made", 4, 1, 10),
  CALL_CLINICIAN("pain of 10 from which a clinician is named", 6, 3, 10),
  CALL_CLINICIAN_DAYS("the same after so many days of pain", 14, 3, 60),
  CALL_SIGNS("signs that propose a deload", 2, 1, 5),
  CALL_READINESS("readiness under which an easier session is offered", 40, 10, 60),
  CALL_EASIER("the easier session is lighter by, %", 5, 2.5, 20),
  CALL_AWAY_DAYS("away from training for so many days is a layoff", 14, 7, 60),
  CALL_AWAY_CUT("the first week back is lighter by, %", 10, 2.5, 30),
  CALL_ILL_CUT("the first exposure after an illness is lighter by, %", 5, 2.5, 20),
  CALL_GOAL_OFF("an estimate is off the line to the goal by, %", 3, 1, 10),
  CALL_GOAL_MOVE("the goal then moves by, %", 2.5, 1, 10),
  CALL_RATING_OFF("ratings are off, or spread, by more than, reps", 1, 0.5, 3),
  CALL_OPEN_WEEKS("a set that nobody stops is wanted once in, weeks", 6, 3, 16),
  CALL_SLOWER("a load is slower than the lifter's line by, m/s", 0.05, 0.02, 0.2),
  CALL_OVER_PLAN("lifted over what was asked by, %", 5, 2.5, 20),
  CALL_TEST_WEEKS("a tested max is old after, weeks", 12, 6, 52),
  CALL_HEAVY_WEEKS("when nothing within 92–100 % was lifted for, weeks", 6, 3, 26),
  CALL_CLASS_WEEKS("body mass is held against the class within, weeks", 6, 2, 16);

  private final String words;
  private final double usual;
  private final double least;
  private final double most;

  CallFigure(String words, double usual, double least, double most) {
    this.words = words;
    this.usual = usual;
    this.least = least;
    this.most = most;
  }

  @Override
  public String words() {
    return words;
  }

  @Override
  public double usual() {
    return usual;
  }

  @Override
  public double least() {
    return least;
  }

  @Override
  public double most() {
    return most;
  }

  /** The figure of a key. */
  public static Optional<CallFigure> ofKey(String key) {
    return Arrays.stream(values()).filter(figure -> figure.key().equals(key)).findFirst();
  }
}

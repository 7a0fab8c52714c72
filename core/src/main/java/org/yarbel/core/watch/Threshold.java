package org.yarbel.core.watch;

import java.util.Arrays;
import java.util.Optional;

/** The figures of the checks that a club can set. */
public enum Threshold implements Figure {
  FAILURE_RPE("a planned set is at failure from RPE", 10, 8, 10),
  FAILURE_RPE_SHORT("the same with a slow tempo or rests under 90 s", 9.5, 7, 10),
  DISAGREE("% and RPE of a line may differ by, points", 1, 0.5, 3),
  LATE_SETS("hard sets of the same muscles before a percentage is too much", 10, 4, 30),
  HARD_DAYS_RUNNING("hard days running", 3, 2, 7),
  HARD_DAYS("hard days in a week", 6, 3, 7),
  DAYS_OFF("days off in a row that make a week bunched", 3, 2, 5),
  VOLUME_RISE("rise of hard sets on the last three weeks, %", 20, 5, 60),
  MAIN_SHARE("main work of all reps, % at least", 40, 10, 80),
  DELOAD_WEEKS("weeks without a deload, at most; 0 goes by level", 0, 0, 16),
  GOAL_BEHIND("estimate behind the goal's line, %", 3, 1, 10),
  OUT_OF_REACH("a written load is absurd from, % of the max", 108, 100, 130),
  PAIN("pain of 10 from which nothing goes near the limit", 4, 1, 10);

  private final String words;
  private final double usual;
  private final double least;
  private final double most;

  Threshold(String words, double usual, double least, double most) {
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

  /** The threshold of a key. */
  public static Optional<Threshold> ofKey(String key) {
    return Arrays.stream(values()).filter(threshold -> threshold.key().equals(key)).findFirst();
  }
}

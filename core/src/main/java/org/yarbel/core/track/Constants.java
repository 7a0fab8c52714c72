package org.yarbel.core.track;

import org.yarbel.core.lift.Level;

/**
 * Every constant of the tracker, once. All of them are our own defaults, chosen in simulation over 42 kinds of lifters for
 * estimates whose spread is true; nobody has published them. Loads are in ln(kg), so 0.01 is about one percent of the max.
 */
final class Constants {
  /** How much the max strays by itself, in ln a square root of a day. */
  static final double STRAY = 0.0008;
  /** Days after which a gain of one's own is back at that of the level, but for a factor e. */
  static final double GAIN_DAYS = 180;
  /** Reps claimed too many: their spread between lifters, and how long one stays so. */
  static final double BIAS_SD = 0.5;
  static final double BIAS_DAYS = 1000;
  /** The spread between lifters of ln(stretch). */
  static final double STRETCH_SD = 0.15;
  static final double FORM_DAYS = 2.5;

  /** What one work set takes from the max of the day, and how sharply a limit is one. */
  static final double FATIGUE = 0.0045;
  static final double LIMIT_SD = 0.002;
  /** A limit further away than this many sd teaches nothing: met every day, it would narrow the estimate again and again. */
  static final double LIMIT_REACH = 2;

  static final double ODD_RATING = 0.01;
  /** How likely anything at all is among ratings that mean nothing. */
  static final double ODD_DENSITY = 1 / 15.0;
  static final double SLIP = 0.0001;
  static final double MISS_FOR_SKILL = 0.03;
  /** The least chance that a logarithm is taken of. */
  static final double LEAST_CHANCE = 1e-300;

  /** A number that was tested is the best of its day: the max lies so much above it, with this spread. */
  static final double TESTED_ABOVE = 0.006;
  static final double TESTED_SD = 0.010;
  /** How little is known of the max before a tested number, and before the first set. */
  static final double UNTESTED_SD = 0.5;
  static final double FIRST_SET_SD = 0.10;
  /** Reps in reserve the first set is thought to have had: to failure, rated under 6, not rated. */
  static final double FIRST_RESERVE_FAILED = 0.5;
  static final double FIRST_RESERVE_EASIER = 5;
  static final double FIRST_RESERVE_UNRATED = 3;

  /** A day with a flag: the form is lower by so much, less sure by so much, on so many days running. */
  static final double FLAG_DROP = 0.015;
  static final double FLAG_SD = 0.03;
  static final int FLAGS_DISCOUNTED = 2;

  static final int GROWS_AFTER_TRAINING_DAYS = 10;
  static final int LAYOFF_AFTER_DAYS = 14;
  /** What a layoff takes a day, its spread, and what it takes at most. What went comes back at the same rate. */
  static final double LAYOFF_LOSS = 0.0022;
  static final double LAYOFF_SD = 0.001;
  static final double LAYOFF_MOST = 0.22;

  /** The most reps a rating says anything at, the most a floor does, and what a bounced rep tells less. */
  static final int RATED_REPS = 10;
  static final int LIMIT_REPS = 15;
  static final double BOUNCE_SD = 0.15;
  /** A rating is one of halves: it may be off by a quarter each way, and by the spread of a box as wide. */
  static final double HALF_A_STEP = 0.25;
  static final double ROUNDING_VARIANCE = 1 / 48.0;
  /** Under 6 there are more reps left than this. */
  static final double EASIER_RESERVE = 4.25;
  /** Keeps a division by the spread of the load possible. */
  static final double LEAST_VARIANCE = 1e-10;

  /** The spreads of form and of a rating a lifter may have; the bank holds a filter for each pair. */
  static final double[] FORM_SDS = {0.010, 0.030};
  static final double[] RATING_SDS = {0.35, 0.9};

  private Constants() {}

  /** The usual gain a day at a level, in ln. */
  static double usualGain(Level level) {
    return switch (level) {
      case BEGINNER -> 0.0012;
      case INTERMEDIATE -> 0.00035;
      case ADVANCED -> 0.0001;
    };
  }

  /** How much gains differ between lifters of a level. */
  static double gainSd(Level level) {
    return switch (level) {
      case BEGINNER -> 0.0011;
      case INTERMEDIATE -> 0.0006;
      case ADVANCED -> 0.0003;
    };
  }
}

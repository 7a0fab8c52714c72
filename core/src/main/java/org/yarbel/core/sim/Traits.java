package org.yarbel.core.sim;

import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.mass.Mass;

/**
 * What is true of a made-up lifter in one lift and unknown to the coach. All of it is invented.
 *
 * @param max on the first day, rested and on a usual day
 */
public record Traits(Mass max, Growth growth, Form form, Ratings ratings, Reps reps) {

  /** A lifter who gains steadily, whose days do not hang together and whose reps follow the house curve. */
  public static Traits steady(Mass max, double gainPerDay, double formSd, double ratingBias, double ratingSd) {
    return new Traits(max, new Growth(gainPerDay, Integer.MAX_VALUE, 0, 0), Form.of(formSd, 0, false),
        new Ratings(ratingBias, ratingSd, 0), new Reps(RepMaxCurve.HOUSE, 1, 0));
  }

  /**
   * How the max moves while the lifter trains.
   *
   * @param perDay 0.001 for 0.1 % a day
   * @param untilDay from this day on nothing is gained
   * @param jump by which the max rises at once, 0.04 for 4 %
   * @param jumpDay the day it does
   */
  public record Growth(double perDay, int untilDay, double jump, int jumpDay) {
    double ln(long day) {
      return Math.log1p(perDay) * Math.min(day, untilDay) + (day >= jumpDay ? Math.log1p(jump) : 0);
    }
  }

  /**
   * How the days differ.
   *
   * @param sd of the max of a day, 0.02 for 2 %
   * @param memory days a good or bad one lasts; 0 for days that do not hang together
   * @param heavyTails whether the odd day is far worse or better than the sd says
   * @param setTakes what a set takes from the max of the day
   */
  public record Form(double sd, double memory, boolean heavyTails, double setTakes) {
    private static final double USUAL = 0.004;

    static Form of(double sd, double memory, boolean heavyTails) {
      return new Form(sd, memory, heavyTails, USUAL);
    }
  }

  /**
   * How the lifter rates.
   *
   * @param bias reps too many claimed in reserve
   * @param sd of a rating in reps
   * @param swing by which the bias drifts up and down over a year, in reps
   */
  public record Ratings(double bias, double sd, double swing) {
    private static final double YEAR = 365;

    double bias(long day) {
      return bias + swing * Math.sin(2 * Math.PI * day / YEAR);
    }
  }

  /**
   * How reps fall with load.
   *
   * @param curve whose shape they have
   * @param stretch of it: over 1 where reps fall faster
   * @param singles by which singles are better (positive) than the reps say on the curve, in ln
   */
  public record Reps(RepMaxCurve curve, double stretch, double singles) {}

  public Traits with(Growth other) {
    return new Traits(max, other, form, ratings, reps);
  }

  public Traits with(Form other) {
    return new Traits(max, growth, other, ratings, reps);
  }

  public Traits with(Ratings other) {
    return new Traits(max, growth, form, other, reps);
  }

  public Traits with(Reps other) {
    return new Traits(max, growth, form, ratings, other);
  }
}

package org.yarbel.core.track;

import org.yarbel.core.effort.EffortChart;

/**
 * What a log taught of a lifter in one lift, beside the max. {@link LearnedWords} says it to people.
 *
 * @param stretch of the curve: 1.2 for a lifter whose reps need a fifth more over the first than the house curve says
 * @param ratingBias reps too many (positive) or too few claimed in reserve
 * @param gain of the max a day, 0.001 for 0.1 %
 * @param formSd how uneven the days are, 0.01 for 1 %
 * @param ratingSd how uneven the ratings are, in reps
 */
public record Learned(Value stretch, Value ratingBias, Value gain, Value formSd, Value ratingSd) {
  private static final double LEAST_STRETCH = 0.6;
  private static final double MOST_STRETCH = 1.5;

  /** A value and its standard deviation. */
  public record Value(double value, double sd) {}

  /** The lifter's own chart: the house curve with the reps so far apart, to the hundredth. */
  public EffortChart chart() {
    double kept = Math.min(Math.max(stretch.value(), LEAST_STRETCH), MOST_STRETCH);
    return new EffortChart(EffortChart.HOUSE.curve(), Math.rint(100 * kept) / 100);
  }
}

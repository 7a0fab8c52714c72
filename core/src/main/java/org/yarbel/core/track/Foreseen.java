package org.yarbel.core.track;

/**
 * The reps to failure on the house curve with a max of the day that is not known for sure, by the Gauss–Hermite rule of five
 * points (Abramowitz & Stegun, table 25.10, scaled to a standard normal; from memory).
 *
 * @param mean of the reps
 * @param slope how many reps more with a max higher by one in ln
 * @param bend the variance that a straight line with that slope leaves out
 */
record Foreseen(double mean, double slope, double bend) {
  private static final double[] NODES = {0, 1.3556261799742659, -1.3556261799742659, 2.8569700138728056, -2.8569700138728056};
  private static final double[] WEIGHTS = {
    0.53333333333333333, 0.22207592200561265, 0.22207592200561265, 0.011257411327720689, 0.011257411327720689
  };

  static Foreseen at(Updates.Foretold max, double lnLoad) {
    double over = max.mean() - lnLoad;
    double sd = Math.sqrt(max.variance() + Constants.LEAST_VARIANCE);
    double mean = 0;
    double along = 0;
    double squares = 0;
    for (int i = 0; i < NODES.length; i++) {
      double reps = Capacity.repsAt(over + sd * NODES[i]);
      mean += WEIGHTS[i] * reps;
      along += WEIGHTS[i] * NODES[i] * reps;
      squares += WEIGHTS[i] * reps * reps;
    }
    return new Foreseen(mean, along / sd, Math.max(squares - mean * mean - along * along, 0));
  }
}

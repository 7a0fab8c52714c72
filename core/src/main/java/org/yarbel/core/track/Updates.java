package org.yarbel.core.track;

/**
 * The two ways a state learns: something was seen with a spread, or something was seen to be at least or at most so much. Each
 * answers with the ln of how likely that was, by which the filters of a bank are weighed against each other.
 */
final class Updates {
  private static final double FARTHEST = -30;

  private Updates() {}

  /**
   * What is foretold of a row of the state: its mean, and its variance with the noise of seeing it.
   *
   * @param row the share of each of the five in it
   */
  record Foretold(double[] row, double mean, double variance) {}

  /**
   * A value was seen. With a chance it is odd, a slip that says nothing; the less it fits, the less it moves.
   *
   * @param odd the chance that it says nothing
   */
  static double seen(State state, Foretold foretold, double value, double odd) {
    double v = foretold.variance();
    double e = value - foretold.mean();
    double fits = (1 - odd) * Math.exp(-e * e / (2 * v)) / Math.sqrt(2 * Math.PI * v);
    double all = fits + odd * Constants.ODD_DENSITY;
    double w = odd == 0 ? 1 : fits / all;
    state.shift(foretold.row(), w * e / v, w * (1 - (1 - w) * e * e / v) / v);
    return Math.log(Math.max(all, Constants.LEAST_CHANCE));
  }

  /** It was at least so much, but with a small chance it says nothing. */
  static double atLeast(State state, Foretold foretold, double bound, double but) {
    return bounded(state, foretold, bound, 1, but);
  }

  /** It was at most so much, but with a small chance it says nothing. */
  static double atMost(State state, Foretold foretold, double bound, double but) {
    return bounded(state, foretold, bound, -1, but);
  }

  /** The mean and variance of what is left of a normal distribution on one side of a bound, mixed with the whole of it. */
  private static double bounded(State state, Foretold foretold, double bound, int side, double but) {
    double sd = Math.sqrt(foretold.variance());
    double t = Math.max(side * (foretold.mean() - bound) / sd, FARTHEST);
    if (t > Constants.LIMIT_REACH) {
      return 0;
    }
    double p = Normal.below(t);
    double all = but + (1 - but) * p;
    double w = (1 - but) * p / all;
    double ratio = Normal.ratio(t, p);
    double first = w * ratio;
    double second = 1 - w * t * ratio;
    state.shift(foretold.row(), side * first / sd, (1 - second + first * first) / foretold.variance());
    return Math.log(Math.max(all, Constants.LEAST_CHANCE));
  }
}

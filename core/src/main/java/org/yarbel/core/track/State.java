package org.yarbel.core.track;

import java.util.Arrays;

/**
 * What one filter holds of a lifter, as a mean and a covariance of five: ln(max in kg), gain a day, reps too many claimed in
 * reserve, ln of the stretch of the curve, form of the day in ln. Linear algebra of five by five and nothing of the job.
 */
final class State {
  static final int MAX = 0;
  static final int GAIN = 1;
  static final int BIAS = 2;
  static final int STRETCH = 3;
  static final int FORM = 4;
  static final int SIZE = 5;
  /** The max rested and on a usual day, and with the form of the day. */
  static final double[] MAX_ROW = {1, 0, 0, 0, 0};
  static final double[] TODAY_ROW = {1, 0, 0, 0, 1};
  /** Means, and the covariances of a half with its diagonal. */
  static final int NUMBERS = SIZE + SIZE * (SIZE + 1) / 2;

  final double[] mean = new double[SIZE];
  final double[][] covariance = new double[SIZE][SIZE];

  State copy() {
    double[] numbers = new double[NUMBERS];
    write(numbers, 0);
    return read(numbers, 0);
  }

  /** h'm: the mean of a row of the state. */
  double mean(double[] row) {
    return dot(mean, row);
  }

  /** h'Ph: the variance of a row of the state. */
  double variance(double[] row) {
    double sum = 0;
    for (int i = 0; i < SIZE; i++) {
      if (row[i] != 0) {
        sum += row[i] * dot(covariance[i], row);
      }
    }
    return sum;
  }

  /** m += α·Ph and P −= β·Ph·(Ph)'; the two halves of P stay the same to the last digit, since only one is kept. */
  void shift(double[] row, double alpha, double beta) {
    double[] q = new double[SIZE];
    for (int i = 0; i < SIZE; i++) {
      q[i] = dot(covariance[i], row);
    }
    for (int i = 0; i < SIZE; i++) {
      mean[i] += q[i] * alpha;
      for (int j = 0; j < SIZE; j++) {
        covariance[i][j] -= beta * (q[i] * q[j]);
      }
    }
  }

  /** Adds so many times one of the five to another. */
  void add(int to, double times, int what) {
    mean[to] += times * mean[what];
    for (int j = 0; j < SIZE; j++) {
      covariance[to][j] += times * covariance[what][j];
    }
    for (double[] row : covariance) {
      row[to] += times * row[what];
    }
  }

  /** Adds to the mean of one of the five, and to its variance. */
  void add(int to, double mean, double variance) {
    this.mean[to] += mean;
    covariance[to][to] += variance;
  }

  /** Draws one of the five to its usual value, so that a share of what it was stays, and its spread to the usual one. */
  void revert(int what, double stays, double usual, double sd) {
    mean[what] = usual + stays * (mean[what] - usual);
    for (int j = 0; j < SIZE; j++) {
      covariance[what][j] *= stays;
      covariance[j][what] *= stays;
    }
    covariance[what][what] += sd * sd * (1 - stays * stays);
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < SIZE; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  /** Writes its numbers from a place on. */
  void write(double[] numbers, int from) {
    int at = from;
    for (double value : mean) {
      numbers[at++] = value;
    }
    for (int i = 0; i < SIZE; i++) {
      for (int j = 0; j <= i; j++) {
        numbers[at++] = covariance[i][j];
      }
    }
  }

  /** Reads what {@link #write} wrote. */
  static State read(double[] numbers, int from) {
    State state = new State();
    System.arraycopy(numbers, from, state.mean, 0, SIZE);
    int at = from + SIZE;
    for (int i = 0; i < SIZE; i++) {
      for (int j = 0; j <= i; j++) {
        state.covariance[i][j] = numbers[at];
        state.covariance[j][i] = numbers[at++];
      }
    }
    return state;
  }

  @Override
  public String toString() {
    return Arrays.toString(mean);
  }
}

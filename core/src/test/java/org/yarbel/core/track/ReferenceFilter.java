package org.yarbel.core.track;

import org.hipparchus.filtering.kalman.Measurement;
import org.hipparchus.filtering.kalman.ProcessEstimate;
import org.hipparchus.filtering.kalman.linear.LinearEvolution;
import org.hipparchus.filtering.kalman.linear.LinearKalmanFilter;
import org.hipparchus.filtering.kalman.linear.LinearProcess;
import org.hipparchus.linear.CholeskyDecomposer;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/** Hipparchus' linear Kalman filter of one number that drifts, to check ours against. */
final class ReferenceFilter {
  /** An observation, with how much the variance of the number grew before it. */
  record Seen(double value, double variance, double growth) implements Measurement {
    @Override
    public double getTime() {
      return 0;
    }

    @Override
    public RealVector getValue() {
      return MatrixUtils.createRealVector(new double[] {value});
    }

    @Override
    public RealMatrix getCovariance() {
      return scalar(variance);
    }
  }

  /** The number and its variance after an observation. */
  record State(double value, double variance) {}

  private final LinearKalmanFilter<Seen> filter;

  ReferenceFilter(double start, double variance) {
    RealMatrix one = MatrixUtils.createRealIdentityMatrix(1);
    LinearProcess<Seen> drift = seen -> new LinearEvolution(
        one, MatrixUtils.createRealMatrix(1, 1), MatrixUtils.createRealVector(1), scalar(seen.growth()), one);
    this.filter = new LinearKalmanFilter<>(new CholeskyDecomposer(1e-18, 1e-18), drift,
        new ProcessEstimate(0, MatrixUtils.createRealVector(new double[] {start}), scalar(variance)));
  }

  State step(Seen seen) {
    ProcessEstimate estimate = filter.estimationStep(seen);
    return new State(estimate.getState().getEntry(0), estimate.getCovariance().getEntry(0, 0));
  }

  private static RealMatrix scalar(double value) {
    return MatrixUtils.createRealMatrix(new double[][] {{value}});
  }
}

package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleUnaryOperator;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.hipparchus.analysis.integration.IterativeLegendreGaussIntegrator;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.filtering.kalman.ProcessEstimate;
import org.hipparchus.filtering.kalman.linear.LinearEvolution;
import org.hipparchus.filtering.kalman.linear.LinearKalmanFilter;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposer;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.util.FastMath;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The updates beside Hipparchus: a general Kalman filter, and the moments of a normal distribution cut off, by integration. */
class UpdatesTest {
  private static RandomGenerator random(long seed) {
    return RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
  }

  /** Any state: a covariance that is a product with its transpose. */
  private static State state(RandomGenerator random) {
    double[][] root = new double[State.SIZE][State.SIZE];
    State state = new State();
    for (int i = 0; i < State.SIZE; i++) {
      state.mean[i] = random.nextGaussian();
      for (int j = 0; j < State.SIZE; j++) {
        root[i][j] = random.nextGaussian();
      }
    }
    RealMatrix covariance = new Array2DRowRealMatrix(root).multiplyTransposed(new Array2DRowRealMatrix(root));
    for (int i = 0; i < State.SIZE; i++) {
      System.arraycopy(covariance.getRow(i), 0, state.covariance[i], 0, State.SIZE);
    }
    return state;
  }

  private static double[] row(RandomGenerator random) {
    return random.doubles(State.SIZE, -1, 1).toArray();
  }

  /** Days that pass and what is seen, with no bound and nothing odd: a Kalman filter and no more. */
  @RepeatedTest(10)
  void withoutBoundsItIsAKalmanFilter(RepetitionInfo info) {
    RandomGenerator random = random(info.getCurrentRepetition());
    State state = state(random);
    ProcessEstimate begin = new ProcessEstimate(0, new ArrayRealVector(state.mean), new Array2DRowRealMatrix(state.covariance));
    LinearKalmanFilter<Seen> reference = new LinearKalmanFilter<>(new CholeskyDecomposer(1e-15, 1e-15), Seen::evolution, begin);
    for (int step = 1; step <= 40; step++) {
      double days = random.nextInt(1, 20);
      double[] row = row(random);
      double noise = 0.01 + random.nextDouble();
      double value = random.nextGaussian();
      pass(state, days);
      Updates.seen(state, new Updates.Foretold(row, state.mean(row), state.variance(row) + noise), value, 0);
      ProcessEstimate expected = reference.estimationStep(new Seen(step, days, row, noise, value));
      for (int i = 0; i < State.SIZE; i++) {
        assertThat(state.mean[i]).isCloseTo(expected.getState().getEntry(i), within(1e-9));
        for (int j = 0; j < State.SIZE; j++) {
          assertThat(state.covariance[i][j]).isCloseTo(expected.getCovariance().getEntry(i, j), within(1e-9));
        }
      }
    }
  }

  private static void pass(State state, double days) {
    state.add(State.MAX, days, State.GAIN);
    state.add(State.MAX, 0.0, 0.1 * days);
    state.revert(State.FORM, Math.exp(-days / 2.5), 0, 0.3);
  }

  /** A step of the reference: the same passing as a matrix, and a row that is seen. */
  private record Seen(double getTime, double days, double[] row, double noise, double value)
      implements org.hipparchus.filtering.kalman.Measurement {
    @Override
    public double getTime() {
      return getTime;
    }

    @Override
    public RealVector getValue() {
      return new ArrayRealVector(new double[] {value});
    }

    @Override
    public RealMatrix getCovariance() {
      return MatrixUtils.createRealDiagonalMatrix(new double[] {noise});
    }

    private LinearEvolution evolution() {
      double stays = Math.exp(-days / 2.5);
      RealMatrix moves = MatrixUtils.createRealIdentityMatrix(State.SIZE);
      moves.setEntry(State.MAX, State.GAIN, days);
      moves.setEntry(State.FORM, State.FORM, stays);
      RealMatrix strays = new Array2DRowRealMatrix(State.SIZE, State.SIZE);
      strays.setEntry(State.MAX, State.MAX, 0.1 * days);
      strays.setEntry(State.FORM, State.FORM, 0.3 * 0.3 * (1 - stays * stays));
      return new LinearEvolution(moves, new Array2DRowRealMatrix(State.SIZE, 1), new ArrayRealVector(1), strays,
          new Array2DRowRealMatrix(new double[][] {row}));
    }
  }

  /** What is left on one side of a bound, mixed with the whole: its moments by numerical integration. */
  @ParameterizedTest
  @CsvSource({
    "0.7, 0.3, 1, 0.01", "-0.2, 0.5, 1, 0.0001", "-1.85, 1, 1, 0.03", "1.9, 1, 1, 0.01", "4, 1, 1, 0.0001",
    "0.7, 0.3, -1, 0.01", "-0.2, 0.5, -1, 0.03", "2, 1, -1, 0.03"
  })
  void aBoundCutsTheDistributionOff(double bound, double sd, int side, double but) {
    double mean = 0.1;
    State state = new State();
    state.add(State.MAX, mean, sd * sd);
    double[] row = State.MAX_ROW;
    Updates.Foretold foretold = new Updates.Foretold(row, mean, sd * sd);
    double weight = side > 0 ? Updates.atLeast(state, foretold, bound, but) : Updates.atMost(state, foretold, bound, but);

    NormalDistribution normal = new NormalDistribution(mean, sd);
    DoubleUnaryOperator left = x -> (but + (side * (x - bound) >= 0 ? 1 - but : 0)) * normal.density(x);
    double all = integral(left, mean, sd, bound);
    double first = integral(x -> x * left.applyAsDouble(x), mean, sd, bound) / all;
    double second = integral(x -> (x - first) * (x - first) * left.applyAsDouble(x), mean, sd, bound) / all;
    assertThat(weight).isCloseTo(Math.log(all), within(1e-7));
    assertThat(state.mean[State.MAX]).isCloseTo(first, within(1e-7));
    assertThat(state.variance(row)).isCloseTo(second, within(1e-7));
  }

  private static double integral(DoubleUnaryOperator what, double mean, double sd, double bound) {
    IterativeLegendreGaussIntegrator integrator = new IterativeLegendreGaussIntegrator(30, 1e-12, 1e-12);
    double low = mean - 12 * sd;
    double high = mean + 12 * sd;
    return integrator.integrate(100_000, what::applyAsDouble, low, bound) + integrator.integrate(100_000, what::applyAsDouble, bound, high);
  }

  @Test
  void aBoundFarAwayTeachesNothing() {
    State state = new State();
    state.add(State.MAX, 5.0, 0.01);
    double[] row = State.MAX_ROW;
    assertThat(Updates.atLeast(state, new Updates.Foretold(row, 5, 0.01), 5 - 0.2001, 0.01)).isZero();
    assertThat(state.mean[State.MAX]).isEqualTo(5);
    assertThat(state.variance(row)).isEqualTo(0.01);
    assertThat(Updates.atLeast(state, new Updates.Foretold(row, 5, 0.01), 5 - 0.1999, 0.01)).isNegative();
    assertThat(state.mean[State.MAX]).isGreaterThan(5);
  }

  /** The further off, the less it moves: a slip of a unit says nothing. */
  @Test
  void whatCannotBeIsTakenForASlip() {
    double near = moved(0.2);
    double far = moved(3);
    assertThat(near).isGreaterThan(0.05);
    assertThat(far).isBetween(0.0, 1e-4);
  }

  private static double moved(double by) {
    State state = new State();
    state.add(State.MAX, 5.0, 0.01);
    double[] row = State.MAX_ROW;
    Updates.seen(state, new Updates.Foretold(row, 5, 0.02), 5 + by, 0.01);
    return state.mean[State.MAX] - 5;
  }

  // Φ and the ratio φ/Φ beside Hipparchus, where both are far from one
  @ParameterizedTest
  @ValueSource(doubles = {-30, -20, -8.5, -8, -7.9, -3, -1, 0, 0.5, 2})
  void theNormalDistributionToItsLastDigits(double t) {
    double below = 0.5 * org.hipparchus.special.Erf.erfc(-t / FastMath.sqrt(2));
    assertThat(Normal.below(t)).isCloseTo(below, within(1e-13 * below));
    double ratio = new NormalDistribution().density(t) / below;
    assertThat(Normal.ratio(t, Normal.below(t))).isCloseTo(ratio, within(t < -8 ? 1e-4 * ratio : 1e-12 * ratio));
  }
}

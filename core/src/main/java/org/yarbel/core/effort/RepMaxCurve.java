package org.yarbel.core.effort;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import org.yarbel.core.mass.Refused;

/**
 * The published curves that say what share of the one-rep max can be lifted for a number of reps to failure.
 *
 * <p>One rep is 100 % by definition in every curve; between one and two reps it is interpolated linearly. More than
 * 15 reps to failure are refused, more than 10 are a weak estimate. The figures are from memory.
 *
 * <ol>
 *   <li>Epley B. Poundage chart. Boyd Epley Workout, 1985.
 *   <li>Brzycki M. Strength testing: predicting a one-rep max from reps-to-fatigue. JOPERD 64(1), 1993.
 *   <li>Lander J. Maximums based on reps. NSCA Journal 6(6), 1985.
 *   <li>Lombardi V. P. Beginning Weight Training. 1989.
 *   <li>O'Conner B., Simmons J., O'Shea P. Weight Training Today. 1989.
 *   <li>Mayhew J. L. et al. Relative muscular endurance performance as a predictor of bench press strength. J Appl
 *       Sport Sci Res 6(4), 1992.
 *   <li>Wathan D. Load assignment. In: Essentials of Strength Training and Conditioning. 1994.
 *   <li>Haff G. G., Triplett N. T. (eds.). Essentials of Strength Training and Conditioning, 4th ed.
 * </ol>
 */
public enum RepMaxCurve {
  /** Our default: the handbook table [8] to ten reps and Epley [1] beyond; the two meet at ten, 75 %. */
  HOUSE(r -> r <= 10 ? table(r) : 1 / (1 + r / 30)),
  /** The %1RM–repetition table of [8], linear between its entries. */
  HANDBOOK(RepMaxCurve::table),
  /** [1]: 1RM = w (1 + r/30). */
  EPLEY(r -> 1 / (1 + r / 30)),
  /** [2]: 1RM = w · 36/(37 − r). */
  BRZYCKI(r -> (37 - r) / 36),
  /** [3]: 1RM = 100 w/(101.3 − 2.67123 r). */
  LANDER(r -> (101.3 - 2.67123 * r) / 100),
  /** [4]: 1RM = w · r^0.10. */
  LOMBARDI(r -> Math.pow(r, -0.10)),
  /** [5]: 1RM = w (1 + 0.025 r). */
  OCONNER(r -> 1 / (1 + 0.025 * r)),
  /** [6]: 1RM = 100 w/(52.2 + 41.9 e^(−0.055 r)). */
  MAYHEW(r -> (52.2 + 41.9 * Math.exp(-0.055 * r)) / 100),
  /** [7]: 1RM = 100 w/(48.8 + 53.8 e^(−0.075 r)). */
  WATHAN(r -> (48.8 + 53.8 * Math.exp(-0.075 * r)) / 100);

  /** The most reps to failure that an estimate is made from. */
  public static final double MAX_REPS_TO_FAILURE = 15;
  /** Beyond this many reps to failure an estimate is weak. */
  public static final double RELIABLE_REPS_TO_FAILURE = 10;

  private final DoubleUnaryOperator fraction;

  RepMaxCurve(DoubleUnaryOperator fraction) {
    this.fraction = fraction;
  }

  /** The name in the API and in links: the constant in small letters. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * The share of the one-rep max, over 0 up to 1, that can be lifted for so many reps to failure.
   *
   * @param repsToFailure from 1 to 15, whole or not
   */
  public double fraction(double repsToFailure) {
    if (!(repsToFailure >= 1 && repsToFailure <= MAX_REPS_TO_FAILURE)) {
      throw new Refused(
          "The reps to failure must be from 1 to 15 inclusive but were " + repsToFailure);
    }
    if (repsToFailure < 2) {
      return 1 + (repsToFailure - 1) * (fraction.applyAsDouble(2) - 1);
    }
    return fraction.applyAsDouble(repsToFailure);
  }

  /**
   * What the published formula says at any number of reps from 1, also where nobody should estimate a max from it.
   *
   * @return a share of the one-rep max
   */
  public double formula(double repsToFailure) {
    return fraction.applyAsDouble(repsToFailure);
  }

  /**
   * The reps to failure at which this share of the max is lifted: the inverse of {@link #fraction}.
   *
   * @param fraction of the max
   * @return from 1 to 15; empty for a share over 1 or lighter than 15 reps
   */
  public OptionalDouble repsAt(double fraction) {
    if (!(fraction <= 1 && fraction >= fraction(MAX_REPS_TO_FAILURE))) {
      return OptionalDouble.empty();
    }
    double low = 1;
    double high = MAX_REPS_TO_FAILURE;
    while (high - low > 1e-9) {
      double middle = (low + high) / 2;
      if (fraction(middle) >= fraction) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return OptionalDouble.of(low);
  }

  /** The curve with this {@link #key()}. */
  public static Optional<RepMaxCurve> ofKey(String key) {
    return Arrays.stream(values()).filter(curve -> curve.key().equals(key)).findFirst();
  }

  // Haff & Triplett, 4th ed.: 1..12 and 15 reps, from memory
  private static final double[] TABLE_REPS = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 15};
  private static final double[] TABLE_PERCENT = {100, 95, 93, 90, 87, 85, 83, 80, 77, 75, 70, 67, 65};

  private static double table(double reps) {
    int i = 1;
    while (TABLE_REPS[i] < reps) {
      i++;
    }
    double share = (reps - TABLE_REPS[i - 1]) / (TABLE_REPS[i] - TABLE_REPS[i - 1]);
    return (TABLE_PERCENT[i - 1] + share * (TABLE_PERCENT[i] - TABLE_PERCENT[i - 1])) / 100;
  }
}

package org.yarbel.core.contest;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * The published formulas that compare totals over body masses. Figures from memory.
 *
 * <ol>
 *   <li>Wilks, 1994: total · 500 / (a + bx + cx² + dx³ + ex⁴ + fx⁵), x the body mass in kg: 40 to 201.9 men, 26.5 to 154.5
 *       women; outside of it the polynomial means nothing and is refused.
 *   <li>DOTS, 2019: total · 500 / (a + bx + cx² + dx³ + ex⁴); a body mass outside 40–210 (men), 40–150 (women) is taken as
 *       the limit.
 *   <li>IPF GL, 2020: 100 · total / (A − B·e^(−C·x)), by equipment and event.
 * </ol>
 */
public enum PointsFormula {
  WILKS,
  DOTS,
  IPFGL;

  private static final double[] WILKS_MEN = {
    -216.0475144, 16.2606339, -0.002388645, -0.00113732, 7.01863e-06, -1.291e-08
  };
  private static final double[] WILKS_WOMEN = {
    594.31747775582, -27.23842536447, 0.82112226871, -0.00930733913, 4.731582e-05, -9.054e-08
  };
  private static final double[] DOTS_MEN = {
    -307.75076, 24.0900756, -0.1918759221, 0.0007391293, -0.0000010930
  };
  private static final double[] DOTS_WOMEN = {
    -57.96288, 13.6175032, -0.1126655495, 0.0005158568, -0.0000010706
  };

  /** Whether supportive gear is worn. */
  public enum Gear {
    CLASSIC,
    EQUIPPED
  }

  /** Which lifts make the total. */
  public enum Event {
    FULL,
    BENCH
  }

  /** The name in the API and in links: the constant in small letters. */
  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The formula with this key. */
  public static Optional<PointsFormula> ofKey(String key) {
    return Arrays.stream(values()).filter(formula -> formula.key().equals(key)).findFirst();
  }

  /**
   * The points of a total.
   *
   * @param gear matters to {@link #IPFGL} only, as does the event
   * @throws Refused for a body mass that the formula is not made for
   */
  public double points(Sex sex, Mass bodyMass, Mass total, Gear gear, Event event) {
    double x = kilograms(bodyMass);
    double kilograms = kilograms(total);
    return switch (this) {
      case WILKS -> kilograms * 500 / polynomial(sex == Sex.MALE ? WILKS_MEN : WILKS_WOMEN, within(sex, x));
      case DOTS -> kilograms * 500
          / polynomial(sex == Sex.MALE ? DOTS_MEN : DOTS_WOMEN, Math.min(Math.max(x, 40), sex == Sex.MALE ? 210 : 150));
      case IPFGL -> {
        double[] abc = goodLift(sex, gear, event);
        double denominator = abc[0] - abc[1] * Math.exp(-abc[2] * x);
        if (denominator <= 0) {
          throw new Refused("The formula is not made for a body mass of " + bodyMass.text());
        }
        yield 100 * kilograms / denominator;
      }
    };
  }

  private static double within(Sex sex, double x) {
    double least = sex == Sex.MALE ? 40 : 26.5;
    double most = sex == Sex.MALE ? 201.9 : 154.5;
    if (x < least || x > most) {
      throw new Refused(
          "The body mass must be from " + least + " to " + most + " kg for the Wilks formula but was " + x);
    }
    return x;
  }

  private static double polynomial(double[] coefficients, double x) {
    double sum = 0;
    for (int i = coefficients.length - 1; i >= 0; i--) {
      sum = sum * x + coefficients[i];
    }
    return sum;
  }

  private static double[] goodLift(Sex sex, Gear gear, Event event) {
    double[][] ofMen = event == Event.FULL
        ? new double[][] {{1199.72839, 1025.18162, 0.00921}, {1236.25115, 1449.21864, 0.01644}}
        : new double[][] {{320.98041, 281.40258, 0.01008}, {381.22073, 733.79378, 0.02398}};
    double[][] ofWomen = event == Event.FULL
        ? new double[][] {{610.32796, 1045.59282, 0.03048}, {758.63878, 949.31382, 0.02435}}
        : new double[][] {{142.40398, 442.52671, 0.04724}, {221.82209, 357.00377, 0.02937}};
    return (sex == Sex.MALE ? ofMen : ofWomen)[gear == Gear.CLASSIC ? 0 : 1];
  }

  private static double kilograms(Mass mass) {
    return mass.nanograms() / (double) MassUnit.KG.nanograms();
  }
}

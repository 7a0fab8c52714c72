package org.yarbel.core.effort;

import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Decimal;
import org.yarbel.core.mass.Refused;

/**
 * A rating of perceived exertion of one set such as '8.5': 10 less the reps left in reserve.
 *
 * <p>From 6 to 10 in halves. Source: Zourdos et al. 2016, J Strength Cond Res 30(1), from memory. Under 6 is warm-up:
 * no rating is kept there. It does not model the rating of a whole session, which is another scale.
 *
 * @param halves twice the rating, 12 to 20
 */
public record Rpe(int halves) implements Comparable<Rpe> {
  public static final Rpe MIN = new Rpe(12);
  public static final Rpe MAX = new Rpe(20);

  public Rpe {
    if (halves < 12 || halves > 20) {
      throw new Refused("RPE must be from 6 to 10 inclusive but was " + text(halves));
    }
  }

  /** The rating from a number: 8 or 8.5. */
  public static Rpe of(double value) {
    double halves = value * 2;
    if (halves != Math.rint(halves)) {
      throw new Refused("RPE is given in halves, such as 8 or 8.5, but was " + value);
    }
    return new Rpe((int) halves);
  }

  /** Reads what {@link #toString()} writes. */
  public static Rpe parse(String text) {
    return of(Decimal.parse(text).doubleValue());
  }

  /** The rating of so many halves, or null for none; for what is stored. */
  public static @Nullable Rpe ofNullableHalves(@Nullable Integer halves) {
    return halves == null ? null : new Rpe(halves);
  }

  /** Every rating there is, the lowest first. */
  public static List<Rpe> scale() {
    return IntStream.rangeClosed(MIN.halves, MAX.halves).mapToObj(Rpe::new).toList();
  }

  /** The rating, 6 to 10 in halves. */
  public double value() {
    return halves / 2.0;
  }

  /** Reps in reserve: 0 to 4. */
  public double repsInReserve() {
    return 10 - value();
  }

  @Override
  public int compareTo(Rpe other) {
    return Integer.compare(halves, other.halves);
  }

  @Override
  public String toString() {
    return text(halves);
  }

  private static String text(int halves) {
    return halves % 2 == 0 ? Integer.toString(halves / 2) : halves / 2 + ".5";
  }
}

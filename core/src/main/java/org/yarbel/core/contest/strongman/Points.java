package org.yarbel.core.contest.strongman;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.yarbel.core.mass.Refused;

/**
 * Points such as '7.5': exact for a shared place of up to ten, so that equal totals are equal.
 *
 * @param parts a point is 2520 of them, the least number that 1 to 10 divide
 */
public record Points(long parts) implements Comparable<Points> {
  private static final long POINT = 2520;
  private static final int MOST = 1000;
  private static final int SHOWN_DECIMALS = 2;

  public static final Points NONE = new Points(0);

  /** Points of a table, with one decimal at most. */
  public static Points of(BigDecimal points) {
    if (points.signum() < 0 || points.compareTo(BigDecimal.valueOf(MOST)) > 0 || points.stripTrailingZeros().scale() > 1) {
      throw new Refused("Points must be from 0 to " + MOST + " with one decimal at most but were " + points.toPlainString());
    }
    return new Points(points.multiply(BigDecimal.valueOf(POINT)).longValueExact());
  }

  public static Points of(long points) {
    return of(BigDecimal.valueOf(points));
  }

  public Points plus(Points other) {
    return new Points(parts + other.parts);
  }

  public Points minus(Points other) {
    return new Points(parts - other.parts);
  }

  /** What each of so many gets who share these. */
  Points among(int sharers) {
    return new Points(Math.round(parts / (double) sharers));
  }

  @Override
  public int compareTo(Points other) {
    return Long.compare(parts, other.parts);
  }

  /** {@code 7.5}, {@code 7.33}. */
  @Override
  public String toString() {
    BigDecimal shown = BigDecimal.valueOf(parts).divide(BigDecimal.valueOf(POINT), SHOWN_DECIMALS, RoundingMode.HALF_UP)
        .stripTrailingZeros();
    return shown.scale() < 0 ? shown.setScale(0).toPlainString() : shown.toPlainString();
  }
}

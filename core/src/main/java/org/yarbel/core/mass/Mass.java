package org.yarbel.core.mass;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Objects;

/**
 * A mass such as '142.5 kg' or '315 lb'.
 *
 * <p>It is a whole number of nanograms, from 0 to 9,000,000 kg, with the unit it was entered in beside it. Equality
 * and order are on the nanograms alone, so {@code 45 lb} equals {@code 20.41165665 kg}; sums of kilogram and pound
 * plates are exact. It does not model a negative mass, a force, or what the mass is of.
 */
public final class Mass implements Comparable<Mass> {
  /** A load hits a target when they differ by less than this: one gram. */
  public static final long TOLERANCE_NANOGRAMS = 1_000_000_000L;

  private static final long MAX_NANOGRAMS = 9_000_000L * MassUnit.KG.nanograms();
  private static final int EXACT_SCALE = 12;

  private final long nanograms;
  private final MassUnit unit;

  private Mass(long nanograms, MassUnit unit) {
    if (nanograms < 0 || nanograms > MAX_NANOGRAMS) {
      throw new Refused(
          "The mass must be from 0 to 9000000 kg but was " + unit.amount(nanograms, 3).toPlainString() + " " + unit);
    }
    this.nanograms = nanograms;
    this.unit = Objects.requireNonNull(unit, "unit");
  }

  /** A mass of this many nanograms, shown in {@code unit}. */
  public static Mass ofNanograms(long nanograms, MassUnit unit) {
    return new Mass(nanograms, unit);
  }

  /** A mass of this amount of a unit, to the nearest nanogram. */
  public static Mass of(BigDecimal amount, MassUnit unit) {
    BigDecimal plain = Decimal.bounded(amount);
    if (plain.signum() < 0 || plain.compareTo(BigDecimal.valueOf(20_000_000)) > 0) {
      throw new Refused(
          "The mass must be from 0 to 9000000 kg but was " + plain.toPlainString() + " " + unit);
    }
    return new Mass(unit.toNanograms(plain), unit);
  }

  /** A mass from a decimal literal: {@code of("142.5", KG)}. */
  public static Mass of(String amount, MassUnit unit) {
    return of(Decimal.parse(amount), unit);
  }

  /** A mass from a computed number of nanograms, rounded to the nearest; for results of formulas. */
  public static Mass ofRoundedNanograms(double nanograms, MassUnit unit) {
    return new Mass(Math.round(nanograms), unit);
  }

  /** Reads what {@link #toString()} writes: an amount, a blank, {@code kg} or {@code lb}. */
  public static Mass parse(String text) {
    int blank = text.indexOf(' ');
    if (blank < 1) {
      throw new Refused("The mass must look like '142.5 kg' but was '" + text + "'");
    }
    try {
      return of(text.substring(0, blank), MassUnit.ofSymbol(text.substring(blank + 1)));
    } catch (NumberFormatException notANumber) {
      throw new Refused("The mass must look like '142.5 kg' but was '" + text + "'", notANumber);
    }
  }

  /** The mass in whole nanograms, from 0. */
  public long nanograms() {
    return nanograms;
  }

  /** The unit it was entered in, or is shown in. */
  public MassUnit unit() {
    return unit;
  }

  /** The sum, in the unit of this one. */
  public Mass plus(Mass other) {
    return new Mass(Math.addExact(nanograms, other.nanograms), unit);
  }

  /** The difference. Refused when {@code other} is the larger. */
  public Mass minus(Mass other) {
    return new Mass(nanograms - other.nanograms, unit);
  }

  /** So many of it, from 0. */
  public Mass times(int factor) {
    return new Mass(Math.multiplyExact(nanograms, (long) factor), unit);
  }

  /** This mass times a factor from 0, to the nearest nanogram. */
  public Mass scaled(double factor) {
    return ofRoundedNanograms(nanograms * factor, unit);
  }

  /** The same mass, shown in another unit. */
  public Mass shownIn(MassUnit other) {
    return other == unit ? this : new Mass(nanograms, other);
  }

  /** How many of {@code other} this is: 0.8 for 80 kg of 100 kg. */
  public double ratioTo(Mass other) {
    return (double) nanograms / other.nanograms;
  }

  /** Whether this hits a target: they differ by less than a gram. */
  public boolean hits(Mass target) {
    return Math.abs(nanograms - target.nanograms) < TOLERANCE_NANOGRAMS;
  }

  /** Whether it is nothing at all. */
  public boolean isZero() {
    return nanograms == 0;
  }

  /** The amount in a unit, rounded half even to {@code decimals} places, without trailing zeros. */
  public BigDecimal amountIn(MassUnit other, int decimals) {
    BigDecimal amount = other.amount(nanograms, decimals).stripTrailingZeros();
    return amount.scale() < 0 ? amount.setScale(0, RoundingMode.UNNECESSARY) : amount;
  }

  /** The number a person reads, in the mass's own unit, to 0.01: {@code 142.5}. */
  public String number() {
    return amountIn(unit, 2).toPlainString();
  }

  /** The text a person reads, in the mass's own unit, to 0.01: {@code 142.5 kg}. */
  public String text() {
    return number() + " " + unit;
  }

  @Override
  public int compareTo(Mass other) {
    return Long.compare(nanograms, other.nanograms);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Mass mass && mass.nanograms == nanograms;
  }

  @Override
  public int hashCode() {
    return Long.hashCode(nanograms);
  }

  /** The exact text: the fewest decimals that {@link #parse} reads back to the same nanograms. */
  @Override
  public String toString() {
    for (int scale = 0; scale <= EXACT_SCALE; scale++) {
      BigDecimal amount = unit.amount(nanograms, scale);
      if (unit.toNanograms(amount) == nanograms) {
        return amount.toPlainString() + " " + unit;
      }
    }
    throw new AssertionError("Twelve decimals hold every nanogram");
  }
}

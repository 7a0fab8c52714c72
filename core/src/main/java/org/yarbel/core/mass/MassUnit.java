package org.yarbel.core.mass;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * The units a mass is entered and shown in.
 *
 * <p>Source: international yard and pound agreement, 1959: 1 lb = 0.45359237 kg exactly.
 */
public enum MassUnit {
  KG("kg", 1_000_000_000_000L, "2.5"),
  LB("lb", 453_592_370_000L, "5");

  private final String symbol;
  private final long nanograms;
  private final BigDecimal usualStep;

  MassUnit(String symbol, long nanograms, String usualStep) {
    this.symbol = symbol;
    this.nanograms = nanograms;
    this.usualStep = new BigDecimal(usualStep);
  }

  /** The symbol written after a number: {@code kg} or {@code lb}. */
  public String symbol() {
    return symbol;
  }

  /** How many nanograms one of this unit is, exactly. */
  public long nanograms() {
    return nanograms;
  }

  /** The jump a gym of this unit usually loads in: 2.5 kg or 5 lb. Common practice, no source. */
  public BigDecimal usualStep() {
    return usualStep;
  }

  /** The unit with this symbol, in any letter case. */
  public static MassUnit ofSymbol(String symbol) {
    for (MassUnit unit : values()) {
      if (unit.symbol.equalsIgnoreCase(symbol)) {
        return unit;
      }
    }
    throw new Refused("The unit must be kg or lb but was " + symbol);
  }

  BigDecimal amount(long nanogramsOfMass, int scale) {
    return BigDecimal.valueOf(nanogramsOfMass).divide(BigDecimal.valueOf(nanograms), scale, RoundingMode.HALF_EVEN);
  }

  long toNanograms(BigDecimal amount) {
    return amount.multiply(BigDecimal.valueOf(nanograms)).setScale(0, RoundingMode.HALF_EVEN).longValueExact();
  }

  @Override
  public String toString() {
    return symbol;
  }
}

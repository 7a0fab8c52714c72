package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * How a lifter likes to warm up: jumps that shrink, or even ones, and in how many steps at most.
 *
 * @param jump the even jump, over 0; null where the jumps shrink
 * @param most steps, 2 to 8; null for as many as the rules make
 */
public record RampStyle(@Nullable Mass jump, @Nullable Integer most) {
  /** Jumps that shrink towards the top set: the default. */
  public static final RampStyle SHRINKING = new RampStyle(null, null);

  /** The most steps that even jumps may make. */
  public static final int MOST_STEPS = 20;

  /** The fewest steps a lifter may ask for. Our own default: the first one and one near the top. */
  public static final int LEAST_LIMIT = 2;

  /** A limit above this would limit nothing. */
  public static final int MOST_LIMIT = 8;

  public RampStyle {
    if (jump != null && jump.isZero()) {
      throw new Refused("The jump of a ramp must be over 0");
    }
    if (most != null && (most < LEAST_LIMIT || most > MOST_LIMIT)) {
      throw new Refused("The steps of a ramp must be limited to 2 to 8 but were " + most);
    }
  }

  /** A style without a limit of its own. */
  public RampStyle(@Nullable Mass jump) {
    this(jump, null);
  }

  /** Equal jumps of so much; the usual ones where nothing is said. */
  public static RampStyle even(@Nullable Mass jump, MassUnit unit) {
    return jump == null ? even(unit) : new RampStyle(jump);
  }

  /** Even jumps of 40 kg or 90 lb. Common practice, no source. */
  public static RampStyle even(MassUnit unit) {
    return new RampStyle(Mass.of(unit == MassUnit.KG ? "40" : "90", unit));
  }

  /** Whether a ramp to this top in this style stays within {@value #MOST_STEPS} steps. */
  public boolean reaches(Mass top) {
    return jump == null || jump.nanograms() * MOST_STEPS >= top.nanograms();
  }
}

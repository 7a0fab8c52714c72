package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * How a lifter likes to warm up: jumps that shrink, or even ones.
 *
 * @param jump the even jump, over 0; null where the jumps shrink
 */
public record RampStyle(@Nullable Mass jump) {
  /** Jumps that shrink towards the top set: the default. */
  public static final RampStyle SHRINKING = new RampStyle((Mass) null);

  /** The most steps that even jumps may make. */
  public static final int MOST_STEPS = 20;

  public RampStyle {
    if (jump != null && jump.isZero()) {
      throw new IllegalArgumentException("The jump of a ramp must be over 0");
    }
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

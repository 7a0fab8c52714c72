package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * How to lead up to a top set today.
 *
 * @param style of the lifter
 * @param warmTo what the same lift was already taken to in this session, or nothing (0) after a kindred one; null cold
 * @param byHand the steps somebody wrote instead; null for none
 */
public record WarmUp(RampStyle style, @Nullable Mass warmTo, @Nullable HandRamp byHand) {
  /** A cold lifter, shrinking jumps. */
  public static final WarmUp SHRINKING = of(RampStyle.SHRINKING);

  /** A cold lifter of a style. */
  public static WarmUp of(RampStyle style) {
    return new WarmUp(style, null, null);
  }
}

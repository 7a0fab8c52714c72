package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * What a set is meant to weigh before it is rounded.
 *
 * @param exact at the point that is meant; null when the lifter picks
 * @param from the lower end of a range
 * @param to the upper end of a range
 * @param bar what the bar has to weigh for it
 * @param onBar whether plates can make it
 * @param source where it comes from
 */
record Target(@Nullable Mass exact, @Nullable Mass from, @Nullable Mass to, @Nullable Mass bar, boolean onBar, LoadSource source) {
  static final Target LIFTER_PICKS = new Target(null, null, null, null, true, new LoadSource.Picked());

  /** A mass somebody wrote down. */
  static Target written(Mass exact) {
    return new Target(exact, null, null, exact, true, new LoadSource.Written());
  }

  Target withBar(Mass other) {
    return new Target(exact, from, to, other, onBar, source);
  }
}

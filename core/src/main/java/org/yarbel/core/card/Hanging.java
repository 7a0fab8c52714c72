package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;

/**
 * Chains, bands and reverse bands on the bar of a part.
 *
 * @param slack what pulls at the bottom
 * @param lockOut what pulls at the top
 * @param held what reverse bands hold at the bottom
 * @param at the point a % or RPE means; null for the bar itself
 */
record Hanging(Mass slack, Mass lockOut, Mass held, Option.@Nullable Point at, boolean any) {
  static Hanging of(Part part) {
    Mass nothing = Mass.ofNanograms(0, MassUnit.KG);
    if (!part.changesLoadOnTheWay()) {
      return new Hanging(nothing, nothing, nothing, null, false);
    }
    Mass slack = part.option(Option.Bands.class).map(Option.Bands::slack).orElse(nothing);
    Mass bands = part.option(Option.Bands.class).map(Option.Bands::lockOut).orElse(nothing);
    Mass chains = part.option(Option.Chains.class).map(Option.Chains::mass).orElse(nothing);
    Mass held = part.option(Option.Reverse.class).map(Option.Reverse::held).orElse(nothing);
    return new Hanging(slack, bands.plus(chains), held, part.option(Option.At.class).map(Option.At::point).orElse(null), true);
  }

  /** The bar that weighs so much at the stated point; never less than nothing. */
  Mass bar(Mass exact) {
    if (at == null) {
      return exact;
    }
    return at == Option.Point.TOP ? less(exact, lockOut) : less(exact.plus(held), slack);
  }

  /** What makes the bar weigh something else than what is meant. */
  LoadSource.Hung hung() {
    if (at == null) {
      return LoadSource.Hung.NOTHING;
    }
    return at == Option.Point.TOP ? new LoadSource.Hung(null, lockOut) : new LoadSource.Hung(held, slack);
  }

  /** What a bar comes to at the bottom and at the top; null where nothing hangs on it. */
  ResolvedSet.@Nullable Ends ends(@Nullable Mass bar) {
    return !any || bar == null ? null : new ResolvedSet.Ends(less(bar.plus(slack), held), bar.plus(lockOut));
  }

  private static Mass less(Mass from, Mass what) {
    return Mass.ofNanograms(Math.max(from.nanograms() - what.nanograms(), 0), from.unit());
  }
}

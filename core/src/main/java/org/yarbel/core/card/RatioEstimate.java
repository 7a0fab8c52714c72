package org.yarbel.core.card;

import java.util.Optional;
import java.util.function.Function;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;

/**
 * The estimated max of a variation that has none of its own: its parent's by the ratio, and so on up the family.
 *
 * @param own the estimated max that the log or a test gave a lift; empty where there is none
 * @param learned the ratio that the log has taught of a lift; empty where the catalogue's default holds
 */
public record RatioEstimate(Catalogue lifts, Function<Lift, Optional<Mass>> own, Function<Lift, Optional<Lift.Ratio>> learned) {
  /** The estimated max of a lift: its own, else by the ratio; empty when nothing up the family is known. */
  public Optional<Mass> of(Lift lift) {
    return own.apply(lift).or(() -> byRatio(lift));
  }

  /** What the parent's estimate gives by the ratio, whether or not the lift has one of its own. */
  public Optional<Mass> byRatio(Lift lift) {
    return ratio(lift).flatMap(ratio -> lifts.parent(lift).flatMap(this::of).map(max -> max.scaled(ratio.percent() / 100)));
  }

  /** The ratio in force: the learned one, else the default; empty for a lift without. */
  public Optional<Lift.Ratio> ratio(Lift lift) {
    return learned.apply(lift).or(() -> Optional.ofNullable(lift.ratio()));
  }
}

package org.yarbel.core.card;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;

/** How warm a lift is from what stands before it in the session. Common practice, no source. */
public final class Warmth {
  private Warmth() {}

  /** A lift and the heaviest load it was taken to. */
  public record Taken(Lift lift, Mass heaviest) {}

  /**
   * What a lift is warm to: the heaviest load of its own family today, nothing (0) after a kindred lift of the same
   * pattern, null when it is cold.
   */
  public static @Nullable Mass of(Lift lift, List<Taken> before, Catalogue catalogue) {
    Mass warm = null;
    for (Taken taken : before) {
      boolean family = catalogue.family(taken.lift()).equals(catalogue.family(lift));
      boolean kindred = taken.lift().pattern() == lift.pattern();
      Mass to = family ? taken.heaviest() : Mass.ofNanograms(0, taken.heaviest().unit());
      if ((family || kindred) && (warm == null || to.compareTo(warm) > 0)) {
        warm = to;
      }
    }
    return warm;
  }
}

package org.yarbel.core.card;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.WorkKind;
import org.yarbel.core.notation.WorkLine;

/**
 * What a beginner does not find on a card before the coach has said so: assisted negatives and reverse bands, which load
 * beyond what is learned. Common practice, no source.
 */
public final class CoachWord {
  private CoachWord() {}

  /**
   * Why a line waits for the coach's word; empty when it does not.
   *
   * @param level of the lifter in the lift; null when nobody said
   */
  public static Optional<String> neededFor(Lift lift, WorkLine line, @Nullable Level level) {
    if (level != Level.BEGINNER) {
      return Optional.empty();
    }
    boolean negative = lift.variation().assisted() || line.parts().stream().anyMatch(part -> part.work().kind() == WorkKind.NEGATIVE);
    boolean reverse = line.parts().stream().anyMatch(part -> part.option(Option.Reverse.class).isPresent());
    return negative || reverse ? Optional.of((negative ? "Assisted negatives are" : "Reverse bands are") + " not for beginners in the "
        + lift.name().toLowerCase(Locale.ROOT) + ": it opens when the coach has said so.") : Optional.empty();
  }
}

package org.yarbel.core.card;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * A line worked out for a lifter.
 *
 * @param notation the line in normal form
 * @param ramp the warm-up to its first working set, that set not included
 * @param today today's max from the heaviest logged set, raw; null until a rated set is logged
 */
public record ResolvedLine(
    String notation, List<RampStep> ramp, List<ResolvedSet> sets, @Nullable Mass today, List<Caution> cautions) {
  public ResolvedLine {
    ramp = List.copyOf(ramp);
    sets = List.copyOf(sets);
    cautions = List.copyOf(cautions);
  }
}

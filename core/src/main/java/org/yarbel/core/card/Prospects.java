package org.yarbel.core.card;

import java.util.Optional;
import java.util.OptionalDouble;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Outlook;

/** What the tracker lets expect of a set to be lifted that day: the reps of an open one, the chance of a single near the max. */
public final class Prospects {
  /** Further than this nobody counts on reps, and from this share of the max on a single is a question. Our own defaults. */
  private static final int MOST_REPS = 20;
  private static final double NEAR_MAX = 0.9;

  private Prospects() {}

  /**
   * Reps to expect, with how far they may be off.
   *
   * @param give at least 1: nobody knows an open set to the rep
   */
  public record Reps(long reps, long give) {}

  /** How many reps an open set will come to, those that its cap leaves not counted; empty for other sets, and beyond twenty. */
  public static Optional<Reps> reps(ResolvedSet set, Outlook day) {
    Mass load = set.load();
    if (load == null || !set.tellsOfMax() || set.role() != Role.OPEN && set.role() != Role.PLUS) {
      return Optional.empty();
    }
    double reps = day.repsAt(load) - set.reserveAtCap();
    return reps < 1 || reps > MOST_REPS ? Optional.empty()
        : Optional.of(new Reps(Math.round(reps), Math.max(1, Math.round(day.repsSd(load)))));
  }

  /** How likely a single from 90 % of the max on is made; empty for other sets. */
  public static OptionalDouble single(ResolvedSet set, Outlook day) {
    Mass load = set.load();
    boolean single = load != null && set.tellsOfMax() && set.reps() != null && set.reps() == 1
        && set.role() != Role.OPEN && set.role() != Role.PLUS && load.ratioTo(day.max(load.unit()).max()) >= NEAR_MAX;
    return single ? OptionalDouble.of(day.chance(load)) : OptionalDouble.empty();
  }
}

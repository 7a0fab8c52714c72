package org.yarbel.core.plan.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * An exposure that lies behind, with all its sets logged.
 *
 * @param number of the exposure, from 0
 * @param lift what was lifted, a key
 * @param sets of its first line, in order
 */
public record Done(int number, String lift, List<DoneSet> sets) {
  /**
   * One set.
   *
   * @param part of the line, from 1
   * @param asked the least reps that were asked; null when open
   * @param open whether as many as possible were asked
   */
  public record DoneSet(int part, Mass load, int reps, @Nullable Integer asked, boolean open) {
    /** Whether fewer reps were made than were asked at the least. */
    public boolean missed() {
      return asked != null && reps < asked;
    }
  }

  public Done {
    sets = List.copyOf(sets);
  }

  /** Whether every set had the least that was asked. */
  boolean minimumMade() {
    return sets.stream().noneMatch(DoneSet::missed);
  }

  long missedSets() {
    return sets.stream().filter(DoneSet::missed).count();
  }

  /** The load of the first set. */
  Mass load() {
    return sets.get(0).load();
  }

  Optional<Mass> heaviestMade() {
    return sets.stream().filter(set -> set.reps() > 0).map(DoneSet::load).max(Comparator.naturalOrder());
  }

  DoneSet last() {
    return sets.get(sets.size() - 1);
  }
}

package org.yarbel.core.card;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * One set with its load.
 *
 * @param part the part of the line, from 1
 * @param set the set of the part, from 1
 * @param exact the load before it was rounded to what loads; null when the lifter picks
 * @param load what to lift, or what was lifted once it is logged; null when the lifter picks
 * @param reps asked (the lower end of a range) or done; null for an open set
 * @param repsTo the upper end of a range
 * @param rpe asked (the lower end of a range) or rated
 * @param rpeTo the upper end of a range
 * @param percent of the basis, 0–100 and beyond; null without a number
 * @param perSide the plates of one side; null where nothing goes on a bar
 * @param restSeconds as written, else null
 * @param tempo as written, else null
 * @param exactFrom the lower end of a range of percentages
 * @param exactTo its upper end
 * @param stop where to stop: {@code form}, or a capped RPE such as {@code @9}
 * @param logged whether load, reps and RPE are what was done
 */
public record ResolvedSet(
    int part,
    int set,
    Role role,
    @Nullable Mass exact,
    @Nullable Mass load,
    @Nullable Integer reps,
    @Nullable Integer repsTo,
    @Nullable Rpe rpe,
    @Nullable Rpe rpeTo,
    @Nullable Double percent,
    @Nullable List<Mass> perSide,
    @Nullable Integer restSeconds,
    @Nullable String tempo,
    @Nullable Mass exactFrom,
    @Nullable Mass exactTo,
    @Nullable String stop,
    boolean logged) {
  /** A name for the set within its line: {@code 2.1}. */
  public String place() {
    return part + "." + set;
  }

  ResolvedSet asLogged(LoggedSet done, @Nullable List<Mass> plates) {
    return new ResolvedSet(part, set, role, exact, done.load(), done.reps(), null, done.rpe(), null, percent, plates,
        restSeconds, tempo, exactFrom, exactTo, stop, true);
  }
}

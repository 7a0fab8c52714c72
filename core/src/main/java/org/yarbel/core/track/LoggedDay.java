package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The sets of one day of a log in the order they were lifted, sorted out into what teaches and what only trains. */
final class LoggedDay {
  private static final Mass NEXT_ATTEMPT = Mass.of("2.5", MassUnit.KG);
  private static final double EQUAL_SPREAD = 1e-9;

  private final LocalDate date;
  private final List<WorkSet> work = new ArrayList<>();
  private final List<Observation> telling = new ArrayList<>();
  private boolean flagged;
  private boolean trained;
  private boolean begun;

  /**
   * A day without a set so far.
   *
   * @param begun whether the tracker has begun; before that a miss says nothing
   */
  LoggedDay(LocalDate date, boolean begun) {
    this.date = date;
    this.begun = begun;
  }

  /** Takes the next set in. Answers whether it teaches anything. */
  boolean add(Observation set) {
    flagged |= set.is(Observation.Trait.FLAGGED);
    trained |= set.made();
    if (set.load().isZero() || set.is(Observation.Trait.PRACTICE)) {
      return false;
    }
    WorkSet seen = WorkSet.of(set);
    begun |= seen.made();
    if (!begun) {
      return false;
    }
    work.add(seen);
    if (set.is(Observation.Trait.NEXT_MISSED)) {
      work.add(WorkSet.of(Observation.of(date, set.load().plus(NEXT_ATTEMPT), 0, null)));
    }
    if (seen.teaches()) {
      telling.add(set);
    }
    return seen.teaches();
  }

  LocalDate date() {
    return date;
  }

  /** Its work sets, those before the tracker has begun left out. */
  List<WorkSet> work() {
    return work;
  }

  boolean flagged() {
    return flagged;
  }

  /** Whether any set of it was made, also one that says nothing of the max. */
  boolean trained() {
    return trained;
  }

  /** The point to show of it; null where nothing teaches. */
  Track.@Nullable Point point(@Nullable Estimate estimate, MassUnit unit) {
    if (telling.isEmpty()) {
      return null;
    }
    Observation most = mostTelling();
    if (most == null) {
      return new Track.Point(date, null, null, estimate);
    }
    Double spread = most.rated() ? Double.valueOf(most.spread()) : null;
    return new Track.Point(date, Mass.ofRoundedNanograms(most.oneRepMaxNanograms(), unit), spread, estimate);
  }

  /** The rated set with the smallest spread, the one for the highest max where spreads are equal; else the highest floor. */
  private @Nullable Observation mostTelling() {
    Observation most = null;
    for (Observation set : telling) {
      if (set.rated() && (most == null || tellsMore(set, most))) {
        most = set;
      }
    }
    return most != null ? most : telling.stream().filter(Observation::floor)
        .max(Comparator.comparingDouble(Observation::oneRepMaxNanograms)).orElse(null);
  }

  private static boolean tellsMore(Observation set, Observation than) {
    boolean equal = Math.abs(set.spread() - than.spread()) <= EQUAL_SPREAD;
    return equal ? set.oneRepMaxNanograms() > than.oneRepMaxNanograms() : set.spread() < than.spread();
  }
}

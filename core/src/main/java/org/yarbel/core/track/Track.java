package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * What came of a run over a log.
 *
 * @param points one a day that teaches, in order of date
 * @param standing where the tracker stands after the last day; null while nothing is known
 * @param before where it stood before the last logged day; null where it had not begun
 * @param skipped the places in the list given of the sets that teach nothing
 * @param setsToday the work sets of the standing's own day
 */
public record Track(List<Point> points, @Nullable Standing standing, @Nullable Standing before, List<Integer> skipped, int setsToday) {

  /**
   * One day with a set that teaches.
   *
   * @param raw what its most telling rated set speaks for by itself, or its highest floor; null where all were misses
   * @param spread the standard deviation of that, in % of it; null of a floor, and with it
   * @param estimate the tracked max after it; null before the tested date
   */
  public record Point(LocalDate date, @Nullable Mass raw, @Nullable Double spread, @Nullable Estimate estimate) {}

  /** What it says on a day; after the sets of the standing's own day where that is asked for. Null while nothing is known. */
  public @Nullable Outlook on(LocalDate date) {
    if (standing == null) {
      return null;
    }
    return standing.on(date).after(date.equals(standing.day()) ? setsToday : 0);
  }
}

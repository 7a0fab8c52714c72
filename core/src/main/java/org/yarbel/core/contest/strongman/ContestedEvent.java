package org.yarbel.core.contest.strongman;

import java.util.Arrays;
import org.yarbel.core.contest.strongman.EventKind.Field;

/**
 * One event of a contest.
 *
 * @param name as the contest announces it
 * @param timeBreaksTies whether of equally many reps, or equally far, the earlier is better; else they share the place. Where a kind
 *     ranks by its time in any case, nothing hangs on it
 */
public record ContestedEvent(String name, EventKind kind, boolean timeBreaksTies) {

  /** Whether a result counts at all; without one there is no place and no points. */
  public boolean counts(EventResult result) {
    return switch (kind) {
      case REPS -> result.hundredths(Field.REPS) > 0;
      case MAX_LOAD -> result.load() != null && !result.load().isZero();
      case DISTANCE -> result.hundredths(Field.DISTANCE) > 0;
      case TIME -> finished(result) || result.hundredths(Field.DONE) > 0 || result.hundredths(Field.DISTANCE) > 0;
      case SERIES -> result.hundredths(Field.DONE) > 0;
      case MEDLEY -> result.hundredths(Field.DONE) > 0 || result.hundredths(Field.DISTANCE) > 0;
      case HOLD -> result.hundredths(Field.TIME) > 0;
      case HEAD_TO_HEAD -> result.hundredths(Field.WON) > 0 || result.hundredths(Field.TIME) > 0;
    };
  }

  /** Compares two results that count: below 0 where the first is better, 0 where they share a place. */
  public int compare(EventResult one, EventResult other) {
    return Arrays.compare(rank(other), rank(one));
  }

  /** What a result ranks by, the greater the better, the first of them first. */
  private long[] rank(EventResult result) {
    long sooner = -(result.has(Field.TIME) ? result.hundredths(Field.TIME) : Long.MAX_VALUE);
    long breaks = timeBreaksTies ? sooner : 0;
    return switch (kind) {
      case REPS -> new long[] {result.hundredths(Field.REPS), breaks};
      case MAX_LOAD -> new long[] {grams(result), -result.hundredths(Field.TRIES)};
      case DISTANCE -> new long[] {result.hundredths(Field.DISTANCE), breaks};
      case TIME -> finished(result) ? new long[] {1, sooner}
          : new long[] {0, result.hundredths(Field.DONE), result.hundredths(Field.DISTANCE)};
      case SERIES -> new long[] {result.hundredths(Field.DONE), sooner};
      case MEDLEY -> new long[] {result.hundredths(Field.DONE), sooner, result.hundredths(Field.DISTANCE)};
      case HOLD -> new long[] {result.hundredths(Field.TIME)};
      case HEAD_TO_HEAD -> new long[] {result.hundredths(Field.WON), sooner};
    };
  }

  private static boolean finished(EventResult result) {
    return result.hundredths(Field.FINISHED) > 0 && result.has(Field.TIME);
  }

  private static long grams(EventResult result) {
    return result.load() == null ? 0 : Math.round(result.load().nanograms() / 1e9);
  }
}

package org.yarbel.web.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** The summary of a contest's day: what became of the club's own, and what it says. */
public record SummaryView(long id, String name, String when, String where, boolean strongman, boolean mock, boolean over,
    List<OneView> ours, boolean open) {

  /**
   * What became of one.
   *
   * @param result place, total and points, in words
   * @param ratings what a mock contest says of ratings
   * @param logged whether it is in the log
   * @param doubt what is odd about putting it there; null for nothing
   */
  public record OneView(long athlete, long lifter, String name, String facts, String result, List<LiftLine> lifts, List<String> events,
      List<RatingsLine> ratings, boolean logged, @Nullable String doubt, String next) {}

  /**
   * What a mock contest says of the ratings of a lift.
   *
   * @param whole whether that says all; where not, what it would make of the bias is worked out when somebody asks
   */
  public record RatingsLine(String words, boolean whole) {}

  /**
   * A lift with its attempts.
   *
   * @param record whether it is a best, and of what; empty for none
   * @param ratio contest over gym, and what the next odds go by; empty where nobody knows
   * @param words what attempts were turned down for
   */
  public record LiftLine(String name, List<AthleteView.Chip> attempts, String best, String record, String ratio, String words) {}
}

package org.yarbel.web.platform;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One athlete's screen of a strongman contest.
 *
 * @param facts in words
 * @param standing of the class, the leader first
 * @param next the event that is next; null where all are over
 * @param places what each place in it would mean; empty where more than two are left
 * @param needed what is needed in the last event to win, a sentence each
 * @param bag what to bring, with what is packed
 */
public record StrongmanView(long contest, long athlete, String name, String facts, List<String> cautions,
    List<StandingRow> standing, List<String> events, @Nullable NextEvent next, List<PlaceRow> places, List<String> needed,
    @Nullable String left, Bag bag, long version) {

  /**
   * One line of the class.
   *
   * @param events points by event; empty where there is no result yet
   */
  public record StandingRow(String place, String name, boolean mine, List<String> events, String points, boolean withdrawn) {}

  /**
   * The next event.
   *
   * @param kind how it ranks, in words
   * @param ramp the warm-up, a step each
   */
  public record NextEvent(int number, String name, String work, String kind, String starts, List<String> ramp, @Nullable String note) {}

  /** What a place in the next event would mean. */
  public record PlaceRow(String place, String points, String best, String worst, String hope) {}
}

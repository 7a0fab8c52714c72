package org.yarbel.web.ledger;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/**
 * The stretch of time a picture shows.
 *
 * @param until its last day
 */
public record LedgerStretch(int weeks, LocalDate until) {
  /** What can be chosen: a quarter, half a year, a year, three, ten. */
  private static final List<Integer> WEEKS = List.of(13, 26, 52, 156, 520);
  private static final int USUAL = 26;

  /** One that can be chosen; what cannot is the usual one, and nothing lies ahead. */
  static LedgerStretch of(int weeks, LocalDate until, LocalDate today) {
    return new LedgerStretch(WEEKS.contains(weeks) ? weeks : USUAL, until.isAfter(today) ? today : until);
  }

  LocalDate from() {
    return until.minusWeeks(weeks);
  }

  long days() {
    return ChronoUnit.DAYS.between(from(), until);
  }

  /** The lengths to choose from, with their words. */
  static List<Length> lengths() {
    return List.of(new Length(13, "3 months"), new Length(26, "6 months"), new Length(52, "1 year"), new Length(156, "3 years"),
        new Length(520, "10 years"));
  }

  /** A length, as it is chosen. */
  public record Length(int weeks, String word) {}
}

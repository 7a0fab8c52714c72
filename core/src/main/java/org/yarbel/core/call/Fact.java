package org.yarbel.core.call;

import java.time.LocalDate;

/**
 * Something on record that a call rests on, such as 'Mon 2 Mar: 4 of 5 at 142.5 kg', to be opened.
 *
 * @param id what the caller knows it by
 * @param words what it says
 */
public record Fact(Kind kind, String id, LocalDate day, String words) {
  /** What it is. */
  public enum Kind {
    /** A set that was lifted. */
    SET,
    /** What was said before a session. */
    CHECK_IN,
    /** A pain that is on the lifter's page. */
    COMPLAINT,
    /** A planned session. */
    SESSION,
    /** A number that was tested or set. */
    NUMBER,
    /** Where the tracked max stood on a day. */
    ESTIMATE,
    /** A body mass. */
    WEIGH_IN,
    /** A line of the plan. */
    LINE,
    /** A method at work. */
    METHOD
  }

  /** What it is told apart by: {@code set:123}. */
  public String key() {
    return kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-') + ":" + id;
  }
}

package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.Locale;

/**
 * Something on record that a call rests on, such as 'Mon 2 Mar: 4 of 5 at 142.5 kg', to be opened.
 *
 * @param id what the caller knows it by
 * @param words what it says
 * @param news whether a call that was refused comes back with it; else it only stands beside
 */
public record Fact(Kind kind, String id, LocalDate day, String words, boolean news) {
  /** One that is news. */
  public Fact(Kind kind, String id, LocalDate day, String words) {
    this(kind, id, day, words, true);
  }

  /** The same, standing beside. */
  Fact beside() {
    return new Fact(kind, id, day, words, false);
  }

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
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-') + ":" + id;
  }
}

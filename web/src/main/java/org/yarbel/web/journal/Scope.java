package org.yarbel.web.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * How much of a lifter's plan a change may touch, and so how much has to stand as it left it for the change to be undone.
 *
 * @param days that may be touched
 * @param methods whether what methods, easy weeks and the long plan are set to may change with them
 * @param words what the change does, in a few words; null to tell it from what is different after it
 */
public record Scope(Extent extent, Set<LocalDate> days, boolean methods, @Nullable String words) {
  /** What is looked at before a change is undone. */
  public enum Extent {
    /** Single lines, whatever else became of their day. */
    LINE,
    /** The order and the groups of a session, whatever its lines say. */
    SESSION,
    /** Whole days. */
    DAYS
  }

  public Scope {
    days = Set.copyOf(days);
  }

  /** Lines of a day. */
  public static Scope line(LocalDate day) {
    return new Scope(Extent.LINE, Set.of(day), false, null);
  }

  /** How the lines of a day stand together. */
  public static Scope session(LocalDate day, String words) {
    return new Scope(Extent.SESSION, Set.of(day), false, words);
  }

  /** Whole days. */
  public static Scope days(Collection<LocalDate> days) {
    return new Scope(Extent.DAYS, new TreeSet<>(days), false, null);
  }

  /** Single lines of several days. */
  public static Scope lines(Collection<LocalDate> days) {
    return new Scope(Extent.LINE, new TreeSet<>(days), false, null);
  }

  /** The same with what it does, in a few words; null to tell it from what is different after it. */
  public Scope saying(@Nullable String what) {
    return new Scope(extent, days, methods, what);
  }

  /** The same together with what methods are set to, and what of theirs was taken out. */
  public Scope withMethods() {
    return new Scope(extent, days, true, words);
  }
}

package org.yarbel.web.call;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.skyline.Skyline;
import org.yarbel.web.skyline.Sparkline;

/**
 * A lifter's week as a coach looks back on it, and the next as it would be.
 *
 * @param sent what went out already; null where nothing did
 */
public record LookView(long lifterId, String lifter, String unit, String week, String monday, List<SessionView> sessions,
    List<AnswerLine> answers,
    List<String> hurts, List<MovedMax> moved, List<PlusView> open, List<NextDay> next, @Nullable String sent, @Nullable String word) {
  /**
   * A session.
   *
   * @param state how far it was done
   * @param off what was done otherwise than asked, a sentence each
   * @param words that were said of it
   */
  public record SessionView(long id, String day, String state, boolean missed, @Nullable Skyline sky, List<String> lines, List<String> off,
      List<String> marks, List<WordView> words, int clips, String effort) {}

  /** A word about a session, and whether a coach said it. */
  public record WordView(String who, String words, boolean byCoach) {}

  /** One answer of the check-ins over time. */
  public record AnswerLine(String what, String newest, Sparkline line) {}

  /** An estimate before and after the week. */
  public record MovedMax(String lift, String key, String before, String after, String by) {}

  /** An open set against its minimum and the best at its load so far. */
  public record PlusView(String day, String lift, String made, String minimum, String best, boolean record) {}

  /** A day of the week to come with its lines. */
  public record NextDay(String day, List<NextLine> lines) {}

  /** A line of it. */
  public record NextLine(String lift, String work, String loads) {}
}

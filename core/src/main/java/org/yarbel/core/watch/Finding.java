package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a check has found.
 *
 * @param check its key
 * @param sentence with this week's figures
 * @param source where the rule is from: a publication, common practice, or our own default
 * @param day it is about; null for the week
 * @param line it is about; null for the day or the week
 * @param lift its family, by which it can be silenced; empty for none
 * @param mend what would put it right; null where only a person can
 * @param move the move that would put it right; null where none does
 */
public record Finding(String check, Severity severity, String sentence, String source, @Nullable LocalDate day,
    @Nullable Long line, String lift, @Nullable Mend mend, @Nullable Move move) {
  /** One that no move puts right. */
  public Finding(String check, Severity severity, String sentence, String source, @Nullable LocalDate day, @Nullable Long line, String lift,
      @Nullable Mend mend) {
    this(check, severity, sentence, source, day, line, lift, mend, null);
  }

  /** The same as a note, with more to say. */
  Finding asNote(String more) {
    return new Finding(check, Severity.NOTE, sentence + more, source, day, line, lift, mend, move);
  }

  /** The same with a move that puts it right. */
  Finding with(@Nullable Move other) {
    return new Finding(check, severity, sentence, source, day, line, lift, mend, other);
  }

  /**
   * Lines on another day.
   *
   * @param lines by what the caller knows them by
   * @param words what it changes: {@code the deadlift to Thursday}
   */
  public record Move(List<Long> lines, LocalDate from, LocalDate to, String words) {}

  /**
   * Another text for the line.
   *
   * @param work the line as it would be written
   * @param words what it changes: {@code 72 % in place of 80 %}
   */
  public record Mend(String work, String words) {}
}

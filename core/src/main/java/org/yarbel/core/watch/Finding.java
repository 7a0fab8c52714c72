package org.yarbel.core.watch;

import java.time.LocalDate;
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
 */
public record Finding(String check, Severity severity, String sentence, String source, @Nullable LocalDate day, @Nullable Long line, String lift,
    @Nullable Mend mend) {
  /**
   * Another text for the line.
   *
   * @param work the line as it would be written
   * @param words what it changes: {@code 72 % in place of 80 %}
   */
  public record Mend(String work, String words) {}
}

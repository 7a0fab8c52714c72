package org.yarbel.core.notation;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line with the places its pieces stood at in the typed text, for problems that only show when it meets a lifter.
 *
 * @param places one a part of the line
 */
public record ParsedLine(WorkLine line, List<Places> places) {
  /** Where a part, its load and its RPE stood; null where it has none. */
  public record Places(Span part, @Nullable Span load, @Nullable Span rpe) {}

  public ParsedLine {
    places = List.copyOf(places);
  }
}

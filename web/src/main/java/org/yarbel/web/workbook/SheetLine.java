package org.yarbel.web.workbook;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.lift.Lift;

/**
 * A line of the plan as a workbook has it.
 *
 * @param known which line it is
 * @param request what is asked of whom; null where the line cannot be read
 * @param resolved what it comes to; null where the line cannot be read
 */
record SheetLine(LocalDate day, Known known, Lift lift, String work, Resolver.@Nullable Request request, @Nullable ResolvedLine resolved) {

  /**
   * Which line it is, and whether it can be changed.
   *
   * @param ref null for one that is not written into a day yet
   * @param fixed whether nothing of it can be changed any more, or yet
   */
  record Known(@Nullable UUID ref, boolean fixed) {
    /** A line of a week that is not written yet. */
    static final Known AHEAD = new Known(null, true);
  }

  /** The lines of a week. */
  record OfWeek(LocalDate monday, String title, List<SheetLine> lines) {}
}

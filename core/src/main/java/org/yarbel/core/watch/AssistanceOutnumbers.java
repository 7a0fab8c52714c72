package org.yarbel.core.watch;

import java.util.List;
import org.yarbel.core.plan.WeekTotals;

/** More assistance than main work in a strength or peak block. */
final class AssistanceOutnumbers implements Check {
  @Override
  public String key() {
    return "assistance-outnumbers";
  }

  @Override
  public String title() {
    return "assistance outnumbering main work";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    WeekTotals totals = week.totals();
    return week.peaking() && totals.assistanceReps() > totals.mainReps() && totals.mainReps() > 0
        ? List.of(of(Severity.DOUBT, "", Math.round(totals.mainReps()) + " reps of main lifts and close variants of "
            + Math.round(totals.mainReps() + totals.assistanceReps())
            + " (" + Math.round(totals.mainShare()) + " %) in a strength or peak block: the rest is assistance."))
        : List.of();
  }
}

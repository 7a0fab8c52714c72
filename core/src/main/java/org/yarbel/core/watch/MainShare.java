package org.yarbel.core.watch;

import java.util.List;
import org.yarbel.core.plan.WeekTotals;

/** Main work under its share of all reps. */
final class MainShare implements Check {
  private static final double FEW_REPS = 30;

  @Override
  public String key() {
    return "main-share";
  }

  @Override
  public String title() {
    return "main work under 40 %";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    WeekTotals totals = week.totals();
    boolean already = week.peaking() && totals.assistanceReps() > totals.mainReps();
    return !already && totals.mainReps() > 0 && totals.mainReps() + totals.assistanceReps() >= FEW_REPS
        && totals.mainShare() < week.of(Threshold.MAIN_SHARE)
        ? List.of(of(Severity.NOTE, "", "Main lifts and close variants are " + Math.round(totals.mainShare()) + " % of the reps ("
            + Math.round(totals.mainReps()) + " of " + Math.round(totals.mainReps() + totals.assistanceReps()) + ")."))
        : List.of();
  }
}

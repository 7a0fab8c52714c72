package org.yarbel.core.watch;

import java.util.List;
import org.yarbel.core.plan.Deload;

/** No deload for longer than the level bears. */
final class DeloadDue implements Check {
  /** So near a contest the taper is the easy time. */
  private static final int TAPER_DAYS = 21;

  @Override
  public String key() {
    return "deload-due";
  }

  @Override
  public String title() {
    return "no deload within the interval";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    int most = week.of(Threshold.DELOAD_WEEKS) > 0 ? (int) week.of(Threshold.DELOAD_WEEKS)
        : Deload.Interval.of(week.athlete().level(), week.athlete().strained()).most();
    int running = week.weeksSinceDeload() + 1;
    boolean tapering = week.daysToContest().orElse(TAPER_DAYS) < TAPER_DAYS;
    return week.deload() == null && !tapering && running > most && !week.lines().isEmpty()
        ? List.of(of(Severity.DOUBT, "", "This is week " + running + (running > WatchedWeek.LOOKED_BACK ? " or later" : "")
            + " without a deload; at this level and in this life one is due after "
            + most + " at most."))
        : List.of();
  }
}

package org.yarbel.core.watch;

import java.util.List;

/** Hard work on nearly every day. */
final class ManyHardDays implements Check {
  @Override
  public String key() {
    return "many-hard-days";
  }

  @Override
  public String title() {
    return "six max-effort or hard days in a week";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    int hard = week.hardDays().size();
    return hard >= week.of(Threshold.HARD_DAYS)
        ? List.of(of(Severity.DOUBT, "", hard + " hard days in one week: leave some of them light.")) : List.of();
  }
}

package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.List;

/** Several hard days without a break. */
final class HardDaysRunning implements Check {
  @Override
  public String key() {
    return "hard-days-running";
  }

  @Override
  public String title() {
    return "three hard days running";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    int bound = (int) week.of(Threshold.HARD_DAYS_RUNNING);
    List<LocalDate> hard = week.hardDays();
    int running = 1;
    for (int i = 1; i < hard.size(); i++) {
      running = hard.get(i).equals(hard.get(i - 1).plusDays(1)) ? running + 1 : 1;
      if (running == bound) {
        return List.of(on(Severity.DOUBT, hard.get(i), "", bound + " hard days running, " + Words.day(hard.get(i - bound + 1)) + " to "
            + Words.day(hard.get(i)) + ": put an easy or free day between."));
      }
    }
    return List.of();
  }
}

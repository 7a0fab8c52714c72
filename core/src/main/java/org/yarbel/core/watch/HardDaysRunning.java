package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** Several hard days without a break. */
final class HardDaysRunning implements Layout.LayoutCheck {
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
  public List<Finding> faults(WatchedWeek week) {
    int bound = (int) week.of(Threshold.HARD_DAYS_RUNNING);
    List<Finding> findings = new ArrayList<>();
    List<LocalDate> hard = week.hardDaysThrough();
    for (int first = 0, last = 0; first < hard.size(); first = last + 1) {
      last = first;
      while (last + 1 < hard.size() && hard.get(last + 1).equals(hard.get(last).plusDays(1))) {
        last++;
      }
      int running = last - first + 1;
      if (running >= bound && !hard.get(last).isBefore(week.monday())) {
        LocalDate day = hard.get(first + bound - 1).isBefore(week.monday()) ? week.monday() : hard.get(first + bound - 1);
        findings.add(on(Severity.DOUBT, day, "", running + " hard days running, " + Words.day(hard.get(first)) + " to "
            + Words.day(hard.get(last))
            + ": put an easy or free day between."));
      }
    }
    return findings;
  }
}

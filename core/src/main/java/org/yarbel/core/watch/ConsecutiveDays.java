package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/** The same lift hard on two days running. */
final class ConsecutiveDays implements Layout.LayoutCheck {
  @Override
  public String key() {
    return "consecutive-days";
  }

  @Override
  public String title() {
    return "the same lift hard two days running";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> faults(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (LocalDate day : week.byDay().keySet()) {
      for (String lift : week.hardLifts(day)) {
        if (week.hardLifts(day.minusDays(1)).contains(lift)) {
          findings.add(on(Severity.DOUBT, day, lift, "The " + Words.lift(lift) + " is hard on " + Words.day(day.minusDays(1))
              + " and again on " + Words.day(day)
              + ": move one, or make it light (nothing over 70 % nor RPE 6)."));
        }
      }
    }
    return findings;
  }
}

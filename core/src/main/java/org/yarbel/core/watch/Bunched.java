package org.yarbel.core.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** Work bunched on days running, then days off. */
final class Bunched implements Check {
  private static final int LEAST_DAYS = 3;

  @Override
  public String key() {
    return "bunched";
  }

  @Override
  public String title() {
    return "work bunched, then days off";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<LocalDate> days = List.copyOf(week.byDay().keySet());
    if (days.size() < LEAST_DAYS) {
      return List.of();
    }
    LocalDate first = days.get(0);
    LocalDate last = days.get(days.size() - 1);
    boolean running = ChronoUnit.DAYS.between(first, last) == days.size() - 1;
    long off = 7 - days.size();
    return running && off >= week.of(Threshold.DAYS_OFF)
        ? List.of(of(Severity.NOTE, "", "All " + days.size() + " sessions stand on days running, " + Words.day(first) + " to "
            + Words.day(last) + ", then " + off + " days off: spread them."))
        : List.of();
  }
}

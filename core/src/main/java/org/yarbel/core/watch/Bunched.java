package org.yarbel.core.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.mass.Count;

/** Work bunched on days running, then days off. */
final class Bunched implements Check {
  private static final int LEAST_DAYS = 3;
  private static final int CONTEST_NEAR = 9;

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
    // an easy week, one that ends on the platform, and one that takes every day there is are not to be spread
    boolean contest = week.daysToContest().orElse(CONTEST_NEAR) < CONTEST_NEAR;
    boolean allThereIs = !week.athlete().free().isEmpty() && days.stream().map(LocalDate::getDayOfWeek).collect(Collectors.toSet())
        .containsAll(week.athlete().free());
    if (days.size() < LEAST_DAYS || contest || allThereIs || week.deload() != null) {
      return List.of();
    }
    LocalDate first = days.get(0);
    LocalDate last = days.get(days.size() - 1);
    boolean running = ChronoUnit.DAYS.between(first, last) == days.size() - 1;
    long off = 7 - days.size();
    return running && off >= week.of(Threshold.DAYS_OFF)
        ? List.of(of(Severity.NOTE, "", "All " + days.size() + " sessions stand on days running, " + Words.day(first) + " to "
            + Words.day(last) + ", then " + Count.of(off, "day") + " off: spread them."))
        : List.of();
  }
}

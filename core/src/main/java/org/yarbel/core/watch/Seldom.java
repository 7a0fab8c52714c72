package org.yarbel.core.watch;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** A contest lift trained less than once a week. */
final class Seldom implements Check {
  private static final int LONG_AGO = 28;

  @Override
  public String key() {
    return "seldom";
  }

  @Override
  public String title() {
    return "a lift less than weekly";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    if (week.deload() != null || week.lines().isEmpty()) {
      return List.of();
    }
    Set<String> written = week.lines().stream().map(line -> line.counted().head().key()).collect(Collectors.toSet());
    Set<String> trained = week.lines().stream().map(WatchedLine::counted).filter(line -> !line.light()).map(line -> line.head().key())
        .collect(Collectors.toSet());
    List<Finding> findings = new ArrayList<>();
    new TreeMap<>(week.lastTrained()).forEach((lift, day) -> {
      long since = ChronoUnit.DAYS.between(day, week.monday().plusDays(6));
      if (week.athlete().maxes().containsKey(lift) && !trained.contains(lift) && since <= LONG_AGO && !week.athlete().veryStrong(lift)) {
        findings.add(of(Severity.NOTE, lift, "The " + Words.lift(lift) + (written.contains(lift)
            ? " is only light this week, nothing over 70 % nor RPE 6: that keeps the skill, but is no exposure."
            : " does not stand in this week; by Sunday it was last trained " + since + " days ago. Once a week keeps it.")));
      }
    });
    return findings;
  }
}

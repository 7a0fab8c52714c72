package org.yarbel.core.watch;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.yarbel.core.plan.CountedLine;

/** Heavy work too near a contest. */
final class LastHeavyDay implements Check {
  private static final Map<String, Integer> DAYS = Map.of("deadlift", 10, "squat", 7, "bench", 5);
  private static final Map<String, String> WINDOW = Map.of("deadlift", "10–14", "squat", "7–10", "bench", "5–7");
  private static final double HEAVY = 90;

  @Override
  public String key() {
    return "last-heavy-day";
  }

  @Override
  public String title() {
    return "last heavy days before a contest";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (WatchedLine line : week.lines()) {
      CountedLine counted = line.counted();
      String lift = counted.head().key();
      Athlete.Goal goal = week.athlete().goals().get(lift);
      if (goal == null || goal.on() == null || !DAYS.containsKey(lift) || counted.topPercent() < HEAVY || !counted.kind().mainWork()) {
        continue;
      }
      long days = ChronoUnit.DAYS.between(counted.day(), goal.on());
      if (days > 0 && days < DAYS.get(lift)) {
        findings.add(at(Severity.DOUBT, counted, Words.number(counted.topPercent()) + " % " + days + (days == 1 ? " day" : " days")
            + " before the contest: the last heavy " + Words.lift(lift) + " is "
            + WINDOW.get(lift) + " days out.", null));
      }
    }
    return findings;
  }
}

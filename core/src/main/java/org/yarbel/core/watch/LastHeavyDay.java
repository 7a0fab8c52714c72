package org.yarbel.core.watch;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.progress.LastHeavy;

/** Heavy work too near a contest. */
final class LastHeavyDay implements Check {
  private static final Set<String> LIFTS = Set.of("deadlift", "squat", "bench");
  private static final double HEAVY = 90;
  private static final int ALLOWED = 2;

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
      if (goal == null || goal.on() == null || !LIFTS.contains(lift) || counted.topPercent() < HEAVY || !counted.kind().mainWork()) {
        continue;
      }
      long days = ChronoUnit.DAYS.between(counted.day(), goal.on());
      LastHeavy window = LastHeavy.of(counted.head());
      // a method that counts down has it as near to the window as the days of the week allow
      int nearest = line.byMethod() ? window.nearest() - ALLOWED : window.nearest();
      if (days > 0 && days < nearest) {
        findings.add(at(Severity.DOUBT, counted, Words.number(counted.topPercent()) + " % " + Count.of(days, "day")
            + " before the contest: the last heavy " + Words.lift(lift) + " is "
            + window.text() + " days out.", null));
      }
    }
    return findings;
  }
}

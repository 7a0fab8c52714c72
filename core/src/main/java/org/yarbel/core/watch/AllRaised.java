package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.plan.WeekTotals;

/** Volume, intensity and frequency raised together. */
final class AllRaised implements Check {
  private static final double VOLUME = 1.1;
  private static final double POINTS = 2;
  private static final double DAYS = 0.5;

  @Override
  public String key() {
    return "all-raised";
  }

  @Override
  public String title() {
    return "volume, intensity and frequency raised together";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    if (week.past().isEmpty()) {
      return List.of();
    }
    List<Finding> findings = new ArrayList<>();
    for (WeekTotals.OfLift now : week.volume().lifts()) {
      List<WeekTotals.OfLift> before = week.past().stream().flatMap(past -> past.lifts().stream()).filter(past -> past.lift()
          .equals(now.lift())).toList();
      double sets = before.stream().mapToDouble(WeekTotals.OfLift::hardSets).average().orElse(Double.NaN);
      double top = before.stream().mapToDouble(WeekTotals.OfLift::topPercent).average().orElse(Double.NaN);
      double days = before.stream().mapToDouble(WeekTotals.OfLift::days).average().orElse(Double.NaN);
      if (now.hardSets() > VOLUME * sets && now.topPercent() > top + POINTS && now.days() > days + DAYS) {
        findings.add(of(Severity.DOUBT, now.lift().key(), now.lift().name() + ": hard sets (" + now.hardSets() + " after "
            + Words.number(sets) + "), top load ("
            + Words.number(now.topPercent()) + " % after " + Words.number(top) + ") and days (" + now.days() + " after "
                + Words.number(days) + ") all rise. Raise two at most."));
      }
    }
    return findings;
  }
}

package org.yarbel.core.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.GoalCourse;

/** A goal beyond what ten weeks give. */
final class BelievableGoal implements Check {
  @Override
  public String key() {
    return "believable-goal";
  }

  @Override
  public String title() {
    return "a goal that is not believable";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    new TreeMap<>(week.athlete().goals()).forEach((lift, goal) -> {
      // on the way it is judged from where it began: how far it is on course is another check's
      boolean begun = goal.startMax() != null && goal.startOn() != null && !goal.startOn().isAfter(week.around().today());
      Mass max = begun ? goal.startMax() : week.athlete().maxes().get(lift);
      LocalDate from = begun ? goal.startOn() : week.around().today();
      if (max != null && goal.on() != null && goal.on().isAfter(from) && week.current()) {
        double weeks = Math.max(ChronoUnit.DAYS.between(from, goal.on()) / 7.0, 1);
        double gain = (goal.max().nanograms() - max.nanograms()) / 1e12;
        double believable = GoalCourse.believable(max, weeks).nanograms() / 1e12;
        if (gain > believable) {
          findings.add(of(Severity.DOUBT, lift, "The goal of " + goal.max().text() + " in the " + Words.lift(lift) + " is "
              + Words.number(100 * gain / (max.nanograms() / 1e12)) + " % over the "
              + (begun ? "max it began from, with " : "estimate with ") + Count.of(Math.round(weeks), "week")
              + (begun ? " for it; " : " to go; ") + Words.number(100 * believable / (max.nanograms() / 1e12)) + " % is believable."));
        }
      }
    });
    return findings;
  }
}

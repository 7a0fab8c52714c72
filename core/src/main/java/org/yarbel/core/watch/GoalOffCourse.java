package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.GoalCourse;

/** An estimate that stays behind the line to the goal. */
final class GoalOffCourse implements Check {
  @Override
  public String key() {
    return "goal-off-course";
  }

  @Override
  public String title() {
    return "an estimate behind the line to the goal";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    if (!week.current()) {
      return findings;
    }
    new TreeMap<>(week.athlete().goals()).forEach((lift, goal) -> {
      Mass max = week.athlete().maxes().get(lift);
      if (max == null || goal.on() == null || goal.startMax() == null || goal.startOn() == null || !goal.on().isAfter(goal.startOn())) {
        return;
      }
      GoalCourse course = new GoalCourse(goal.startMax(), goal.startOn(), goal.max(), goal.on());
      double behind = course.behind(week.around().today(), max);
      if (behind >= week.of(Threshold.GOAL_BEHIND)) {
        findings.add(of(Severity.DOUBT, lift, "The estimate of the " + Words.lift(lift) + " is " + Words.number(behind)
            + " % behind the line to " + goal.max().text()
            + ". When it stays so for two exposures, 2.5 % less is a goal to train for: " + course.lower().text() + "."));
      }
    });
    return findings;
  }
}

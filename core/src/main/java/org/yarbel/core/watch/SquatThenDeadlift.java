package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Squat and deadlift hard on days one after the other. */
final class SquatThenDeadlift implements Layout.LayoutCheck {
  private static final Set<String> BOTH = Set.of("squat", "deadlift");

  @Override
  public String key() {
    return "squat-then-deadlift";
  }

  @Override
  public String title() {
    return "squat and deadlift hard back to back";
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
        Optional<String> other = BOTH.stream().filter(key -> BOTH.contains(lift) && !key.equals(lift)).findFirst();
        if (other.isPresent() && week.hardLifts(day.minusDays(1)).contains(other.get())) {
          findings.add(on(Severity.NOTE, day, lift, "The " + Words.lift(lift) + " is hard on " + Words.day(day) + ", the " + other.get()
              + " the day before: the back has one night between."));
        }
      }
    }
    return findings;
  }
}

package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.progress.Method;

/** A method that does not suit how the lifter lives or what they have learned. */
final class MethodForLife implements Check {
  @Override
  public String key() {
    return "method-for-life";
  }

  @Override
  public String title() {
    return "lifter and method that do not suit";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    new TreeMap<>(week.athlete().methods()).forEach((lift, methods) -> {
      if (week.athlete().dieting() && methods.contains(Method.HIGH_FREQUENCY)) {
        findings.add(of(Severity.DOUBT, lift, "Dieting and the " + Words.lift(lift)
            + " at high frequency: what feeds recovery is missing. Fewer days."));
      }
      if (week.athlete().dieting() && methods.contains(Method.GOAL_WAVE)) {
        findings.add(of(Severity.DOUBT, lift, "Dieting and a wave to a goal in the " + Words.lift(lift)
            + ": gains are not to be planned on."));
      }
      Optional<WatchedLine> beginner = week.lines().stream().filter(line -> line.counted().head().key()
          .equals(lift) && line.level() == Level.BEGINNER).findFirst();
      if (beginner.isPresent() && methods.contains(Method.HIGH_FREQUENCY)) {
        findings.add(of(Severity.DOUBT, lift, "The " + Words.lift(lift)
            + " is not learned yet: at high frequency only with somebody watching, or the mistake is practised."));
      }
      long days = week.lines().stream().map(WatchedLine::counted).filter(line -> line.head().key().equals(lift))
          .map(CountedLine::day).distinct().count();
      if (beginner.isPresent() && lift.equals("deadlift") && methods.contains(Method.NOVICE_LINEAR) && days > 1) {
        findings.add(of(Severity.NOTE, lift, "The deadlift on " + Count.of(days, "day")
            + ": a true beginner pulls heavy once a week, one to three sets."));
      }
      if (beginner.isPresent() && methods.contains(Method.ROTATION)) {
        findings.add(of(Severity.STOP, lift, "Rotating maxes are not for a beginner in the " + Words.lift(lift) + "."));
      }
    });
    if (week.athlete().methods().values().stream().filter(methods -> methods.contains(Method.GOAL_WAVE)).count() > 1) {
      findings.add(of(Severity.DOUBT, "", "Two waves to a goal at once: each is a hard cycle that wants the other lifts easy."));
    }
    return findings;
  }
}

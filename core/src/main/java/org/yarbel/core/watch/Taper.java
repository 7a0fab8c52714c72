package org.yarbel.core.watch;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.progress.Tapering;

/** The last weeks before a contest whose volume does not fall, or whose loads fall with it. */
final class Taper implements Check {
  /** In the contest's own week, the one before, and the one before that. */
  private static final String[] FALL = {"70", "50", "30"};
  private static final double TOLERANCE = 0.15;
  private static final int FEW = 6;
  private static final double HEAVY = 85;
  private static final double TOO_LIGHT = 80;

  @Override
  public String key() {
    return "taper";
  }

  @Override
  public String title() {
    return "a taper that keeps the volume or drops the loads";
  }

  @Override
  public String source() {
    return "Bosquet et al. 2007, from memory: volume 41–60 % down over about two weeks, intensity kept. The steps of 30, 50 and "
        + "70 % are common practice.";
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (WeekTotals.OfLift now : week.volume().lifts()) {
      Athlete.Goal goal = week.athlete().goals().get(now.lift().key());
      long days = goal == null || goal.on() == null ? -1 : ChronoUnit.DAYS.between(week.monday(), goal.on());
      if (days >= 0 && days / 7 < Math.min(FALL.length, Tapering.weeks(week.athlete().level()))) {
        look(week, now, (int) (days / 7), findings);
      }
    }
    return findings;
  }

  private void look(WatchedWeek week, WeekTotals.OfLift now, int weeksOut, List<Finding> findings) {
    List<WeekTotals.OfLift> before = week.past().stream().flatMap(past -> past.lifts().stream())
        .filter(past -> past.lift().equals(now.lift())).toList();
    long usual = before.stream().mapToLong(WeekTotals.OfLift::hardSets).max().orElse(0);
    double top = before.stream().mapToDouble(WeekTotals.OfLift::topPercent).max().orElse(0);
    String when = switch (weeksOut) {
      case 0 -> " in the week of the contest";
      case 1 -> " in the last week before the contest's";
      default -> " two weeks before the contest's";
    };
    if (usual >= FEW && now.hardSets() > (Tapering.left(weeksOut) + TOLERANCE) * usual) {
      findings.add(of(Severity.DOUBT, now.lift().key(), now.lift().name() + ": " + now.hardSets() + " hard sets" + when + ", after up to "
          + usual + " a week: volume is down by about " + FALL[weeksOut] + " % there, "
          + Math.round(Tapering.left(weeksOut) * usual) + " sets."));
    }
    if (weeksOut > 0 && top >= HEAVY && now.topPercent() > 0 && now.topPercent() < TOO_LIGHT) {
      findings.add(of(Severity.NOTE, now.lift().key(), now.lift().name() + ": nothing over " + Words.number(now.topPercent()) + " %" + when
          + ", after " + Words.number(top) + " %: only the volume falls, the intensity stays."));
    }
  }
}

package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.numbers;

import java.util.List;

/** Weekly jumps to the contest that grow smaller: the start follows from the goal. */
final class ShrinkingJumps implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(numbers("jumps", "jumps, % of the goal a week", "5,5,5,2.5,2.5,2.5,2.5,2.5", 0.5, 10), count("backoffs",
        "back-off sets at −10 %", 3, 0, 8));
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.numbers().goal() == null) {
      return Rule.withoutNumbers(brief, ahead).saying("No goal is written down for this lift: it is planned by RPE until there is one.");
    }
    List<Double> jumps = brief.settings().numbers("jumps");
    int week = brief.week(number);
    if (week > jumps.size()) {
      return Exposure.none("The jumps are over: the goal was the week before.");
    }
    if (week == jumps.size()) {
      return brief.ofWeek(number) == 0 ? Exposure.of(brief, "1x1 100% goal").saying("The goal itself: on the platform.")
          : Exposure.none("Rest around the contest.");
    }
    if (brief.ofWeek(number) > 0) {
      return Exposure.of(brief, "3x3 60% goal");
    }
    double percent = 100 - jumps.subList(week, jumps.size()).stream().mapToDouble(Double::doubleValue).sum();
    int backoffs = brief.settings().count("backoffs");
    int reps = percent < 80 ? 5 : percent < 90 ? 3 : percent < 95 ? 2 : 1;
    return Exposure.of(brief, "1x" + reps + " " + Percents.text(percent) + "% goal" + (backoffs == 0 ? "" : "; " + backoffs + "x" + reps + " -10%"));
  }
}

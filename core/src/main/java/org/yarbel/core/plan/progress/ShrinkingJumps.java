package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;

/** Weekly jumps to the contest that grow smaller: the start follows from the goal. */
final class ShrinkingJumps implements Rule {
  private static final Parameter.Numbers JUMPS = new Parameter.Numbers("jumps", "jumps, % of the goal a week",
      "5,5,5,2.5,2.5,2.5,2.5,2.5", 0.5, 10);
  private static final Parameter.Count BACKOFFS = Parameter.Count.of("backoffs", "back-off sets at −10 %", 3, 0, 8);

  @Override
  public List<Parameter> parameters() {
    return List.of(JUMPS, BACKOFFS);
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
    List<Double> jumps = brief.settings().get(JUMPS);
    int week = brief.week(number);
    if (week > jumps.size()) {
      return Exposure.none("The jumps are over: the goal was the week before.");
    }
    if (week == jumps.size()) {
      return brief.ofWeek(number) == 0 ? Exposure.of(brief, PartOf.sets(1, 1).percent(100, Basis.GOAL))
          .saying("The goal itself: on the platform.")
          : Exposure.none("Rest around the contest.");
    }
    if (brief.ofWeek(number) > 0) {
      return Exposure.of(brief, PartOf.sets(3, 3).percent(60, Basis.GOAL));
    }
    double percent = 100 - jumps.subList(week, jumps.size()).stream().mapToDouble(Double::doubleValue).sum();
    int backoffs = brief.settings().get(BACKOFFS);
    PartOf top = PartOf.sets(1, reps(percent)).percent(percent, Basis.GOAL);
    return backoffs == 0 ? Exposure.of(brief, top) : Exposure.of(brief, top, PartOf.sets(backoffs, reps(percent)).lighter(10));
  }

  private static int reps(double percent) {
    if (percent < 80) {
      return 5;
    }
    if (percent < 90) {
      return 3;
    }
    return percent < 95 ? 2 : 1;
  }
}

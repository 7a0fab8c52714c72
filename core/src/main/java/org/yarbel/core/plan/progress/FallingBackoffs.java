package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.notation.PartOf;

/** A top set by RPE whose back-offs fall further behind and grow fewer week by week. */
final class FallingBackoffs implements Rule {
  private static final Parameter.Count REPS = Parameter.Count.of("reps", "reps", 3, 1, 6);
  private static final Parameter.Number RPE = new Parameter.Number("rpe", "top set at RPE", "8", 6, 9.5);
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "back-offs in the first week", 4, 1, 8);
  private static final Parameter.Numbers DROPS = new Parameter.Numbers("drops", "drop, % week by week", "5,10,15", 2, 30);

  @Override
  public List<Parameter> parameters() {
    return List.of(REPS, RPE, SETS, DROPS);
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    List<Double> drops = brief.settings().get(DROPS);
    int week = brief.week(number) % drops.size();
    int reps = brief.settings().get(REPS);
    return Exposure.of(brief, PartOf.sets(1, reps).rpe(Percents.toHalf(brief.settings().get(RPE))),
        PartOf.sets(Math.max(1, brief.settings().get(SETS) - week), reps).lighter(drops.get(week)));
  }
}

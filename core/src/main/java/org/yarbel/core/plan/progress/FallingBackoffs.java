package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.number;
import static org.yarbel.core.plan.progress.Parameter.numbers;

import java.util.List;

/** A top set by RPE whose back-offs fall further behind and grow fewer week by week. */
final class FallingBackoffs implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(count("reps", "reps", 3, 1, 6), number("rpe", "top set at RPE", "8", 6, 9.5), count("sets",
        "back-offs in the first week", 4, 1, 8),
        numbers("drops", "drop, % week by week", "5,10,15", 2, 30));
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    List<Double> drops = brief.settings().numbers("drops");
    int week = brief.week(number) % drops.size();
    int reps = brief.settings().count("reps");
    return Exposure.of(brief, "1x" + reps + " @" + Percents.text(Percents.toHalf(brief.settings().number("rpe"))) + "; "
        + Math.max(1, brief.settings().count("sets") - week) + "x" + reps + " -" + Percents.text(drops.get(week)) + "%");
  }
}

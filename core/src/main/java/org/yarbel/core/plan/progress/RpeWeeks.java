package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.plan.Deload;

/** The same sets, a point harder every week, then an easy one. */
final class RpeWeeks implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(count("sets", "sets", 3, 1, 10), count("reps", "reps", 5, 1, 8), number("from", "first week at RPE", "7", 6, 9),
        number("to", "last week at RPE", "9", 7, 10));
  }

  @Override
  public boolean easy(Settings settings, int week) {
    return week % (hard(settings) + 1) == hard(settings);
  }

  /** How many weeks rise before the easy one. */
  private static int hard(Settings settings) {
    double from = Percents.toHalf(settings.number("from"));
    return (int) (Math.max(from, Percents.toHalf(settings.number("to"))) - from) + 1;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    double from = Percents.toHalf(brief.settings().number("from"));
    double to = Math.max(from, Percents.toHalf(brief.settings().number("to")));
    int week = brief.week(number) % (hard(brief.settings()) + 1);
    String first = work(brief, from);
    return !easy(brief.settings(), week) ? Exposure.of(brief, work(brief, Math.min(from + week, to)))
        : new Exposure(List.of(Exposure.main(brief, Deload.HALF_LOAD.applied(first, brief.chart()).orElse(first))), false, true, null, List.of());
  }

  private static String work(Brief brief, double rpe) {
    return brief.settings().count("sets") + "x" + brief.settings().count("reps") + " @" + Percents.text(rpe);
  }
}

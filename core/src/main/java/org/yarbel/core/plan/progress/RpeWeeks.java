package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** The same sets, a point harder every week, then an easy one. */
final class RpeWeeks implements Rule {
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets", 3, 1, 10);
  private static final Parameter.Count REPS = Parameter.Count.of("reps", "reps", 5, 1, 8);
  private static final Parameter.Number FROM = new Parameter.Number("from", "first week at RPE", "7", 6, 9);
  private static final Parameter.Number TO = new Parameter.Number("to", "last week at RPE", "9", 7, 10);

  @Override
  public List<Parameter> parameters() {
    return List.of(SETS, REPS, FROM, TO);
  }

  @Override
  public boolean easy(Settings settings, int week) {
    return week % (hard(settings) + 1) == hard(settings);
  }

  /** How many weeks rise before the easy one. */
  private static int hard(Settings settings) {
    double from = Percents.toHalf(settings.get(FROM));
    return (int) (Math.max(from, Percents.toHalf(settings.get(TO))) - from) + 1;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    double from = Percents.toHalf(brief.settings().get(FROM));
    double to = Math.max(from, Percents.toHalf(brief.settings().get(TO)));
    int week = brief.week(number) % (hard(brief.settings()) + 1);
    WorkLine first = work(brief, from);
    return !easy(brief.settings(), week) ? Exposure.of(brief, work(brief, Math.min(from + week, to)))
        : new Exposure(List.of(Exposure.main(brief, Deload.HALF_LOAD.applied(first, brief.chart()).orElse(first))), false, true,
            null, List.of());
  }

  private static WorkLine work(Brief brief, double rpe) {
    return PartOf.sets(brief.settings().get(SETS), brief.settings().get(REPS)).rpe(rpe).line();
  }
}

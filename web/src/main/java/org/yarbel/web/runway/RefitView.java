package org.yarbel.web.runway;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Refit;

/** A refit side by side: week by week as it was and as it becomes, and the reasons. */
record RefitView(String from, List<Row> rows, List<Changed> changes) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  /** A week. */
  record Row(String week, String was, String now, boolean changed, boolean contest) {}

  static RefitView of(Refit refit) {
    List<Row> rows = refit.pairs().stream().map(pair -> new Row(DAY.format(pair.monday()), words(pair.was()), words(pair.now()), pair.changed(),
        refit.now().contest() != null && Macrocycle.monday(refit.now().contest()).equals(pair.monday()))).toList();
    return new RefitView(DAY.format(refit.from()), rows, refit.changes());
  }

  private static String words(Macrocycle.@Nullable Week week) {
    return week == null ? "–" : RunwayForms.title(week.block().purpose()) + " " + (week.week() + 1) + "/" + week.block().weeks() + (week.easy() ? ", easy" : "");
  }
}

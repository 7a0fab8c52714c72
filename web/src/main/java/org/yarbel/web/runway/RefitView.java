package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.cycle.Changed;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.core.plan.cycle.Written;

/** A refit side by side: week by week as it was and as it becomes, and the reasons. */
public record RefitView(String from, List<RefitRow> rows, List<Changed> changes) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  /** A week. */
  public record RefitRow(String week, String was, String wasWork, String now, String nowWork, boolean changed, boolean contest) {}

  /**
   * A refit as it is shown.
   *
   * @param write what is done in a plan from the first week that may change
   */
  static RefitView of(Refit refit, Function<Macrocycle, List<Written>> write) {
    Map<LocalDate, String> was = work(write.apply(refit.was()));
    Map<LocalDate, String> now = work(write.apply(refit.now()));
    List<RefitRow> rows = refit.pairs().stream()
        .map(pair -> new RefitRow(DAY.format(pair.monday()), words(pair.was()), was.getOrDefault(pair.monday(), ""),
        words(pair.now()), now.getOrDefault(pair.monday(), ""), pair.changed(),
        refit.now().contest() != null && Macrocycle.monday(refit.now().contest()).equals(pair.monday()))).toList();
    return new RefitView(DAY.format(refit.from()), rows, refit.changes());
  }

  /** The first line of each lift in each week. */
  private static Map<LocalDate, String> work(List<Written> lines) {
    Map<LocalDate, Map<String, String>> weeks = new HashMap<>();
    lines.stream().filter(Written::first).forEach(line -> weeks.computeIfAbsent(Macrocycle.monday(line.day()),
        week -> new LinkedHashMap<>())
        .putIfAbsent(line.lift(), line.lift() + " " + line.work()));
    Map<LocalDate, String> words = new HashMap<>();
    weeks.forEach((week, of) -> words.put(week, String.join(" · ", of.values())));
    return words;
  }

  private static String words(Macrocycle.@Nullable Week week) {
    return week == null ? "–" : RunwayForms.title(week.block().purpose()) + " " + (week.week() + 1) + "/" + week.block()
        .weeks() + (week.easy() ? ", easy" : "");
  }
}

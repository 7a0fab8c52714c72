package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.yarbel.core.lift.Level;
import org.yarbel.core.plan.CountedSet;

/**
 * Where the work of a lift sits beside what its level mostly does: beginners at 75–85 %, or light practice from 60 on,
 * intermediates at 85–95 % to learn grinding, advanced technicians at 70–80 %.
 */
final class WhereItSits implements Check {
  private static final int FEW = 6;

  @Override
  public String key() {
    return "where-it-sits";
  }

  @Override
  public String title() {
    return "where the work sits, beside what the level mostly does";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  /** From and to, in percent of the max. */
  private record Range(int from, int to) {
    static Range of(Level level) {
      return switch (level) {
        case BEGINNER -> new Range(60, 85);
        case INTERMEDIATE -> new Range(85, 95);
        case ADVANCED -> new Range(70, 80);
      };
    }
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    boolean lower = week.deload() != null || !week.athlete().pains().isEmpty() || week.daysToContest().isPresent();
    Map<String, List<WatchedLine>> families = week.lines().stream().filter(line -> line.counted().kind().mainWork()
        && line.counted().mainOrClose()
        && line.level() != null && !line.byMethod())
        .collect(Collectors.groupingBy(line -> line.counted().head().key(), TreeMap::new, Collectors.toList()));
    families.forEach((lift, lines) -> {
      List<Double> percents = lines.stream().flatMap(line -> line.counted().work().stream()).filter(CountedSet::hard)
          .map(CountedSet::percent)
          .filter(percent -> !Double.isNaN(percent)).sorted().toList();
      Range range = Range.of(lines.get(0).level());
      double middle = percents.isEmpty() ? 0 : percents.get(percents.size() / 2);
      if (!lower && percents.size() >= FEW && (middle < range.from() || middle > range.to())) {
        findings.add(of(Severity.NOTE, lift, "Half of the hard sets of the " + Words.lift(lift) + " sit at " + Words.number(middle)
            + " % or more; at this level most work at "
            + range.from() + "–" + range.to() + " %. Injured and older lifters stay lower."));
      }
    });
    return findings;
  }
}

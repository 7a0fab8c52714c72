package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/** A percentage late in the session, after many hard sets of the same muscles. */
final class LatePercentage implements Check {
  private static final int FROM_PLACE = 3;
  private static final double LIGHTER = 0.96;

  @Override
  public String key() {
    return "late-percentage";
  }

  @Override
  public String title() {
    return "a percentage after many hard sets";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    week.byDay().values().forEach(lines -> lines.stream().filter(line -> line.place() >= FROM_PLACE)
        .forEach(line -> look(week, lines, line, findings)));
    return findings;
  }

  private void look(WatchedWeek week, List<WatchedLine> lines, WatchedLine line, List<Finding> findings) {
    Set<Muscle> muscles = line.counted().lift().muscles();
    long before = lines.stream().filter(other -> other.place() < line.place()
            && other.counted().lift().muscles().stream().filter(muscles::contains).count() * 2 >= muscles.size())
        .mapToLong(other -> other.counted().hardSets()).sum();
    if (muscles.isEmpty() || before < week.of(Threshold.LATE_SETS)) {
      return;
    }
    for (int i = 0; i < line.work().parts().size(); i++) {
      Part part = line.work().parts().get(i);
      if (part.load() instanceof Load.Percent percent && percent.to() == null && part.rpe() == null) {
        double to = percent.from().doubleValue() * LIGHTER;
        findings.add(at(Severity.NOTE, line.counted(), "It comes after " + before
            + " hard sets of the same muscles: a percentage of a fresh max is too much there. "
            + "Write an RPE, or 3–5 % less.", new Finding.Mend(Words.with(line.work(), i, new Part(part.work(), Words.share(percent, to),
                null, part.options())),
            Words.number(Words.halfBelow(to).doubleValue()) + " % in place of " + percent.from() + " %")));
        return;
      }
    }
  }
}

package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Deload;

/** Work over the ceiling of a deload. */
final class UnderCeiling implements Check {
  private static final double LEAST_RPE = 5;

  @Override
  public String key() {
    return "under-ceiling";
  }

  @Override
  public String title() {
    return "work over the ceiling of a deload";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    Deload deload = week.deload();
    if (deload == null) {
      return List.of();
    }
    List<Finding> findings = new ArrayList<>();
    for (WatchedLine line : week.lines()) {
      CountedLine counted = line.counted();
      boolean over = deload.ceilingPercent() != null && counted.topPercent() > deload.ceilingPercent()
          || deload.ceilingRpe() != null && counted.topRpe() > deload.ceilingRpe() || deload == Deload.DAYS_OFF;
      // a method's own line is made easy as the week asks; the lightest bar may be heavier than half
      if (over && counted.kind().counts() && !line.byMethod()) {
        findings.add(at(Severity.DOUBT, counted, "A deload, " + deload.word() + ": " + deload.ceiling() + "; this goes to "
            + goesTo(counted) + ".", mend(deload, line)));
      }
    }
    return findings;
  }

  /** What of the two is known: an effort under 5 is none that anybody would rate. */
  private static String goesTo(CountedLine counted) {
    String percent = counted.topPercent() > 0 ? Words.number(counted.topPercent()) + " %" : "";
    String rpe = counted.topRpe() >= LEAST_RPE ? "RPE " + Words.number(counted.topRpe()) : "";
    return percent.isEmpty() && rpe.isEmpty() ? "work" : percent + (percent.isEmpty() || rpe.isEmpty() ? "" : ", ") + rpe;
  }

  /** The line as it is done in such a week; fewer sets help only where the effort itself is written. */
  private static Finding.@Nullable Mend mend(Deload deload, WatchedLine line) {
    boolean helps = deload != Deload.LESS_VOLUME || line.work().parts().stream().allMatch(part -> part.rpe() != null);
    return !helps ? null : deload.applied(line.work(), line.counted().chart()).filter(work -> !work.equals(line.work()))
        .map(work -> new Finding.Mend(work.toString(), "the line as it is done at " + deload.word())).orElse(null);
  }
}

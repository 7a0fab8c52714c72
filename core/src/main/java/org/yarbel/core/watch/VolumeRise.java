package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.WeekTotals;

/** A jump of the weekly volume. */
final class VolumeRise implements Check {
  private static final int FEW = 6;

  @Override
  public String key() {
    return "volume-rise";
  }

  @Override
  public String title() {
    return "weekly volume up over 20 %";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    if (week.past().isEmpty() || week.deload() != null || week.around().deloadFollows()) {
      return List.of();
    }
    List<Finding> findings = new ArrayList<>();
    for (WeekTotals.OfLift now : week.volume().lifts()) {
      double mean = week.past().stream().mapToDouble(past -> past.lifts().stream().filter(l -> l.lift().equals(now.lift()))
          .mapToDouble(WeekTotals.OfLift::hardSets).sum()).average().orElse(0);
      double rise = mean == 0 ? 0 : 100 * (now.hardSets() / mean - 1);
      if (now.hardSets() >= FEW && rise > week.of(Threshold.VOLUME_RISE)) {
        boolean design = week.byMethod(now.lift().key());
        findings.add(of(design ? Severity.NOTE : Severity.DOUBT, now.lift().key(), now.lift().name() + ": " + now.hardSets()
            + " hard sets after "
            + Words.number(mean) + " on average of the last "
            + (week.past().size() == 1 ? "week" : Count.of(week.past().size(), "week")) + " without a deload, " + Math.round(rise)
            + " % more. " + (design ? "The method writes it so." : "On purpose it is fine when a deload follows.")));
      }
    }
    return findings;
  }
}

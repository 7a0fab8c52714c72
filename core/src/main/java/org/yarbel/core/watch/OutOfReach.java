package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.CountedSet;

/** A load written by hand that is absurd beside the max to expect that day. */
final class OutOfReach implements Check {
  private static final double NOTHING = 20;

  @Override
  public String key() {
    return "out-of-reach";
  }

  @Override
  public String title() {
    return "a written load out of reach";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (WatchedLine line : week.lines()) {
      CountedLine counted = line.counted();
      boolean written = line.work().parts().stream().anyMatch(part -> part.load() instanceof Load.OfMass
          || part.load() instanceof Load.Percent);
      if (!written || !counted.kind().mainWork() || !counted.lift().onBar() || counted.lift().variation().partial() || line.work().parts()
          .stream().anyMatch(Part::changesLoadOnTheWay)) {
        continue;
      }
      double top = counted.work().stream().filter(set -> set.set().tellsOfMax() && !set.set().logged()).mapToDouble(CountedSet::percent)
          .max().orElse(Double.NaN);
      // what is only foreseen shows where the line is likely to end: another check says so
      if (top >= week.of(Threshold.OUT_OF_REACH) && !line.forecast()) {
        findings.add(at(Severity.STOP, counted, Words.number(top)
            + " % of the max to expect that day: nobody lifts that for sets. The numbers changed since it was written, or it was meant "
            + "otherwise.", null));
      } else if (top < NOTHING) {
        findings.add(at(Severity.DOUBT, counted, Words.number(top)
            + " % of the max to expect that day is nothing: was another lift meant, or another number?", null));
      }
    }
    return findings;
  }
}

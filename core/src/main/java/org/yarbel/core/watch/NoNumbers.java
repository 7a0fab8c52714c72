package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.yarbel.core.plan.CountedLine;

/** Lines planned without any number of the lifter. */
final class NoNumbers implements Check {
  @Override
  public String key() {
    return "no-numbers";
  }

  @Override
  public String title() {
    return "lifts without a number";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    Set<String> said = new HashSet<>();
    for (WatchedLine line : week.lines()) {
      CountedLine counted = line.counted();
      if (counted.estimate() == null && counted.kind().mainWork() && counted.lift().onBar() && said.add(counted.lift().key())) {
        findings.add(at(Severity.NOTE, counted, "No max of the " + counted.lift().name().toLowerCase(Locale.ROOT)
            + " is known: volume is counted, effort is not. Rated sets give an estimate.", null));
      }
    }
    return findings;
  }
}

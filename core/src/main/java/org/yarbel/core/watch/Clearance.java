package org.yarbel.core.watch;

import java.util.List;
import org.yarbel.core.card.Role;

/** Work near the limit for somebody who needs a clinician's word first. */
final class Clearance implements Check {
  private static final int OF_AGE = 18;
  private static final double LIMIT = 9.5;

  @Override
  public String key() {
    return "clearance";
  }

  @Override
  public String title() {
    return "minors near their limit";
  }

  @Override
  public String source() {
    return PRACTICE + " Local rules and licensed practitioners come first.";
  }

  @Override
  public List<Finding> look(WatchedWeek week) {

    Integer age = week.athlete().age();
    if (age == null || age >= OF_AGE) {
      return List.of();
    }
    return week.lines().stream().map(WatchedLine::counted).filter(line -> line.kind().mainWork() && (line.topRpe() >= LIMIT || line.work()
        .stream().anyMatch(set -> set.set().role() == Role.MAX || set.set().role() == Role.NEGATIVE)))
        .findFirst().map(line -> List.of(at(Severity.STOP, line, "The lifter is " + age
            + ": work at the limit wants a clinician's clearance, a guardian's word and somebody watching.", null)))
        .orElse(List.of());
  }
}

package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.card.Role;
import org.yarbel.core.plan.CountedLine;

/** Work near the limit for somebody who needs a clinician's word first: minors, and lifters whom something hurts. */
final class Clearance implements Check {
  private static final int OF_AGE = 18;
  private static final double LIMIT = 9.5;

  @Override
  public String key() {
    return "clearance";
  }

  @Override
  public String title() {
    return "minors and pain near the limit";
  }

  @Override
  public String source() {
    return PRACTICE + " Local rules and licensed practitioners come first.";
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    Optional<CountedLine> hardest = week.lines().stream().map(WatchedLine::counted).filter(Clearance::nearLimit).findFirst();
    List<Finding> findings = new ArrayList<>();
    Integer age = week.athlete().age();
    if (age != null && age < OF_AGE) {
      hardest.ifPresent(line -> findings.add(at(Severity.STOP, line, "The lifter is " + age
          + ": work at the limit wants a clinician's clearance, a guardian's word and somebody watching.", null)));
    }
    week.athlete().pains().stream().filter(pain -> pain.score() >= week.of(Threshold.PAIN))
        .max(Comparator.comparingInt(Athlete.Pain::score))
        .ifPresent(pain -> hardest.ifPresent(line -> findings.add(at(Severity.DOUBT, line, "The " + pain.place() + " hurts, " + pain.score()
            + " of 10, and this goes near the limit: reduce it, or swap it for what does not hurt, and see a clinician.", null))));
    return findings;
  }

  private static boolean nearLimit(CountedLine line) {
    return line.kind().mainWork() && (line.topRpe() >= LIMIT
        || line.work().stream().anyMatch(set -> set.set().role() == Role.MAX || set.set().role() == Role.NEGATIVE));
  }
}

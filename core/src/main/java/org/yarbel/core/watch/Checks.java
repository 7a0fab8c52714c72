package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All the checks there are, in the order a coach would ask them. */
public final class Checks {
  private static final List<Check> ALL = List.of(new Clearance(), new MethodForLevel(), new BarForPins(), new OutOfReach(),
      new NotLoadable(), new ToFailure(),
      new PercentAgainstRpe(), new LatePercentage(), new UnderCeiling(), new ZoneLimit(), new ClusterTooHeavy(), new WhereItSits(),
      new ConsecutiveDays(), new SquatThenDeadlift(),
          new HardDaysRunning(),
      new ManyHardDays(), new Bunched(), new Seldom(), new AllRaised(), new VolumeRise(), new AssistanceOutnumbers(), new MainShare(),
          new DeloadDue(),
      new BelievableGoal(), new GoalOffCourse(), new LastHeavyDay(), new Taper(), new MethodForLife(), new Milestone(), new NoNumbers());

  private Checks() {}

  /** Every check. */
  public static List<Check> all() {
    return ALL;
  }

  /** The check of a key. */
  public static Optional<Check> ofKey(String key) {
    return ALL.stream().filter(check -> check.key().equals(key)).findFirst();
  }

  /** What all of them find in a week, what matters most first. */
  public static List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    ALL.forEach(check -> findings.addAll(check.look(week)));
    findings.sort(Comparator.comparing(Finding::severity).reversed());
    return findings;
  }
}

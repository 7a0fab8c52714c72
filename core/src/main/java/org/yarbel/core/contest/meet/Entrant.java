package org.yarbel.core.contest.meet;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Somebody who lifts in a contest.
 *
 * @param id unlike every other's
 * @param sex null where nobody knows it, and then there are no points
 * @param category the class they are placed in, in the contest's own words
 * @param bodyMass of the weigh-in; null where nobody knows it, and then it decides no tie
 * @param lifts in the order they are contested, those not begun with no attempts
 */
public record Entrant(long id, String category, @Nullable Sex sex, @Nullable Mass bodyMass, List<LiftDay> lifts) {
  public Entrant {
    lifts = List.copyOf(lifts);
  }

  /** How a lift went so far. */
  public LiftDay lift(String key) {
    return lifts.stream().filter(lift -> lift.lift().equals(key)).findFirst().orElse(new LiftDay(key, List.of()));
  }

  /** The sum of the best of each lift so far. */
  public Mass sum() {
    return lifts.stream().flatMap(lift -> lift.best().stream()).reduce(none(), Mass::plus);
  }

  /** The sum if every attempt that is handed in is made. */
  public Mass possible() {
    return lifts.stream().flatMap(lift -> lift.bestIfMade().stream()).reduce(none(), Mass::plus);
  }

  /** The sum of the other lifts' bests. */
  public Mass sumWithout(String key) {
    return lifts.stream().filter(lift -> !lift.lift().equals(key)).flatMap(lift -> lift.best().stream()).reduce(none(), Mass::plus);
  }

  /** The total: the sum once every lift has a good attempt. */
  public Optional<Mass> total() {
    return lifts.stream().allMatch(lift -> lift.best().isPresent()) ? Optional.of(sum()) : Optional.empty();
  }

  private static Mass none() {
    return Mass.ofNanograms(0, MassUnit.KG);
  }
}

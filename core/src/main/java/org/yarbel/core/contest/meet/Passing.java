package org.yarbel.core.contest.meet;

import java.util.Optional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Steps;
import org.yarbel.core.mass.Mass;

/** What one athlete has to make in a lift to be ahead of another. */
public final class Passing {
  private final RuleSet rules;
  private final String lift;

  /**
   * Passing in a lift.
   *
   * @param lift its key
   */
  public Passing(RuleSet rules, String lift) {
    this.rules = rules;
    this.lift = lift;
  }

  /** Whether a sum puts one ahead of another's: heavier, or as heavy with the lighter body mass where both are known and it decides. */
  public boolean ahead(Entrant one, Mass sum, Entrant other, Mass against) {
    int compared = sum.compareTo(against);
    if (compared != 0) {
      return compared > 0;
    }
    Mass mine = one.bodyMass();
    Mass theirs = other.bodyMass();
    return rules.platform().lighterFirst() && mine != null && theirs != null && mine.compareTo(theirs) < 0;
  }

  /**
   * The lightest next attempt with which one is ahead of another's sum; none where they are ahead without it, or have no attempt left.
   *
   * @param against what the other has, or may come to
   */
  public Optional<Mass> needed(Entrant one, Entrant other, Mass against) {
    LiftDay day = one.lift(lift);
    if (day.over(rules) || ahead(one, one.sum(), other, against)) {
      return Optional.empty();
    }
    Mass rest = one.sumWithout(lift);
    Mass gap = against.compareTo(rest) > 0 ? against.minus(rest) : Mass.ofNanograms(0, against.unit());
    Mass load = Steps.atLeast(gap, rules);
    if (!ahead(one, rest.plus(load), other, against)) {
      load = load.plus(rules.attempts().step());
    }
    Mass least = least(day);
    return Optional.of(load.compareTo(least) >= 0 ? load : least);
  }

  /** The lightest load that may still be lifted next: one that is handed in stands, and the bar never goes down. */
  private Mass least(LiftDay day) {
    Attempt toCome = day.toCome();
    Mass least = Steps.atMost(Mass.ofNanograms(0, rules.attempts().step().unit()), rules);
    for (Attempt attempt : day.lifted()) {
      Mass over = attempt.good() ? attempt.load().plus(rules.attempts().step()) : attempt.load();
      least = over.compareTo(least) > 0 ? over : least;
    }
    boolean stands = toCome != null && toCome.changed() >= rules.attempts().changes(toCome.number(), rules.last(lift));
    return stands && toCome.load().compareTo(least) > 0 ? toCome.load() : least;
  }
}

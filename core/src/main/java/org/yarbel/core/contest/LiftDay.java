package org.yarbel.core.contest;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * A lift on the day: its attempts so far, the first of them first, the last of them perhaps still to come.
 *
 * @param lift a key
 */
public record LiftDay(String lift, List<Attempt> attempts) {
  public LiftDay {
    attempts = List.copyOf(attempts);
  }

  /** Those that were lifted. */
  public List<Attempt> lifted() {
    return attempts.stream().filter(attempt -> attempt.verdict() != null).toList();
  }

  /** The heaviest good one. */
  public Optional<Mass> best() {
    return attempts.stream().filter(Attempt::good).map(Attempt::load).max(Comparator.naturalOrder());
  }

  /** The heaviest good one, the one to come counted as good. */
  public Optional<Mass> bestIfMade() {
    return attempts.stream().filter(attempt -> !attempt.missed()).map(Attempt::load).max(Comparator.naturalOrder());
  }

  /** Whether the best was all there was: it looked so, or as much or more was too heavy. */
  public boolean toItsLimit() {
    return best().filter(best -> attempts.stream().anyMatch(attempt -> limits(attempt, best))).isPresent();
  }

  private static boolean limits(Attempt attempt, Mass best) {
    Verdict verdict = attempt.verdict();
    return verdict != null && (verdict.tooHeavy() && attempt.load().compareTo(best) >= 0
        || verdict.good() && verdict.look() == Verdict.Look.LIMIT && attempt.load().equals(best));
  }

  /** The one handed in that is to come; null where none is. */
  public @Nullable Attempt toCome() {
    return attempts.stream().filter(attempt -> attempt.verdict() == null).findFirst().orElse(null);
  }

  /** How often the attempt handed in may still be changed; 0 where none is. */
  public int changesLeft(RuleSet rules) {
    Attempt handedIn = toCome();
    return handedIn == null ? 0 : Math.max(rules.attempts().changes(handedIn.number(), rules.last(lift)) - handedIn.changed(), 0);
  }

  /** The number of the next attempt to hand in. */
  public int next() {
    return lifted().size() + 1;
  }

  /** The same with an attempt lifted, which takes the place of one handed in. */
  public LiftDay lifting(Attempt attempt) {
    List<Attempt> all = new ArrayList<>(lifted());
    all.add(attempt);
    return new LiftDay(lift, all);
  }

  /** Whether no attempt is left. */
  public boolean over(RuleSet rules) {
    return lifted().size() >= rules.attempts().free();
  }

  /** Whether all attempts are lifted and none was good: no total comes of it. */
  public boolean bombed(RuleSet rules) {
    return over(rules) && best().isEmpty();
  }

  /**
   * Looks at what somebody wants to hand in next, or to change what was handed in to.
   *
   * @param record whether it is an attempt at a record, which goes by its own step
   * @throws Refused with the reason the referees would give
   */
  public void check(RuleSet rules, Mass asked, boolean record) {
    if (over(rules)) {
      throw new Refused("All " + rules.attempts().free() + " attempts of the lift are lifted");
    }
    Mass step = record ? rules.attempts().recordStep() : rules.attempts().step();
    if (asked.nanograms() % step.nanograms() != 0) {
      throw new Refused("Attempts go by " + step.text() + ", so " + asked.text() + " cannot be asked for" + (record ? ""
          : "; a record may go by " + rules.attempts().recordStep().text()));
    }
    Mass empty = rules.platform().bar().plus(rules.platform().collar().times(2));
    if (asked.compareTo(empty) < 0) {
      throw new Refused("The bar with its collars is " + empty.text() + " already");
    }
    List<Attempt> lifted = lifted();
    if (!lifted.isEmpty()) {
      Attempt last = lifted.get(lifted.size() - 1);
      if (asked.compareTo(last.load()) < 0) {
        throw new Refused("The bar never goes down: the last attempt was " + last.load().text());
      }
      if (last.good() && asked.compareTo(last.load()) == 0) {
        throw new Refused(last.load().text() + " was good, so the next is heavier");
      }
    }
    Attempt handedIn = toCome();
    if (handedIn != null && changesLeft(rules) == 0) {
      throw new Refused("Attempt " + handedIn.number() + " was changed as often as the rules allow");
    }
  }
}

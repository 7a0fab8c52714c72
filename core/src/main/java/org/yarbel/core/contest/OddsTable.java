package org.yarbel.core.contest;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * What a phone without a signal takes along of a lift: the odds and choices as they are, and as they will be after whatever may come of
 * the next attempts, so that it looks up and computes nothing.
 *
 * @param choices for the next attempt
 * @param odds of every step that may well be asked for next, lighter to heavier
 * @param branches what follows, by what was lifted and what came of it; empty after the last attempt, and beyond so many ahead
 */
public record OddsTable(List<NextAttempt.Choice> choices, List<Odd> odds, List<Branch> branches) {
  private static final int AHEAD = 2;
  private static final int AROUND = 2;
  private static final OddsTable OVER = new OddsTable(List.of(), List.of(), List.of());

  /** How likely a load is made. */
  public record Odd(Mass load, double chance) {}

  /** What follows when a load is lifted and that comes of it. */
  public record Branch(Mass load, Seen seen, OddsTable then) {}

  /** What may come of an attempt, as far as the odds tell it apart. */
  public enum Seen {
    EASY(Verdict.good(Verdict.Look.EASY)),
    RIGHT(Verdict.good(Verdict.Look.RIGHT)),
    LIMIT(Verdict.good(Verdict.Look.LIMIT)),
    GOOD(Verdict.good(null)),
    MISSED(Verdict.not(Verdict.Reason.STRENGTH)),
    TURNED_DOWN(Verdict.not(Verdict.Reason.OTHER));

    private final Verdict verdict;

    Seen(Verdict verdict) {
      this.verdict = verdict;
    }

    /** An example of such an outcome. */
    public Verdict verdict() {
      return verdict;
    }

    /** What an outcome is to the odds. */
    public static Seen of(Verdict verdict) {
      if (!verdict.good()) {
        return verdict.tooHeavy() ? MISSED : TURNED_DOWN;
      }
      return verdict.look() == null ? GOOD : valueOf(verdict.look().name());
    }
  }

  public OddsTable {
    choices = List.copyOf(choices);
    odds = List.copyOf(odds);
    branches = List.copyOf(branches);
  }

  /**
   * Looks ahead from where a lift stands.
   *
   * @param before the odds before the first attempt
   * @param opener as planned; null once something is handed in or lifted
   */
  public static OddsTable of(LiftDay day, RuleSet rules, DayOdds before, @Nullable Mass opener) {
    return of(day, rules, before, opener, null);
  }

  /**
   * The same of a contest that is lifted as a training day.
   *
   * @param most the heaviest that may be tried; null for any
   */
  public static OddsTable of(LiftDay day, RuleSet rules, DayOdds before, @Nullable Mass opener, @Nullable Mass most) {
    return new Ahead(rules, most).of(day, before.after(day.attempts()), opener, AHEAD);
  }

  private record Ahead(RuleSet rules, @Nullable Mass most) {
    OddsTable of(LiftDay day, DayOdds odds, @Nullable Mass opener, int ahead) {
      if (day.over(rules)) {
        return OVER;
      }
      List<NextAttempt.Choice> choices = NextAttempt.of(day, rules, odds, most);
      List<Mass> loads = choices.isEmpty() && day.toCome() == null && opener == null ? List.of() : likely(day, rules, choices, opener);
      List<Branch> branches = new ArrayList<>();
      if (ahead > 0) {
        for (Mass load : loads) {
          for (Seen seen : Seen.values()) {
            Attempt attempt = Attempt.of(day.next(), load, seen.verdict());
            branches.add(new Branch(load, seen, of(day.lifting(attempt), odds.after(attempt), null, ahead - 1)));
          }
        }
      }
      return new OddsTable(choices, loads.stream().map(load -> new Odd(load, odds.chance(load))).toList(), branches);
    }
  }

  /** What may well be lifted next: around what is handed in or planned, else from the lightest choice to the heaviest. */
  private static List<Mass> likely(LiftDay day, RuleSet rules, List<NextAttempt.Choice> choices, @Nullable Mass opener) {
    Attempt handedIn = day.toCome();
    Mass around = handedIn == null ? opener : handedIn.load();
    Mass step = rules.attempts().step();
    Mass from = around == null ? choices.get(0).load() : around;
    Mass to = around == null ? choices.get(choices.size() - 1).load() : around;
    List<Mass> loads = new ArrayList<>();
    Mass last = to.plus(step.times(AROUND));
    for (Mass load = from.minus(step.times(AROUND)); load.compareTo(last) <= 0; load = load.plus(step)) {
      if (allowed(day, rules, load)) {
        loads.add(load);
      }
    }
    return loads;
  }

  private static boolean allowed(LiftDay day, RuleSet rules, Mass load) {
    Attempt handedIn = day.toCome();
    if (handedIn != null && handedIn.load().equals(load)) {
      return true;
    }
    try {
      day.check(rules, load, false);
      return true;
    } catch (Refused notAllowed) {
      return false;
    }
  }

  /** What follows when something comes of a load; none where it was not looked at. */
  public Optional<OddsTable> after(Mass load, Verdict verdict) {
    return branches.stream().filter(branch -> branch.load.equals(load) && branch.seen == Seen.of(verdict)).map(Branch::then).findFirst();
  }
}

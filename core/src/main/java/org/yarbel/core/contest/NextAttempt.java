package org.yarbel.core.contest;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * What could be handed in next: a few loads with their chance, and why each of them.
 *
 * <p>Which brings the most is looked at to the end of the lift: of an attempt at most one more ahead, made or missed, with what either
 * would teach of the day. Our own default.
 */
public final class NextAttempt {
  private static final double SAFE = 0.9;
  private static final double EVEN = 0.5;
  /** Nothing is surer than 0.97: what is nearly so is as good. */
  private static final double SURE = 0.96;
  /** A load that is made less often than this is not worth looking at. */
  private static final double HOPELESS = 0.02;
  private static final int MOST_STEPS = 80;

  private final LiftDay day;
  private final RuleSet rules;
  private final DayOdds odds;
  private final @Nullable Mass most;

  private NextAttempt(LiftDay day, RuleSet rules, DayOdds odds, @Nullable Mass most) {
    this.most = most;
    this.day = day;
    this.rules = rules;
    this.odds = odds;
  }

  /** Why a load stands among the choices. */
  public enum Why {
    SAFE("made nine times in ten"),
    MOST("most kilos on average"),
    EVEN("made as often as missed"),
    AGAIN("the same again"),
    LEAST("the lightest allowed"),
    STAY("has to be made to stay in"),
    HELD("the most it is held to");

    private final String word;

    Why(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * One of the loads.
   *
   * @param chance that it is made, from 0 to 0.97
   * @param why not empty
   */
  public record Choice(Mass load, double chance, Set<Why> why) {
    public Choice {
      why = Set.copyOf(why);
    }
  }

  /**
   * The choices for the next attempt of a lift, lighter to heavier; none where no attempt is left, nor where one is handed in that may not
   * be changed any more.
   *
   * @param odds that know all attempts lifted
   */
  public static List<Choice> of(LiftDay day, RuleSet rules, DayOdds odds) {
    return of(day, rules, odds, null);
  }

  /**
   * The same of a contest that is lifted as a training day.
   *
   * @param most the heaviest that may be tried; null for any
   */
  public static List<Choice> of(LiftDay day, RuleSet rules, DayOdds odds, @Nullable Mass most) {
    boolean stands = day.toCome() != null && day.changesLeft(rules) == 0;
    return day.over(rules) || stands ? List.of() : new NextAttempt(day, rules, odds, most).choices();
  }

  private List<Choice> choices() {
    Map<Mass, Set<Why>> found = new TreeMap<>(Comparator.naturalOrder());
    Attempt last = last();
    Mass least = least(last, day.best().orElse(null));
    if (last != null && last.missed()) {
      add(found, last.load(), Why.AGAIN);
    }
    if (day.best().isEmpty() && left() == 1) {
      add(found, least, Why.STAY);
      return shown(found);
    }
    add(found, least, Steps.atMost(odds.load(SAFE, unit()), rules), Why.SAFE);
    add(found, mostKilos(least), Why.MOST);
    add(found, least, Steps.nearest(odds.load(EVEN, unit()), rules), Why.EVEN);
    return shown(found);
  }

  private List<Choice> shown(Map<Mass, Set<Why>> found) {
    if (most != null) {
      Mass held = Steps.atMost(most, rules);
      found.keySet().removeIf(load -> load.compareTo(held) > 0);
      Attempt last = last();
      if (held.compareTo(least(last, day.best().orElse(null))) >= 0) {
        add(found, held, Why.HELD);
      }
    }
    return found.entrySet().stream().map(one -> new Choice(one.getKey(), odds.chance(one.getKey()), one.getValue())).toList();
  }

  /** What is lighter than anything that is allowed is no choice: the lightest allowed stands in its place, and says so. */
  private static void add(Map<Mass, Set<Why>> found, Mass least, Mass wanted, Why why) {
    boolean allowed = wanted.compareTo(least) >= 0;
    add(found, allowed ? wanted : least, allowed ? why : Why.LEAST);
  }

  private static void add(Map<Mass, Set<Why>> found, Mass load, Why why) {
    found.computeIfAbsent(load, one -> EnumSet.noneOf(Why.class)).add(why);
  }

  private MassUnit unit() {
    return rules.attempts().step().unit();
  }

  private int left() {
    return rules.attempts().free() - day.lifted().size();
  }

  private @Nullable Attempt last() {
    List<Attempt> lifted = day.lifted();
    return lifted.isEmpty() ? null : lifted.get(lifted.size() - 1);
  }

  /** The lightest that may be asked for: never down, and over what was good. */
  private Mass least(@Nullable Attempt last, @Nullable Mass best) {
    if (last == null) {
      return Steps.atMost(Mass.ofNanograms(0, unit()), rules);
    }
    Mass over = last.good() ? last.load().plus(rules.attempts().step()) : last.load();
    return Steps.atLeast(best == null ? over : atLeast(best.plus(rules.attempts().step()), over), rules);
  }

  private static Mass atLeast(Mass least, Mass wanted) {
    return wanted.compareTo(least) >= 0 ? wanted : least;
  }

  /** The load of which the lift ends heaviest on average. */
  private Mass mostKilos(Mass least) {
    double best = -1;
    Mass found = least;
    for (Mass load : worthIt(least, odds)) {
      double kilos = kilos(load);
      if (kilos > best) {
        best = kilos;
        found = load;
      }
    }
    return found;
  }

  /** What the lift comes to on average if a load is tried next, in nanograms. */
  private double kilos(Mass load) {
    double chance = odds.chance(load);
    double before = day.best().map(Mass::nanograms).orElse(0L);
    if (left() == 1) {
      return chance * load.nanograms() + (1 - chance) * before;
    }
    int number = day.next();
    double made = lastOne(odds.after(Attempt.of(number, load, Verdict.good(null))), load.plus(rules.attempts().step()), load.nanograms());
    double missed = lastOne(odds.after(Attempt.of(number, load, Verdict.not(Verdict.Reason.STRENGTH))), load, before);
    return chance * made + (1 - chance) * missed;
  }

  /** What the best last attempt comes to on average. */
  private double lastOne(DayOdds then, Mass least, double before) {
    double best = before;
    for (Mass load : worthIt(least, then)) {
      double chance = then.chance(load);
      best = Math.max(best, chance * load.nanograms() + (1 - chance) * before);
    }
    return best;
  }

  /** From the heaviest that is as sure as any up to what is hopeless. */
  private List<Mass> worthIt(Mass least, DayOdds by) {
    List<Mass> all = new ArrayList<>();
    Mass load = atLeast(least, Steps.atMost(by.load(SURE, unit()), rules));
    while (all.size() < MOST_STEPS && by.chance(load) > HOPELESS) {
      all.add(load);
      load = load.plus(rules.attempts().step());
    }
    return all;
  }
}

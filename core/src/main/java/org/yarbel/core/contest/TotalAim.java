package org.yarbel.core.contest;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * The third attempts that come to a total somebody aims at, spread so that they are hard alike: from what is made as often as missed in
 * each lift, step by step, the one goes up that is then the likeliest, or the one goes down that is the least likely. Our own default.
 *
 * @param thirds by lift
 * @param chance that all of them are made, the lifts taken as independent of each other
 */
public record TotalAim(Map<String, Mass> thirds, double chance) {
  private static final double EVEN = 0.5;
  private static final int MOST_STEPS = 2000;

  public TotalAim {
    thirds = Collections.unmodifiableMap(new LinkedHashMap<>(thirds));
  }

  /**
   * Spreads a total.
   *
   * @param open the odds of the lifts that are to come, in their order; not empty
   * @param done the best of the lifts that are over, together
   */
  public static TotalAim of(Map<String, DayOdds> open, Mass done, Mass total, RuleSet rules) {
    Map<String, Mass> thirds = new LinkedHashMap<>();
    open.forEach((lift, odds) -> thirds.put(lift, Steps.nearest(odds.load(EVEN, total.unit()), rules)));
    Mass step = rules.attempts().step();
    long gap = total.nanograms() - done.nanograms() - thirds.values().stream().mapToLong(Mass::nanograms).sum();
    for (int taken = 0; taken < MOST_STEPS && (gap > 0 || gap <= -step.nanograms()); taken++) {
      boolean up = gap > 0;
      String lift = next(open, thirds, rules, up);
      if (lift == null) {
        break;
      }
      Mass load = thirds.get(lift);
      thirds.put(lift, up ? load.plus(step) : load.minus(step));
      gap += up ? -step.nanograms() : step.nanograms();
    }
    double chance = 1;
    for (Map.Entry<String, Mass> third : thirds.entrySet()) {
      chance *= open.get(third.getKey()).chance(third.getValue());
    }
    return new TotalAim(thirds, chance);
  }

  /** The lift whose next step is the likeliest up, or that is the least likely as it stands; null where none can go down. */
  private static @Nullable String next(Map<String, DayOdds> open, Map<String, Mass> thirds, RuleSet rules, boolean up) {
    String best = null;
    double most = -1;
    for (Map.Entry<String, Mass> third : thirds.entrySet()) {
      Mass load = third.getValue();
      Mass step = rules.attempts().step();
      boolean lowest = load.equals(Steps.atMost(Mass.ofNanograms(0, load.unit()), rules));
      double worth = up ? open.get(third.getKey()).chance(load.plus(step)) : 1 - open.get(third.getKey()).chance(load);
      if (worth > most && (up || !lowest)) {
        most = worth;
        best = third.getKey();
      }
    }
    return best;
  }
}

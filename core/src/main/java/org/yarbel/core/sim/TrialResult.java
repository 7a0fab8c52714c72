package org.yarbel.core.sim;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What came of a lifter, or the sums of several.
 *
 * @param exposures of main lifts
 * @param misses of them with a minimum missed
 * @param days with a session, and of them those with pain under 4
 * @param gain of the true max over both lifts, the sum of shares
 * @param callsAWeek how many calls a coach got in each week of each lifter
 * @param calls taken, of them safe
 * @param steered calls that moved loads of a lift up or down, and of them those that undid the one before
 */
public record TrialResult(int lifters, int exposures, int misses, int days, int painFree, double gain, List<Integer> callsAWeek, int calls,
    int safe, int steered, int flips, Map<String, Integer> byRule) {
  static final TrialResult NONE = new TrialResult(0, 0, 0, 0, 0, 0, List.of(), 0, 0, 0, 0, Map.of());

  public TrialResult plus(TrialResult other) {
    List<Integer> weeks = new ArrayList<>(callsAWeek);
    weeks.addAll(other.callsAWeek);
    Map<String, Integer> rules = new TreeMap<>(byRule);
    other.byRule.forEach((rule, count) -> rules.merge(rule, count, Integer::sum));
    return new TrialResult(lifters + other.lifters, exposures + other.exposures, misses + other.misses, days + other.days,
        painFree + other.painFree, gain + other.gain, weeks, calls + other.calls, safe + other.safe, steered + other.steered,
        flips + other.flips, rules);
  }

  /** Exposures with a missed minimum a month and lifter. */
  public double missesAMonth() {
    return misses / (lifters * CallTrial.WEEKS / 4.345);
  }

  /** The share of training days with pain under 4, in %. */
  public double painFreeDays() {
    return 100.0 * painFree / days;
  }

  /** The mean gain of the true max, in %. */
  public double gained() {
    return 100 * gain / lifters;
  }

  /** The median of the calls a lifter and week. */
  public double medianCalls() {
    List<Integer> sorted = callsAWeek.stream().sorted().toList();
    return sorted.isEmpty() ? 0 : sorted.get(sorted.size() / 2);
  }

  /** The mean of them. */
  public double meanCalls() {
    return callsAWeek.stream().mapToInt(Integer::intValue).average().orElse(0);
  }

  /** The share of calls that are safe, in %. */
  public double safeShare() {
    return calls == 0 ? 0 : 100.0 * safe / calls;
  }

  /** The share of calls that move loads and are undone by the next one of the lift within three weeks, in %. */
  public double flipShare() {
    return steered == 0 ? 0 : 100.0 * flips / steered;
  }
}

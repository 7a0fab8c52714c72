package org.yarbel.bench;

import java.util.Locale;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.sim.CallTrial;
import org.yarbel.core.sim.School;
import org.yarbel.core.sim.TrialResult;

/** Prints what calls do for made-up lifters of each school, with them and without; and, of all schools, what each rule does by itself. */
public final class CallTruth {
  private static final int LIFTERS = 300;
  private static final long SEED = 20_260;

  private CallTruth() {}

  /** Prints the tables that stand in the benchmarks; the first argument is the number of lifters a school. */
  public static void main(String[] arguments) {
    int lifters = arguments.length > 0 ? Integer.parseInt(arguments[0]) : LIFTERS;
    System.out.println("| school | calls | misses a month | pain under 4, % of days | gain, % | calls a week, median (mean) | safe, % | "
        + "flip-flops, % |");
    System.out.println("|---|---|---|---|---|---|---|---|");
    for (School school : School.values()) {
      row(school.word(), "without", CallTrial.of(school, rule -> false, lifters, SEED));
      TrialResult with = CallTrial.of(school, rule -> true, lifters, SEED);
      row(school.word(), "with", with);
      System.out.println("<!-- " + with.byRule() + " -->");
    }
    for (CallRule rule : CallRules.all()) {
      row("all schools", "only " + rule.title(), all(rule.key(), lifters / 5));
    }
  }

  private static TrialResult all(String only, int lifters) {
    TrialResult all = null;
    for (School school : School.values()) {
      TrialResult one = CallTrial.of(school, only::equals, lifters, SEED);
      all = all == null ? one : all.plus(one);
    }
    return all;
  }

  private static void row(String school, String calls, TrialResult result) {
    System.out.printf(Locale.ROOT, "| %s | %s | %.2f | %.1f | %.2f | %.0f (%.2f) | %.0f | %.1f |%n", school, calls, result.missesAMonth(),
        result.painFreeDays(), result.gained(), result.medianCalls(), result.meanCalls(), result.safeShare(), result.flipShare());
  }
}

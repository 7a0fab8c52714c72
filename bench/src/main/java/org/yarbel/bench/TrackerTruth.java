package org.yarbel.bench;

import java.util.Locale;
import org.yarbel.core.sim.LifterKind;
import org.yarbel.core.sim.TrackerTrial;

/**
 * Asks made-up lifters of every kind how true the tracked max is: on how many days the true max lies within one and two sd of it
 * (68.3 and 95.4 % where the sd is true), and how far the estimate is off.
 */
public final class TrackerTruth {
  private static final int LIFTERS = 200;
  private static final long SEED = 1_000_000;

  private TrackerTruth() {}

  public static void main(String[] arguments) {
    System.out.printf(Locale.ROOT, "%-14s %-30s %9s %9s %9s %9s%n", "level", "lifters", "in 1 sd", "in 2 sd", "bias", "distance");
    for (LifterKind kind : LifterKind.all()) {
      row(kind.level().word(), kind.name(), TrackerTrial.of(kind, LIFTERS, SEED * (1 + kind.level().ordinal())));
    }
    row("all", "of all kinds", TrackerTrial.ofAllKinds(LIFTERS * LifterKind.all().size(), 0));
  }

  private static void row(String level, String kind, TrackerTrial.Result result) {
    System.out.printf(Locale.ROOT, "%-14s %-30s %7.1f %% %7.1f %% %+7.2f %% %7.2f %%%n", level, kind, result.inOneSd(), result.inTwoSd(),
        result.bias(), result.distance());
  }
}

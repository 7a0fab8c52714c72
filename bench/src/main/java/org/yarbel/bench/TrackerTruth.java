package org.yarbel.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.sim.SimulatedLifter;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;

/**
 * Asks simulated lifters how true the tracked max is: on how many days the true max lies within one and two sd of it, and
 * how far the estimate is off on average. Two exposures a week over half a year, a top set and three back-offs.
 */
public final class TrackerTruth {
  private static final int LIFTERS = 400;
  private static final int WEEKS = 26;

  private TrackerTruth() {}

  public static void main(String[] arguments) {
    System.out.printf(Locale.ROOT, "%-14s %-28s %7s %7s %9s %9s%n", "level", "lifters", "in 1 sd", "in 2 sd", "mean off", "abs off");
    for (Level level : Level.values()) {
      double gain = level == Level.BEGINNER ? 0.012 / 7 : level == Level.INTERMEDIATE ? 0.004 / 7 : 0.0015 / 7;
      run(level, "steady", gain, 0.012, 0, 0.35, true);
      run(level, "uneven days, poor raters", gain, 0.025, 0, 0.8, true);
      run(level, "the same, only the top rated", gain, 0.025, 0, 0.8, false);
      run(level, "rate half a point too low", gain, 0.012, -0.5, 0.35, true);
      run(level, "do not gain", 0, 0.012, 0, 0.35, true);
    }
  }

  private static void run(Level level, String what, double gainPerDay, double form, double bias, double noise,
      boolean backOffsRated) {
    long days = 0;
    long one = 0;
    long two = 0;
    double off = 0;
    double absolute = 0;
    for (int lifter = 0; lifter < LIFTERS; lifter++) {
      RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1_000L * level.ordinal() + lifter);
      Mass max = Mass.of(Integer.toString(random.nextInt(100, 250)), MassUnit.KG);
      SimulatedLifter body = new SimulatedLifter(new SimulatedLifter.Traits(max, gainPerDay, form, bias, noise), random);
      LocalDate start = LocalDate.of(2026, 1, 5);
      MaxTracker tracker = new MaxTracker(level, new MaxTracker.Tested(max, start));
      List<Observation> log = new ArrayList<>();
      for (int exposure = 1; exposure <= 2 * WEEKS; exposure++) {
        long day = exposure * 7L / 2;
        LocalDate date = start.plusDays(day);
        Mass known = tracker.run(log, date, MassUnit.KG).now().max();
        body.startDay(day);
        train(body, known, exposure, date, log, backOffsRated);
        if (exposure > 8) {
          MaxTracker.Estimate now = tracker.run(log, MassUnit.KG).now();
          double error = now.max().ratioTo(body.trueMax()) - 1;
          double inSd = Math.abs(now.max().nanograms() - body.trueMax().nanograms()) / (double) now.sd().nanograms();
          days++;
          one += inSd <= 1 ? 1 : 0;
          two += inSd <= 2 ? 1 : 0;
          off += error;
          absolute += Math.abs(error);
        }
      }
    }
    System.out.printf(Locale.ROOT, "%-14s %-28s %6.1f%% %6.1f%% %+8.2f%% %8.2f%%%n", level.word(), what, 100.0 * one / days,
        100.0 * two / days, 100 * off / days, 100 * absolute / days);
  }

  private static void train(SimulatedLifter body, Mass known, int exposure, LocalDate date, List<Observation> log,
      boolean backOffsRated) {
    int reps = exposure % 3 == 0 ? 1 : exposure % 3 == 1 ? 3 : 5;
    Mass top = known.scaled(EffortChart.HOUSE.fraction(reps, 8).orElseThrow());
    lift(body, top, reps, date, log, true);
    for (int set = 0; set < 3; set++) {
      lift(body, top.scaled(0.88), reps + 1, date, log, backOffsRated);
    }
  }

  private static void lift(SimulatedLifter body, Mass load, int reps, LocalDate date, List<Observation> log, boolean rated) {
    SimulatedLifter.Outcome outcome = body.lift(load, reps, false);
    Rpe rpe = rated ? outcome.rpe() : null;
    log.add(Observation.of(date, load, outcome.reps(), rpe));
  }
}

package org.yarbel.core.track;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * How a lifter's bar slows as it gets heavier in one lift: mean concentric velocity v = a + b·load.
 *
 * <p>From at least four sets at three loads spanning 20 % of the max; refused when the bar does not slow (b ≥ 0) or the
 * line explains too little (R² under 0.8). Never shared between lifters or lifts. Typical velocities of the max: squat
 * 0.30, bench press 0.17 m/s (Izquierdo et al. 2006; González-Badillo &amp; Sánchez-Medina 2010; from memory), deadlift
 * 0.15 (common practice, no source).
 *
 * @param a m/s at no load
 * @param b m/s for each kilogram, under 0
 * @param r2 share of the variance that the line explains
 */
public record SpeedProfile(double a, double b, double r2, List<Point> points) {
  private static final int LEAST_SETS = 4;
  private static final int LEAST_LOADS = 3;
  private static final double LEAST_SPAN = 0.2;
  private static final double LEAST_R2 = 0.8;

  /**
   * One set.
   *
   * @param velocity mean concentric velocity of its fastest rep in m/s, over 0 to 3
   * @param rpe of a single; else null
   */
  public record Point(Mass load, double velocity, @Nullable Rpe rpe) {
    public Point {
      if (!(velocity > 0 && velocity <= 3)) {
        throw new Refused("The velocity must be over 0 and at most 3 m/s but was " + velocity);
      }
    }

    private double kilograms() {
      return load.nanograms() / (double) MassUnit.KG.nanograms();
    }
  }

  /** The range of velocities that singles of one rating came at. */
  public record AtRpe(Rpe rpe, double slowest, double fastest, int singles) {}

  /**
   * Fits a profile.
   *
   * @param max tracked or tested, to judge the span by
   * @throws Refused with a sentence that says what is missing
   */
  public static SpeedProfile fit(List<Point> sets, Mass max) {
    long loads = sets.stream().map(Point::load).distinct().count();
    if (sets.size() < LEAST_SETS || loads < LEAST_LOADS) {
      throw new Refused("A speed profile needs four sets at three loads at least; there are "
          + sets.size() + " at " + loads);
    }
    double lightest = sets.stream().mapToDouble(p -> p.load().ratioTo(max)).min().orElseThrow();
    double heaviest = sets.stream().mapToDouble(p -> p.load().ratioTo(max)).max().orElseThrow();
    if (heaviest - lightest < LEAST_SPAN) {
      throw new Refused("The loads of a speed profile must span 20 % of the max but span "
          + Math.round(100 * (heaviest - lightest)) + " %");
    }
    double meanLoad = sets.stream().mapToDouble(Point::kilograms).average().orElseThrow();
    double meanSpeed = sets.stream().mapToDouble(Point::velocity).average().orElseThrow();
    double sxx = 0;
    double sxy = 0;
    double syy = 0;
    for (Point point : sets) {
      double dx = point.kilograms() - meanLoad;
      double dy = point.velocity() - meanSpeed;
      sxx += dx * dx;
      sxy += dx * dy;
      syy += dy * dy;
    }
    double b = sxy / sxx;
    double r2 = syy == 0 ? 0 : sxy * sxy / (sxx * syy);
    if (b >= 0) {
      throw new Refused("The bar does not slow with the load: look at how it was measured");
    }
    if (r2 < LEAST_R2) {
      throw new Refused("The velocities scatter too much for a line (R² "
          + Math.round(100 * r2) / 100.0 + ", 0.8 is wanted)");
    }
    return new SpeedProfile(meanSpeed - b * meanLoad, b, r2, List.copyOf(sets));
  }

  /** The velocity at a load in m/s. */
  public double velocity(Mass load) {
    return a + b * load.nanograms() / MassUnit.KG.nanograms();
  }

  /**
   * The max: the load at which the bar moves no faster than in the max.
   *
   * @param slowest the velocity of this lifter's slowest made single in m/s, else a typical one
   */
  public Optional<Mass> oneRepMax(double slowest, MassUnit unit) {
    double kilograms = (slowest - a) / b;
    return kilograms > 0 && kilograms <= 1000
        ? Optional.of(Mass.ofRoundedNanograms(kilograms * MassUnit.KG.nanograms(), unit))
        : Optional.empty();
  }

  /** The typical velocity of a max in m/s; empty for lifts without one. */
  public static OptionalDouble typicalAtMax(Movement movement) {
    return switch (movement) {
      case SQUAT -> OptionalDouble.of(0.30);
      case BENCH -> OptionalDouble.of(0.17);
      case DEADLIFT -> OptionalDouble.of(0.15);
      case PRESS, OTHER -> OptionalDouble.empty();
    };
  }

  /** What this lifter's rated singles came at, the lowest rating first. */
  public List<AtRpe> singles() {
    Map<Rpe, List<Double>> byRpe = new TreeMap<>();
    for (Point point : points) {
      if (point.rpe() != null) {
        byRpe.computeIfAbsent(point.rpe(), rpe -> new ArrayList<>()).add(point.velocity());
      }
    }
    List<AtRpe> table = new ArrayList<>();
    byRpe.forEach((rpe, velocities) -> table.add(new AtRpe(rpe, velocities.stream().min(Double::compare).orElseThrow(),
        velocities.stream().max(Double::compare).orElseThrow(), velocities.size())));
    return table;
  }
}

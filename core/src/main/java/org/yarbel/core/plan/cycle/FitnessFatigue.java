package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Readiness from training loads: what builds up slowly less what tires and fades quickly. p(t) = p0 + k1 Σ w e^(−Δ/τ1) −
 * k2 Σ w e^(−Δ/τ2) over all sessions before the day, with τ1 42 d, τ2 7 d, k1 1, k2 2, scaled to 100 today; the band is the
 * lowest and highest over τ1 35–50 and τ2 5–10. Banister et al. 1975; Busso 2003, Med Sci Sports Exerc 35(7), both from
 * memory. It compares tapers; it promises nothing.
 *
 * <p>The sources leave p0 to a fit. Ours: nine times the steady value that the lifter's usual load would come to, so that
 * training makes a tenth of the whole and a taper moves the curve by a few percent, as tapers do.
 */
public final class FitnessFatigue {
  private static final double FITNESS_DAYS = 42;
  private static final double FATIGUE_DAYS = 7;
  private static final double FATIGUE_WEIGHT = 2;
  private static final double[] FITNESS_BAND = {35, 42, 50};
  private static final double[] FATIGUE_BAND = {5, 7, 10};
  private static final double REST = 9;
  private static final int USUAL_DAYS = 42;

  private FitnessFatigue() {}

  /**
   * One day.
   *
   * @param value of today's 100
   * @param low the lowest of the band
   * @param high the highest
   */
  public record Point(LocalDate day, double value, double low, double high) {}

  /**
   * The curve of the days from one to another.
   *
   * @param loads by day, those done before today and those planned from today on
   * @param from not after today
   */
  public static List<Point> curve(Map<LocalDate, Double> loads, LocalDate today, LocalDate from, LocalDate to) {
    double usual = usual(loads, today);
    LocalDate first = loads.keySet().stream().min(LocalDate::compareTo).filter(day -> day.isBefore(from)).orElse(from);
    List<double[]> runs = new ArrayList<>();
    runs.add(run(loads, first, to, FITNESS_DAYS, FATIGUE_DAYS));
    for (double fitness : FITNESS_BAND) {
      for (double fatigue : FATIGUE_BAND) {
        runs.add(run(loads, first, to, fitness, fatigue));
      }
    }
    double rest = REST * Math.abs(usual * (FITNESS_DAYS - FATIGUE_WEIGHT * FATIGUE_DAYS));
    int now = (int) ChronoUnit.DAYS.between(first, today);
    List<Point> points = new ArrayList<>();
    for (int at = (int) ChronoUnit.DAYS.between(first, from); at < runs.get(0).length; at++) {
      double value = scaled(runs.get(0), at, now, rest);
      double low = value;
      double high = value;
      for (double[] run : runs) {
        double other = scaled(run, at, now, rest);
        low = Math.min(low, other);
        high = Math.max(high, other);
      }
      points.add(new Point(first.plusDays(at), value, low, high));
    }
    return points;
  }

  private static double scaled(double[] run, int at, int now, double rest) {
    return rest == 0 ? 100 : 100 * (rest + run[at]) / (rest + run[now]);
  }

  /** The mean load of a day: of the six weeks before today; where nothing is known of them, of the six after. */
  private static double usual(Map<LocalDate, Double> loads, LocalDate today) {
    double before = sum(loads, today.minusDays(USUAL_DAYS), today);
    return (before > 0 ? before : sum(loads, today, today.plusDays(USUAL_DAYS))) / USUAL_DAYS;
  }

  private static double sum(Map<LocalDate, Double> loads, LocalDate from, LocalDate until) {
    return loads.entrySet().stream().filter(of -> !of.getKey().isBefore(from) && of.getKey().isBefore(until))
        .mapToDouble(Map.Entry::getValue).sum();
  }

  /** Fitness less fatigue on the morning of each day. */
  static double[] run(Map<LocalDate, Double> loads, LocalDate first, LocalDate to, double fitnessDays, double fatigueDays) {
    double[] values = new double[(int) ChronoUnit.DAYS.between(first, to) + 1];
    double fitness = 0;
    double fatigue = 0;
    for (int at = 0; at < values.length; at++) {
      values[at] = fitness - FATIGUE_WEIGHT * fatigue;
      double load = loads.getOrDefault(first.plusDays(at), 0.0);
      fitness = (fitness + load) * Math.exp(-1 / fitnessDays);
      fatigue = (fatigue + load) * Math.exp(-1 / fatigueDays);
    }
    return values;
  }
}

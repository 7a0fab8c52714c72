package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;

/**
 * What of the parent's max a lifter makes in a variation, learned from the log.
 *
 * <p>Our own default: ln(ratio) by a scalar filter that starts from the default ratio and its spread; between days its
 * variance grows by (0.05 %)²; an observation is the variation's raw max over the parent's estimate of that day, with the
 * variance of both. A load held down for form is no observation.
 *
 * @param percent of the parent's max
 * @param sd in points of percent
 * @param exposures how many it was learned from
 */
public record VariationRatio(double percent, double sd, int exposures) {
  private static final double GROWTH_PER_DAY = 0.0005 * 0.0005;

  /**
   * One day of the variation.
   *
   * @param ratio its raw max over the parent's estimate, 0.82
   * @param sd of the raw max in % of it
   * @param parentSd of the parent's estimate in % of it
   */
  public record Exposure(LocalDate date, double ratio, double sd, double parentSd) {}

  /**
   * Learns from exposures.
   *
   * @param at the day asked for; null for the day of the last exposure
   */
  public static VariationRatio learn(Lift.Ratio start, List<Exposure> log, @Nullable LocalDate at) {
    double x = Math.log(start.percent() / 100);
    double p = Math.pow(start.sd() / start.percent(), 2);
    LocalDate day = null;
    for (Exposure exposure : log.stream().sorted(Comparator.comparing(Exposure::date)).toList()) {
      p += growth(day, exposure.date());
      day = exposure.date();
      double variance = (exposure.sd() * exposure.sd() + exposure.parentSd() * exposure.parentSd()) / 10_000;
      double gain = p / (p + variance);
      x += gain * (Math.log(exposure.ratio()) - x);
      p *= 1 - gain;
    }
    p += growth(day, at);
    double percent = 100 * Math.exp(x);
    return new VariationRatio(percent, percent * Math.sqrt(p), log.size());
  }

  private static double growth(@Nullable LocalDate from, @Nullable LocalDate to) {
    return from == null || to == null ? 0 : GROWTH_PER_DAY * Math.max(ChronoUnit.DAYS.between(from, to), 0);
  }
}

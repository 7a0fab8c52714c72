package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** How the load of the last weeks may fall, to compare one taper with another on the readiness curve. */
public enum TaperShape {
  ONE_WEEK("one week, −50 %", List.of(0.5)),
  TWO_WEEKS("two weeks, −50 and −70 %", List.of(0.3, 0.5)),
  THREE_WEEKS("three weeks, −30, −50 and −70 %", List.of(0.3, 0.5, 0.7)),
  NONE("no taper", List.of());

  private static final int WEEK = 7;
  private static final int MODEL_WEEKS = 3;

  private final String words;
  /** What is left of the load in the last seven days, the seven before, and so on. */
  private final List<Double> left;

  TaperShape(String words, List<Double> left) {
    this.words = words;
    this.left = left;
  }

  /** {@code two weeks, −50 and −70 %}. */
  public String words() {
    return words;
  }

  /**
   * The same loads with the last three weeks before a contest by this shape: each day of them has what the same day of the
   * week had on average in the three weeks before those, less what the taper takes.
   *
   * @param today days before it stay
   */
  public Map<LocalDate, Double> applied(Map<LocalDate, Double> loads, LocalDate contest, LocalDate today) {
    Map<LocalDate, Double> other = new TreeMap<>(loads);
    LocalDate first = contest.minusDays((long) MODEL_WEEKS * WEEK);
    for (LocalDate day = first.isBefore(today) ? today : first; day.isBefore(contest); day = day.plusDays(1)) {
      int week = (int) (ChronoUnit.DAYS.between(day, contest) - 1) / WEEK;
      double usual = usual(loads, first, day);
      double load = usual * (week < left.size() ? left.get(week) : 1);
      if (load > 0) {
        other.put(day, load);
      } else {
        other.remove(day);
      }
    }
    return other;
  }

  private static double usual(Map<LocalDate, Double> loads, LocalDate first, LocalDate day) {
    LocalDate same = day;
    while (!same.isBefore(first)) {
      same = same.minusDays(WEEK);
    }
    double sum = 0;
    for (int back = 0; back < MODEL_WEEKS; back++) {
      sum += loads.getOrDefault(same.minusDays((long) back * WEEK), 0.0);
    }
    return sum / MODEL_WEEKS;
  }
}

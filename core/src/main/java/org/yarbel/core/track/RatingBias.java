package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;

/**
 * How far a lifter's ratings are off, from sets whose truth came out: rated sets beside sets to failure.
 *
 * <p>Our own default. A pair is a set rated 6 to 10 and, that day or within seven, a set to failure within 2.5 % of its
 * load. Its b = claimed reps in reserve − (reps to failure − reps done): positive when more was left in the words than
 * in the bar. bias = Σ of the last ten b / (count + 3), cut to ±1. It is feedback first; it corrects a tracker only
 * where the coach switches that on.
 *
 * @param pairs oldest first, at most ten
 */
public record RatingBias(List<Pair> pairs) {
  private static final int LAST = 10;
  private static final int PRIOR = 3;
  /** So many days apart a rating and a set to failure may be. */
  public static final int DAYS = 7;
  private static final double LOAD_WITHIN = 0.025;
  private static final int MOCK_DAYS = 28;
  private static final int PRACTICE_WEEKS = 8;

  /**
   * One rating and what came out.
   *
   * @param claimed reps in reserve
   * @param left reps that truly were, not under 0 where a set to failure told it
   */
  public record Pair(LocalDate date, double claimed, double left) {
    /** How many reps too many were claimed. */
    public double off() {
      return claimed - left;
    }
  }

  public RatingBias {
    pairs = pairs.stream().sorted(Comparator.comparing(Pair::date)).toList();
    pairs = List.copyOf(pairs.subList(Math.max(pairs.size() - LAST, 0), pairs.size()));
  }

  /** From one lift's log; each rated set pairs with the set to failure nearest in days, then in load. */
  public static RatingBias of(List<Observation> log) {
    List<Observation> failures = log.stream().filter(o -> o.made() && o.toFailure()).toList();
    List<Pair> pairs = new ArrayList<>();
    for (Observation rated : log) {
      if (rated.made() && !rated.toFailure() && rated.rpe() != null) {
        double claimed = rated.rpe().repsInReserve();
        failures.stream()
            .filter(f -> days(f, rated) <= DAYS && apart(f, rated) <= LOAD_WITHIN)
            .min(Comparator.<Observation>comparingLong(f -> days(f, rated)).thenComparingDouble(f -> apart(f, rated)))
            .ifPresent(f -> pairs.add(new Pair(rated.date(), claimed, f.reps() - rated.reps())));
      }
    }
    return new RatingBias(pairs);
  }

  /**
   * From a mock contest, which says what the max was: every rated set of the four weeks before it becomes a pair, what was
   * left read from a curve.
   */
  public static RatingBias ofMockContest(Mass max, LocalDate date, List<Observation> log, RepMaxCurve curve) {
    List<Pair> pairs = new ArrayList<>();
    for (Observation rated : log) {
      long before = ChronoUnit.DAYS.between(rated.date(), date);
      if (rated.made() && !rated.toFailure() && rated.rpe() != null && before >= 0 && before <= MOCK_DAYS) {
        double claimed = rated.rpe().repsInReserve();
        OptionalDouble could = curve.repsAt(Math.min(rated.load().ratioTo(max), 1));
        could.ifPresent(reps -> pairs.add(new Pair(rated.date(), claimed, reps - rated.reps())));
      }
    }
    return new RatingBias(pairs);
  }

  /** Reps claimed too many (positive) or too few, −1 to 1; 0 without a pair. */
  public double bias() {
    double sum = pairs.stream().mapToDouble(Pair::off).sum();
    return Math.min(Math.max(sum / (pairs.size() + PRIOR), -1), 1);
  }

  /** The standard deviation of what the ratings were off; empty under two pairs. */
  public OptionalDouble spread() {
    if (pairs.size() < 2) {
      return OptionalDouble.empty();
    }
    double mean = pairs.stream().mapToDouble(Pair::off).average().orElseThrow();
    double squares = pairs.stream().mapToDouble(pair -> Math.pow(pair.off() - mean, 2)).sum();
    return OptionalDouble.of(Math.sqrt(squares / (pairs.size() - 1)));
  }

  /** What to do about it, in a sentence; empty when the ratings serve. */
  public Optional<String> advice() {
    boolean off = pairs.size() >= PRIOR && Math.abs(pairs.stream().mapToDouble(Pair::off).average().orElseThrow()) > 1;
    return off || spread().orElse(0) > 1
        ? Optional.of("The ratings are off by more than a point: plan by percentages with a cap for now.")
        : Optional.empty();
  }

  /**
   * Whether ratings may steer loads. A beginner rates for practice until the ratings of eight weeks stay within ±1.
   *
   * @param today the last day looked at
   */
  public boolean steers(Level level, LocalDate today) {
    if (level != Level.BEGINNER) {
      return true;
    }
    LocalDate from = today.minusWeeks(PRACTICE_WEEKS);
    boolean longEnough = pairs.stream().anyMatch(pair -> !pair.date().isAfter(from));
    List<Pair> recent = pairs.stream().filter(pair -> !pair.date().isBefore(from)).toList();
    return longEnough && !recent.isEmpty() && recent.stream().allMatch(pair -> Math.abs(pair.off()) <= 1);
  }

  /**
   * The log as far as its ratings may steer: those of a beginner who rates for practice are left out. Where nothing was tested
   * the first rated set keeps its own, or there would be no number to begin with.
   *
   * @param tested whether a tested max is known
   * @param today the last day looked at
   */
  public static List<Observation> steering(List<Observation> log, Level level, boolean tested, LocalDate today) {
    if (of(log).steers(level, today)) {
      return log;
    }
    Observation first = tested ? null : log.stream().filter(set -> set.eligible() && !set.toFailure())
        .min(Comparator.comparing(Observation::date)).orElse(null);
    return log.stream().map(set -> set == first ? set : set.withoutRating()).toList();
  }

  private static long days(Observation a, Observation b) {
    return Math.abs(ChronoUnit.DAYS.between(a.date(), b.date()));
  }

  private static double apart(Observation failure, Observation rated) {
    return Math.abs(failure.load().ratioTo(rated.load()) - 1);
  }
}

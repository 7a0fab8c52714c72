package org.yarbel.core.contest;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.Stream;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Observation;

/**
 * What a mock contest says of the ratings of the four weeks before it: with the max known, every rated set had so many reps left, and the
 * rating said so many. Our own default, drawn towards 0 while the sets are few and never over a rep, as the rating bias is.
 *
 * @param sets the rated sets it was told from, the oldest first
 * @param bias over 0: more reps were said to be left than were
 */
public record MockCheck(List<Rating> sets, double bias) {
  /** So many days before it are looked at. */
  public static final int DAYS = 28;
  private static final int DRAWN = 3;
  private static final double MOST = 1;
  private static final double RELIABLE = RepMaxCurve.RELIABLE_REPS_TO_FAILURE;
  private static final int HALVINGS = 40;

  /**
   * A rated set, with the reps that were left by the max.
   *
   * @param said reps left by the rating
   * @param left reps left by the max
   */
  public record Rating(Observation set, double said, double left) {}

  public MockCheck {
    sets = List.copyOf(sets);
  }

  /**
   * Holds ratings against a max.
   *
   * @param log of the lift
   * @param max that the mock contest showed
   */
  public static MockCheck of(List<Observation> log, LocalDate day, Mass max, EffortChart chart) {
    List<Rating> sets = log.stream().filter(set -> set.date().isBefore(day) && ChronoUnit.DAYS.between(set.date(), day) <= DAYS)
        .filter(set -> set.made() && !set.failed() && !set.is(Observation.Trait.FLAGGED))
        .flatMap(set -> Stream.ofNullable(set.rpe()).map(rpe -> rating(set, rpe, max, chart)))
        .filter(rating -> rating.set.reps() + rating.left <= RELIABLE).toList();
    double sum = sets.stream().mapToDouble(rating -> rating.said - rating.left).sum();
    return new MockCheck(sets, Math.max(-MOST, Math.min(MOST, sum / (sets.size() + DRAWN))));
  }

  private static Rating rating(Observation set, Rpe rpe, Mass max, EffortChart chart) {
    return new Rating(set, rpe.repsInReserve(), repsAt(set.load().ratioTo(max), chart) - set.reps());
  }

  /** The reps to failure at a share of the max, by halving; 1 for the max and what is over it. */
  private static double repsAt(double share, EffortChart chart) {
    double low = 1;
    double high = RepMaxCurve.MAX_REPS_TO_FAILURE;
    for (int step = 0; step < HALVINGS; step++) {
      double middle = (low + high) / 2;
      // beyond what the chart knows a load is lighter still
      if (chart.fraction(middle, Rpe.MAX.value()).orElse(0) >= share) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }
}

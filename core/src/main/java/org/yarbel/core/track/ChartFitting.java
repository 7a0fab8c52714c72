package org.yarbel.core.track;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.PersonalChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.MassUnit;

/**
 * Fits a lifter's own effort chart from the log of one lift.
 *
 * <p>Our own default: the max behind each set to failure is the one tracked up to that morning from sets of three reps to
 * failure or fewer, which say it well enough, and the tested one; a set whose max is known from neither is left out.
 */
public final class ChartFitting {
  private static final double TELLING_REPS_TO_FAILURE = 3;

  private ChartFitting() {}

  /** The chart of the house curve, bent to the sets to failure of a log. */
  public static PersonalChart of(List<Observation> log, Level level, MaxTracker.@Nullable Tested tested, MassUnit unit) {
    List<Observation> telling = log.stream()
        .filter(o -> o.repsToFailure().isPresent() && o.repsToFailure().getAsDouble() <= TELLING_REPS_TO_FAILURE).toList();
    List<PersonalChart.ToFailure> fitted = new ArrayList<>();
    for (Observation failure : log) {
      if (failure.toFailure()) {
        List<Observation> before = telling.stream().filter(o -> o.date().isBefore(failure.date())).toList();
        boolean known = tested != null && !tested.date().isAfter(failure.date());
        MaxTracker.Estimate max = new MaxTracker(level, known ? tested : null).run(before, failure.date(), unit).now();
        if (max != null) {
          fitted.add(new PersonalChart.ToFailure(failure.load(), failure.reps(), max.max()));
        }
      }
    }
    return PersonalChart.fit(RepMaxCurve.HOUSE, fitted);
  }
}

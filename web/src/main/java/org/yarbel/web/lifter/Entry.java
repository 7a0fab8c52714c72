package org.yarbel.web.lifter;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;

/**
 * A number a lift begins with: a tested max, or a recent set.
 *
 * @param set what was done; of a tested max the single
 * @param tested whether it is a tested max
 */
record Entry(Observation set, boolean tested) {
  static Entry tested(Mass load, LocalDate day) {
    return new Entry(Observation.of(day, load, 1, null), true);
  }

  static Entry of(Mass load, int reps, @Nullable Rpe rpe, LocalDate day) {
    return new Entry(Observation.of(day, load, reps, rpe).toFailure(rpe == null), false);
  }

  /** The max it speaks for. */
  Mass max() {
    Rpe rpe = set.rpe() == null ? Rpe.MAX : set.rpe();
    return tested ? set.load() : EffortChart.HOUSE.oneRepMax(set.load(), set.reps(), rpe.value());
  }

  MaxTracker.Tested test() {
    return new MaxTracker.Tested(set.load(), set.date());
  }
}

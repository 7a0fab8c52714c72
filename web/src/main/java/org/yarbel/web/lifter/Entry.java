package org.yarbel.web.lifter;

import java.time.LocalDate;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.TestedMax;

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

  static Entry of(Observation set) {
    return new Entry(set, false);
  }

  /** The max it speaks for, or speaks for at the least. */
  Mass max() {
    Rpe unrated = set.is(Observation.Trait.EASIER) ? Rpe.MIN : Rpe.MAX;
    Rpe rpe = set.rpe() == null ? unrated : set.rpe();
    return tested ? set.load() : EffortChart.HOUSE.oneRepMax(set.load(), set.reps(), rpe.value());
  }

  TestedMax test() {
    return new TestedMax(set.load(), set.date());
  }
}

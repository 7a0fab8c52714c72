package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;

/**
 * A line of a plan with everything of it that decides its loads, such as 'squat 3x5 75 % tm, twice round, written for a
 * training max of 145 kg'. Whoever works a line out needs all of it: without its rounds a line has too few sets, without the
 * training max it was written for it has another load than the card.
 *
 * @param work the text in the notation
 * @param rounds of the group it is done in, 1 without one
 * @param trainingMax it was written for; null for the lifter's own of the day
 */
public record PlannedLine(Lift lift, String work, Beside beside, int rounds, @Nullable Mass trainingMax) {
  /**
   * What is said beside the work and changes its loads.
   *
   * @param bar the name of another bar of the place; null for the lift's own
   * @param ramp the warm-up as written by hand; null where it is worked out
   */
  public record Beside(@Nullable String bar, @Nullable String ramp) {
    /** Nothing. */
    public static final Beside NONE = new Beside(null, null);
  }

  /** A line by itself, with nothing said beside it. */
  public static PlannedLine of(Lift lift, String work) {
    return new PlannedLine(lift, work, Beside.NONE, 1, null);
  }

  /** The same place with another lift and text; what a training max was written for is the lift. */
  public PlannedLine saying(Lift other, String text) {
    return new PlannedLine(other, text, beside, rounds, other.key().equals(lift.key()) ? trainingMax : null);
  }

  /** The same with something else said beside it. */
  public PlannedLine with(Beside other) {
    return new PlannedLine(lift, work, other, rounds, trainingMax);
  }

  /** The same place with another text. */
  public PlannedLine saying(String other) {
    return new PlannedLine(lift, other, beside, rounds, trainingMax);
  }
}

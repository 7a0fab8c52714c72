package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * One logged set of a lift, as the tracker sees it.
 *
 * @param reps good reps made, 0 for a miss
 * @param rpe the rating after the set; null when it was not rated, or below 6
 * @param toFailure whether the set went on until no further rep could be made
 * @param contest whether it was lifted in a contest
 * @param nextMissed of a contest single: whether the next attempt was missed
 * @param flagged whether something made the set a poor witness: no belt, short sleep, illness, pain, other gear
 * @param touchAndGo whether the reps were bounced off the floor
 * @param practice whether it only trained the lift: singles with gaps, help, bands, time or distance say nothing of the max
 */
public record Observation(
    LocalDate date,
    Mass load,
    int reps,
    @Nullable Rpe rpe,
    boolean toFailure,
    boolean contest,
    boolean nextMissed,
    boolean flagged,
    boolean touchAndGo,
    boolean practice) {
  private static final int MOST_RATED_REPS = 10;

  /** A set that says something about the max. */
  public Observation(LocalDate date, Mass load, int reps, @Nullable Rpe rpe, boolean toFailure, boolean contest,
      boolean nextMissed, boolean flagged, boolean touchAndGo) {
    this(date, load, reps, rpe, toFailure, contest, nextMissed, flagged, touchAndGo, false);
  }

  /** The same set as one that only trained the lift. */
  public Observation asPractice() {
    return new Observation(date, load, reps, rpe, toFailure, contest, nextMissed, flagged, touchAndGo, true);
  }

  /** The same set as nobody rated it; one to failure stays so. */
  public Observation withoutRating() {
    return rpe == null ? this : new Observation(date, load, reps, null, toFailure, contest, nextMissed, flagged, touchAndGo, practice);
  }

  /** An ordinary set, rated or not. */
  public static Observation of(LocalDate date, Mass load, int reps, @Nullable Rpe rpe) {
    return new Observation(date, load, reps, rpe, false, false, false, false, false, false);
  }

  /** The same set with its context flag set or not. */
  public Observation flagged(boolean flag) {
    return new Observation(date, load, reps, rpe, toFailure, contest, nextMissed, flag, touchAndGo, practice);
  }

  /** The same set as one that went to failure. */
  public Observation toFailure(boolean failed) {
    return new Observation(date, load, reps, rpe, failed, contest, nextMissed, flagged, touchAndGo, practice);
  }

  boolean made() {
    return reps >= 1 && !load.isZero();
  }

  boolean contestSingle() {
    return contest && reps == 1;
  }

  /** Reps in reserve as claimed: 0 to failure and for an unrated contest single; empty without a rating. */
  private OptionalDouble repsInReserve() {
    if (toFailure || contestSingle() && rpe == null) {
      return OptionalDouble.of(0);
    }
    return rpe == null ? OptionalDouble.empty() : OptionalDouble.of(rpe.repsInReserve());
  }

  /** Reps done and left; empty for what is not eligible. */
  public OptionalDouble repsToFailure() {
    return eligible() ? OptionalDouble.of(reps + repsInReserve().orElse(0)) : OptionalDouble.empty();
  }

  /** A made set of 1–10 reps rated RPE 6–10, or to failure with up to 15. */
  boolean eligible() {
    return made() && !practice && repsInReserve().isPresent()
        && reps <= (toFailure ? RepMaxCurve.MAX_REPS_TO_FAILURE : MOST_RATED_REPS);
  }

  /** Whether it can serve as a floor: made, not rated, up to 15 reps. */
  boolean floor() {
    return made() && !practice && repsInReserve().isEmpty() && reps <= RepMaxCurve.MAX_REPS_TO_FAILURE;
  }

  /** The raw max an eligible or floor set speaks for, on the house curve, in nanograms. */
  double oneRepMaxNanograms() {
    return load.nanograms() / EffortChart.HOUSE.curve().fraction(reps + repsInReserve().orElse(0));
  }

  /** Its standard deviation in % of the max, the context flag not counted. */
  double spreadUnflagged() {
    double spread;
    if (contestSingle()) {
      boolean all = nextMissed || rpe == null || rpe.equals(Rpe.MAX);
      spread = all ? 0.5 : 2.0;
    } else {
      spread = 1.5 + 0.6 * (reps - 1) + 0.35 * repsInReserve().orElse(0);
      spread *= toFailure ? 0.7 : 1;
    }
    return touchAndGo && reps > 1 ? spread * 1.5 : spread;
  }

  /** The same with the context flag: ×2.5. */
  double spread() {
    return spreadUnflagged() * (flagged ? 2.5 : 1);
  }
}

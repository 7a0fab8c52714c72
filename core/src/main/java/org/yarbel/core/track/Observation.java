package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * One logged set of a lift, as the tracker sees it.
 *
 * @param reps good reps made, 0 for a missed attempt
 * @param rpe the rating after the set; null when it was not rated, or below 6
 * @param traits what else is known of it
 */
public record Observation(LocalDate date, Mass load, int reps, @Nullable Rpe rpe, Set<Trait> traits) {

  /** What may be known of a set beside its figures. */
  public enum Trait {
    /** Rated under 6: easier than the scale goes. */
    EASIER,
    /** A further rep was tried and missed. */
    FAILED,
    /** Lifted in a contest. */
    CONTEST,
    /** Of a contest single: the next attempt was missed. */
    NEXT_MISSED,
    /** Something made it a poor witness: no belt, short sleep, illness, pain, other gear. */
    FLAGGED,
    /** The reps were bounced off the floor. */
    TOUCH_AND_GO,
    /** It only trained the lift: singles with gaps, help, bands, time or distance say nothing of the max. */
    PRACTICE
  }

  public Observation {
    traits = Set.copyOf(traits);
  }

  /** A set with what is known of it. */
  public static Observation of(LocalDate date, Mass load, int reps, @Nullable Rpe rpe, Trait... traits) {
    return new Observation(date, load, reps, rpe, traits.length == 0 ? Set.of() : EnumSet.copyOf(Arrays.asList(traits)));
  }

  /** Whether this is known of it. */
  public boolean is(Trait trait) {
    return traits.contains(trait);
  }

  /** The same set with something known of it, or not. */
  public Observation with(Trait trait, boolean known) {
    EnumSet<Trait> all = EnumSet.noneOf(Trait.class);
    all.addAll(traits);
    boolean changed = known ? all.add(trait) : all.remove(trait);
    return changed ? new Observation(date, load, reps, rpe, all) : this;
  }

  /** The same set as if nobody had rated it. */
  public Observation unrated() {
    Observation plain = with(Trait.EASIER, false);
    return new Observation(plain.date, plain.load, plain.reps, null, plain.traits);
  }

  /** Whether any rep of it was made. */
  public boolean made() {
    return reps >= 1 && !load.isZero();
  }

  /** Whether a further rep was tried and missed; of a set without a rep it goes without saying. */
  public boolean failed() {
    return reps == 0 || is(Trait.FAILED);
  }

  private boolean contestSingle() {
    return is(Trait.CONTEST) && reps == 1;
  }

  /** Reps in reserve as claimed: 0 to failure and for an unrated contest single; empty without a rating. */
  private OptionalDouble repsInReserve() {
    if (failed() || contestSingle() && rpe == null) {
      return OptionalDouble.of(0);
    }
    return rpe == null ? OptionalDouble.empty() : OptionalDouble.of(rpe.repsInReserve());
  }

  /** Whether it speaks for a max by itself: made with 1–10 reps rated RPE 6–10, or to failure with up to 15. */
  boolean rated() {
    return made() && !is(Trait.PRACTICE) && repsInReserve().isPresent()
        && reps <= (failed() ? Constants.LIMIT_REPS : Constants.RATED_REPS);
  }

  /** Whether it says the least a max can be: made, not rated, up to 15 reps. */
  boolean floor() {
    return made() && !is(Trait.PRACTICE) && repsInReserve().isEmpty() && reps <= Constants.LIMIT_REPS;
  }

  /** The max a rated set or a floor speaks for by itself, on the house curve, in nanograms. */
  double oneRepMaxNanograms() {
    return load.nanograms() / EffortChart.HOUSE.curve().fraction(reps + repsInReserve().orElse(0));
  }

  /** The standard deviation of that, in % of the max. Our own default; it tells the sets of a day apart and feeds ratios. */
  double spread() {
    double spread = 1.5 + 0.6 * (reps - 1) + 0.35 * repsInReserve().orElse(0);
    if (contestSingle()) {
      boolean all = is(Trait.NEXT_MISSED) || rpe == null || rpe.equals(Rpe.MAX);
      spread = all ? 0.5 : 2.0;
    } else if (failed()) {
      spread *= 0.7;
    }
    return spread * (is(Trait.TOUCH_AND_GO) && reps > 1 ? 1.5 : 1) * (is(Trait.FLAGGED) ? 2.5 : 1);
  }
}

package org.yarbel.core.card;

import java.math.BigDecimal;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;

/**
 * One set with its load.
 *
 * @param part the part of the line, from 1
 * @param set the set of the part, from 1
 * @param exact the load before it was rounded to what loads, at the point that is meant; null when the lifter picks
 * @param load what to lift, or what was lifted once it is logged: the bar; null when the lifter picks
 * @param reps asked (the lower end of a range) or done; null for an open set and for what has no reps
 * @param repsTo the upper end of a range
 * @param rpe asked (the lower end of a range) or rated
 * @param rpeTo the upper end of a range
 * @param percent {@code exact} of the basis, 0–100 and beyond; null without a number
 * @param perSide the plates of one side; null where nothing goes on a bar
 * @param restSeconds as written, else null
 * @param tempo as written, else null
 * @param exactFrom the lower end of a range of percentages
 * @param exactTo its upper end
 * @param stop where to stop: {@code form}, a capped RPE such as {@code @9}, or a drop such as {@code -5%}
 * @param logged whether load, reps and RPE are what was done
 * @param ends the load at the bottom and at the top, where chains or bands make them differ
 * @param clock the times of it; null where it has none
 * @param distance how far it is carried; null where it is not
 * @param source where its planned load comes from; null on cards of old
 * @param rounding how that became what loads; null on cards of old
 */
public record ResolvedSet(
    int part,
    int set,
    Role role,
    @Nullable Mass exact,
    @Nullable Mass load,
    @Nullable Integer reps,
    @Nullable Integer repsTo,
    @Nullable Rpe rpe,
    @Nullable Rpe rpeTo,
    @Nullable Double percent,
    @Nullable List<Mass> perSide,
    @Nullable Integer restSeconds,
    @Nullable String tempo,
    @Nullable Mass exactFrom,
    @Nullable Mass exactTo,
    @Nullable String stop,
    boolean logged,
    @Nullable Ends ends,
    @Nullable Clock clock,
    @Nullable Distance distance,
    @Nullable LoadSource source,
    LoadSource.@Nullable Rounding rounding) {
  /** Where an open set without a cap stops: where its form breaks. */
  public static final String STOPS_BY_FORM = "form";

  /** What is moved at the bottom and at the top. */
  public record Ends(Mass bottom, Mass top) {}

  /**
   * The times of a set, in seconds; null for those it does not have.
   *
   * @param seconds how long it is held or goes on
   * @param gap between the singles of a round
   * @param limit in which it has to be done
   * @param every from one start to the next
   */
  public record Clock(@Nullable Integer seconds, @Nullable Integer gap, @Nullable Integer limit, @Nullable Integer every) {
    /** The times, or null when there is none. */
    static @Nullable Clock of(@Nullable Integer seconds, @Nullable Integer gap, @Nullable Integer limit, @Nullable Integer every) {
      return seconds == null && gap == null && limit == null && every == null ? null : new Clock(seconds, gap, limit, every);
    }
  }

  /**
   * How far a set is carried.
   *
   * @param turns how often it turns round; null when it is not said
   */
  public record Distance(BigDecimal metres, @Nullable Integer turns) {}

  /**
   * Whether its load and reps say something about the max: not those of singles with gaps between, of help or bands, of
   * time or distance, nor a written warm-up.
   */
  public boolean tellsOfMax() {
    return ends == null && switch (role) {
      case CLUSTER, DENSITY, NEGATIVE, HOLD, CARRY, TIMED, WARM -> false;
      default -> true;
    };
  }

  /** The reps that a cap leaves of an open set; 0 where it goes on until form breaks. */
  double reserveAtCap() {
    return stop != null && stop.startsWith("@") ? Rpe.of(Double.parseDouble(stop.substring(1))).repsInReserve() : 0;
  }

  /** A name for the set within its line: {@code 2.1}. */
  public String place() {
    return part + "." + set;
  }

  ResolvedSet asLogged(LoggedSet done, @Nullable List<Mass> plates, @Nullable Ends endsThen) {
    return new ResolvedSet(part, set, role, exact, done.load(), done.reps(), null, done.rpe(), null, percent, plates,
        restSeconds, tempo, exactFrom, exactTo, stop, true, endsThen, clock, distance, source, rounding);
  }

  /** One more attempt at what is asked here. */
  ResolvedSet asAttempt(int number) {
    return new ResolvedSet(part, number, role, exact, load, reps, repsTo, rpe, rpeTo, percent, perSide, restSeconds, tempo,
        exactFrom, exactTo, stop, false, ends, clock, distance, source, rounding);
  }

  ResolvedSet withLoad(Loading other, boolean onBar) {
    return new ResolvedSet(part, set, role, exact, other.total(), reps, repsTo, rpe, rpeTo, percent, onBar ? other.perSide()
        : null, restSeconds, tempo, exactFrom, exactTo, stop, logged, ends, clock, distance, source, rounding);
  }

  ResolvedSet withRole(Role other) {
    return new ResolvedSet(part, set, other, exact, load, reps, repsTo, rpe, rpeTo, percent, perSide, restSeconds, tempo,
        exactFrom, exactTo, stop, logged, ends, clock, distance, source, rounding);
  }
}

package org.yarbel.core.card;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;

/**
 * The numbers of one lifter and lift that a percentage can be of. Any may be unknown: null.
 *
 * @param tested lifted on its date
 * @param estimated tracked from the log
 * @param training a set share of the estimated one
 * @param goal of a date to come
 * @param origins where they come from
 * @param today today's max, as the tracker has it once sets of the day are logged
 */
public record MaxNumbers(
    @Nullable Mass tested, @Nullable Mass estimated, @Nullable Mass training, @Nullable Mass goal, Origins origins, @Nullable Mass today) {
  /**
   * Where the numbers come from; null for what is not known.
   *
   * @param testedOn the day the tested one was lifted
   * @param estimatedOn the day of the newest log the estimate knows
   * @param goalOn the day of the goal
   * @param ratioOf the lift whose estimate the estimate was taken from by the ratio, by its key; null where it is the lift's own
   */
  public record Origins(@Nullable LocalDate testedOn, @Nullable LocalDate estimatedOn, @Nullable LocalDate goalOn,
      @Nullable String ratioOf) {
    /** Nobody said. */
    public static final Origins UNKNOWN = new Origins(null, null, null, null);

    /** The day of a number; a training max follows the estimate. */
    public @Nullable LocalDate on(Basis basis) {
      return switch (basis) {
        case TESTED -> testedOn;
        case ESTIMATED, TRAINING -> estimatedOn;
        case GOAL -> goalOn;
        case TODAY -> null;
      };
    }
  }

  public MaxNumbers {
    // cards of old do not say
    origins = origins == null ? Origins.UNKNOWN : origins;
  }

  /** Numbers of which nobody says where they come from. */
  public MaxNumbers(@Nullable Mass tested, @Nullable Mass estimated, @Nullable Mass training, @Nullable Mass goal) {
    this(tested, estimated, training, goal, Origins.UNKNOWN, null);
  }

  /** Nothing known. */
  public static final MaxNumbers NONE = new MaxNumbers(null, null, null, null);

  /** The training max when nobody set another: this share of the estimated one. Our own default. */
  public static final double TRAINING_SHARE = 0.9;

  /** Nor less than this one. Our own default. */
  public static final double LEAST_TRAINING_SHARE = 0.5;

  /** A training max is never more than this share of the estimated one. Our own default. */
  public static final double MOST_TRAINING_SHARE = 0.95;

  /** The training max that follows from an estimate by the default share. */
  public static Mass trainingFrom(Mass estimated) {
    return trainingFrom(estimated, TRAINING_SHARE);
  }

  /**
   * The training max by a lifter's own rule.
   *
   * @param share of the estimated max, from 0.5 to 0.95
   */
  public static Mass trainingFrom(Mass estimated, double share) {
    if (!(share >= LEAST_TRAINING_SHARE && share <= MOST_TRAINING_SHARE)) {
      throw new Refused("The training max must be from 50 to 95 % of the estimated max but was "
          + Math.round(100 * share) + " %");
    }
    return estimated.scaled(share);
  }

  /**
   * The same with an estimate that is not the lift's own, and the training max that follows from it where there is none.
   *
   * @param of the lift it was taken from by the ratio, by its key
   */
  public MaxNumbers withEstimate(Mass estimate, String of) {
    return new MaxNumbers(tested, estimate, training == null ? trainingFrom(estimate) : training, goal,
        new Origins(origins.testedOn(), origins.estimatedOn(), origins.goalOn(), of), today);
  }

  /** The same with where they come from. */
  public MaxNumbers from(Origins other) {
    return new MaxNumbers(tested, estimated, training, goal, other, today);
  }

  /** The same with another training max. */
  public MaxNumbers withTraining(Mass other) {
    return new MaxNumbers(tested, estimated, other, goal, origins, today);
  }

  /** The same with today's max. */
  public MaxNumbers withToday(Mass max) {
    return new MaxNumbers(tested, estimated, training, goal, origins, max);
  }

  /** The max as it is best known: estimated, else tested; null when neither is. */
  public @Nullable Mass best() {
    return estimated != null ? estimated : tested;
  }

  /** The number a basis names; null when it is unknown. */
  public @Nullable Mass of(Basis basis) {
    return switch (basis) {
      case TESTED -> tested;
      case ESTIMATED -> estimated;
      case TRAINING -> training;
      case GOAL -> goal;
      case TODAY -> today;
    };
  }
}

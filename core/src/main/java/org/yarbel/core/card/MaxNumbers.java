package org.yarbel.core.card;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;

/**
 * The numbers of one lifter and lift that a percentage can be of. Any may be unknown: null.
 *
 * @param tested lifted on its date
 * @param estimated tracked from the log
 * @param training a set share of the estimated one
 * @param goal of a date to come
 */
public record MaxNumbers(
    @Nullable Mass tested, @Nullable Mass estimated, @Nullable Mass training, @Nullable Mass goal) {
  /** Nothing known. */
  public static final MaxNumbers NONE = new MaxNumbers(null, null, null, null);

  /** The training max when nobody set another: this share of the estimated one. Our own default. */
  public static final double TRAINING_SHARE = 0.9;

  /** The training max that follows from an estimate by the default share. */
  public static Mass trainingFrom(Mass estimated) {
    return estimated.scaled(TRAINING_SHARE);
  }

  /** The number a basis names; null when it is unknown. Today's max is no kept number: null. */
  public @Nullable Mass of(Basis basis) {
    return switch (basis) {
      case TESTED -> tested;
      case ESTIMATED -> estimated;
      case TRAINING -> training;
      case GOAL -> goal;
      case TODAY -> null;
    };
  }
}

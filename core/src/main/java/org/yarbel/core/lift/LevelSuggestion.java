package org.yarbel.core.lift;

import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * What load over body mass suggests about the level in one lift, to stand beside the level the coach claims.
 *
 * <p>Our own defaults, men / women, from this share of the body mass on: squat intermediate 1.25 / 0.9, advanced 2 / 1.5;
 * bench press 0.9 / 0.55 and 1.5 / 1; deadlift 1.5 / 1.1 and 2.4 / 1.9. In the first year of training never advanced.
 * It does not know skill: the coach decides.
 */
public final class LevelSuggestion {
  private LevelSuggestion() {}

  private record Shares(double intermediate, double advanced) {}

  /**
   * The suggested level; empty for lifts without thresholds.
   *
   * @param lift one of the three contest lifts of powerlifting
   * @param since the first day of training; null when it is unknown
   */
  public static Optional<Level> of(Lift lift, Sex sex, Mass max, Mass bodyMass, @Nullable LocalDate since, LocalDate today) {
    if (!lift.powerlift()) {
      return Optional.empty();
    }
    Shares shares = shares(lift.movement(), sex == Sex.MALE);
    double share = max.ratioTo(bodyMass);
    Level below = share >= shares.intermediate() ? Level.INTERMEDIATE : Level.BEGINNER;
    Level level = share >= shares.advanced() ? Level.ADVANCED : below;
    boolean firstYear = since != null && since.plusYears(1).isAfter(today);
    return Optional.of(firstYear && level == Level.ADVANCED ? Level.INTERMEDIATE : level);
  }

  private static Shares shares(Movement movement, boolean man) {
    return switch (movement) {
      case SQUAT -> man ? new Shares(1.25, 2) : new Shares(0.9, 1.5);
      case BENCH -> man ? new Shares(0.9, 1.5) : new Shares(0.55, 1);
      case DEADLIFT -> man ? new Shares(1.5, 2.4) : new Shares(1.1, 1.9);
      case PRESS, OTHER -> throw new Refused("There are no thresholds for " + movement);
    };
  }
}

package org.yarbel.core.lift;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;

/**
 * A lift of the catalogue such as 'Front squat', named in the notation by its key {@code front-squat}.
 *
 * @param key one word: a small letter, then small letters, digits and dashes
 * @param name what the screens show
 * @param parent the key of the lift it varies; null for the head of a family
 * @param movement the family; it decides where the warm-up starts
 * @param pattern what the body does
 * @param equipment what it is done with
 * @param contest whether it is lifted in contests
 * @param close whether it is so near its parent that its sets count as the parent's own practice
 * @param ratio what of the parent's max is lifted in it until the log has taught better; null without a parent to
 *     compare with
 * @param muscles what it trains
 * @param variation how it differs from its parent
 */
public record Lift(
    String key,
    String name,
    @Nullable String parent,
    Movement movement,
    Pattern pattern,
    Equipment equipment,
    Contest contest,
    boolean close,
    @Nullable Ratio ratio,
    Set<Muscle> muscles,
    Variation variation) {
  /** The sport a lift is contested in. */
  public enum Contest {
    NO,
    POWERLIFTING,
    STRONGMAN
  }

  /**
   * A share of the parent's max, with its standard deviation between lifters.
   *
   * @param percent 20 to 200
   * @param sd in points of percent, 1 to 20
   */
  public record Ratio(double percent, double sd) {
    public Ratio {
      if (!(percent >= 20 && percent <= 200)) {
        throw new Refused("The ratio to the parent must be from 20 to 200 % but was " + percent);
      }
      if (!(sd >= 1 && sd <= 20)) {
        throw new Refused("The spread of a ratio must be from 1 to 20 % but was " + sd);
      }
    }
  }

  public Lift {
    if (!key.matches("[a-z][a-z0-9-]{0,39}")) {
      throw new Refused(
          "The key of a lift must be one word of small letters, digits and dashes, at most 40, but was '" + key + "'");
    }
    if (name.isBlank() || name.length() > 60) {
      throw new Refused("The name of a lift must have 1 to 60 characters but was '" + name + "'");
    }
    if (ratio != null && parent == null) {
      throw new Refused("The lift " + name + " has a ratio but no parent");
    }
    muscles = muscles.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(muscles));
  }

  /** Whether it is one of the three lifts of a powerlifting contest. */
  public boolean powerlift() {
    return contest == Contest.POWERLIFTING;
  }

  /** Whether it is done with a bar of the place. */
  public boolean onBar() {
    return equipment == Equipment.BAR;
  }
}

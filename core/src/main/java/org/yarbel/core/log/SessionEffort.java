package org.yarbel.core.log;

import org.yarbel.core.mass.Refused;

/**
 * How hard a whole session was, 0 to 10, told some time after it: a scale of its own that has nothing to do with the reps left in a
 * set. Words after Foster et al. 2001, J Strength Cond Res 15(1), from memory; numbers without a word lie between.
 *
 * @param rating 0 for rest, 10 for the hardest ever
 */
public record SessionEffort(int rating) {
  /** The hardest. */
  public static final int MOST = 10;
  /** The longest session that is believed, in minutes. */
  public static final int LONGEST = 600;

  public SessionEffort {
    if (rating < 0 || rating > MOST) {
      throw new Refused("The effort of a session must be from 0 to " + MOST + " but was " + rating);
    }
  }

  /** The word for it: {@code hard}; empty for a number between. */
  public String word() {
    return switch (rating) {
      case 0 -> "rest";
      case 1 -> "very easy";
      case 2 -> "easy";
      case 3 -> "moderate";
      case 4 -> "somewhat hard";
      case 5 -> "hard";
      case 7 -> "very hard";
      case 10 -> "as hard as ever";
      default -> "";
    };
  }

  /** The rating with its word: {@code 7 of 10, very hard}. */
  public String words() {
    return rating + " of " + MOST + (word().isEmpty() ? "" : ", " + word());
  }

  /** The load of a session: rating × minutes (Foster 1998, Med Sci Sports Exerc 30(7); from memory). */
  public int load(int minutes) {
    return rating * minutes;
  }
}

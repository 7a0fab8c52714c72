package org.yarbel.core.log;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Refused;

/**
 * That something hurts, such as 'left knee 4 of 10, worse with deep squats'. It says how much, never what it is: that is for a
 * clinician.
 *
 * @param side null where the place has none, or nobody said
 * @param score 0 to 10, 0 gone, 10 the worst there is
 * @param worse what makes it worse, at most 80 characters; empty where nobody said
 */
public record Pain(BodyPlace place, @Nullable Side side, int score, String worse) {
  /** The most there is. */
  public static final int MOST = 10;
  /** From here a set that loads the place is a poor witness of strength; our own choice. */
  public static final int COUNTS_FROM = 4;
  /** How long it may be told. */
  public static final int LONGEST = 80;

  /** Which of two. */
  public enum Side {
    LEFT("left"),
    RIGHT("right"),
    BOTH("both");

    private final String word;

    Side(String word) {
      this.word = word;
    }

    /** The word a person reads: {@code left}. */
    public String word() {
      return word;
    }
  }

  public Pain {
    if (score < 0 || score > MOST) {
      throw new Refused("Pain must be from 0 to " + MOST + " but was " + score);
    }
    if (worse.length() > LONGEST) {
      throw new Refused("What makes it worse may have at most " + LONGEST + " characters but has " + worse.length());
    }
  }

  /** Where: {@code left knee}. */
  public String where() {
    return side == null || !place.paired() ? place.word() : side.word() + " " + place.word() + (side == Side.BOTH ? "s" : "");
  }

  /** In words: {@code left knee 4 of 10, worse with deep squats}. */
  public String words() {
    return where() + " " + score + " of " + MOST + (worse.isEmpty() ? "" : ", worse with " + worse);
  }

  /** Whether it makes a set of this lift a poor witness. */
  public boolean spoils(Lift lift) {
    return score >= COUNTS_FROM && place.loadedBy(lift);
  }
}

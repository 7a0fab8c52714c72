package org.yarbel.core.plan;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Reading;

/**
 * Lines that are done by turns, such as 'a superset, 3 rounds, 30 s between, 2 min between rounds'. Common practice, no
 * source.
 *
 * @param rounds how often round, 1 to 20, each line with its sets in every round; null: as often as the longest line has
 *     sets, one set of each a round
 * @param restBetween seconds between the lines of a round, 0 to 3600; null for none said
 * @param restRounds seconds between rounds, 0 to 3600; null for none said
 * @param limit seconds of the one clock it runs under, 1 to 3600; null for none
 */
public record Group(Kind kind, @Nullable Integer rounds, @Nullable Integer restBetween, @Nullable Integer restRounds,
    @Nullable Integer limit) {
  public static final int MOST_ROUNDS = 20;
  public static final int MOST_SECONDS = 3600;

  /** What lines done by turns are called. */
  public enum Kind {
    /** Two lines by turns. */
    SUPERSET("superset"),
    /** Three lines or more for the same muscles, no rest between. */
    GIANT_SET("giant set"),
    /** Line after line, round and round. */
    CIRCUIT("circuit"),
    /** Events in order under one clock. */
    MEDLEY("medley");

    private final String word;

    Kind(String word) {
      this.word = word;
    }

    /** The words a person reads: {@code giant set}. */
    public String word() {
      return word;
    }
  }

  public Group {
    check("rounds", rounds, 1, MOST_ROUNDS);
    check("rest between exercises", restBetween, 0, MOST_SECONDS);
    check("rest between rounds", restRounds, 0, MOST_SECONDS);
    check("clock", limit, 1, MOST_SECONDS);
  }

  private static void check(String what, @Nullable Integer value, int least, int most) {
    if (value != null && (value < least || value > most)) {
      throw new Refused("The " + what + " must be from " + least + " to " + most + " but was " + value);
    }
  }

  /** A group as it is when it is made: two lines are a superset, more a giant set, without rests said. */
  public static Group ofLines(int lines) {
    return new Group(lines > 2 ? Kind.GIANT_SET : Kind.SUPERSET, null, null, null, null);
  }

  /** In words: {@code superset, 3 rounds, 30 s between, 2 min between rounds}. */
  public String words() {
    StringBuilder words = new StringBuilder(kind.word());
    if (rounds != null && rounds > 1) {
      words.append(", ").append(rounds).append(" rounds");
    }
    if (restBetween != null) {
      words.append(restBetween == 0 ? ", no rest between" : ", " + Reading.time(restBetween) + " between");
    }
    if (restRounds != null) {
      words.append(", ").append(Reading.time(restRounds)).append(" between rounds");
    }
    if (limit != null) {
      words.append(", ").append(Reading.time(limit)).append(" on one clock");
    }
    return words.toString();
  }
}

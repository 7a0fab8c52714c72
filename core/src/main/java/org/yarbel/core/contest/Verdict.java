package org.yarbel.core.contest;

import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.track.Left;

/**
 * What came of an attempt.
 *
 * @param whites white lights of three; null where nobody noted them
 * @param reason why it was not good; null where nobody said
 * @param look how it looked to who watched; null where nobody said
 */
public record Verdict(boolean good, @Nullable Integer whites, @Nullable Reason reason, @Nullable Look look) {
  private static final int LIGHTS = 3;
  private static final int MAJORITY = 2;

  /** Why an attempt was turned down. The usual kinds, common practice. */
  public enum Reason {
    STRENGTH("not strong enough"),
    DEPTH("depth"),
    COMMAND("command"),
    PAUSE("pause on the chest"),
    HITCH("hitched"),
    SOFT("not locked out"),
    DOWNWARD("moved down again"),
    FEET("feet moved"),
    SEAT("came off the bench"),
    GRIP("grip"),
    OTHER("something else");

    private final String word;

    Reason(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }

    /** Whether it says that the load was too heavy. What a referee turns down for form may have been light enough. */
    public boolean ofStrength() {
      return this == STRENGTH || this == HITCH || this == SOFT || this == DOWNWARD || this == GRIP;
    }
  }

  /**
   * How an attempt looked: easy with two reps or more left, right with about one, at the limit with none. As nobody sees better than to
   * half a rep, right is from 0.75 to 1.75 and the limit under that; with these the odds of the next attempt hold in simulation. Our own
   * default.
   */
  public enum Look {
    EASY("easy", Left.atLeast(2)),
    RIGHT("right", new Left(0.75, 1.75)),
    LIMIT("at the limit", Left.atMost(0.75));

    private final String word;
    private final Left left;

    Look(String word, Left left) {
      this.word = word;
      this.left = left;
    }

    public String word() {
      return word;
    }

    /** The reps that were left. */
    public Left left() {
      return left;
    }
  }

  public Verdict {
    if (whites != null && (whites < 0 || whites > LIGHTS || good != whites >= MAJORITY)) {
      throw new Refused("An attempt is good with two or three white lights of three, and only then");
    }
  }

  public static Verdict good(@Nullable Look look) {
    return new Verdict(true, null, null, look);
  }

  public static Verdict not(@Nullable Reason reason) {
    return new Verdict(false, null, reason, null);
  }

  /** Whether it was a miss that says the load was too heavy; where nobody said why, it is taken for one. */
  public boolean tooHeavy() {
    return !good && (reason == null || reason.ofStrength());
  }

  /** The white lights, where they were noted. */
  public OptionalInt lights() {
    return whites == null ? OptionalInt.empty() : OptionalInt.of(whites);
  }
}

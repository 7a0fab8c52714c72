package org.yarbel.core.contest;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * When each warm-up of an opener is due, counted back from the platform.
 *
 * <p>About a minute for each attempt ahead; the last warm-up 5 to 8 minutes before the platform, here six and a half; before it three and
 * a half minutes between heavy ones and two between light ones. All common practice, no source. Heavy is what starts from 70 % of the
 * opener up, where jumps begin to shrink; our own default.
 */
public final class WarmUpClock {
  /** The last warm-up lies no earlier before the platform than this. */
  public static final Duration EARLIEST = Duration.ofMinutes(8);
  /** Nor later. */
  public static final Duration LATEST = Duration.ofMinutes(5);

  private static final Duration LAST = Duration.ofSeconds(390);
  private static final Duration HEAVY_REST = Duration.ofSeconds(210);
  private static final Duration LIGHT_REST = Duration.ofMinutes(2);
  private static final double HEAVY = 0.7;
  /** No flight has more attempts before somebody's. */
  public static final int MOST_AHEAD = 100;
  /** Later or earlier no flight is. */
  public static final Duration LONGEST_DELAY = Duration.ofHours(6);

  private WarmUpClock() {}

  /** What it counts by, in a sentence. */
  public static String words() {
    return "Counted back from the platform: an attempt ahead as long as the rules say, the last warm-up " + EARLIEST.toMinutes() + " to "
        + LATEST.toMinutes() + " minutes before, " + minutes(HEAVY_REST) + " between heavy ones, " + minutes(LIGHT_REST)
        + " between light ones. Common practice: what the hall calls wins.";
  }

  private static String minutes(Duration rest) {
    long half = rest.toSeconds() % 60 / 30;
    return rest.toMinutes() + (half > 0 ? "½" : "") + " minutes";
  }

  /**
   * When somebody is on the platform.
   *
   * @param start when the flight starts by the timetable
   * @param ahead attempts before the opener
   * @param late how much later all of it is; below nothing for early
   */
  public record Call(Instant start, int ahead, Duration late) {
    public Call {
      if (ahead < 0 || ahead > MOST_AHEAD) {
        throw new Refused("From 0 to " + MOST_AHEAD + " attempts may be ahead but there were " + ahead);
      }
      if (late.abs().compareTo(LONGEST_DELAY) > 0) {
        throw new Refused("A flight may be late or early by " + LONGEST_DELAY.toHours() + " hours at most");
      }
    }

    /** When the opener is lifted. */
    public Instant platform(RuleSet rules) {
      return start.plus(late).plus(rules.platform().anAttempt().multipliedBy(ahead));
    }

    /** The same with so many attempts more ahead, never under none. */
    public Call further(int more) {
      return new Call(start, Math.min(Math.max(ahead + more, 0), MOST_AHEAD), late);
    }
  }

  /** A warm-up, and when it is lifted. */
  public record Due(Mass load, Instant at) {}

  /** When each step of a ramp is due, lighter to heavier. */
  public static List<Due> of(List<Mass> ramp, Mass opener, Instant platform) {
    Deque<Due> due = new ArrayDeque<>();
    Instant at = platform.minus(LAST);
    for (int step = ramp.size() - 1; step >= 0; step--) {
      due.addFirst(new Due(ramp.get(step), at));
      at = at.minus(step > 0 && ramp.get(step - 1).ratioTo(opener) >= HEAVY ? HEAVY_REST : LIGHT_REST);
    }
    return List.copyOf(due);
  }
}

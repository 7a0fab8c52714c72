package org.yarbel.core.plan.cycle;

import java.time.DayOfWeek;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.progress.Method;

/**
 * What a block of weeks is for. Lengths and methods are our own defaults, from common practice; the shares of the volume,
 * strength and peak blocks are those of the handbook's blocks.
 */
public enum Purpose {
  PRACTICE("practice", "Learning the lifts on loads that grow by the session.", 3, 12, Method.NOVICE_LINEAR, Map.of()),
  VOLUME("volume", "Many hard sets at 65–75 %, variety beside.", 2, 6, Method.RISING,
      Map.of("sets", "4", "reps", "8", "from", "65", "to", "75")),
  STRENGTH("strength", "Fewer reps at 75–85 %.", 2, 6, Method.RISING, Map.of("sets", "5", "reps", "4", "from", "75", "to", "85")),
  PEAK("peak", "A single over 90 % every week, rehearsed under the contest's rules.", 1, 4, Method.PEAK, Map.of()),
  TAPER("taper", "The sets fall, the loads stay; it ends on the platform.", 1, 3, Method.TAPER, Map.of()),
  TEST("test", "A mock contest: as many attempts as it takes.", 1, 1, Method.MOCK, Map.of()),
  HOLD("hold", "Three weeks of strength, repeated until there is a date.", 3, 3, Method.RISING,
      Map.of("sets", "4", "reps", "4", "from", "77.5", "to", "82.5")),
  OFF("off", "Nothing planned.", 1, 4, Method.RISING, Map.of());

  private final String word;
  private final String meaning;
  private final int least;
  private final int most;
  private final Method method;
  private final Map<String, String> settings;

  Purpose(String word, String meaning, int least, int most, Method method, Map<String, String> settings) {
    this.word = word;
    this.meaning = meaning;
    this.least = least;
    this.most = most;
    this.method = method;
    this.settings = settings;
  }

  /** The word of the screens: {@code volume}. */
  public String word() {
    return word;
  }

  /** What is done in it, in a sentence. */
  public String meaning() {
    return meaning;
  }

  /** Shorter it does not do what it is for. */
  public int least() {
    return least;
  }

  /** Longer it stops paying. */
  public int most() {
    return most;
  }

  /** Whether it belongs to the days right before a contest. */
  public boolean peaking() {
    return this == PEAK || this == TAPER;
  }

  Method method() {
    return method;
  }

  Map<String, String> settings() {
    return settings;
  }

  /** How a lift is usually trained in such a block; events of strongman go by their own weeks. */
  Use usual(Lift lift, Set<DayOfWeek> days) {
    boolean variety = this == VOLUME;
    Map<String, String> set = new HashMap<>(settings);
    beside(lift).stream().limit(variety ? 1 : 0).forEach(key -> set.put("beside", key));
    return new Use(lift.key(), method, set, days);
  }

  private static List<String> beside(Lift lift) {
    return switch (lift.movement()) {
      case SQUAT -> List.of("front-squat");
      case DEADLIFT -> List.of("stiff-legged-deadlift");
      case BENCH -> List.of("close-grip-bench");
      default -> List.of();
    };
  }
}

package org.yarbel.core.lift;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A lift of the catalogue such as 'Front squat', named in the notation by its key {@code front-squat}.
 *
 * @param key one word: a letter, then letters, digits and dashes, in small letters
 * @param name what the screens show
 * @param movement the family
 * @param contest whether it is one of the three contest lifts of powerlifting
 * @param onBar whether it is loaded with plates on a bar; if not, the lifter picks a machine, dumbbell or body load
 */
public record Lift(String key, String name, Movement movement, boolean contest, boolean onBar) {
  private static final Map<String, Lift> CATALOGUE = new LinkedHashMap<>();

  static {
    contest("squat", "Squat", Movement.SQUAT);
    contest("bench", "Bench press", Movement.BENCH);
    contest("deadlift", "Deadlift", Movement.DEADLIFT);
    variation("front-squat", "Front squat", Movement.SQUAT);
    variation("high-bar-squat", "High-bar squat", Movement.SQUAT);
    variation("paused-squat", "Paused squat", Movement.SQUAT);
    variation("box-squat", "Box squat", Movement.SQUAT);
    variation("close-grip-bench", "Close-grip bench press", Movement.BENCH);
    variation("paused-bench", "Paused bench press", Movement.BENCH);
    variation("incline-bench", "Incline bench press", Movement.BENCH);
    variation("floor-press", "Floor press", Movement.BENCH);
    variation("overhead-press", "Overhead press", Movement.PRESS);
    variation("deficit-deadlift", "Deficit deadlift", Movement.DEADLIFT);
    variation("stiff-legged-deadlift", "Stiff-legged deadlift", Movement.DEADLIFT);
    variation("block-pull", "Block pull", Movement.DEADLIFT);
    variation("row", "Barbell row", Movement.OTHER);
    variation("good-morning", "Good morning", Movement.OTHER);
    assistance("back-extension", "Back extension");
    assistance("chin-up", "Chin-up");
    assistance("dip", "Dip");
    assistance("lunge", "Lunge");
    assistance("leg-curl", "Leg curl");
    assistance("plank", "Plank");
  }

  /** Every lift, contest lifts first. */
  public static List<Lift> catalogue() {
    return List.copyOf(CATALOGUE.values());
  }

  /** The three contest lifts: squat, bench press, deadlift. */
  public static List<Lift> contestLifts() {
    return CATALOGUE.values().stream().filter(Lift::contest).toList();
  }

  /** The lift with this key, in any letter case. */
  public static Optional<Lift> ofKey(String key) {
    return Optional.ofNullable(CATALOGUE.get(key.toLowerCase(Locale.ROOT)));
  }

  private static void contest(String key, String name, Movement movement) {
    CATALOGUE.put(key, new Lift(key, name, movement, true, true));
  }

  private static void variation(String key, String name, Movement movement) {
    CATALOGUE.put(key, new Lift(key, name, movement, false, true));
  }

  private static void assistance(String key, String name) {
    CATALOGUE.put(key, new Lift(key, name, Movement.OTHER, false, false));
  }
}

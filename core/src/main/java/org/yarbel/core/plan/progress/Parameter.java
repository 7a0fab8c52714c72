package org.yarbel.core.plan.progress;

/**
 * One thing a coach can set of a rule, such as 'start, % of the max', 60, from 30 to 90.
 *
 * @param key what it is stored under
 * @param words what the screens say
 * @param fallback the text when nothing is set; empty where the rule works it out
 * @param least of numbers; of lists, of each entry
 * @param most of numbers; of lists, of each entry
 */
public record Parameter(String key, String words, Kind kind, String fallback, double least, double most) {
  /** What can be typed. */
  public enum Kind {
    /** A whole number. */
    COUNT,
    /** A number with at most two decimals. */
    NUMBER,
    /** A load in the lifter's unit; empty for what the rule works out. */
    MASS,
    /** Numbers with commas between. */
    NUMBERS,
    /** Keys of lifts with commas between. */
    LIFTS,
    /** Which number percentages are of, as the notation writes it; empty for the lift's own basis. */
    BASIS
  }

  static Parameter count(String key, String words, int fallback, int least, int most) {
    return new Parameter(key, words, Kind.COUNT, Integer.toString(fallback), least, most);
  }

  static Parameter number(String key, String words, String fallback, double least, double most) {
    return new Parameter(key, words, Kind.NUMBER, fallback, least, most);
  }

  static Parameter mass(String key, String words) {
    return new Parameter(key, words, Kind.MASS, "", 0, 1000);
  }

  static Parameter numbers(String key, String words, String fallback, double least, double most) {
    return new Parameter(key, words, Kind.NUMBERS, fallback, least, most);
  }

  static Parameter lifts(String key, String words) {
    return new Parameter(key, words, Kind.LIFTS, "", 0, 0);
  }

  /** Which number its percentages are of. */
  static Parameter basis() {
    return new Parameter("basis", "percentages of", Kind.BASIS, "", 0, 0);
  }

  /** The smallest jump: the unit's usual one when empty. */
  static Parameter step() {
    return mass("step", "step");
  }
}

package org.yarbel.core.card;

import org.yarbel.core.lift.Lift;

/**
 * Something to know before the set is lifted: data first, text second.
 *
 * @param code a stable name, such as {@code under-bar}
 * @param text the sentence a person reads
 */
public record Caution(String code, String text) {
  static Caution underBar(String exact, String lightest) {
    return new Caution("under-bar", "The plan asks " + exact + ", less than the bar: " + lightest + " is the lightest that loads.");
  }

  static Caution beyondStock(String exact, String heaviest) {
    return new Caution("beyond-stock", "The plan asks " + exact + ", more than the plates here make: " + heaviest + " is the heaviest.");
  }

  static Caution noRepMade() {
    return new Caution("no-rep-made",
        "No rep of the top set was made, so the back-offs stand as planned. Take a lighter top set, or cut them by 10 %.");
  }

  static Caution overMax(String percent, String basis) {
    return new Caution("over-max", percent + " % of the " + basis + " max is more than the lifter has shown: spotters, and safeties set.");
  }

  static Caution poorRamp(String text) {
    return new Caution("poor-ramp", text);
  }

  /** The number comes from the parent's by a ratio: the first exposure is planned at RPE 7. */
  public static Caution byRatio(String parent, Lift.Ratio ratio) {
    return new Caution("by-ratio", "No number of its own yet: worked out as " + Math.round(ratio.percent()) + " % (± "
        + Math.round(ratio.sd()) + ") of the " + parent.toLowerCase(java.util.Locale.ROOT) + ". Plan the first exposure @7.");
  }
}

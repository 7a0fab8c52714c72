package org.yarbel.core.card;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;

/**
 * Something to know before the set is lifted: data first, text second. The program advises; coach and licensed
 * practitioners decide, and a federation's or a hall's own rules win.
 *
 * @param code the code of its {@link Kind}: a stable name, such as {@code under-bar}
 * @param text the sentence a person reads
 * @param reason why it is said; null on cards of old
 * @param parts of the line it is about, from 1; none where it is about the line as a whole
 */
public record Caution(String code, String text, @Nullable String reason, List<Integer> parts) {
  public Caution {
    // cards of old do not tell
    parts = parts == null ? List.of() : List.copyOf(parts);
  }

  /** One about the line as a whole. */
  public Caution(String code, String text, @Nullable String reason) {
    this(code, text, reason, List.of());
  }

  /** The same about one more part. */
  Caution of(int part) {
    return new Caution(code, text, reason, Stream.concat(parts.stream(), Stream.of(part)).distinct().toList());
  }

  private static final String PRACTICE = "Common practice, no source.";

  /** The cautions there are, each with its reason and whether somebody may be hurt. */
  public enum Kind {
    UNDER_BAR("under-bar", false, "What cannot be put on the bar is no plan."),
    BEYOND_STOCK("beyond-stock", false, "What cannot be put on the bar is no plan."),
    NO_SUCH_MASS("no-such-mass", false, "Implements are lifted as they are."),
    NO_REP_MADE("no-rep-made", false, "Back-offs follow what was made, not what was tried. " + PRACTICE),
    POOR_RAMP("poor-ramp", false, "A warm-up wants small last jumps. " + PRACTICE),
    BY_RATIO("by-ratio", false, "Our own default ratios; the log corrects them."),
    OVER_MAX("over-max", true, "Nobody knows yet that it goes. " + PRACTICE),
    SPOTTERS("spotters", true, "A max may be missed at any height. " + PRACTICE),
    OPEN_SET("open-set", true, "The last rep of an open set is the one that fails. " + PRACTICE),
    LOWER_BACK("lower-back", true, "A lower back that rounds under load is how backs are hurt. " + PRACTICE),
    NEGATIVE("negative", true, "Over the max only spotters bring it up again. " + PRACTICE),
    SPOTTERS_CARRY("spotters-carry", true, "Load less the max is the least they carry."),
    LEVEL("level", true, "Methods that load beyond what is learned. " + PRACTICE),
    BAND_PAIR("band-pair", true, "Unequal bands pull the bar askew. " + PRACTICE),
    BANDS_DIFFER("bands-differ", true, "A pair on one bar must match, or the bar tilts. " + PRACTICE),
    BAR_FLOATS("bar-floats", true, "A bar lighter than what the bands hold hangs in the air."),
    LANDING("landing", true, "Stones, yokes, kegs and tyres come down where they like. " + PRACTICE);

    private final String code;
    private final boolean hurts;
    private final String reason;

    Kind(String code, boolean hurts, String reason) {
      this.code = code;
      this.hurts = hurts;
      this.reason = reason;
    }

    /** The name it is known by in settings and answers: {@code spotters}. */
    public String code() {
      return code;
    }

    /** The kind of a code. */
    public static Optional<Kind> ofCode(String code) {
      return Arrays.stream(values()).filter(kind -> kind.code.equals(code)).findFirst();
    }

    /** Whether it is about somebody getting hurt, and not about what loads. */
    public boolean hurts() {
      return hurts;
    }

    Caution saying(String text) {
      return new Caution(code, text, reason);
    }
  }

  static Caution underBar(String exact, String lightest) {
    return Kind.UNDER_BAR.saying("The plan asks " + exact + ", less than goes here: " + lightest + " is the lightest.");
  }

  static Caution beyondStock(String exact, String heaviest) {
    return Kind.BEYOND_STOCK.saying("The plan asks " + exact + ", more than goes here: " + heaviest + " is the heaviest.");
  }

  static Caution noSuchMass(String written, String nearest) {
    return Kind.NO_SUCH_MASS.saying("Nothing here has " + written + ": " + nearest + " is the nearest.");
  }

  static Caution noRepMade() {
    return Kind.NO_REP_MADE.saying(
        "No rep of the top set was made, so the back-offs stand as planned. Take a lighter top set, or cut them by 10 %.");
  }

  static Caution overMax(String percent, String basis, boolean over, boolean partial) {
    return Kind.OVER_MAX.saying(percent + " % of the " + basis + " max is " + (over ? "more than" : "all that")
        + " the lifter has shown: spotters, and " + (partial ? "pins or blocks at the height before the bar is loaded." : "safeties set."));
  }

  static Caution poorRamp(String text) {
    return Kind.POOR_RAMP.saying(text);
  }

  static Caution spotters() {
    return Kind.SPOTTERS.saying("A max: spotters, and safeties set.");
  }

  static Caution openSet() {
    return Kind.OPEN_SET.saying("An open set near failure: spotters or safeties, and it ends when form goes.");
  }

  static Caution lowerBack() {
    return Kind.LOWER_BACK.saying("When the lower back rounds under the load: stop, and go lighter.");
  }

  /** Lowered with help. */
  public static Caution negative() {
    return Kind.NEGATIVE.saying("Spotters on both sides for every rep, a pin below, the last work of the day; 3 s each way and "
        + "full range.");
  }

  static Caution spottersCarry(String load, String over) {
    return Kind.SPOTTERS_CARRY.saying("At " + load + " the spotters carry " + over + " at the least.");
  }

  static Caution level(String method, Level level) {
    return Kind.LEVEL.saying(level == Level.BEGINNER ? method + " not for beginners: choose plain sets."
        : method + " with care at this level.");
  }

  static Caution bandPair() {
    return Kind.BAND_PAIR.saying("Both bands of one make and age, in line with the bar's path.");
  }

  /** Bands of the place that make no pair. */
  public static Caution bandsDiffer(String why) {
    return Kind.BANDS_DIFFER.saying("Not as a pair here: " + why + ".");
  }

  static Caution barFloats(String bar, String held) {
    return Kind.BAR_FLOATS.saying("The bands hold " + held + " at the bottom and the bar has " + bar + ": it floats. Start above it.");
  }

  /** What comes down where it likes: stones, yokes, kegs, tyres. */
  public static Caution landing() {
    return Kind.LANDING.saying("Clear landing, nobody's hands or feet under it.");
  }

  /** The number comes from the parent's by a ratio: the first exposure is planned at RPE 7. */
  public static Caution byRatio(String parent, Lift.Ratio ratio) {
    return Kind.BY_RATIO.saying("No number of its own yet: worked out as " + Math.round(ratio.percent()) + " % (± "
        + Math.round(ratio.sd()) + ") of the " + parent.toLowerCase(Locale.ROOT) + ". Plan the first exposure @7.");
  }

  /** Whether it is about somebody getting hurt. */
  public boolean hurts() {
    return Kind.ofCode(code).filter(Kind::hurts).isPresent();
  }
}

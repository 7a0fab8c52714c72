package org.yarbel.core.track;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;

/**
 * What a log taught, in words for a coach, each with its ±; null where the log says no more than is thought of every lifter of the
 * level. What is called even, right or off is our own default.
 *
 * @param days how even they are, such as {@code uneven, ± 2.6 % (± 0.3)}
 * @param ratings how they are off, such as {@code too easy by 0.8 ± 0.3}
 * @param gain such as {@code 0.4 ± 0.2 % a week}
 * @param reps how they fall beside the curve, such as {@code fewer than the curve says: 12 ± 5 % faster}
 */
public record LearnedWords(@Nullable String days, @Nullable String ratings, @Nullable String gain, @Nullable String reps) {
  /** The spread must have shrunk to this share of what it is for everybody. */
  private static final double NEWS = 0.85;
  private static final double EVEN = 0.015;
  private static final double UNEVEN = 0.022;
  /** From here on ratings are off by so much that percentages serve better. */
  private static final double POINT = 1;
  private static final double LEAST_SHOWN = 0.001;
  private static final int DAYS_A_WEEK = 7;

  /** What is known of a lifter of a level. */
  public static LearnedWords of(Learned learned, Level level) {
    return new LearnedWords(
        learned.formSd().sd() < NEWS * halfWay(Constants.FORM_SDS) ? days(learned.formSd()) : null,
        learned.ratingBias().sd() < NEWS * Constants.BIAS_SD ? ratings(learned.ratingBias()) : null,
        learned.gain().sd() < NEWS * Constants.gainSd(level) ? gain(learned.gain()) : null,
        learned.stretch().sd() < NEWS * Constants.STRETCH_SD * learned.stretch().value() ? reps(learned.stretch()) : null);
  }

  /** Whether nothing is known. */
  public boolean nothing() {
    return days == null && ratings == null && gain == null && reps == null;
  }

  /** The spread of a value that is one of two as likely as the other. */
  private static double halfWay(double[] two) {
    return (two[1] - two[0]) / 2;
  }

  private static String days(Learned.Value form) {
    String how = "neither even nor uneven";
    if (form.value() <= EVEN) {
      how = "even";
    } else if (form.value() >= UNEVEN) {
      how = "uneven";
    }
    return how + ", ± " + percent(form.value(), 1) + " % (± " + percent(Math.max(form.sd(), LEAST_SHOWN), 1) + ")";
  }

  private static String ratings(Learned.Value bias) {
    String spread = "± " + number(bias.sd(), 1);
    if (Math.abs(bias.value()) <= bias.sd()) {
      return "about right, " + spread;
    }
    // so far off that it is hardly chance
    boolean advised = Math.abs(bias.value()) - bias.sd() > POINT;
    return "too " + (bias.value() > 0 ? "easy" : "hard") + " by " + number(Math.abs(bias.value()), 1) + " " + spread
        + (advised ? ": plan by percentages with a cap for now" : "");
  }

  private static String gain(Learned.Value gain) {
    double week = DAYS_A_WEEK * gain.value();
    return (week < 0 ? "−" : "") + percent(Math.abs(week), 2) + " ± " + percent(DAYS_A_WEEK * gain.sd(), 2) + " % a week";
  }

  private static String reps(Learned.Value stretch) {
    double off = stretch.value() - 1;
    String spread = " ± " + percent(stretch.sd(), 0) + " %";
    if (Math.abs(off) <= stretch.sd()) {
      return "as the curve says," + spread;
    }
    return (off > 0 ? "fewer" : "more") + " than the curve says: they fall " + percent(Math.abs(off), 0) + spread + " "
        + (off > 0 ? "faster" : "slower");
  }

  private static String percent(double share, int places) {
    return number(100 * share, places);
  }

  private static String number(double value, int places) {
    return String.format(Locale.ROOT, "%." + places + "f", value);
  }
}

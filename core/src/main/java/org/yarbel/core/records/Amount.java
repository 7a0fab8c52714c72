package org.yarbel.core.records;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Numbers and loads as people write them. */
final class Amount {
  private static final Pattern NUMBER = Pattern.compile("[+]?(\\d{1,3}(?:[ '  ]\\d{3})*|\\d{1,7})(?:([.,])(\\d{1,4}))?");
  private static final Pattern THOUSANDS = Pattern.compile("[+]?\\d{1,3}(?:([.,])\\d{3})+(?:[.,]\\d{1,4})?");
  private static final Pattern UNIT = Pattern.compile("(?i)\\s*(kgs?|kilos?|kilograms?|lbs?|pounds?|#)\\.?$");
  private static final Pattern BODY = Pattern.compile("(?i)bw|body ?weight|body|körpergewicht|kg körper|-|–");

  private Amount() {}

  /** A number; empty for what is none. */
  static Optional<BigDecimal> read(String text, boolean commas) {
    String plain = text.strip();
    Matcher thousands = THOUSANDS.matcher(plain);
    if (thousands.matches() && thousands.group(1).equals(commas ? "." : ",")) {
      plain = plain.replace(commas ? "." : ",", "");
    }
    Matcher found = NUMBER.matcher(plain);
    if (!found.matches()) {
      return Optional.empty();
    }
    String whole = found.group(1).replaceAll("\\D", "");
    return Optional.of(new BigDecimal(found.group(3) == null ? whole : whole + "." + found.group(3)));
  }

  /** A whole number; empty for what is none. */
  static Optional<Integer> whole(String text, boolean commas) {
    return read(text, commas).map(BigDecimal::stripTrailingZeros).filter(number -> number.scale() <= 0 && number.precision() <= 6)
        .map(BigDecimal::intValueExact);
  }

  /** A load with its unit or that of the table; empty for what is none. On the body alone it is nothing. */
  static Optional<Mass> load(String text, Layout layout) {
    Matcher found = UNIT.matcher(text.strip());
    MassUnit unit = layout.unit();
    String number = text.strip();
    if (found.find()) {
      unit = unit(found.group(1));
      number = number.substring(0, found.start());
    }
    if (BODY.matcher(number.strip()).matches()) {
      return Optional.of(Mass.ofNanograms(0, unit));
    }
    MassUnit told = unit;
    return read(number, layout.commas()).map(amount -> Mass.of(amount, told));
  }

  /** The unit a word says. */
  static MassUnit unit(String word) {
    return word.toLowerCase(java.util.Locale.ROOT).startsWith("k") ? MassUnit.KG : MassUnit.LB;
  }

  /** Whether a text says its unit. */
  static boolean saysUnit(String text) {
    return UNIT.matcher(text.strip()).find();
  }
}

package org.yarbel.core.watch;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.WorkLine;

/** Figures and texts as the findings write them. */
final class Words {
  private Words() {}

  /** To a tenth, without trailing zeros: {@code 72.5}. */
  static String number(double value) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0, RoundingMode.UNNECESSARY).toPlainString() : rounded.toPlainString();
  }

  /** A family by its key: {@code overhead press}. */
  static String lift(String key) {
    return key.replace('-', ' ');
  }

  static String day(LocalDate day) {
    return day.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  /** The line with one part in another form. */
  static String with(WorkLine line, int index, Part part) {
    List<Part> parts = new ArrayList<>(line.parts());
    parts.set(index, part);
    return new WorkLine(parts).toString();
  }

  /** The same share down to the half below. */
  static BigDecimal halfBelow(double percent) {
    BigDecimal half = BigDecimal.valueOf(Math.floor(2 * percent) / 2).stripTrailingZeros();
    return half.scale() < 0 ? half.setScale(0, RoundingMode.UNNECESSARY) : half;
  }

  static Load.Percent share(Load.Percent like, double percent) {
    return new Load.Percent(halfBelow(percent), null, like.basis(), like.lift());
  }
}

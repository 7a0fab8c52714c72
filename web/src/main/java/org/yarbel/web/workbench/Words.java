package org.yarbel.web.workbench;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as a person reads them. */
final class Words {
  private Words() {}

  /** To 0.1, without trailing zeros. */
  static String plain(double value) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return (rounded.scale() < 0 ? rounded.setScale(0) : rounded).toPlainString();
  }
}

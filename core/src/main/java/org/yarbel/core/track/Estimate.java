package org.yarbel.core.track;

import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** A max as it is estimated, such as 201.2 ± 4.9 kg: the max and its standard deviation. */
public record Estimate(Mass max, Mass sd) {

  /** In figures, such as {@code 201.2 ± 4.9}. */
  public String text(MassUnit unit) {
    return max.amountIn(unit, 1).toPlainString() + " ± " + sd.amountIn(unit, 1).toPlainString();
  }

  static Estimate of(Bank.Spread ln, MassUnit unit) {
    double max = WorkSet.nanograms(ln.mean());
    return new Estimate(Mass.ofRoundedNanograms(max, unit), Mass.ofRoundedNanograms(max * ln.sd(), unit));
  }
}

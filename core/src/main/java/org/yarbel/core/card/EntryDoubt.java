package org.yarbel.core.card;

import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The commonest slips of a log, asked about once: pounds for kilograms, and the bar forgotten or counted twice.
 *
 * <p>Common practice, no source. An entry within 3 % of 2.2046 or 0.4536 times the plan is taken for the other unit.
 */
public final class EntryDoubt {
  private static final double KILOGRAMS_FOR_POUNDS =
      (double) MassUnit.KG.nanograms() / MassUnit.LB.nanograms();
  private static final double NEAR = 0.03;

  private EntryDoubt() {}

  /** What to ask about an entry; empty when it looks right. */
  public static Optional<String> about(Mass entered, Mass planned, Mass bar) {
    if (planned.isZero() || entered.isZero() || entered.hits(planned)) {
      return Optional.empty();
    }
    double ratio = entered.ratioTo(planned);
    if (near(ratio, KILOGRAMS_FOR_POUNDS) || near(ratio, 1 / KILOGRAMS_FOR_POUNDS)) {
      return Optional.of("Is it kg or lb? " + entered.text() + " was typed, " + planned.text() + " was planned.");
    }
    Mass lighter = entered.compareTo(planned) < 0 ? entered : planned;
    Mass heavier = lighter == entered ? planned : entered;
    return !bar.isZero() && heavier.minus(lighter).hits(bar)
        ? Optional.of("Is it with the bar? " + entered.text() + " was typed, " + planned.text() + " was planned.")
        : Optional.empty();
  }

  private static boolean near(double ratio, double wanted) {
    return Math.abs(ratio / wanted - 1) <= NEAR;
  }
}

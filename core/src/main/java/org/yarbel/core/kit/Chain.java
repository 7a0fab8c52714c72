package org.yarbel.core.kit;

import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * A pair of chains, one on each side of the bar, such as '8 kg each, 1.5 kg of it hanging at the bottom'.
 *
 * @param mass of one chain, over 0 to 100 kg: what hangs on its side at lock-out
 * @param slack of it, what hangs on the bar already at the bottom, the rest lying on the floor
 */
public record Chain(String name, Mass mass, Mass slack) {
  private static final Mass MOST = Mass.of("100", MassUnit.KG);

  public Chain {
    if (name.isBlank() || name.length() > 60) {
      throw new Refused("The name of a chain must have 1 to 60 characters");
    }
    if (mass.isZero() || mass.compareTo(MOST) > 0) {
      throw new Refused("A chain must be over 0 and at most 100 kg but was " + mass.text());
    }
    if (slack.compareTo(mass) > 0) {
      throw new Refused(
          "What hangs at the bottom cannot be more than the chain: " + slack.text() + " of " + mass.text());
    }
  }
}

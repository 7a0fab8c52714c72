package org.yarbel.core.kit;

import java.util.List;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * A bar of a place, such as 'Safety-squat bar, 30 kg'.
 *
 * @param mass without collars, over 0 to 200 kg
 * @param lifts the keys of the lifts it is for, their variations included; none for every lift without a bar of its own
 * @param pinsAllowed whether it may be pressed or pulled against pins, or hung with chains
 * @param fitsSafeties whether its sleeves and shaft fit the safeties of the rack
 */
public record Bar(String name, Mass mass, List<String> lifts, boolean pinsAllowed, boolean fitsSafeties) {
  private static final Mass MOST = Mass.of("200", MassUnit.KG);

  public Bar {
    if (name.isBlank() || name.length() > 60) {
      throw new Refused("The name of a bar must have 1 to 60 characters");
    }
    if (mass.isZero() || mass.compareTo(MOST) > 0) {
      throw new Refused("The bar must be over 0 and at most 200 kg but was " + mass.text());
    }
    lifts = List.copyOf(lifts);
  }
}

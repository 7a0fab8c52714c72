package org.yarbel.core.kit;

import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * A pair of dumbbells, such as 'stamped 20 kg, truly 22.5 kg'. The stamp may leave out the handle.
 *
 * @param stamped what stands on it; of a loadable one, its name: 0 to 200 kg
 * @param trueMass of one, over 0 to 200 kg; of a loadable one, the bare handle with its collars
 * @param loadable whether plates go on
 */
public record Dumbbell(Mass stamped, Mass trueMass, boolean loadable) {
  private static final Mass MOST = Mass.of("200", MassUnit.KG);

  public Dumbbell {
    if (stamped.compareTo(MOST) > 0 || trueMass.compareTo(MOST) > 0) {
      throw new Refused("A dumbbell must be at most 200 kg");
    }
    if (trueMass.isZero()) {
      throw new Refused("The true mass of a dumbbell must be over 0");
    }
  }
}

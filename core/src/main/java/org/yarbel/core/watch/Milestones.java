package org.yarbel.core.watch;

import java.math.BigDecimal;
import java.util.OptionalInt;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Round loads that unsettle some when they come for the first time, and the way around them. Common practice, no source. */
public final class Milestones {
  private static final int[] KG = {100, 140, 180, 200, 220, 250, 300, 350, 400, 450, 500};
  private static final int[] LB = {135, 225, 315, 405, 495, 585, 675};
  private static final double WINDOW = 0.006;

  private Milestones() {}

  /** The milestone that a load is the first at, in its unit; empty where it is none. */
  public static OptionalInt first(Mass load, Mass ever) {
    for (int mark : load.unit() == MassUnit.KG ? KG : LB) {
      double amount = load.amountIn(load.unit(), 2).doubleValue();
      if (Math.abs(amount - mark) <= WINDOW * mark && ever.amountIn(load.unit(), 2).doubleValue() < mark) {
        return OptionalInt.of(mark);
      }
    }
    return OptionalInt.empty();
  }

  /** A step under the mark, in the unit of a load. */
  public static Mass under(int mark, Mass like) {
    return Mass.of(BigDecimal.valueOf(mark).subtract(like.unit().usualStep()), like.unit());
  }

  /** A step over it. */
  public static Mass over(int mark, Mass like) {
    return Mass.of(BigDecimal.valueOf(mark).add(like.unit().usualStep()), like.unit());
  }

  /** The way around: over it for who was just under it already, else under. */
  public static Mass around(int mark, Mass like, Mass ever) {
    return ever.compareTo(under(mark, like)) >= 0 ? over(mark, like) : under(mark, like);
  }
}

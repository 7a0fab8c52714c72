package org.yarbel.core.kit;

import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * One way to load a bar, such as '182.5 kg: 25 25 25 5 1.25 a side'.
 *
 * @param total bar, collars and both sides
 * @param perSide the plates of one side, heaviest first; empty for the bare bar
 */
public record Loading(Mass total, List<Mass> perSide) {
  public Loading {
    perSide = List.copyOf(perSide);
  }

  /** The plates of one side as a person reads them: {@code 25 25 5}; empty for the bare bar. */
  public String sideText() {
    return sideText(perSide, total.unit());
  }

  /** Plates as a person reads them: {@code 25 25 5}, those of another unit with it: {@code 25 10lb}. */
  public static String sideText(List<Mass> plates, MassUnit unit) {
    return plates.stream().map(plate -> print(plate, unit)).collect(Collectors.joining(" "));
  }

  /** What stands on a plate; its unit only where it is not the bar's. */
  public static String print(Mass plate, MassUnit unit) {
    return plate.unit() == unit ? plate.number() : plate.number() + plate.unit();
  }
}

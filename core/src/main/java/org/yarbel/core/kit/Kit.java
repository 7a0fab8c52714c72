package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * What one exercise is loaded with: a bar such as '20 kg', its collars (both together) and the plates of the place.
 *
 * @param bar 0 to 200 kg
 * @param collars both together, 0 to 20 kg
 * @param stock the plates that loads are rounded by
 * @param fractional plates too small to round by: they go on only where a load asks for them exactly; none where null is
 *     given
 */
public record Kit(Mass bar, Mass collars, PlateStock stock, @Nullable List<PlateStock.Pairs> fractional) {
  public Kit {
    fractional = fractional == null ? List.of() : List.copyOf(fractional);
    if (bar.compareTo(Mass.of("200", MassUnit.KG)) > 0) {
      throw new Refused("The bar must be from 0 to 200 kg but was " + bar.text());
    }
    if (collars.compareTo(Mass.of("20", MassUnit.KG)) > 0) {
      throw new Refused("The collars must be from 0 to 20 kg but were " + collars.text());
    }
  }

  /** A kit that rounds by every plate it has. */
  public Kit(Mass bar, Mass collars, PlateStock stock) {
    this(bar, collars, stock, List.of());
  }

  /** Every plate, the fractional ones too. */
  PlateStock everyPlate() {
    if (fractional == null || fractional.isEmpty()) {
      return stock;
    }
    List<PlateStock.Pairs> all = new ArrayList<>(stock.plates());
    all.addAll(fractional);
    return new PlateStock(stock.unit(), all);
  }

  /** The kit of an ordinary gym: a bar of 20 kg or 45 lb, no collars, ten pairs of each common plate. */
  public static Kit standard(MassUnit unit) {
    return new Kit(
        Mass.of(unit == MassUnit.KG ? "20" : "45", unit), Mass.of("0", unit), PlateStock.standard(unit));
  }

  /** The unit its totals are said in. */
  public MassUnit unit() {
    return stock.unit();
  }

  /** Bar and collars without a plate: the least that can be lifted. */
  public Mass empty() {
    return bar.plus(collars).shownIn(unit());
  }
}

package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.Places;

/** Reads the kit that comes with a call; what is left out is that of an ordinary gym. */
@Component
class KitReader {
  private final Places places;

  KitReader(Places places) {
    this.places = places;
  }

  /** So many pairs of one size. */
  record PlateSize(@Nullable BigDecimal mass, @Nullable Integer pairs) {}

  /** All totals. The standard kit is searched once; a kit that came with a call is not kept. */
  Loadables loadables(@Nullable BigDecimal bar, @Nullable BigDecimal collars, @Nullable List<PlateSize> plates, MassUnit unit) {
    Kit kit = kit(bar, collars, plates, unit);
    return kit.equals(Kit.standard(unit)) ? places.loadables(kit) : Loadables.of(kit);
  }

  private static Kit kit(@Nullable BigDecimal bar, @Nullable BigDecimal collars, @Nullable List<PlateSize> plates, MassUnit unit) {
    Kit standard = Kit.standard(unit);
    try {
      return new Kit(bar == null ? standard.bar() : inSteps("bar", bar, unit),
          collars == null ? standard.collars() : inSteps("collars", collars, unit),
          plates == null ? standard.stock() : stock(plates, unit));
    } catch (Refused refused) {
      throw new OutOfRange(refused.sentence());
    }
  }

  private static Mass inSteps(String name, BigDecimal amount, MassUnit unit) {
    if (amount.stripTrailingZeros().scale() > 2) {
      throw new OutOfRange("The " + name + " must be in steps of 0.01.");
    }
    return Numbers.atLeastNothing(name, amount, unit);
  }

  private static PlateStock stock(List<PlateSize> plates, MassUnit unit) {
    List<PlateStock.Pairs> pairs = new ArrayList<>();
    for (PlateSize plate : plates) {
      PlateSize given = Numbers.required("plates", plate);
      pairs.add(new PlateStock.Pairs(Numbers.load("plate", Numbers.required("plates.mass", given.mass()), unit),
          Numbers.required("plates.pairs", given.pairs())));
    }
    return new PlateStock(unit, pairs);
  }
}

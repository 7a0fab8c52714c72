package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * The plates that go on a bar, such as 'ten pairs each of 25 20 15 10 5 2.5 1.25 kg'.
 *
 * <p>Up to 16 sizes of a unit, each in steps of 0.01 of it and named once, with 1 to 20 pairs. Kilogram and pound plates
 * may stand beside each other: then they mix on one bar. It models pairs only: a single plate cannot be loaded evenly.
 *
 * @param unit the unit totals are shown in
 * @param plates the sizes, heaviest first
 */
public record PlateStock(MassUnit unit, List<Pairs> plates) {
  public static final int MAX_SIZES = 16;
  public static final int MAX_PAIRS = 20;

  /** So many pairs of one size of plate. */
  public record Pairs(Mass size, int pairs) {
    public Pairs {
      if (pairs < 1 || pairs > MAX_PAIRS) {
        throw new Refused(
            "The pairs of a plate size must be from 1 to 20 but were " + pairs + " of " + size.text());
      }
      if (size.isZero() || size.compareTo(Mass.of("100", MassUnit.KG)) > 0) {
        throw new Refused("The plate size must be over 0 to 100 kg but was " + size.text());
      }
      if (Mass.of(size.amountIn(size.unit(), 2), size.unit()).nanograms() != size.nanograms()) {
        throw new Refused("The plate size must be in steps of 0.01 but was " + size);
      }
    }
  }

  public PlateStock {
    for (MassUnit stamped : MassUnit.values()) {
      long sizes = plates.stream().filter(pairs -> pairs.size().unit() == stamped).count();
      if (sizes > MAX_SIZES) {
        throw new Refused("The plate stock must have at most 16 sizes but had " + sizes);
      }
    }
    Set<Mass> seen = new HashSet<>();
    for (Pairs pairs : plates) {
      if (!seen.add(pairs.size())) {
        throw new Refused("The plate size " + pairs.size().text() + " was given twice");
      }
    }
    plates = plates.stream().sorted(Comparator.comparing(Pairs::size).reversed()).toList();
  }

  /** The stock of an ordinary gym: ten pairs of each common size. Common practice, no source. */
  public static PlateStock standard(MassUnit unit) {
    return unit == MassUnit.KG
        ? ofTenPairs(unit, "25", "20", "15", "10", "5", "2.5", "1.25")
        : ofTenPairs(unit, "45", "35", "25", "10", "5", "2.5");
  }

  /** The stock as it is for a load in each of two hands: half the pairs of each size. */
  PlateStock halved() {
    return new PlateStock(unit, plates.stream().filter(p -> p.pairs() > 1).map(p -> new Pairs(p.size(), p.pairs() / 2)).toList());
  }

  private static PlateStock ofTenPairs(MassUnit unit, String... sizes) {
    List<Pairs> plates = new ArrayList<>();
    for (String size : sizes) {
      plates.add(new Pairs(Mass.of(size, unit), 10));
    }
    return new PlateStock(unit, plates);
  }
}

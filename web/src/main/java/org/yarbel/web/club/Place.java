package org.yarbel.web.club;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.util.List;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** A place people train in, with its bar and collars; its plates are {@link Plate}s. */
@Entity
public class Place extends ClubRow {
  private String name = "";

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private long barNg;
  private long collarsNg;
  @Version private int version;

  protected Place() {}

  /** A place with the bar and collars of a kit. */
  public Place(String name, Kit kit) {
    this.name = name;
    this.unit = kit.unit();
    this.barNg = kit.bar().nanograms();
    this.collarsNg = kit.collars().nanograms();
  }

  public String name() {
    return name;
  }

  public MassUnit unit() {
    return unit;
  }

  Kit kit(List<Plate> plates) {
    return new Kit(Mass.ofNanograms(barNg, unit), Mass.ofNanograms(collarsNg, unit),
        new PlateStock(unit, plates.stream().map(plate -> plate.pairs(unit)).toList()));
  }
}

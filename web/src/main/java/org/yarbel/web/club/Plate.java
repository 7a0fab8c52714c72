package org.yarbel.web.club;

import jakarta.persistence.Entity;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** So many pairs of one size of plate at a place. */
@Entity
public class Plate extends ClubRow {
  private long placeId;
  private long sizeNg;
  private int pairs;

  protected Plate() {}

  public Plate(long placeId, PlateStock.Pairs pairs) {
    this.placeId = placeId;
    this.sizeNg = pairs.size().nanograms();
    this.pairs = pairs.pairs();
  }

  long placeId() {
    return placeId;
  }

  PlateStock.Pairs pairs(MassUnit unit) {
    return new PlateStock.Pairs(Mass.ofNanograms(sizeNg, unit), pairs);
  }
}

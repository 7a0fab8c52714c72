package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import org.yarbel.web.club.ClubRow;

/** A further place a lifter trains in. */
@Entity
public class LifterPlace extends ClubRow {
  private long lifterId;
  private long placeId;

  protected LifterPlace() {}

  public LifterPlace(long lifterId, long placeId) {
    this.lifterId = lifterId;
    this.placeId = placeId;
  }

  public long placeId() {
    return placeId;
  }
}

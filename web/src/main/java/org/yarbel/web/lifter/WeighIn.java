package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubRow;

/** A lifter's body mass on a day; one a day. */
@Entity
public class WeighIn extends ClubRow {
  private long lifterId;
  private LocalDate day = LocalDate.EPOCH;
  private long massNg;

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  protected WeighIn() {}

  public WeighIn(long lifterId, LocalDate day, Mass mass) {
    this.lifterId = lifterId;
    this.day = day;
    weigh(mass);
  }

  final void weigh(Mass mass) {
    this.massNg = mass.nanograms();
    this.unit = mass.unit();
  }

  public long lifterId() {
    return lifterId;
  }

  public LocalDate day() {
    return day;
  }

  public Mass mass() {
    return Mass.ofNanograms(massNg, unit);
  }
}

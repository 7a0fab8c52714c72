package org.yarbel.web.session;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Pain;
import org.yarbel.web.club.ClubRow;

/** How a lifter came to the training of a day; one a day. One that says nothing was left out. */
@Entity
public class CheckedIn extends ClubRow {
  private long lifterId;
  private LocalDate day = LocalDate.EPOCH;
  private @Nullable Integer sleep;
  private @Nullable Integer energy;
  private @Nullable Integer joints;
  private @Nullable Integer stress;

  @Convert(converter = PainsColumn.class)
  private List<Pain> pains = List.of();

  private Instant toldAt = Instant.EPOCH;
  @Version private int version;

  protected CheckedIn() {}

  CheckedIn(long lifterId, LocalDate day) {
    this.lifterId = lifterId;
    this.day = day;
  }

  void tell(CheckIn said, Instant at) {
    this.sleep = said.sleep();
    this.energy = said.energy();
    this.joints = said.joints();
    this.stress = said.stress();
    this.pains = said.pains();
    this.toldAt = at;
  }

  void moveTo(LocalDate other) {
    this.day = other;
  }

  /** Whose day it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The day of the training. */
  public LocalDate day() {
    return day;
  }

  /** What was said. */
  public CheckIn said() {
    return new CheckIn(sleep, energy, joints, stress, pains);
  }

  /** Counts its corrections, from 0. */
  public int version() {
    return version;
  }
}

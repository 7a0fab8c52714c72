package org.yarbel.web.program;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.LocalDate;
import org.yarbel.core.plan.Deload;
import org.yarbel.web.club.ClubRow;

/** An easy week of a lifter. */
@Entity
public class DeloadWeek extends ClubRow {
  private long lifterId;
  private LocalDate monday = LocalDate.EPOCH;

  @Enumerated(EnumType.STRING)
  private Deload kind = Deload.HALF_LOAD;

  protected DeloadWeek() {}

  public DeloadWeek(long lifterId, LocalDate monday, Deload kind) {
    this.lifterId = lifterId;
    this.monday = monday;
    this.kind = kind;
  }

  public long lifterId() {
    return lifterId;
  }

  /** The Monday of the week. */
  public LocalDate monday() {
    return monday;
  }

  /** How it is taken easy. */
  public Deload kind() {
    return kind;
  }

  void take(Deload other) {
    this.kind = other;
  }
}

package org.yarbel.web.log;

import jakarta.persistence.Entity;
import org.yarbel.web.club.ClubRow;

/** Where the tracker of one lift stood before its newest day, which a further set of that day goes on from. */
@Entity
class StandingBefore extends ClubRow {
  private long lifterId;
  private String lift = "";
  private double[] numbers = {};

  protected StandingBefore() {}

  StandingBefore(long lifterId, String lift) {
    this.lifterId = lifterId;
    this.lift = lift;
  }

  void take(double[] standing) {
    this.numbers = standing;
  }

  double[] numbers() {
    return numbers;
  }
}

package org.yarbel.web.call;

import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import org.yarbel.web.club.ClubRow;

/** That a coach has looked at a lifter's week, and the word that went out with it. */
@Entity
class WeeklyLook extends ClubRow {
  private long lifterId;
  private LocalDate monday = LocalDate.EPOCH;
  private String word = "";
  private String sentBy = "";
  private Instant sentAt = Instant.EPOCH;
  @Version private int version;

  protected WeeklyLook() {}

  WeeklyLook(long lifterId, LocalDate monday) {
    this.lifterId = lifterId;
    this.monday = monday;
  }

  void send(String said, String by, Instant at) {
    this.word = said;
    this.sentBy = by;
    this.sentAt = at;
  }

  long lifterId() {
    return lifterId;
  }

  LocalDate monday() {
    return monday;
  }

  String word() {
    return word;
  }

  String sentBy() {
    return sentBy;
  }

  Instant sentAt() {
    return sentAt;
  }
}

package org.yarbel.web.card;

import jakarta.persistence.Entity;
import java.time.Instant;
import org.yarbel.web.club.ClubRow;

/** One issued card: immutable and numbered. */
@Entity
public class CardIssue extends ClubRow {
  private long sessionId;
  private int number;
  private Instant issuedAt = Instant.EPOCH;
  private String document = "";

  protected CardIssue() {}

  CardIssue(long sessionId, int number, Instant issuedAt, String document) {
    this.sessionId = sessionId;
    this.number = number;
    this.issuedAt = issuedAt;
    this.document = document;
  }

  public int number() {
    return number;
  }

  String document() {
    return document;
  }

  long sessionId() {
    return sessionId;
  }
}

package org.yarbel.web.card;

import jakarta.persistence.Entity;
import java.time.Instant;
import org.yarbel.web.club.ClubRow;

/**
 * One issued card: immutable and numbered. One that a phone keeps for a day to come is numbered too, so that what is lifted from it without
 * a signal is understood; it counts as issued from its first set on, and until then everything else is worked out afresh.
 */
@Entity
public class CardIssue extends ClubRow {
  private long sessionId;
  private int number;
  private Instant issuedAt = Instant.EPOCH;
  private String document = "";
  private boolean ahead;

  protected CardIssue() {}

  CardIssue(long sessionId, int number, Instant issuedAt, String document) {
    this.sessionId = sessionId;
    this.number = number;
    this.issuedAt = issuedAt;
    this.document = document;
  }

  /** The same, kept for a day to come. */
  CardIssue forLater() {
    this.ahead = true;
    return this;
  }

  /** Whether it is only kept, for a day to come. */
  boolean ahead() {
    return ahead;
  }

  /** A set is lifted from it. */
  void begin() {
    this.ahead = false;
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

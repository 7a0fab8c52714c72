package org.yarbel.web.log;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.yarbel.web.club.ClubRow;

/** That sets of a line were not tried when its session was ended, and why. */
@Entity
@Table(name = "left_sets")
public class LeftSets extends ClubRow {
  /** Why they were not tried. */
  public enum Why {
    /** Nobody meant to: no time, or enough. */
    LEFT_OUT("left out"),
    /** They would not have gone. */
    COULD_NOT("could not");

    private final String word;

    Why(String word) {
      this.word = word;
    }

    /** The words a person reads: {@code left out}. */
    public String word() {
      return word;
    }
  }

  private long sessionId;
  private UUID line = LoggedSetRow.TOLD;

  @Enumerated(EnumType.STRING)
  private Why why = Why.LEFT_OUT;

  private Instant endedAt = Instant.EPOCH;

  protected LeftSets() {}

  public LeftSets(long sessionId, UUID line, Why why, Instant at) {
    this.sessionId = sessionId;
    this.line = line;
    this.why = why;
    this.endedAt = at;
  }

  /** The session that was ended. */
  public long sessionId() {
    return sessionId;
  }

  /** The ref of the line. */
  public UUID line() {
    return line;
  }

  /** Why its sets were not tried. */
  public Why why() {
    return why;
  }

  /** Says it otherwise. */
  public void say(Why other, Instant at) {
    this.why = other;
    this.endedAt = at;
  }
}

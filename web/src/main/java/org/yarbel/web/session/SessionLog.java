package org.yarbel.web.session;

import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.web.club.ClubRow;

/** What is said of a session as it was lifted; one a session, made when the first thing is said. */
@Entity
public class SessionLog extends ClubRow {
  private long sessionId;
  private long lifterId;
  private @Nullable LocalDate liftedOn;
  private String liftedAt = "";
  private @Nullable Integer effort;
  private @Nullable Integer minutes;
  @Version private int version;

  protected SessionLog() {}

  SessionLog(long sessionId, long lifterId) {
    this.sessionId = sessionId;
    this.lifterId = lifterId;
  }

  /** The session. */
  public long sessionId() {
    return sessionId;
  }

  /** The day it was lifted on, where that is another than the one it was planned for; else null. */
  public @Nullable LocalDate liftedOn() {
    return liftedOn;
  }

  /** Where it was lifted, where that was another place than the planned one; else empty. */
  public String liftedAt() {
    return liftedAt;
  }

  /** How hard the whole session was; null where nobody said. */
  public @Nullable SessionEffort effort() {
    return effort == null ? null : new SessionEffort(effort);
  }

  /** How long it took; null where nobody said. */
  public @Nullable Integer minutes() {
    return minutes;
  }

  void lifted(@Nullable LocalDate on, String at) {
    this.liftedOn = on;
    this.liftedAt = at;
  }

  void was(@Nullable SessionEffort hard, @Nullable Integer lasted) {
    this.effort = hard == null ? null : Integer.valueOf(hard.rating());
    this.minutes = lasted;
  }
}

package org.yarbel.web.session;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.who.SignedIn;

/** Words of a lifter or a coach about a session. They are never changed: whoever wants to add something says one more thing. */
@Entity
public class SessionWord extends ClubRow {
  /** The longest. */
  public static final int LONGEST = 2_000;

  private long sessionId;
  private long lifterId;
  private long accountId;
  private boolean byCoach;
  private String author = "";
  private String words = "";
  private Instant saidAt = Instant.EPOCH;
  private @Nullable Instant readAt;
  private UUID entryKey = new UUID(0, 0);

  protected SessionWord() {}

  SessionWord(long sessionId, long lifterId, UUID key, String words) {
    this.sessionId = sessionId;
    this.lifterId = lifterId;
    this.entryKey = key;
    this.words = words;
  }

  void by(SignedIn who, Instant at) {
    this.accountId = who.accountId();
    this.author = who.name();
    this.byCoach = who.staff();
    this.saidAt = at;
  }

  void read(Instant at) {
    this.readAt = at;
  }

  /** The session it is about. */
  public long sessionId() {
    return sessionId;
  }

  /** Whose session it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** Whether this account said it. */
  boolean by(SignedIn who) {
    return accountId == who.accountId();
  }

  /** Whether a coach said it. */
  public boolean byCoach() {
    return byCoach;
  }

  /** Who said it, as they were called. */
  public String author() {
    return author;
  }

  /** What was said. */
  public String words() {
    return words;
  }

  /** When. */
  public Instant saidAt() {
    return saidAt;
  }

  /** Whether the other side has read it. */
  public boolean read() {
    return readAt != null;
  }
}

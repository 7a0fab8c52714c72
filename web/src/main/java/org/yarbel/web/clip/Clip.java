package org.yarbel.web.clip;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.web.club.ClubRow;

/** A clip that is kept; its film is a file under its SHA-256. */
@Entity
public class Clip extends ClubRow {
  private long lifterId;
  private long sessionId;
  private @Nullable UUID line;
  private @Nullable Integer part;
  private @Nullable Integer setNumber;
  private String sha256 = "";
  private long bytes;

  @Enumerated(EnumType.STRING)
  private ClipFormat format = ClipFormat.MP4;

  private long accountId;
  private boolean byCoach;
  private Instant addedAt = Instant.EPOCH;
  private @Nullable Instant goneAt;
  private UUID entryKey = new UUID(0, 0);

  protected Clip() {}

  Clip(ClipUpload from, String sha256, ClipFormat format, Instant at) {
    this.lifterId = from.lifterId();
    this.sessionId = from.sessionId();
    this.line = from.line();
    this.part = from.part();
    this.setNumber = from.setNumber();
    this.sha256 = sha256;
    this.bytes = from.bytes();
    this.format = format;
    this.accountId = from.accountId();
    this.byCoach = from.byCoach();
    this.addedAt = at;
    this.entryKey = from.entryKey();
  }

  /** Whose it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The session it was filmed in. */
  public long sessionId() {
    return sessionId;
  }

  /** The line of its set; null for one of the whole session. */
  public @Nullable UUID line() {
    return line;
  }

  /** The part of the line its set is of; null with {@link #line}. */
  public @Nullable Integer part() {
    return part;
  }

  /** Which set of the part; null with {@link #line}. */
  public @Nullable Integer setNumber() {
    return setNumber;
  }

  /** Whether it is of this set of a line. */
  public boolean isOf(UUID ofLine, LoggedSet.Place place) {
    return ofLine.equals(line) && Integer.valueOf(place.part()).equals(part) && Integer.valueOf(place.set()).equals(setNumber);
  }

  /** What its file is called. */
  String sha256() {
    return sha256;
  }

  /** How long its file is. */
  public long bytes() {
    return bytes;
  }

  /** What it is. */
  public ClipFormat format() {
    return format;
  }

  /** Whether a coach added it. */
  public boolean byCoach() {
    return byCoach;
  }

  /** When it was there. */
  public Instant addedAt() {
    return addedAt;
  }

  /** Whether it was taken out, and can be put back for a while. */
  public boolean gone() {
    return goneAt != null;
  }

  void gone(@Nullable Instant at) {
    this.goneAt = at;
  }
}

package org.yarbel.web.clip;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.who.SignedIn;

/** A clip on its way: so many of its bytes are there. */
@Entity
class ClipUpload extends ClubRow {
  private long lifterId;
  private long sessionId;
  private @Nullable UUID line;
  private @Nullable Integer part;
  private @Nullable Integer setNumber;
  private long bytes;
  private long received;
  private long accountId;
  private boolean byCoach;
  private Instant begunAt = Instant.EPOCH;
  private UUID entryKey = new UUID(0, 0);

  protected ClipUpload() {}

  ClipUpload(TrainingSession session, UUID key, long bytes, SignedIn who, Instant at) {
    this.lifterId = session.lifterId();
    this.sessionId = session.id();
    this.entryKey = key;
    this.bytes = bytes;
    this.accountId = who.accountId();
    this.byCoach = who.staff();
    this.begunAt = at;
  }

  /** One that nobody sends: it is all here. */
  static ClipUpload ofHouse(TrainingSession session, UUID key, long bytes, UUID line, LoggedSet.Place place) {
    ClipUpload whole = new ClipUpload();
    whole.lifterId = session.lifterId();
    whole.sessionId = session.id();
    whole.entryKey = key;
    whole.bytes = bytes;
    whole.byCoach = true;
    whole.of(line, place.part(), place.set());
    return whole;
  }

  /** It is of a set. */
  void of(UUID ofLine, int ofPart, int ofSet) {
    this.line = ofLine;
    this.part = ofPart;
    this.setNumber = ofSet;
  }

  void received(long all) {
    this.received = all;
  }

  long lifterId() {
    return lifterId;
  }

  long sessionId() {
    return sessionId;
  }

  @Nullable UUID line() {
    return line;
  }

  @Nullable Integer part() {
    return part;
  }

  @Nullable Integer setNumber() {
    return setNumber;
  }

  long bytes() {
    return bytes;
  }

  long received() {
    return received;
  }

  long accountId() {
    return accountId;
  }

  boolean byCoach() {
    return byCoach;
  }

  UUID entryKey() {
    return entryKey;
  }
}

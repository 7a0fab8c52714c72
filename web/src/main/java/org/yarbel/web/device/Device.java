package org.yarbel.web.device;

import jakarta.persistence.Entity;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;

/** A device of a lifter's. Of its token only the fingerprint is kept. */
@Entity
public class Device extends ClubRow {
  private long lifterId;
  private String name = "";
  private String tokenHash = "";
  private Instant madeAt = Instant.EPOCH;
  private @Nullable Instant revokedAt;
  private @Nullable Instant lastAt;

  protected Device() {}

  Device(long lifterId, String name, String tokenHash, Instant at) {
    this.lifterId = lifterId;
    this.name = name;
    this.tokenHash = tokenHash;
    this.madeAt = at;
  }

  long lifterId() {
    return lifterId;
  }

  String name() {
    return name;
  }

  boolean revoked() {
    return revokedAt != null;
  }

  @Nullable Instant lastAt() {
    return lastAt;
  }

  void revoke(Instant at) {
    this.revokedAt = at;
  }

  void sent(Instant at) {
    this.lastAt = at;
  }
}

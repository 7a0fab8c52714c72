package org.yarbel.web.watch;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.watch.Checks;
import org.yarbel.web.club.ClubRow;

/** A check that is not to speak about a lifter's lift, and why. It stays on record when it speaks again. */
@Entity
public class Silence extends ClubRow {
  private long lifterId;
  private String checkKey = "";
  private String lift = "";
  private String reason = "";
  private long accountId;
  private Instant since = Instant.EPOCH;
  private @Nullable Instant ended;

  protected Silence() {}

  Silence(long lifterId, String checkKey, String lift, String reason, long accountId, Instant since) {
    this.lifterId = lifterId;
    this.checkKey = checkKey;
    this.lift = lift;
    this.reason = reason;
    this.accountId = accountId;
    this.since = since;
  }

  public long lifterId() {
    return lifterId;
  }

  /** What a key of a check or a code of a caution is called; empty when it is neither. */
  public static Optional<String> title(String key) {
    return Checks.ofKey(key).map(check -> check.title())
        .or(() -> Caution.Kind.ofCode(key).map(caution -> "caution: " + caution.code().replace('-', ' ')));
  }

  /** The key of the check or the code of the caution. */
  public String checkKey() {
    return checkKey;
  }

  /** The family it is about; empty for the whole week. */
  public String lift() {
    return lift;
  }

  /** Why it is silent. */
  public String reason() {
    return reason;
  }

  /** Since when. */
  public Instant since() {
    return since;
  }

  /** Whether it holds now. */
  public boolean holds() {
    return ended == null;
  }

  /** Since when it speaks again; null while it does not. */
  public @Nullable Instant ended() {
    return ended;
  }

  void end(Instant at) {
    this.ended = at;
  }
}

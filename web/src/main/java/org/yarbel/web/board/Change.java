package org.yarbel.web.board;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;

/** One change to the plan, with what stood there before and after, so that it can be undone. */
@Entity
public class Change extends ClubRow {
  private long accountId;
  @Column(name = "at") private Instant changedAt = Instant.EPOCH;
  private long lifterId;
  private String subject = "slot";
  private long subjectId;
  private @Nullable String before;
  private @Nullable String after;
  private boolean undone;

  protected Change() {}

  Change(long accountId, Instant at, long lifterId, long slotId, @Nullable String before, @Nullable String after) {
    this.accountId = accountId;
    this.changedAt = at;
    this.lifterId = lifterId;
    this.subjectId = slotId;
    this.before = before;
    this.after = after;
  }

  long lifterId() {
    return lifterId;
  }

  long subjectId() {
    return subjectId;
  }

  @Nullable String before() {
    return before;
  }

  @Nullable String after() {
    return after;
  }

  boolean undone() {
    return undone;
  }

  void undo() {
    undone = true;
  }
}

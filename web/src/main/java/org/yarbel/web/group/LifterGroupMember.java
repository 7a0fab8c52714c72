package org.yarbel.web.group;

import jakarta.persistence.Entity;
import org.yarbel.web.club.ClubRow;

/** A lifter in a group. */
@Entity
class LifterGroupMember extends ClubRow {
  private long groupId;
  private long lifterId;

  protected LifterGroupMember() {}

  LifterGroupMember(long groupId, long lifterId) {
    this.groupId = groupId;
    this.lifterId = lifterId;
  }

  long groupId() {
    return groupId;
  }

  long lifterId() {
    return lifterId;
  }
}

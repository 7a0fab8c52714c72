package org.yarbel.web.program;

import jakarta.persistence.Entity;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.column.CoreJson;

/** The long plan of a lifter as one document; each lifter has one at most. */
@Entity
public class LongPlan extends ClubRow {
  private long lifterId;
  private @Nullable Long contestId;
  private String document = "";
  @Version private int version;

  protected LongPlan() {}

  LongPlan(long lifterId) {
    this.lifterId = lifterId;
  }

  public long lifterId() {
    return lifterId;
  }

  /** The contest it leads to, or led to before it was put off; null for none. */
  public @Nullable Long contestId() {
    return contestId;
  }

  /** As it is stored. */
  String document() {
    return document;
  }

  public int version() {
    return version;
  }

  /** The plan as it is read. */
  public Macrocycle plan(CoreJson json) {
    return json.read(document, Macrocycle.class);
  }

  void take(Macrocycle plan, @Nullable Long contest, CoreJson json) {
    restore(json.write(plan), contest);
  }

  void restore(String stored, @Nullable Long contest) {
    this.document = stored;
    this.contestId = contest;
  }
}

package org.yarbel.web.contest;

import jakarta.persistence.Entity;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;

/** A lifter who goes to a contest. */
@Entity
public class ContestEntry extends ClubRow {
  private long contestId;
  private long lifterId;
  private String weightClass = "";
  private @Nullable LocalDate weighIn;
  private boolean counts;

  protected ContestEntry() {}

  public ContestEntry(long contestId, long lifterId) {
    this.contestId = contestId;
    this.lifterId = lifterId;
  }

  public long contestId() {
    return contestId;
  }

  public long lifterId() {
    return lifterId;
  }

  public String weightClass() {
    return weightClass;
  }

  /** The day of the weigh-in; null where it is that of the contest, or nobody knows. */
  public @Nullable LocalDate weighIn() {
    return weighIn;
  }

  /** Whether it is the one that counts where two are close together. */
  public boolean counts() {
    return counts;
  }

  /** Says how somebody goes. */
  public void say(String of, @Nullable LocalDate scales, boolean important) {
    this.weightClass = of;
    this.weighIn = scales;
    this.counts = important;
  }
}

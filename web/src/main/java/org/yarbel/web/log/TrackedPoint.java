package org.yarbel.web.log;

import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.web.club.ClubRow;

/** What the tracker said of one lift after one day's observation; written anew whenever the log behind it changes. */
@Entity
public class TrackedPoint extends ClubRow {
  private long lifterId;
  private String lift = "";
  private LocalDate day = LocalDate.EPOCH;
  private long rawNg;
  private @Nullable Long estimateNg;
  private @Nullable Long sdNg;
  private @Nullable Double spread;

  protected TrackedPoint() {}

  TrackedPoint(long lifterId, String lift, MaxTracker.Point point) {
    this.lifterId = lifterId;
    this.lift = lift;
    this.day = point.date();
    take(point);
  }

  final void take(MaxTracker.Point point) {
    MaxTracker.Estimate estimate = point.estimate();
    this.rawNg = point.raw().nanograms();
    this.estimateNg = estimate == null ? null : estimate.max().nanograms();
    this.sdNg = estimate == null ? null : estimate.sd().nanograms();
    this.spread = point.spread();
  }

  boolean says(MaxTracker.Point point) {
    MaxTracker.Estimate estimate = point.estimate();
    return rawNg == point.raw().nanograms() && spread != null && spread == point.spread()
        && Objects.equals(estimateNg, estimate == null ? null : estimate.max().nanograms())
        && Objects.equals(sdNg, estimate == null ? null : estimate.sd().nanograms());
  }

  /** Whose lift it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The key of the lift. */
  public String lift() {
    return lift;
  }

  /** The day of the observation. */
  public LocalDate day() {
    return day;
  }

  /** What the day speaks for by itself. */
  public Mass raw(MassUnit unit) {
    return Mass.ofNanograms(rawNg, unit);
  }

  /** The tracked max after it; null before the tested day. */
  public @Nullable Mass estimate(MassUnit unit) {
    return estimateNg == null ? null : Mass.ofNanograms(estimateNg, unit);
  }

  /** The standard deviation of {@link #raw} in % of it; null in rows of old. */
  public @Nullable Double spread() {
    return spread;
  }

  /** Its standard deviation; null without an estimate. */
  public @Nullable Mass sd(MassUnit unit) {
    return sdNg == null ? null : Mass.ofNanograms(sdNg, unit);
  }
}

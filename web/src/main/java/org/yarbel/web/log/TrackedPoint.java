package org.yarbel.web.log;

import jakarta.persistence.Entity;
import java.time.LocalDate;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Track;
import org.yarbel.web.club.ClubRow;

/** What the tracker said of one lift after one day's observation; written anew whenever the log behind it changes. */
@Entity
public class TrackedPoint extends ClubRow {
  private long lifterId;
  private String lift = "";
  private LocalDate day = LocalDate.EPOCH;
  private @Nullable Long rawNg;
  private @Nullable Long estimateNg;
  private @Nullable Long sdNg;
  private @Nullable Double spread;

  protected TrackedPoint() {}

  TrackedPoint(long lifterId, String lift, Track.Point point) {
    this.lifterId = lifterId;
    this.lift = lift;
    this.day = point.date();
    take(point);
  }

  final void take(Track.Point point) {
    Estimate estimate = point.estimate();
    this.rawNg = nanograms(point.raw());
    this.estimateNg = estimate == null ? null : nanograms(estimate.max());
    this.sdNg = estimate == null ? null : nanograms(estimate.sd());
    this.spread = point.spread();
  }

  boolean says(Track.Point point) {
    Estimate estimate = point.estimate();
    return Objects.equals(rawNg, nanograms(point.raw())) && Objects.equals(spread, point.spread())
        && Objects.equals(estimateNg, estimate == null ? null : nanograms(estimate.max()))
        && Objects.equals(sdNg, estimate == null ? null : nanograms(estimate.sd()));
  }

  private static @Nullable Long nanograms(@Nullable Mass mass) {
    return mass == null ? null : mass.nanograms();
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

  /** What the day speaks for by itself; null where all were misses. */
  public @Nullable Mass raw(MassUnit unit) {
    return rawNg == null ? null : Mass.ofNanograms(rawNg, unit);
  }

  /** The tracked max after it; null before the tested day. */
  public @Nullable Mass estimate(MassUnit unit) {
    return estimateNg == null ? null : Mass.ofNanograms(estimateNg, unit);
  }

  /** The standard deviation of {@link #raw} in % of it; null with it, and in rows of old. */
  public @Nullable Double spread() {
    return spread;
  }

  /** Its standard deviation; null without an estimate. */
  public @Nullable Mass sd(MassUnit unit) {
    return sdNg == null ? null : Mass.ofNanograms(sdNg, unit);
  }
}

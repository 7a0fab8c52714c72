package org.yarbel.core.track;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;

/**
 * What others saw of a set beside the lifter's own rating.
 *
 * <p>Common practice, no source: the lifter's rating is primary. A video review or an experienced observer moves it by
 * half a point at most. When video and bar speed both disagree in the same direction, the rating goes half a point
 * towards them, and bolder loading (one step of about 2.5 %) waits for next week. Bar speed alone moves nothing. The raw
 * rating is kept.
 *
 * @param rated by the lifter
 * @param seen by a video review or an experienced observer; null without one
 * @param bySpeed what the bar speed says; null without it
 */
public record RatingEvidence(Rpe rated, @Nullable Rpe seen, @Nullable Rpe bySpeed) {
  /** The rating to work with: the lifter's, moved by half a point at most. */
  public Rpe taken() {
    int direction = seen == null ? 0 : Integer.signum(seen.compareTo(rated));
    int halves = rated.halves() + direction;
    return new Rpe(Math.min(Math.max(halves, Rpe.MIN.halves()), Rpe.MAX.halves()));
  }

  /** All of it in words: {@code rated 8, looked like 9, bar speed as at 9: counts as 8.5; bolder loads wait for next week}. */
  public String words() {
    String look = seen == null ? "" : ", looked like " + seen;
    String speed = bySpeed == null ? "" : ", bar speed as at " + bySpeed;
    String counts = taken().equals(rated) ? ": counts as rated" : ": counts as " + taken();
    boolean easier = bolderLoadingWaits() && seen != null && seen.compareTo(rated) < 0;
    return "rated " + rated + look + speed + (seen == null && bySpeed == null ? "" : counts)
        + (easier ? "; bolder loads wait for next week" : "");
  }

  /** Whether video and bar speed both disagree in the same direction, so that bolder loading waits for next week. */
  public boolean bolderLoadingWaits() {
    return seen != null && bySpeed != null
        && seen.compareTo(rated) != 0
        && Integer.signum(seen.compareTo(rated)) == Integer.signum(bySpeed.compareTo(rated));
  }
}

package org.yarbel.core.contest;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.VariationRatio;

/**
 * What of the gym's max a lifter makes on the platform: {@link DayOdds#USUAL_RATIO}, or what past contests taught.
 *
 * <p>The best attempt of a contest over the tracked max of its day is an exposure, as of a variation. It is the max of that day to half a
 * percent where the next attempt was missed for strength or it looked to be at the limit, to two percent where more may have been left
 * (the spreads of a contest single, our own default).
 */
public final class ContestRatio {
  private static final double AT_THE_LIMIT = 0.5;
  private static final double MORE_LEFT = 2.0;

  private ContestRatio() {}

  /**
   * A lift of a past contest.
   *
   * @param gym the tracked max of that day without what the contest itself taught
   */
  public record Past(LocalDate date, LiftDay lift, Estimate gym) {

    private Optional<VariationRatio.Exposure> exposure() {
      double gymSd = 100 * gym.sd().ratioTo(gym.max());
      return lift.best().map(best -> new VariationRatio.Exposure(date, best.ratioTo(gym.max()),
          lift.toItsLimit() ? AT_THE_LIMIT : MORE_LEFT, gymSd));
    }
  }

  /**
   * Learns from past contests.
   *
   * @param at the day asked for; null for that of the last of them
   */
  public static VariationRatio of(List<Past> past, @Nullable LocalDate at) {
    return VariationRatio.learn(DayOdds.USUAL_RATIO, past.stream().flatMap(one -> one.exposure().stream()).toList(), at);
  }
}

package org.yarbel.core.plan.cycle;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * The straight way from a max to a goal.
 *
 * @param start the max it starts from
 * @param startOn when that was
 * @param goal the max to be lifted
 * @param goalOn when; after the start
 */
public record GoalCourse(Mass start, LocalDate startOn, Mass goal, LocalDate goalOn) {
  /** Behind the line by so many percent, a lower goal is proposed. Our own, as the handbook's goal wave has it. */
  public static final double BEHIND = 3;

  private static final double LOWER = 0.975;
  private static final double MOST_KG = 16;
  private static final double MOST_SHARE = 0.07;
  private static final double BELIEVABLE_WEEKS = 10;
  private static final double FAR = 1.4;

  public GoalCourse {
    if (!goalOn.isAfter(startOn)) {
      throw new Refused("The goal must be after its start but is on " + goalOn);
    }
  }

  /** What the line says of a day; before the start and after the end its ends. */
  public Mass line(LocalDate day) {
    double way = (double) ChronoUnit.DAYS.between(startOn, day) / ChronoUnit.DAYS.between(startOn, goalOn);
    double share = Math.min(Math.max(way, 0), 1);
    return Mass.ofNanograms(Math.round(start.nanograms() + share * (goal.nanograms() - start.nanograms())), goal.unit());
  }

  /** How far an estimate is behind the line on a day, in percent; under 0 when it is ahead. */
  public double behind(LocalDate day, Mass estimate) {
    return 100 * (1 - estimate.ratioTo(line(day)));
  }

  /** The goal that is proposed when the estimate stays behind: 2.5 % less, rounded to half a unit. */
  public Mass lower() {
    BigDecimal amount = goal.amountIn(goal.unit(), 3).multiply(BigDecimal.valueOf(2 * LOWER)).setScale(0, RoundingMode.HALF_UP)
        .divide(BigDecimal.valueOf(2));
    return Mass.of(amount.setScale(1, RoundingMode.UNNECESSARY), goal.unit());
  }

  /**
   * What can be believed to come on top of a max: 16 kg or 7 %, whichever is less, in ten weeks; more or fewer weeks in
   * proportion. Common practice, no source.
   */
  public static Mass believable(Mass max, double weeks) {
    double kilograms = Math.min(MOST_KG, MOST_SHARE * max.nanograms() / 1e12) * weeks / BELIEVABLE_WEEKS;
    return Mass.ofNanograms(Math.round(kilograms * MassUnit.KG.nanograms()), max.unit());
  }

  /** Why a goal cannot be meant: not over what was lifted already, or further than anybody goes; empty when it can. */
  public static Optional<String> wrong(Mass goal, Mass max) {
    if (goal.compareTo(max) <= 0) {
      return Optional.of("The goal of " + goal.text() + " is not over the max of " + max.text() + ": write what is to be lifted more.");
    }
    return goal.ratioTo(max) >= FAR ? Optional.of("The goal of " + goal.text() + " is " + Math.round(100 * (goal.ratioTo(max) - 1))
        + " % over the max of "
        + max.text() + ": nobody gains that on one way to a contest. Is it kg or lb?") : Optional.empty();
  }
}

package org.yarbel.core.contest;

import java.util.List;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Outlook;

/**
 * How likely loads are on the platform, as far as it is known after the attempts so far.
 *
 * <p>The tracked max of the day with its spread, the spread of the lifter's days, and what of it the lifter makes of it under a
 * contest's rules ({@link #USUAL_RATIO}, or what past contests taught). An attempt that was made says that the day's max is at least
 * that; one missed for strength that it is at most; how it looked counts as a rating. One turned down for form says nothing of
 * strength, and is then as likely as before: a lifter who has been told once stands by it.
 */
public final class DayOdds {
  /** Of the gym's max, without a contest to learn from: 98 % give or take 2. Our own default. */
  public static final Lift.Ratio USUAL_RATIO = new Lift.Ratio(98, 2);

  private final Outlook day;

  private DayOdds(Outlook day) {
    this.day = day;
  }

  /** Before the first attempt. */
  public static DayOdds of(Outlook gym, Lift.Ratio ratio) {
    return new DayOdds(gym.onThePlatform(ratio.percent(), ratio.sd()));
  }

  /** How likely a load is made, from 0 to 0.97. */
  public double chance(Mass load) {
    return day.chance(load);
  }

  /** The load that is made with a chance; no load is made with more than 0.97. */
  public Mass load(double chance, MassUnit unit) {
    return day.single(chance, unit);
  }

  /** The max of the day on the platform, with how far it may be off. */
  public Estimate max(MassUnit unit) {
    return day.today(unit);
  }

  /** The same after attempts, in their order. */
  public DayOdds after(List<Attempt> attempts) {
    DayOdds odds = this;
    for (Attempt attempt : attempts) {
      odds = odds.after(attempt);
    }
    return odds;
  }

  /** The same after an attempt. */
  public DayOdds after(Attempt attempt) {
    Verdict verdict = attempt.verdict();
    if (verdict == null || !verdict.good() && !verdict.tooHeavy()) {
      return this;
    }
    Verdict.Look look = verdict.good() ? verdict.look() : null;
    return new DayOdds(day.knowing(attempt.load(), verdict.good(), look == null ? null : look.left()));
  }
}

package org.yarbel.core.card;

import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Outlook;

/**
 * Today's max as the tracker has it from the sets of the day.
 *
 * @param rested by the form of the day alone
 * @param now less what the sets so far took
 */
public record TodaysMax(Mass rested, Mass now) {
  /** From what the tracker says after those sets. */
  public static TodaysMax of(Outlook outlook, MassUnit unit) {
    return new TodaysMax(outlook.after(0).today(unit).max(), outlook.today(unit).max());
  }
}

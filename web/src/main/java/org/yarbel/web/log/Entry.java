package org.yarbel.web.log;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * One checked entry of the log.
 *
 * @param key made where it was typed, so that one that is sent twice counts once
 * @param issue the number of the card it was lifted from
 * @param seen the version of the logged set that was on the screen, −1 when it was not logged yet
 * @param easier rated under 6, which is not the same as not rated
 * @param tenths how long it took or was held, in tenths of a second; null where nobody said
 * @param centimetres how far it was carried; null where nobody said
 * @param ended why it had no more reps; null where nobody said
 * @param said what else is said of it; null where nobody was asked
 */
public record Entry(UUID key, UUID line, LoggedSet.Place place, int issue, int seen, Mass load, int reps, @Nullable Rpe rpe,
    boolean easier, @Nullable Integer tenths, @Nullable Integer centimetres, @Nullable Stopped stopped,
    @Nullable HowEnded ended, @Nullable Said said) {
  /** The same with something else said of it. */
  public Entry saying(Said other) {
    return new Entry(key, line, place, issue, seen, load, reps, rpe, easier, tenths, centimetres, stopped, ended, other);
  }

  /** Whether one more rep was tried than was good. */
  public boolean triedFurther() {
    return reps == 0 || ended != null && ended.triedFurther();
  }

  /** The same with another load. */
  public Entry withLoad(Mass other) {
    return new Entry(key, line, place, issue, seen, other, reps, rpe, easier, tenths, centimetres, stopped, ended, said);
  }
}

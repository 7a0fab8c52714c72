package org.yarbel.core.log;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;

/**
 * One mark of a set, such as 'knees in, rep 3'.
 *
 * @param rep which rep it was seen on, from 1; null where nobody said
 */
public record Mark(TechniqueMark what, @Nullable Integer rep) {
  /** In words: {@code knees in, rep 3}. */
  public String words() {
    return what.word() + (rep == null ? "" : ", rep " + rep);
  }

  /**
   * Refuses a rep that was none.
   *
   * @param reps good reps of the set
   * @param further whether one more was tried, which can be marked, too
   */
  public void check(int reps, boolean further) {
    int tried = reps + (further ? 1 : 0);
    if (rep != null && (rep < 1 || rep > tried)) {
      throw new Refused("The mark '" + what.word() + "' is on rep " + rep + ", but " + tried + (tried == 1 ? " was tried" : " were tried"));
    }
  }
}

package org.yarbel.core.contest.meet;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * The first attempt of somebody in a flight. The lighter goes first, of equal loads the lower lot number (IPF Technical Rules Book, from
 * memory).
 *
 * @param lot null where none was drawn, or nobody wrote it
 */
public record Opening(Mass load, @Nullable Integer lot) {

  /** Whether it is lifted before another; of equal loads without both lots nobody knows, and it is not counted. */
  public boolean before(Opening other) {
    int compared = load.compareTo(other.load);
    return compared < 0 || compared == 0 && lot != null && other.lot != null && lot < other.lot;
  }
}

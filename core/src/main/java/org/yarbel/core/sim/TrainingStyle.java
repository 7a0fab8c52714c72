package org.yarbel.core.sim;

/** How a made-up lifter trains, and what of it is rated. */
public enum TrainingStyle {
  /** A top set at 8 and three back-offs, all rated. */
  TOP_AND_BACK_OFFS,
  /** The same, only the top set rated. */
  ONLY_TOP_RATED,
  /** The same, nothing rated. */
  UNRATED,
  /** Two sets of five and a third that goes on while form holds, not rated. */
  PLUS_SETS,
  /** Sets of five with three or four left, most rated under 6. */
  EASY_FIVES,
  /** Three singles up to one at 8 or 9. */
  SINGLES
}

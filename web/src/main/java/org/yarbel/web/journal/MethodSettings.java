package org.yarbel.web.journal;

import org.yarbel.web.lifter.Lifter;

/** What methods, easy weeks and the long plan of a lifter are set to: it is undone with the days that came of it. */
public interface MethodSettings {
  /**
   * As they stand, each as a text that is only read where it was written.
   *
   * @param settings what methods, easy weeks and the long plan are set to
   * @param leftOut what of the methods' lines somebody took out, and is not written again
   */
  record MethodStand(String settings, String leftOut) {}

  /** As they stand now. */
  MethodStand of(Lifter lifter);

  /**
   * Puts back what a change set otherwise, and nothing else.
   *
   * @param from as the change left it
   * @param to as it was before
   */
  void restore(Lifter lifter, MethodStand from, MethodStand to);
}

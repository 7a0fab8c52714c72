package org.yarbel.web.job;

import org.yarbel.web.who.SignedIn;

/** A kind of long work: what is done for one lifter. */
public interface JobWork {
  /** What it is stored under. */
  String kind();

  /**
   * Does it for one lifter, in a transaction of its own; done twice it changes nothing the second time.
   *
   * @param document what it was started with
   * @return a sentence of what was done
   */
  String work(long lifterId, String document, SignedIn who);
}

package org.yarbel.web.job;

import org.yarbel.web.who.SignedIn;

/** A kind of long work: what is done for one of many, each known by a text of the work's own. */
public interface JobWork {
  /** What it is stored under. */
  String kind();

  /** What each of the many is: {@code lifter}. */
  String noun();

  /**
   * Does it for one, in a transaction of its own; done twice it changes nothing the second time.
   *
   * @param key which one
   * @param document what it was started with
   * @return a sentence of what was done
   */
  String work(String key, String document, SignedIn who);

  /** Whether one thread does it after the other, so that whoever opens a page meanwhile has a processor. */
  default boolean alone() {
    return false;
  }

  /** Where one for which it could not be done is looked at. */
  Screen screen(String key);

  /**
   * A screen that one is looked at on.
   *
   * @param name as the screen is called
   * @param address of it for that one
   */
  record Screen(String name, String address) {}
}

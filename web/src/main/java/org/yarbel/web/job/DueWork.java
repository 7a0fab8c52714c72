package org.yarbel.web.job;

import java.util.List;

/** A kind of work that is due for one of many whenever something moves it. */
public interface DueWork {
  /** What it is stored under. */
  String kind();

  /** Does it, in a transaction of its own; done twice it changes nothing the second time. */
  void work(String key, List<Cause> causes);

  /**
   * Why it is due.
   *
   * @param cause a word for it, such as {@code log}
   * @param words what happened
   * @param who did it; empty where nobody did
   */
  record Cause(String cause, String words, String who) {}
}

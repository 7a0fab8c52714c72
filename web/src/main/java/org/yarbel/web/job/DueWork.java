package org.yarbel.web.job;

import java.util.List;
import java.util.function.BooleanSupplier;

/** A kind of work that is due for one of many whenever something moves it. */
public interface DueWork {
  /** What it is stored under. */
  String kind();

  /**
   * Does it, in a transaction of its own; done twice it changes nothing the second time.
   *
   * @param overtaken whether something newer is due for the same key by now, so that what was read before it is old
   * @return whether it is done; else it stays due, to be done together with what is newer
   */
  boolean work(String key, List<Cause> causes, BooleanSupplier overtaken);

  /**
   * Why it is due.
   *
   * @param cause a word for it, such as {@code log}
   * @param words what happened
   * @param who did it; empty where nobody did
   */
  record Cause(String cause, String words, String who) {}
}

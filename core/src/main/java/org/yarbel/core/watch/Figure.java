package org.yarbel.core.watch;

import java.util.Locale;

/** A figure of a check or a call that a club can set, such as 'rise of hard sets on the last three weeks, %'. */
public interface Figure {
  /** The name of the constant. */
  String name();

  /** What the screens say. */
  String words();

  /** The default: the handbook's or our own. */
  double usual();

  /** The least a club can set. */
  double least();

  /** The most a club can set. */
  double most();

  /** The name it is stored under: {@code volume-rise}. */
  default String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}

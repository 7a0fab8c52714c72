package org.yarbel.core.contest.strongman;

import java.util.List;

/** Count-back: more firsts lead, then more seconds, and so on. */
final class Places {
  private Places() {}

  /** Below 0 where the first of two leads. */
  static int compare(List<Integer> one, List<Integer> other) {
    for (int place = 0; place < Math.min(one.size(), other.size()); place++) {
      int by = Integer.compare(other.get(place), one.get(place));
      if (by != 0) {
        return by;
      }
    }
    return 0;
  }
}

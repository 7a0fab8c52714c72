package org.yarbel.web.ledger;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.TechniqueMark;

/** Which sets the Ledger shows: all, or only those with something that can be said of a set. */
record LedgerFilter(String key, String word) {
  static final LedgerFilter ALL = new LedgerFilter("", "all sets");

  private static final List<LedgerFilter> OFFERED = offered();

  private static List<LedgerFilter> offered() {
    List<LedgerFilter> all = new ArrayList<>();
    all.add(ALL);
    all.add(new LedgerFilter("missed", "missed, or fewer reps"));
    all.add(new LedgerFilter("flagged", "not as usual"));
    all.add(new LedgerFilter("marks", "with a mark"));
    all.add(new LedgerFilter("gear", "with gear told"));
    all.add(new LedgerFilter("speed", "with a bar speed"));
    all.add(new LedgerFilter("opinion", "with a second opinion"));
    all.add(new LedgerFilter("beside", "beside the plan"));
    for (Context context : Context.values()) {
      all.add(new LedgerFilter(context.name(), "state: " + context.word()));
    }
    for (TechniqueMark mark : TechniqueMark.values()) {
      all.add(new LedgerFilter(mark.name(), "mark: " + mark.word()));
    }
    return List.copyOf(all);
  }

  /** All of them, as they are chosen from. */
  static List<LedgerFilter> all() {
    return OFFERED;
  }

  /** The one of a key; all sets for anything else. */
  static LedgerFilter of(String key) {
    return OFFERED.stream().filter(filter -> filter.key.equals(key)).findFirst().orElse(ALL);
  }
}

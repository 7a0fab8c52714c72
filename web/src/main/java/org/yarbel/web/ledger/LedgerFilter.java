package org.yarbel.web.ledger;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.MarkList;
import org.yarbel.core.log.TechniqueMark;

/** Which sets the Ledger shows: all, or only those with something that can be said of a set. */
record LedgerFilter(String key, String word) {
  static final LedgerFilter ALL = new LedgerFilter("", "all sets");

  private static final Set<String> MARKS = Arrays.stream(TechniqueMark.values()).map(Enum::name).collect(Collectors.toSet());
  private static final List<LedgerFilter> OFFERED = every();

  private static List<LedgerFilter> every() {
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

  /** Those that are chosen from for a lift: the marks are those that are looked for in it, and the one that is chosen. */
  List<LedgerFilter> offered(Lift lift) {
    Set<String> marks = MarkList.of(lift).marks().stream().map(Enum::name).collect(Collectors.toSet());
    return OFFERED.stream().filter(one -> !MARKS.contains(one.key) || marks.contains(one.key) || one.equals(this)).toList();
  }

  /** The one of a key; all sets for anything else. */
  static LedgerFilter of(String key) {
    return OFFERED.stream().filter(filter -> filter.key.equals(key)).findFirst().orElse(ALL);
  }
}

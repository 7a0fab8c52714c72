package org.yarbel.core.watch;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.CountedLine;

/** Looks at a week for one thing. */
public interface Check {
  /** Said where a rule has no publication. */
  String PRACTICE = "Common practice, no source.";

  /** Said where we have chosen. */
  String OURS = "Our own default.";

  /** A stable name: {@code to-failure}. */
  String key();

  /** What it looks for, in a few words. */
  String title();

  /** Where the rule is from. */
  String source();

  /** What it finds; empty when all is well. */
  List<Finding> look(WatchedWeek week);

  /** A finding about a line. */
  default Finding at(Severity severity, CountedLine line, String sentence, Finding.@Nullable Mend mend) {
    return new Finding(key(), severity, sentence, source(), line.day(), line.id(), line.head().key(), mend);
  }

  /** A finding about a day. */
  default Finding on(Severity severity, java.time.LocalDate day, String lift, String sentence) {
    return new Finding(key(), severity, sentence, source(), day, null, lift, null);
  }

  /** A finding about the week. */
  default Finding of(Severity severity, String lift, String sentence) {
    return new Finding(key(), severity, sentence, source(), null, null, lift, null);
  }
}

package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
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

  /** Said where the chart of efforts is what counts. */
  String CHART = OURS + " The chart after Helms et al. 2016.";

  /** Looks at one part of a line, by its index. */
  @FunctionalInterface
  interface OfPart {
    Optional<Finding> look(WatchedLine line, int index);
  }

  /** What is found in the parts of all lines. */
  static List<Finding> inParts(WatchedWeek week, OfPart looking) {
    List<Finding> findings = new ArrayList<>();
    week.lines().forEach(line -> IntStream.range(0, line.work().parts().size())
        .forEach(part -> looking.look(line, part).ifPresent(findings::add)));
    return findings;
  }

  /** A finding about a line. */
  default Finding at(Severity severity, CountedLine line, String sentence, Finding.@Nullable Mend mend) {
    return new Finding(key(), severity, sentence, source(), line.day(), line.id(), line.head().key(), mend);
  }

  /** A finding about a day. */
  default Finding on(Severity severity, LocalDate day, String lift, String sentence) {
    return new Finding(key(), severity, sentence, source(), day, null, lift, null);
  }

  /** A finding about the week. */
  default Finding of(Severity severity, String lift, String sentence) {
    return new Finding(key(), severity, sentence, source(), null, null, lift, null);
  }
}

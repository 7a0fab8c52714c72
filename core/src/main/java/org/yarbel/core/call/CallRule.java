package org.yarbel.core.call;

import java.util.List;

/** Looks at a lifter for one thing that a coach could decide. */
public interface CallRule {
  /** Said where a rule has no publication. */
  String PRACTICE = "Common practice, no source.";

  /** Said where we have chosen. */
  String OURS = "Our own default.";

  /** A stable name: {@code too-easy-or-hard}. */
  String key();

  /** What it looks for, in a few words. */
  String title();

  /** Where the rule is from. */
  String source();

  /** When it speaks, in words. */
  String when();

  /** What it would do; empty when all is well. */
  List<Call> look(Picture picture);

  /** The figures of it that a club can set. */
  default List<CallFigure> figures() {
    return List.of();
  }
}

package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.lift.Level;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;

/** Work that does not suit a beginner. */
final class MethodForLevel implements Check {
  /** Up to here something is left: a beginner may work up to it. */
  private static final double SHORT_OF_MAX = 8.5;

  @Override
  public String key() {
    return "method-for-level";
  }

  @Override
  public String title() {
    return "work beyond the level";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    for (WatchedLine line : week.lines()) {
      if (line.level() != Level.BEGINNER) {
        continue;
      }
      for (Part part : line.work().parts()) {
        String what = part.option(Option.Reverse.class).isPresent() ? "Reverse bands" : switch (part.work().kind()) {
          case MAX -> part.rpe() != null && part.rpe().middle() <= SHORT_OF_MAX ? "" : "Max-effort work";
          case NEGATIVE -> "Assisted negatives";
          case CLUSTER -> "Clusters of heavy singles";
          default -> "";
        };
        if (!what.isEmpty()) {
          findings.add(at(Severity.STOP, line.counted(), what + (what.endsWith("s") ? " are" : " is")
              + " not for beginners in a lift: the skill breaks before the muscle does. Plain sets.", null));
          break;
        }
      }
    }
    return findings;
  }
}

package org.yarbel.core.notation;

import java.util.List;
import java.util.stream.Collectors;

/** A whole line such as '1x1 @8; 4x4 -15%': its parts in the order they are done. It holds no load in figures. */
public record WorkLine(List<Part> parts) {
  public static final int MAX_LENGTH = 500;
  public static final int MAX_PARTS = 20;
  /** The most sets of one part, those of all rounds counted. */
  public static final int MAX_SETS = 50;

  public WorkLine {
    parts = List.copyOf(parts);
  }

  /**
   * Reads a typed line.
   *
   * @throws NotationException with the place of each problem, at most one a part
   */
  public static ParsedLine parse(String text) {
    return new Parser(text).line();
  }

  /**
   * The line as it is done in several rounds of a group: each part with so many times its sets.
   *
   * @param rounds from 1
   */
  public WorkLine times(int rounds) {
    return rounds == 1 ? this : new WorkLine(parts.stream()
        .map(part -> new Part(part.work().times(rounds), part.load(), part.rpe(), part.options()))
        .toList());
  }

  /** The normal form, which {@link #parse} reads back to an equal line. */
  @Override
  public String toString() {
    return parts.stream().map(Part::toString).collect(Collectors.joining("; "));
  }
}

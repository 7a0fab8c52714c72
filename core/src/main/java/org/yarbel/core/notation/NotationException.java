package org.yarbel.core.notation;

import java.util.List;

/** Thrown for a line that means nothing, or nothing for this lifter; it says where and what would be right. */
public final class NotationException extends RuntimeException {
  private static final long serialVersionUID = 1;

  private final transient List<Problem> problems;

  /** What is wrong, at least one thing, each with its place. */
  public NotationException(List<Problem> problems) {
    super(problems.get(0).message());
    this.problems = List.copyOf(problems);
  }

  /** At least one problem, in the order of the text. */
  public List<Problem> problems() {
    return problems;
  }
}

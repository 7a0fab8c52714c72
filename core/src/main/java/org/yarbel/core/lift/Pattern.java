package org.yarbel.core.lift;

/** The movement pattern of a lift: what the body does, whatever it holds. */
public enum Pattern {
  SQUAT("squat"),
  HINGE("hinge"),
  SINGLE_LEG("single leg"),
  HORIZONTAL_PRESS("horizontal press"),
  VERTICAL_PRESS("vertical press"),
  HORIZONTAL_PULL("horizontal pull"),
  VERTICAL_PULL("vertical pull"),
  ARMS("arms"),
  TRUNK("trunk"),
  CARRY("carry"),
  LOADING("loading to a height"),
  HOLD("hold"),
  THROW("throw"),
  DRAG("push or drag"),
  JUMP("jump");

  private final String word;

  Pattern(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code horizontal press}. */
  public String word() {
    return word;
  }
}

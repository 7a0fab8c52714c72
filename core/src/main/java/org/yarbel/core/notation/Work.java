package org.yarbel.core.notation;

/** What kind of work a part is. */
public sealed interface Work {
  /** Calls the method of this kind. */
  <R> R accept(Visitor<R> visitor);

  /** One method a kind of work. */
  interface Visitor<R> {
    R sets(SetsOfReps work);
  }

  /**
   * So many sets of so many reps: {@code 5x5}, {@code 3x8-10}, {@code 3x5+}, {@code 2xAMRAP}.
   *
   * @param sets 1 to 50
   */
  record SetsOfReps(int sets, Reps reps) implements Work {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.sets(this);
    }

    @Override
    public String toString() {
      return sets + "x" + reps;
    }
  }
}

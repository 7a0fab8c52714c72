package org.yarbel.core.notation;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The reps of a set: so many, a range, a minimum with an open end, or open. From 1 to 100. */
public sealed interface Reps {
  /** The least that is asked: the number, the lower end, the minimum; null when open. */
  @Nullable Integer least();

  /** The upper end of a range, else null. */
  default @Nullable Integer most() {
    return null;
  }

  /** The number a load is worked out for: the middle of a range; empty when open. */
  OptionalDouble middle();

  /** Exactly so many. */
  record Exactly(int count) implements Reps {
    @Override
    public Integer least() {
      return count;
    }

    @Override
    public OptionalDouble middle() {
      return OptionalDouble.of(count);
    }

    @Override
    public String toString() {
      return Integer.toString(count);
    }
  }

  /** From so many to so many. */
  record Between(int from, int to) implements Reps {
    @Override
    public Integer least() {
      return from;
    }

    @Override
    public Integer most() {
      return to;
    }

    @Override
    public OptionalDouble middle() {
      return OptionalDouble.of((from + to) / 2.0);
    }

    @Override
    public String toString() {
      return from + "-" + to;
    }
  }

  /** So many in every set, and in the last as many good ones as possible. */
  record AtLeast(int count) implements Reps {
    @Override
    public Integer least() {
      return count;
    }

    @Override
    public OptionalDouble middle() {
      return OptionalDouble.of(count);
    }

    @Override
    public String toString() {
      return count + "+";
    }
  }

  /** As many good reps as possible in every set. */
  record Open() implements Reps {
    @Override
    public @Nullable Integer least() {
      return null;
    }

    @Override
    public OptionalDouble middle() {
      return OptionalDouble.empty();
    }

    @Override
    public String toString() {
      return "AMRAP";
    }
  }
}

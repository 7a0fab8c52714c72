package org.yarbel.core.notation;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;

/** How hard a set should be: {@code @8}, {@code @7-8}. */
public record RpeTarget(Rpe from, @Nullable Rpe to) {
  /** The middle of a range, which the load is worked out for. */
  public double middle() {
    return to == null ? from.value() : (from.value() + to.value()) / 2;
  }

  @Override
  public String toString() {
    return "@" + from + (to == null ? "" : "-" + to);
  }
}

package org.yarbel.core.contest;

import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * One attempt of a lift.
 *
 * @param number from 1
 * @param changed how often it was changed after it was handed in
 * @param verdict what came of it; null while it is to come
 */
public record Attempt(int number, Mass load, int changed, @Nullable Verdict verdict) {

  public static Attempt of(int number, Mass load, Verdict verdict) {
    return new Attempt(number, load, 0, verdict);
  }

  public boolean good() {
    return verdict != null && verdict.good();
  }

  public boolean missed() {
    return verdict != null && !verdict.good();
  }
}

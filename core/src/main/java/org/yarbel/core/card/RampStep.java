package org.yarbel.core.card;

import java.util.List;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;

/** One step of the warm-up. */
public record RampStep(Loading loading, int reps) {
  /** What is lifted, bar and plates. */
  public Mass load() {
    return loading.total();
  }

  /** The plates of one side, the heaviest first. */
  public List<Mass> perSide() {
    return loading.perSide();
  }
}

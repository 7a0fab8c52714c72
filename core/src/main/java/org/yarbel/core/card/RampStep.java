package org.yarbel.core.card;

import java.util.List;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;

/** One step of the warm-up. */
public record RampStep(Loading loading, int reps) {
  public Mass load() {
    return loading.total();
  }

  public List<Mass> perSide() {
    return loading.perSide();
  }
}

package org.yarbel.web.log;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The figures of a logged set alone, for pages that look back on many. */
public record Lifted(long sessionId, UUID line, int part, int setNumber, long loadNg, MassUnit unit, int reps,
    @Nullable Integer rpeHalves) {
  /** The set as the resolver sees it. */
  public LoggedSet set() {
    return new LoggedSet(part, setNumber, Mass.ofNanograms(loadNg, unit), reps, rpeHalves == null ? null : new Rpe(rpeHalves));
  }
}

package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What a call to resolve a line of work may say. */
record ResolveRequest(
    @Nullable String unit,
    @Nullable String work,
    @Nullable Maxes maxes,
    @Nullable Map<String, Maxes> others,
    @Nullable String basis,
    @Nullable BigDecimal bodyMass,
    @Nullable BigDecimal bar,
    @Nullable BigDecimal collars,
    @Nullable List<KitReader.PlateSize> plates,
    @Nullable String curve,
    @Nullable String level,
    @Nullable String lift,
    @Nullable Boolean partial,
    @Nullable List<Logged> logged,
    @Nullable Boolean ramp) {
  /** The numbers of a lift; any may be missing. */
  record Maxes(@Nullable BigDecimal tested, @Nullable BigDecimal estimated, @Nullable BigDecimal training,
      @Nullable BigDecimal goal) {}

  /** A set that was done; part and set from 1, both or neither. */
  record Logged(@Nullable Integer part, @Nullable Integer set, @Nullable BigDecimal load, @Nullable Integer reps,
      @Nullable BigDecimal rpe) {}
}

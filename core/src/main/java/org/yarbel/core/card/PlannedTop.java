package org.yarbel.core.card;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/** The set of a line, as planned, that back-offs hang on. */
final class PlannedTop {
  private PlannedTop() {}

  /** The first part that hangs on a set before it, from 1; 0 where none does. */
  static int firstBackOff(List<Part> parts) {
    for (int i = 0; i < parts.size(); i++) {
      if (hangs(parts.get(i))) {
        return i + 1;
      }
    }
    return 0;
  }

  /** Whether the loads of a part hang on a set before it. */
  static boolean hangs(Part part) {
    Load load = part.load();
    return load != null && load.needsTop();
  }

  /** The heaviest set before a part, the first of equally heavy ones; warm-ups never count. */
  static Optional<ResolvedSet> before(List<ResolvedSet> planned, int part) {
    return planned.stream().filter(set -> set.part() < part && set.role() != Role.WARM && set.load() != null)
        .reduce((one, next) -> Objects.requireNonNull(next.load()).compareTo(Objects.requireNonNull(one.load())) > 0 ? next : one);
  }
}

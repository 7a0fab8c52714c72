package org.yarbel.core.card;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.RpeTarget;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;

/**
 * Which sets nobody needs to do any more: a build-up that has reached its RPE has ended, and so has work that is repeated until
 * an RPE. Common practice, no source.
 */
public final class Ended {
  private Ended() {}

  /** The RPE that ends a part once a set of it is rated so; empty where none does. */
  public static OptionalDouble rpe(Part part) {
    RpeTarget target = part.rpe();
    if (part.work() instanceof Work.Build && target != null) {
      return OptionalDouble.of(target.middle());
    }
    Optional<Rpe> until = part.option(Option.Until.class).map(Option.Until::rpe);
    return until.isPresent() ? OptionalDouble.of(until.get().value()) : OptionalDouble.empty();
  }

  /** The sets of a line that are not needed any more after what was logged of it. */
  public static Set<LoggedSet.Place> needless(WorkLine line, Collection<LoggedSet> logged) {
    Set<LoggedSet.Place> needless = new HashSet<>();
    List<LoggedSet.Place> places = LoggedSet.places(line);
    for (int number = 1; number <= line.parts().size(); number++) {
      int part = number;
      OptionalDouble end = rpe(line.parts().get(part - 1));
      boolean over = end.isPresent() && logged.stream().anyMatch(set -> set.part() == part && set.rpe() != null
          && set.rpe().value() >= end.getAsDouble());
      if (over) {
        places.stream().filter(place -> place.part() == part).forEach(needless::add);
      }
    }
    logged.forEach(set -> needless.remove(set.place()));
    return needless;
  }
}

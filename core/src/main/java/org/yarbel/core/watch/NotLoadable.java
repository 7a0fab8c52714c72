package org.yarbel.core.watch;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.plan.CountedSet;

/** A written load that nothing here makes. */
final class NotLoadable implements Check {
  @Override
  public String key() {
    return "not-loadable";
  }

  @Override
  public String title() {
    return "a load no plates make";
  }

  @Override
  public String source() {
    return OURS;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    return Check.inParts(week, this::look);
  }

  private Optional<Finding> look(WatchedLine line, int index) {
    Part part = line.work().parts().get(index);
    if (!(part.load() instanceof Load.OfMass written)) {
      return Optional.empty();
    }
    return line.counted().sets().stream().map(CountedSet::set).filter(set -> set.part() == index + 1 && set.load() != null && !set.logged())
        .findFirst()
        .filter(set -> !Objects.requireNonNull(set.load()).hits(written.mass()))
        .map(set -> at(Severity.DOUBT, line.counted(), "Nothing here makes " + written.mass()
            .text() + ": " + Objects.requireNonNull(set.load()).text() + " is the nearest.",
            new Finding.Mend(Words.with(line.work(), index, new Part(part.work(), new Load.OfMass(set.load()), part.rpe(), part.options())),
                set.load().text() + " in place of " + written.mass().text())));
  }
}

package org.yarbel.core.watch;

import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.card.Singles;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.WorkKind;
import org.yarbel.core.plan.CountedSet;

/** Clusters as heavy as those whose round came short last time: 5 % lighter is what the method would write. */
final class ClusterTooHeavy implements Check {
  private static final int REMEMBERED_DAYS = 42;

  @Override
  public String key() {
    return "cluster-too-heavy";
  }

  @Override
  public String title() {
    return "clusters after a round that came short";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    return Check.inParts(week, (line, index) -> {
      Around.ShortCluster last = week.around().clusters().get(line.counted().lift().key());
      Part part = line.work().parts().get(index);
      boolean asked = last != null && part.work().kind() == WorkKind.CLUSTER && !line.byMethod() && !line.counted().begun()
          && last.day().isBefore(line.counted().day()) && ChronoUnit.DAYS.between(last.day(), line.counted().day()) <= REMEMBERED_DAYS;
      return asked ? look(line, index, part, last) : Optional.empty();
    });
  }

  private Optional<Finding> look(WatchedLine line, int index, Part part, Around.ShortCluster last) {
    Mass lighter = Singles.lighter(last.load());
    Optional<Mass> planned = line.counted().sets().stream().map(CountedSet::set).filter(set -> set.part() == index + 1)
        .map(set -> set.load())
        .filter(Objects::nonNull).max(Comparator.naturalOrder());
    if (planned.isEmpty() || planned.get().nanograms() <= lighter.nanograms() + Mass.of(lighter.unit().usualStep(), lighter.unit())
        .nanograms() / 2) {
      return Optional.empty();
    }
    Mass load = Mass.of(lighter.amountIn(lighter.unit(), 1), lighter.unit());
    return Optional.of(at(Severity.NOTE, line.counted(), "On " + Words.day(last.day()) + ", " + last.day() + ", a round at "
        + last.load().text() + " had "
        + Count.of(last.singles(), "single") + ": under four it is 5 % lighter next time.",
        new Finding.Mend(Words.with(line.work(), index, new Part(part.work(), new Load.OfMass(load), part.rpe(), part.options())),
            load.text() + " in place of "
            + planned.get().text())));
  }
}

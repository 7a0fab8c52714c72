package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.CountedLine;

/** A load that is a first milestone. */
final class Milestone implements Check {
  private static final int[] KG = {100, 140, 180, 200, 220, 250, 300, 350, 400, 450, 500};
  private static final int[] LB = {135, 225, 315, 405, 495, 585, 675};
  private static final double WINDOW = 0.006;
  private static final double AROUND = 1.025;

  @Override
  public String key() {
    return "milestone";
  }

  @Override
  public String title() {
    return "a first milestone";
  }

  @Override
  public String source() {
    return PRACTICE;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    Set<String> said = new HashSet<>();
    for (WatchedLine line : week.lines()) {
      CountedLine counted = line.counted();
      Mass ever = week.athlete().heaviest().get(counted.lift().key());
      Optional<Mass> top = counted.work().stream().map(set -> set.set().load()).filter(Objects::nonNull).max(Comparator.naturalOrder());
      if (counted.lift().powerlift() && ever != null && top.isPresent() && top.get().compareTo(ever) > 0) {
        first(top.get(), ever).filter(mark -> said.add(counted.lift().key() + mark)).ifPresent(mark ->
            findings.add(at(Severity.NOTE, counted, top.get().text() + " is the first time at " + mark
                + ". Round numbers unsettle some: the way around goes from just under to about "
                + Words.number(Math.round(mark * AROUND / top.get().unit().usualStep().doubleValue()) * top.get().unit().usualStep()
                    .doubleValue()) + " " + top.get().unit() + ".", null)));
      }
    }
    return findings;
  }

  private static Optional<Integer> first(Mass load, Mass ever) {
    for (int mark : load.unit() == MassUnit.KG ? KG : LB) {
      double amount = load.amountIn(load.unit(), 2).doubleValue();
      if (Math.abs(amount - mark) <= WINDOW * mark && ever.amountIn(load.unit(), 2).doubleValue() < mark) {
        return Optional.of(mark);
      }
    }
    return Optional.empty();
  }
}

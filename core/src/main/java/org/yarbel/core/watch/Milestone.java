package org.yarbel.core.watch;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.plan.CountedLine;

/** A load that is a first milestone. */
final class Milestone implements Check {
  private static final int[] KG = {100, 140, 180, 200, 220, 250, 300, 350, 400, 450, 500};
  private static final int[] LB = {135, 225, 315, 405, 495, 585, 675};
  private static final double WINDOW = 0.006;

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
                + ". Round numbers unsettle some: the way around goes from just under to just over, " + under(mark, top.get())
                .number() + " and then "
                + over(mark, top.get()).text() + ".", mend(line, top.get(), ever.compareTo(under(mark, top.get())) >= 0
                    ? over(mark, top.get()) : under(mark, top
                    .get())))));
      }
    }
    return findings;
  }

  /** A step under the mark, in the unit of the load. */
  private static Mass under(int mark, Mass like) {
    return Mass.of(BigDecimal.valueOf(mark).subtract(like.unit().usualStep()), like.unit());
  }

  private static Mass over(int mark, Mass like) {
    return Mass.of(BigDecimal.valueOf(mark).add(like.unit().usualStep()), like.unit());
  }

  /** The first part that comes to the load, with another one in its place; null where the load is not written. */
  private static Finding.@Nullable Mend mend(WatchedLine line, Mass load, Mass around) {
    for (int i = 0; i < line.work().parts().size(); i++) {
      Part part = line.work().parts().get(i);
      int number = i + 1;
      boolean written = part.load() instanceof Load.OfMass || part.load() instanceof Load.Percent percent && percent.to() == null;
      boolean lands = line.counted().sets().stream().anyMatch(set -> set.set().part() == number && load.equals(set.set().load()));
      if (written && lands && !part.changesLoadOnTheWay()) {
        return new Finding.Mend(Words.with(line.work(), i, new Part(part.work(), new Load.OfMass(around), part.rpe(),
            part.options())), around.text()
            + " in place of " + load.text());
      }
    }
    return null;
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

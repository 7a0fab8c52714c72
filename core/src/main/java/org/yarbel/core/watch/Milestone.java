package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.plan.CountedLine;

/** A load that is a first milestone. */
final class Milestone implements Check {
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
        OptionalInt mark = Milestones.first(top.get(), ever);
        if (mark.isPresent() && said.add(counted.lift().key() + mark.getAsInt())) {
          Mass under = Milestones.under(mark.getAsInt(), top.get());
          Mass over = Milestones.over(mark.getAsInt(), top.get());
          findings.add(at(Severity.NOTE, counted, top.get().text() + " is the first time at " + mark.getAsInt()
              + ". Round numbers unsettle some: the way around goes from just under to just over, " + under.number() + " and then "
              + over.text() + ".", mend(line, top.get(), Milestones.around(mark.getAsInt(), top.get(), ever))));
        }
      }
    }
    return findings;
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
}

package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.mass;

import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.SlotKind;

/** Fill the range of reps in every set, then a step. */
final class DoubleProgression implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(count("sets", "sets", 3, 1, 8), count("from", "reps from", 8, 1, 20), count("to", "reps to", 12, 2, 30), mass("load",
        "start at this load"),
        Parameter.step());
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    int from = brief.settings().count("from");
    int to = Math.max(from + 1, brief.settings().count("to"));
    String sets = brief.settings().count("sets") + "x" + from + "-" + to;
    Optional<Mass> last = done.isEmpty() ? brief.settings().mass("load", brief.unit()).map(brief::near)
        : Optional.of(done.get(done.size() - 1).load());
    if (last.isEmpty()) {
      return line(brief, sets).ahead(ahead).saying("The lifter picks a load for " + from + " good reps; the rule goes on from what is logged.");
    }
    Mass load = last.get();
    int reached = from;
    if (!done.isEmpty()) {
      Done newest = done.get(done.size() - 1);
      int fewest = newest.sets().stream().mapToInt(Done.DoneSet::reps).min().orElse(from);
      load = fewest >= to ? brief.up(load, brief.step()) : load;
      reached = fewest >= to ? from : Math.max(from, fewest);
    }
    for (int i = 0; i < ahead; i++) {
      reached++;
      if (reached > to) {
        load = brief.up(load, brief.step());
        reached = from;
      }
    }
    return line(brief, sets + " " + Brief.written(load)).ahead(ahead);
  }

  private static Exposure line(Brief brief, String work) {
    SlotKind kind = brief.lift().powerlift() ? SlotKind.MAIN : SlotKind.ASSISTANCE;
    return new Exposure(List.of(new Exposure.Line(kind, brief.lift().key(), work, null)), false, false, null, List.of());
  }
}

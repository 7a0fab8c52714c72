package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.Optional;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.plan.SlotKind;

/** Fill the range of reps in every set, then a step. */
final class DoubleProgression implements Rule {
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets", 3, 1, 8);
  private static final Parameter.Count FROM = Parameter.Count.of("from", "reps from", 8, 1, 20);
  private static final Parameter.Count TO = Parameter.Count.of("to", "reps to", 12, 2, 30);
  private static final Parameter.Loads LOAD = new Parameter.Loads("load", "start at this load");

  @Override
  public List<Parameter> parameters() {
    return List.of(SETS, FROM, TO, LOAD, Parameter.Loads.STEP);
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    int from = brief.settings().get(FROM);
    int to = Math.max(from + 1, brief.settings().get(TO));
    PartOf sets = PartOf.between(brief.settings().get(SETS), from, to);
    Optional<Mass> last = done.isEmpty() ? brief.settings().get(LOAD, brief.unit()).map(brief::near)
        : Optional.of(done.get(done.size() - 1).load());
    if (last.isEmpty()) {
      return line(brief, sets).ahead(ahead).saying("The lifter picks a load for " + from
          + " good reps; the rule goes on from what is logged.");
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
    return line(brief, sets.mass(load)).ahead(ahead);
  }

  private static Exposure line(Brief brief, PartOf work) {
    SlotKind kind = brief.lift().powerlift() ? SlotKind.MAIN : SlotKind.ASSISTANCE;
    return new Exposure(List.of(Exposure.Line.of(kind, brief.lift().key(), work)), false, false, null, List.of());
  }
}

package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.PartOf;

/** A step more whenever the minimum was made; a miss is repeated, the third in a row takes a tenth off. */
final class NoviceLinear implements Rule {
  private static final Parameter.Number START = new Parameter.Number("start", "start, % of the max", "60", 30, 90);
  private static final Parameter.Count SETS = new Parameter.Count("sets", "sets (5; deadlift 1)", "", 1, 8);
  private static final Parameter.Count REPS = Parameter.Count.of("reps", "reps", 5, 3, 8);
  private static final Parameter.Count MISSES = Parameter.Count.of("misses", "misses in a row before the reset", 3, 1, 5);
  private static final Parameter.Number RESET = new Parameter.Number("reset", "reset, % off", "10", 5, 25);

  private static final int STALL_FROM_WEEK = 4;
  private static final int PAYS_FOR_WEEKS = 6;

  @Override
  public List<Parameter> parameters() {
    return List.of(START, Parameter.Loads.START, SETS, REPS, Parameter.Loads.STEP, MISSES, RESET);
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Optional<String> leaving(long weeks) {
    return weeks >= PAYS_FOR_WEEKS ? Optional.empty()
        : Optional.of("After " + Count.of(weeks, "week") + ": a straight line mostly pays for six to eight weeks at least. "
            + "What speaks against going on?");
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    Optional<Mass> start = brief.start(START);
    if (start.isEmpty() && done.isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Mass step = brief.lift().movement() == Movement.DEADLIFT ? brief.step().times(2) : brief.step();
    Mass load = done.isEmpty() ? start.orElseThrow() : done.get(0).load();
    int misses = 0;
    for (Done exposure : done) {
      load = exposure.load();
      misses = exposure.minimumMade() ? 0 : misses + 1;
      if (misses == 0) {
        load = brief.up(load, step);
      } else if (misses >= brief.settings().get(MISSES)) {
        load = brief.near(load.scaled(1 - brief.settings().get(RESET) / 100));
        misses = 0;
      }
    }
    for (int i = 0; i < ahead; i++) {
      load = brief.up(load, step);
    }
    int usual = brief.lift().movement() == Movement.DEADLIFT ? 1 : 5;
    int sets = brief.settings().has(SETS) ? brief.settings().get(SETS) : usual;
    return Exposure.of(brief, PartOf.plus(sets, brief.settings().get(REPS)).mass(load)).ahead(ahead)
        .saying(remarks(brief, done, load, number, ahead));
  }

  private static List<String> remarks(Brief brief, List<Done> done, Mass load, int number, int ahead) {
    List<String> remarks = new ArrayList<>();
    done.stream().filter(exposure -> exposure.load().hits(load)).mapToInt(exposure -> exposure.last().reps()).max()
        .ifPresent(best -> remarks.add("The mark to beat at " + load.text() + ": " + Count.of(best, "rep") + " in the last set."));
    if (ahead > 0 && brief.week(number) >= STALL_FROM_WEEK) {
      remarks.add("A straight line is a forecast: from the fifth week on a stall is likely.");
    }
    return remarks;
  }
}

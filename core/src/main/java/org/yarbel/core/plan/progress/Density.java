package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;

/** As many singles as go in the time; the same load until the goal is made, then a step. Six weeks long. */
final class Density implements Rule {
  private static final Parameter.Number START = new Parameter.Number("start", "start, % of the max", "90", 75, 95);
  private static final Parameter.Count GOAL = Parameter.Count.of("goal", "singles", 10, 4, 30);
  private static final Parameter.Count MINUTES = Parameter.Count.of("minutes", "minutes", 10, 4, 30);

  @Override
  public List<Parameter> parameters() {
    return List.of(START, GOAL, MINUTES, Parameter.Loads.STEP);
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    if (brief.max().isEmpty() && done.isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    if (brief.week(number) >= Cluster.WEEKS) {
      return Exposure.none("Six weeks of singles against the clock are over: go on with another method.");
    }
    PartOf work = PartOf.of(new Work.Density(brief.settings().get(GOAL))).percent(brief.settings().get(START));
    if (!done.isEmpty()) {
      Done last = done.get(done.size() - 1);
      Mass next = last.last().reps() >= brief.settings().get(GOAL) ? brief.up(last.load(), brief.step()) : last.load();
      work.mass(next);
    }
    return Exposure.of(brief, work.with(new Option.In(60 * brief.settings().get(MINUTES)))).ahead(ahead);
  }
}

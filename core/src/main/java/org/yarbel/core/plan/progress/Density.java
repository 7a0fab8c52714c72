package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.mass.Mass;

/** As many singles as go in the time; the same load until the goal is made, then a step. Six weeks long. */
final class Density implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(number("start", "start, % of the max", "90", 75, 95), count("goal", "singles", 10, 4, 30), count("minutes", "minutes",
        10, 4, 30), Parameter.step());
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
    String load = Percents.text(brief.settings().number("start")) + "%";
    if (!done.isEmpty()) {
      Done last = done.get(done.size() - 1);
      Mass next = last.last().reps() >= brief.settings().count("goal") ? brief.up(last.load(), brief.step()) : last.load();
      load = Brief.written(next);
    }
    return Exposure.of(brief, "density " + brief.settings().count("goal") + " " + load + " in " + brief.settings().count("minutes") + ":00")
        .ahead(ahead);
  }
}

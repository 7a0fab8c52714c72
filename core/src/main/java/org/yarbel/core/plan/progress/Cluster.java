package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.card.Singles;
import org.yarbel.core.mass.Mass;

/** Rounds of heavy singles with short gaps, six weeks long. */
final class Cluster implements Rule {
  static final int WEEKS = 6;

  @Override
  public List<Parameter> parameters() {
    return List.of(number("start", "start, % of the max", "93", 80, 97), count("rounds", "rounds", 3, 1, 6), count("singles",
        "singles of a round", 6, 4, 8),
        count("gap", "s between singles", 20, 5, 60), Parameter.step());
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
    if (brief.week(number) >= WEEKS) {
      return Exposure.none("Six weeks of clusters are over: go on with another method.");
    }
    String load = Percents.text(brief.settings().number("start")) + "%";
    if (!done.isEmpty()) {
      Done last = done.get(done.size() - 1);
      boolean few = last.sets().stream().anyMatch(set -> set.reps() < Singles.FEW_IN_A_ROUND);
      Mass next = few ? brief.near(Singles.lighter(last.load())) : last.minimumMade() ? brief.up(last.load(), brief.step()) : last.load();
      load = Brief.written(next);
    }
    return Exposure.of(brief, "cluster " + brief.settings().count("rounds") + "x" + brief.settings().count("singles") + " " + load
        + " gap " + brief.settings().count("gap") + "s rest 4:00").ahead(ahead);
  }
}

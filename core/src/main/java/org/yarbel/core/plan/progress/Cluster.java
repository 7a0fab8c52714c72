package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.card.Singles;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;

/** Rounds of heavy singles with short gaps, six weeks long. */
final class Cluster implements Rule {
  private static final Parameter.Number START = new Parameter.Number("start", "start, % of the max", "93", 80, 97);
  private static final Parameter.Count ROUNDS = Parameter.Count.of("rounds", "rounds", 3, 1, 6);
  private static final Parameter.Count SINGLES = Parameter.Count.of("singles", "singles of a round", 6, 4, 8);
  private static final Parameter.Count GAP = Parameter.Count.of("gap", "s between singles", 20, 5, 60);

  static final int WEEKS = 6;
  private static final int REST = 240;

  @Override
  public List<Parameter> parameters() {
    return List.of(START, ROUNDS, SINGLES, GAP, Parameter.Loads.STEP);
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
    PartOf work = PartOf.of(new Work.Cluster(brief.settings().get(ROUNDS), brief.settings().get(SINGLES)));
    work.percent(brief.settings().get(START));
    if (!done.isEmpty()) {
      work.mass(next(brief, done.get(done.size() - 1)));
    }
    return Exposure.of(brief, work.with(new Option.Gap(brief.settings().get(GAP))).with(new Option.Rest(REST))).ahead(ahead);
  }

  private static Mass next(Brief brief, Done last) {
    if (last.sets().stream().anyMatch(set -> set.reps() < Singles.FEW_IN_A_ROUND)) {
      return brief.near(Singles.lighter(last.load()));
    }
    return last.minimumMade() ? brief.up(last.load(), brief.step()) : last.load();
  }
}

package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.mass;
import static org.yarbel.core.plan.progress.Parameter.number;
import static org.yarbel.core.plan.progress.Parameter.numbers;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/** The load steps up, sets step down as reps are lost; when the single set fails, fewer reps from full sets. */
final class Ladder implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(numbers("tiers", "reps of the tiers", "8,5,3", 1, 20), count("sets", "full sets", 3, 1, 8), number("start",
        "start, % of the max", "70", 30, 95),
        mass("load", "or start at this load"), Parameter.step(), number("restart", "restart, % of the best single set of the first tier",
            "90", 70, 100));
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    Optional<Mass> start = brief.start();
    if (start.isEmpty() && done.isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Rung rung = new Rung(brief, done.isEmpty() ? start.orElseThrow() : done.get(0).load());
    done.forEach(rung::climb);
    for (int i = 0; i < ahead; i++) {
      rung.load = brief.up(rung.load, brief.step());
    }
    return Exposure.of(brief, rung.sets + "x" + rung.reps() + " " + Brief.written(rung.load)).ahead(ahead);
  }

  /** Where on the ladder the lifter stands. */
  private static final class Rung {
    private final Brief brief;
    private final List<Double> tiers;
    private final int full;
    private int tier;
    private int sets;
    private Mass load;
    private @Nullable Mass bestSingle;

    Rung(Brief brief, Mass load) {
      this.brief = brief;
      this.tiers = brief.settings().numbers("tiers");
      this.full = brief.settings().count("sets");
      this.sets = full;
      this.load = load;
    }

    int reps() {
      return tiers.get(tier).intValue();
    }

    void climb(Done done) {
      load = done.load();
      if (tier == 0 && sets == 1 && done.minimumMade() && (bestSingle == null || load.compareTo(bestSingle) > 0)) {
        bestSingle = load;
      }
      if (done.minimumMade()) {
        load = brief.up(load, brief.step());
      } else if (sets == 1) {
        nextTier();
      } else if (done.missedSets() == 1 && done.last().missed()) {
        sets--;
        load = brief.up(load, brief.step());
      }
    }

    private void nextTier() {
      sets = full;
      tier++;
      if (tier == tiers.size()) {
        tier = 0;
        Mass best = bestSingle == null ? load : bestSingle;
        load = brief.near(best.scaled(brief.settings().number("restart") / 100));
        bestSingle = null;
      }
    }
  }
}

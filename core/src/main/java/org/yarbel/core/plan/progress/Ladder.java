package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.PartOf;

/** The load steps up, sets step down as reps are lost; when the single set fails, fewer reps from full sets. */
final class Ladder implements Rule {
  private static final Parameter.Numbers TIERS = new Parameter.Numbers("tiers", "reps of the tiers", "8,5,3", 1, 20);
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "full sets", 3, 1, 8);
  private static final Parameter.Number START = new Parameter.Number("start", "start, % of the max", "70", 30, 95);
  private static final Parameter.Number RESTART = new Parameter.Number("restart",
      "restart, % of the best single set of the first tier", "90", 70, 100);

  @Override
  public List<Parameter> parameters() {
    return List.of(TIERS, SETS, START, Parameter.Loads.START, Parameter.Loads.STEP, RESTART);
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> all, int number, int ahead) {
    List<Done> done = Done.counting(all);
    Optional<Mass> start = brief.start(START);
    if (start.isEmpty() && done.isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    Rung rung = new Rung(brief, done.isEmpty() ? start.orElseThrow() : done.get(0).load());
    done.forEach(rung::climb);
    for (int i = 0; i < ahead; i++) {
      rung.load = brief.up(rung.load, brief.step());
    }
    return Exposure.of(brief, PartOf.sets(rung.sets, rung.reps()).mass(rung.load)).ahead(ahead);
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
      this.tiers = brief.settings().get(TIERS);
      this.full = brief.settings().get(SETS);
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
        load = brief.near(best.scaled(brief.settings().get(RESTART) / 100));
        bestSingle = null;
      }
    }
  }
}

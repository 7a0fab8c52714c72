package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.sim.GeneratedLines;

/** What holds of any line for any lifter, whatever was logged. */
class ResolvedLinesTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Loadables LB = Loadables.of(Kit.standard(MassUnit.LB));

  private final RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(2026);

  @Test
  void anyLineResolvesToLoadsThatCanBePutOnOrSaysWhereItCannot() {
    int resolved = 0;
    for (int i = 0; i < 4_000; i++) {
      ParsedLine line = WorkLine.parse(GeneratedLines.line(random).toString());
      Loadables loadables = random.nextBoolean() ? KG : LB;
      Resolver.Request request = request(line, loadables);
      String name = line.line() + " of " + request.numbers();
      try {
        assertHolds(Resolver.resolve(request), line.line(), loadables, name);
        resolved++;
      } catch (NotationException refused) {
        assertThat(refused.problems()).as(name).allSatisfy(problem -> {
          assertThat(problem.message()).isNotBlank();
          assertThat(problem.to()).isBetween(problem.from(), line.line().toString().length());
        });
      }
    }
    assertThat(resolved).as("lines that resolved, of 4000").isGreaterThan(1_000);
  }

  private Resolver.Request request(ParsedLine line, Loadables loadables) {
    MaxNumbers numbers = new MaxNumbers(maybe("180"), maybe("190"), maybe("170"), maybe("205"));
    List<LoggedSet> logged = new ArrayList<>();
    for (LoggedSet.Place place : LoggedSet.places(line.line())) {
      if (random.nextInt(3) == 0 && logged.size() < 8) {
        logged.add(new LoggedSet(place.part(), place.set(), Mass.of(Integer.toString(20 + random.nextInt(200)), MassUnit.KG),
            random.nextInt(8), random.nextBoolean() ? null : new Rpe(12 + random.nextInt(9))));
      }
    }
    return new Resolver.Request(line, Basis.values()[random.nextInt(4)], numbers, Map.of("front-squat", numbers), maybe("92"),
        loadables, MassUnit.KG, EffortChart.HOUSE, Movement.values()[random.nextInt(5)], false, logged, WarmUp.SHRINKING, null);
  }

  private Mass maybe(String kilograms) {
    return random.nextInt(4) == 0 ? null : Mass.of(kilograms, MassUnit.KG);
  }

  private static void assertHolds(ResolvedLine resolved, WorkLine line, Loadables loadables, String name) {
    assertThat(resolved.notation()).isEqualTo(line.toString());
    assertThat(resolved.sets()).as(name).hasSameSizeAs(LoggedSet.places(line));
    for (ResolvedSet set : resolved.sets()) {
      if (set.perSide() != null) {
        Mass total = loadables.kit().empty();
        for (Mass plate : set.perSide()) {
          total = total.plus(plate.times(2));
        }
        assertThat(total.hits(set.load())).as("%s: plates of %s", name, set.place()).isTrue();
      }
      if (set.exactFrom() != null) {
        assertThat(set.exact()).as(name).isBetween(set.exactFrom(), set.exactTo());
      }
      assertThat(set.role()).as(name).isNotNull();
    }
    for (int i = 1; i < resolved.ramp().size(); i++) {
      assertThat(resolved.ramp().get(i).load()).as(name).isGreaterThan(resolved.ramp().get(i - 1).load());
      assertThat(resolved.ramp().get(i).reps()).as(name).isLessThanOrEqualTo(resolved.ramp().get(i - 1).reps());
    }
  }

  @Test
  void looksBackOnWhatWasDoneWithoutWorkingAnythingOutAnew() {
    MaxNumbers numbers = new MaxNumbers(null, Mass.of("200", MassUnit.KG), null, null);
    ResolvedLine planned = Resolver.resolve(new Resolver.Request(WorkLine.parse("1x1 @8; 3x4 -15%"), Basis.ESTIMATED, numbers,
        Map.of(), null, KG, MassUnit.KG, EffortChart.HOUSE, Movement.SQUAT, false, List.of(), null, null));
    ResolvedLine done = planned.with(List.of(new LoggedSet(1, 1, Mass.of("190", MassUnit.KG), 1, Rpe.of(9)),
        new LoggedSet(2, 1, Mass.of("150", MassUnit.KG), 3, null)));
    assertThat(done.sets()).extracting(set -> set.load().text() + (set.logged() ? " done" : "")).containsExactly(
        "190 kg done", "150 kg done", planned.sets().get(2).load().text(), planned.sets().get(3).load().text());
    assertThat(done.sets().get(0).exact()).as("what was asked stands beside").isEqualTo(planned.sets().get(0).exact());
    assertThat(done.onlyDone().sets()).hasSize(2);
    assertThat(planned.with(List.of())).isSameAs(planned);
  }
}

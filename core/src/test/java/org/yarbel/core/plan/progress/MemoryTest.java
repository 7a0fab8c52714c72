package org.yarbel.core.plan.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** What rules with memory make of a log. The rules are the handbook's, our own from common practice. */
class MemoryTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final Loadables LOADABLES = Loadables.of(Kit.standard(MassUnit.KG));

  private static Brief brief(Method method, String lift, String max, Map<String, String> settings) {
    Lift of = LIFTS.ofKey(lift).orElseThrow();
    Mass estimated = Mass.of(max, MassUnit.KG);
    MaxNumbers numbers = new MaxNumbers(estimated, estimated, MaxNumbers.trainingFrom(estimated), estimated.scaled(1.05));
    return new Brief(of, MassUnit.KG, numbers, EffortChart.HOUSE, LOADABLES, Settings.check(method, settings, LIFTS).settings(), 1, LIFTS);
  }

  /** {@code 100: 8 8 7} is sets of 100 kg with those reps. */
  private static Done done(int number, String lift, int asked, String text) {
    String[] both = text.split(":");
    Mass load = Mass.of(both[0].strip(), MassUnit.KG);
    return new Done(number, lift, Arrays.stream(both[1].strip().split(" "))
        .map(reps -> new Done.DoneSet(1, load, Integer.parseInt(reps), asked, false)).toList());
  }

  private static String next(Method method, Brief brief, List<Done> done) {
    return method.rule().write(brief, done, done.size(), 0).lines().get(0).work().toString();
  }

  /** {@code 62.5: 5 5 3} of five sets of five, with the last flagged where a star stands behind. */
  private static List<Done> novice(String... logs) {
    List<Done> done = new ArrayList<>();
    for (String log : logs) {
      boolean flagged = log.endsWith("*");
      String[] both = log.replace("*", "").split(":");
      List<Integer> reps = Arrays.stream(both[1].strip().split(" ")).map(Integer::valueOf).toList();
      done.add(new Done(done.size(), "squat",
          reps.stream().map(r -> new Done.DoneSet(1, Mass.of(both[0], MassUnit.KG), r, 5, false, flagged)).toList(),
          reps.size() < 5 ? Done.Aside.CUT : null, null));
    }
    return done;
  }

  // Common practice, no source: a missed session on a bad day is no reason to lower a load; how often is our own default
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      // the third miss running takes a tenth off, 56.25
      "60: 5 5 5 5 5, 62.5: 5 5 3 5 3, 62.5: 5 5 3 5 3, 62.5: 5 5 3 5 3    | 55kg",
      "60: 5 5 5 5 5, 62.5: 5 5 3 5 3*                                     | 62.5kg",
      "60: 5 5 5 5 5, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3*                   | 62.5kg",
      "60: 5 5 5 5 5, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3* | 62.5kg",
      // the third flagged one counts, so that these are three misses
      "60: 5 5 5 5 5, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3*, 62.5: 5 5 3 5 3, 62.5: 5 5 3 5 3 | 55kg",
      "62.5: 5 5 5 5 5*                                                    | 65kg",
      "60: 5 5 5 5 5, 62.5: 5 5                                            | 62.5kg",
      "62.5: 5 5 5 5 5                                                     | 65kg",
      // nothing that counts: it begins where it began, at 60 % of the max
      "60: 5 5 3*                                                          | 60kg",
  })
  void whatWasOffOrCutShortIsRepeated(String logs, String load) {
    List<Done> done = novice(logs.split(", "));
    Exposure next = Method.NOVICE_LINEAR.rule().next(brief(Method.NOVICE_LINEAR, "squat", "100", Map.of()), done, done.size(), 0);
    assertThat(next.lines().get(0).work().toString()).endsWith(load);
    boolean aside = Done.marked(done).get(done.size() - 1).setAside() != null;
    assertThat(next.remarks().stream().anyMatch(said -> said.startsWith("The last one: "))).as("says why").isEqualTo(aside);
  }

  // Handbook, step-down ladder: a step up when all were made; lost on the last set, one set fewer and a step; lost earlier or
  // on two sets, the same again; the single set fails, the next tier from full sets
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "100: 8 8 8         | 3x8 102.5kg",
      "100: 9 8 10        | 3x8 102.5kg",
      "100: 8 8 7         | 2x8 102.5kg",
      "100: 8 8 0         | 2x8 102.5kg",
      "100: 8 7 8         | 3x8 100kg",
      "100: 7 8 8         | 3x8 100kg",
      "100: 8 7 7         | 3x8 100kg",
      "100: 7 7 7         | 3x8 100kg",
      "140: 8 8 8         | 3x8 142.5kg",
  })
  void climbsTheLadder(String log, String next) {
    assertThat(next(Method.LADDER, brief(Method.LADDER, "squat", "150", Map.of()), List.of(done(0, "squat", 8, log)))).isEqualTo(next);
  }

  @Test
  void stepsDownToTheNextTierWhenTheSingleSetFails() {
    Brief brief = brief(Method.LADDER, "squat", "150", Map.of());
    List<Done> done = new ArrayList<>(List.of(done(0, "squat", 8, "100: 8 8 7"), done(1, "squat", 8, "102.5: 8 7")));
    assertThat(next(Method.LADDER, brief, done)).isEqualTo("1x8 105kg");
    done.add(done(2, "squat", 8, "105: 8"));
    assertThat(next(Method.LADDER, brief, done)).isEqualTo("1x8 107.5kg");
    done.add(done(3, "squat", 8, "107.5: 7"));
    assertThat(next(Method.LADDER, brief, done)).isEqualTo("3x5 107.5kg");
  }

  @Test
  void takesTiersAndSetsFromTheSettings() {
    Brief brief = brief(Method.LADDER, "squat", "150", Map.of("tiers", "6,2", "sets", "2", "load", "90", "step", "5"));
    assertThat(next(Method.LADDER, brief, List.of())).isEqualTo("2x6 90kg");
    assertThat(next(Method.LADDER, brief, List.of(done(0, "squat", 6, "90: 6 6")))).isEqualTo("2x6 95kg");
    assertThat(next(Method.LADDER, brief, List.of(done(0, "squat", 6, "90: 6 5"), done(1, "squat", 6, "95: 5")))).isEqualTo("2x2 95kg");
  }

  // Handbook, double progression: fill the range, then a step
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "60: 8 8 8      | 3x8-12 60kg",
      "60: 12 12 11   | 3x8-12 60kg",
      "60: 12 12 12   | 3x8-12 62.5kg",
      "60: 13 12 14   | 3x8-12 62.5kg",
      "60: 6 5 4      | 3x8-12 60kg",
  })
  void fillsTheRangeFirst(String log, String next) {
    assertThat(next(Method.DOUBLE_PROGRESSION, brief(Method.DOUBLE_PROGRESSION, "row", "100", Map.of()),
        List.of(done(0, "row", 8, log)))).isEqualTo(next);
  }

  // Handbook: under 4 singles 5 % lighter next time; all made, a step
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "150: 6 6 6   | 152.5kg",
      "150: 6 6 5   | 150kg",
      "150: 4 4 4   | 150kg",
      "150: 6 6 3   | 142.5kg",
      "150: 0 0 0   | 142.5kg",
  })
  void followsTheSinglesOfAClusterRound(String log, String load) {
    assertThat(next(Method.CLUSTER, brief(Method.CLUSTER, "squat", "165", Map.of()), List.of(done(0, "squat", 6, log))))
        .isEqualTo("cluster 3x6 " + load + " gap 20s rest 4:00");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"150: 10 | 152.5kg", "150: 14 | 152.5kg", "150: 9 | 150kg", "150: 1 | 150kg"})
  void keepsTheLoadUntilTheGoalOfSinglesIsMade(String log, String load) {
    assertThat(next(Method.DENSITY, brief(Method.DENSITY, "squat", "165", Map.of()), List.of(done(0, "squat", 10, log))))
        .isEqualTo("density 10 " + load + " in 10:00");
  }

  // Handbook, novice linear: minimum made, a step; repeat a miss; the third running takes a tenth off
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "60: 5 5 5 5 5                                        | 62.5kg",
      "60: 5 5 5 5 4                                        | 60kg",
      "60: 5 5 5 5 4, 60: 5 5 5 4 4                         | 60kg",
      "60: 5 5 5 5 4, 60: 5 5 5 4 4, 60: 5 5 5 5 5          | 62.5kg",
      "60: 5 5 5 5 4, 60: 5 5 5 4 4, 60: 5 4 4 4 4          | 55kg",
      "60: 5 5 5 5 4, 60: 5 5 5 5 5, 62.5: 5 4 4 4 4        | 62.5kg",
  })
  void walksTheNoviceLine(String log, String load) {
    List<Done> done = new ArrayList<>();
    for (String exposure : log.split(",")) {
      done.add(done(done.size(), "squat", 5, exposure.strip()));
    }
    // 60 less a tenth is 54: the nearest with 2.5 kg steps is 55
    assertThat(next(Method.NOVICE_LINEAR, brief(Method.NOVICE_LINEAR, "squat", "100", Map.of()), done)).isEqualTo("5x5+ " + load);
  }

  // Handbook, plus sets: five or more over the minimum two steps, 1–4 or just made one; missed once hold, twice back to 90 %
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "7 7 8    | 113   | two steps",
      "5 4 7    | 110.5 | one step",
      "5 4 3    | 110.5 | one step",
      "9 4 2    | 108   | missed once",
      "4 4 2    | 108   | missed twice",
  })
  void movesTheTrainingMaxAfterAWave(String lastReps, String training, String why) {
    Brief brief = brief(Method.PLUS_SETS, "bench", "120", Map.of());
    String[] reps = lastReps.split(" ");
    List<Done> wave = List.of(done(0, "bench", 5, "87.5: 5 5 " + reps[0]), done(1, "bench", 4, "92.5: 4 4 " + reps[1]),
        done(2, "bench", 3, "97.5: 3 3 " + reps[2]));
    Exposure next = Method.PLUS_SETS.rule().write(brief, wave, 4, 0);
    assertThat(next.training()).isEqualTo(Mass.of(training, MassUnit.KG));
    assertThat(next.remarks().get(0)).contains(why);
  }

  @Test
  void aWaveNobodyLoggedLeavesTheTrainingMaxAlone() {
    Exposure next = Method.PLUS_SETS.rule().write(brief(Method.PLUS_SETS, "bench", "120", Map.of()), List.of(), 4, 0);
    assertThat(next.training()).isEqualTo(Mass.of("108", MassUnit.KG));
    assertThat(next.remarks().get(0)).contains("Nothing was logged of the wave before: it stays.");
  }

  @Test
  void takesAStepTheKitHasWhereTheWantedOneIsTooSmall() {
    Brief stones = new Brief(LIFTS.ofKey("stone-load").orElseThrow(), MassUnit.KG, MaxNumbers.NONE, EffortChart.HOUSE,
        Loadables.fixed(List.of(Mass.of("80", MassUnit.KG), Mass.of("100", MassUnit.KG), Mass.of("115", MassUnit.KG)), MassUnit.KG),
        Settings.defaults(Method.DOUBLE_PROGRESSION), 1, LIFTS);
    assertThat(next(Method.DOUBLE_PROGRESSION, stones, List.of(done(0, "stone-load", 8, "80: 12 12 12")))).isEqualTo("3x8-12 100kg");
    assertThat(next(Method.DOUBLE_PROGRESSION, stones, List.of(done(0, "stone-load", 8, "115: 12 12 12"))))
        .as("there is none above").isEqualTo("3x8-12 115kg");
  }

  /** Whatever is logged, what comes next can be read, loaded and lifted, and is no forecast; what follows it is one. */
  @ParameterizedTest
  @EnumSource(value = Method.class, names = {"NOVICE_LINEAR", "PLUS_SETS", "DOUBLE_PROGRESSION", "LADDER", "CLUSTER", "DENSITY"})
  void bearAnyLog(Method method) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(20_261_124);
    for (int lifter = 0; lifter < 40; lifter++) {
      Brief brief = brief(method, "squat", Integer.toString(80 + 5 * lifter), Map.of());
      List<Done> done = new ArrayList<>();
      for (int i = 0; i < 26; i++) {
        Exposure exposure = method.rule().write(brief, done, i, 0);
        assertThat(exposure.forecast()).isFalse();
        assertThat(method.rule().write(brief, done, i + 1, 1).forecast() || method.rule().write(brief, done, i + 1, 1).lines()
            .isEmpty()).isTrue();
        if (exposure.lines().isEmpty()) {
          break;
        }
        List<ResolvedSet> sets = sets(brief, exposure);
        List<Done.DoneSet> made = new ArrayList<>();
        for (ResolvedSet set : sets) {
          assertThat(set.load()).as("%s after %s", exposure, done).isNotNull();
          assertThat(LOADABLES.exact(set.load())).isPresent();
          made.add(new Done.DoneSet(set.part(), set.load(),
              Math.max(0, (set.reps() == null ? 8 : set.reps()) + random.nextInt(5) - 3), set.reps(), false));
        }
        done.add(new Done(i, "squat", made));
      }
    }
  }

  private static List<ResolvedSet> sets(Brief brief, Exposure exposure) {
    MaxNumbers numbers = exposure.training() == null ? brief.numbers() : brief.numbers().withTraining(exposure.training());
    if (exposure.lines().get(0).work().toString().equals("3x8-12")) {
      return Resolver.resolve(Resolver.Request.of(WorkLine.parse("3x8-12 60kg"), Basis.ESTIMATED, numbers, LOADABLES)).sets();
    }
    return Resolver.resolve(Resolver.Request.of(WorkLine.parse(exposure.lines().get(0).work().toString()), Basis.ESTIMATED,
        numbers, LOADABLES)).sets();
  }
}

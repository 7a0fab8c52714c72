package org.yarbel.core.contest.strongman;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.Scenarios.Hope;
import org.yarbel.core.mass.Refused;

class ScenariosTest {
  private static final ContestedEvent REPS = new ContestedEvent("Log for reps", EventKind.REPS, false);

  /** An event whose places are given: 1 for the first; two with the same share it. */
  private static EventTable placed(List<String> athletes, List<Integer> places, Scoring scoring) {
    Map<String, EventResult> results = new LinkedHashMap<>();
    for (int i = 0; i < athletes.size(); i++) {
      results.put(athletes.get(i), EventResult.of(Field.REPS, Integer.toString(100 - places.get(i))));
    }
    return EventTable.of(REPS, results, scoring, athletes.size());
  }

  private static List<List<Integer>> permutations(int n) {
    if (n == 0) {
      return List.of(List.of());
    }
    List<List<Integer>> all = new ArrayList<>();
    for (List<Integer> shorter : permutations(n - 1)) {
      for (int at = 0; at <= shorter.size(); at++) {
        List<Integer> longer = new ArrayList<>(shorter);
        longer.add(at, n);
        all.add(longer);
      }
    }
    return all;
  }

  /** All placings of the events left, one after another, added up by the table itself. */
  private static Map<List<Integer>, int[]> byBruteForce(List<String> athletes, List<EventTable> done, Scoring scoring,
      Set<String> withdrawn, int left) {
    List<String> lifting = athletes.stream().filter(one -> !withdrawn.contains(one)).toList();
    List<EventTable> ways = permutations(lifting.size()).stream().map(places -> within(lifting, places, scoring, athletes.size())).toList();
    Map<List<Integer>, int[]> found = new HashMap<>();
    for (EventTable first : ways) {
      for (EventTable second : left == 1 ? ways.subList(0, 1) : ways) {
        List<EventTable> all = new ArrayList<>(done);
        all.add(first);
        List<Integer> own = new ArrayList<>(List.of(first.of(athletes.get(0)).place()));
        if (left == 2) {
          all.add(second);
          own.add(second.of(athletes.get(0)).place());
        }
        int place = Overall.of(athletes, all, scoring, withdrawn).of(athletes.get(0)).place();
        int[] range = found.computeIfAbsent(own, none -> new int[] {place, place});
        range[0] = Math.min(range[0], place);
        range[1] = Math.max(range[1], place);
      }
    }
    return found;
  }

  private static EventTable within(List<String> lifting, List<Integer> places, Scoring scoring, int field) {
    Map<String, EventResult> results = new LinkedHashMap<>();
    for (int i = 0; i < lifting.size(); i++) {
      results.put(lifting.get(i), EventResult.of(Field.REPS, Integer.toString(100 - places.get(i))));
    }
    return EventTable.of(REPS, results, scoring, field);
  }

  private static void agrees(long seed, int n, int left, Scoring scoring) {
    Random random = new Random(seed);
    List<String> athletes = IntStream.range(0, n).mapToObj(i -> "a" + i).toList();
    List<EventTable> done = new ArrayList<>();
    for (int event = 0; event < 3; event++) {
      List<Integer> places = new ArrayList<>(IntStream.rangeClosed(1, n).boxed().toList());
      Collections.shuffle(places, random);
      if (random.nextInt(3) == 0) {
        places.set(0, places.get(n - 1));
      }
      done.add(placed(athletes, places, scoring));
    }
    Set<String> withdrawn = random.nextInt(4) == 0 ? Set.of(athletes.get(n - 1)) : Set.of();
    Scenarios scenarios = Scenarios.of(Overall.of(athletes, done, scoring, withdrawn), left, scoring, athletes.get(0));
    Map<List<Integer>, int[]> expected = byBruteForce(athletes, done, scoring, withdrawn, left);
    assertThat(scenarios.cells()).hasSize(expected.size());
    Map<List<Integer>, List<Integer>> got = scenarios.cells().stream()
        .collect(Collectors.toMap(Scenarios.Cell::own, cell -> List.of(cell.best(), cell.worst())));
    expected.forEach((own, range) -> assertThat(got.get(own)).as("seed %d, own %s", seed, own).containsExactly(range[0], range[1]));
  }

  @Test
  void whatHasToComeOfTheRivalsToWinAgreesWithAllPlacings() {
    for (long seed = 300; seed < 360; seed++) {
      Random random = new Random(seed);
      int n = 2 + (int) (seed % 5);
      List<String> athletes = IntStream.range(0, n).mapToObj(i -> "a" + i).toList();
      List<EventTable> done = new ArrayList<>();
      for (int event = 0; event < 2; event++) {
        List<Integer> places = new ArrayList<>(IntStream.rangeClosed(1, n).boxed().toList());
        Collections.shuffle(places, random);
        done.add(placed(athletes, places, Scoring.USUAL));
      }
      Overall now = Overall.of(athletes, done, Scoring.USUAL, Set.of());
      for (List<Integer> last : permutations(n)) {
        List<EventTable> all = new ArrayList<>(done);
        all.add(within(athletes, last, Scoring.USUAL, n));
        boolean wins = Overall.of(athletes, all, Scoring.USUAL, Set.of()).of("a0").place() == 1;
        boolean said = Scenarios.toWin(now, Scoring.USUAL, "a0", last.get(0)).filter(conditions -> conditions.stream()
            .allMatch(one -> last.get(athletes.indexOf(one.rival())) >= one.orWorse())).isPresent();
        assertThat(said).as("seed %d, places %s", seed, last).isEqualTo(wins);
      }
    }
  }

  @Test
  void oneEventLeftAgreesWithAllPlacings() {
    for (long seed = 0; seed < 60; seed++) {
      agrees(seed, 2 + (int) (seed % 5), 1, seed % 2 == 0 ? Scoring.USUAL : new Scoring(List.of(), false, false));
    }
  }

  @Test
  void twoEventsLeftAgreeWithAllPlacings() {
    for (long seed = 100; seed < 160; seed++) {
      agrees(seed, 2 + (int) (seed % 4), 2, seed % 3 == 0 ? new Scoring(List.of(), false, true) : Scoring.USUAL);
    }
  }

  @Test
  void sixAthletesAndTwoEventsAgreeWithAllPlacings() {
    agrees(7, 6, 2, Scoring.USUAL);
    agrees(8, 6, 2, new Scoring(List.of(Points.of(12), Points.of(9), Points.of(7), Points.of(5), Points.of(3)), true, true));
  }
}

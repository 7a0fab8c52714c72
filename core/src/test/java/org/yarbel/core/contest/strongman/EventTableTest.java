package org.yarbel.core.contest.strongman;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * Events ranked by hand, a line each: results from the best to the worst, = between those who share the place. Common practice, no source.
 */
class EventTableTest {
  private static final Map<String, Field> FIELDS = Map.of("r", Field.REPS, "t", Field.TRIES, "m", Field.DISTANCE, "f",
      Field.FINISHED, "s", Field.TIME,
      "d", Field.DONE, "w", Field.WON);

  /** {@code 7r 52.31s}: seven reps, the last of them after 52.31 s; {@code 320k}: a load. */
  private static EventResult result(String written) {
    EventResult result = EventResult.NONE;
    for (String figure : written.trim().split(" ")) {
      String number = figure.substring(0, figure.length() - 1);
      String unit = figure.substring(figure.length() - 1);
      result = unit.equals("k") ? new EventResult(Mass.of(number, MassUnit.KG), result.numbers()) : result.with(FIELDS.get(unit), number);
    }
    return result;
  }

  @ParameterizedTest
  @CsvSource({
      "REPS, true, 9r 60s > 7r 41.2s > 7r 41.21s > 7r > 1r 3s, 0r 60s",
      "REPS, false, 9r > 7r 41.2s = 7r 59s = 7r > 1r, 0r",
      "MAX_LOAD, false, 330k 3t > 320k 1t > 320k 2t = 320k 2t > 300k 1t, 0k",
      "DISTANCE, true, 40m 55s > 38.25m 60s > 38.2m 10s > 38.2m 11s > 0.05m 60s, 0m 60s",
      "DISTANCE, false, 40m > 38.2m 10s = 38.2m 11s, 0m",
      "TIME, false, 1f 21.04s > 1f 21.05s > 1f 60s > 5d 1m > 4d 3m > 4d > 17.5m > 17.4m, 0f 60s",
      "SERIES, false, 5d 48.9s > 5d 55s > 4d 20s > 4d, 0d 60s",
      "HOLD, false, 61.02s > 61.01s = 61.01s > 1s, 0s",
      "MEDLEY, false, 3d 50s > 3d 52s > 2d 30s 12m > 2d 30s 11.9m > 2d 31s 19m > 4m, 0d 60s",
      "HEAD_TO_HEAD, false, 3w 40s > 2w 61s > 2w 62s > 0w 75s, 0w"})
  void everyKindRanksByItsOwnFigures(EventKind kind, boolean timeBreaks, String ranked, String nothing) {
    ContestedEvent event = new ContestedEvent("Event", kind, timeBreaks);
    Map<String, EventResult> results = new LinkedHashMap<>();
    List<Integer> places = new ArrayList<>();
    int place = 1;
    for (String level : ranked.split(" > ")) {
      List<String> sharing = List.of(level.split(" = "));
      for (String one : sharing) {
        results.put(places.size() + "", result(one));
        places.add(place);
      }
      place += sharing.size();
    }
    results.put("nothing", result(nothing));
    EventTable table = EventTable.of(event, results, Scoring.USUAL, results.size());
    for (int at = 0; at < places.size(); at++) {
      assertThat(table.of(at + "").place()).as(at + " of " + ranked).isEqualTo(places.get(at));
    }
    assertThat(table.of("nothing")).isEqualTo(EventTable.Placed.NOWHERE);
    assertThat(table.of("nobody").points()).isEqualTo(Points.NONE);
  }

  @Test
  void tiesShareTheAverageOfThePlacesTheyTakeUp() {
    ContestedEvent event = new ContestedEvent("Log", EventKind.REPS, false);
    Map<String, EventResult> results = new LinkedHashMap<>();
    Map.of("a", "8r", "b", "6r", "c", "6r", "d", "6r", "e", "2r", "f", "0r").forEach((name, written) -> results.put(name, result(written)));
    EventTable table = EventTable.of(event, results, Scoring.USUAL, 6);
    // second, third and fourth of six bring 5, 4 and 3
    assertThat(table.of("a").points()).hasToString("6");
    assertThat(List.of(table.of("b"), table.of("c"), table.of("d"))).allSatisfy(one -> {
      assertThat(one.points()).hasToString("4");
      assertThat(one.sharers()).isEqualTo(3);
    });
    assertThat(table.of("e").points()).hasToString("2");
    assertThat(table.of("f").points()).hasToString("0");
    Map<String, EventResult> two = new LinkedHashMap<>(Map.of("a", result("8r"), "b", result("8r")));
    assertThat(EventTable.of(event, two, Scoring.USUAL, 6).of("a").points()).hasToString("5.5");
  }

  @Test
  void equalTotalsCountBackAndWhatStillIsEqualSharesThePlace() {
    // a and b have 6 each, and a has a first; c and d 3 each, and a third and a fourth each
    List<EventTable> events = List.of(places(Map.of("a", 1, "b", 2, "c", 3, "d", 4)), places(Map.of("b", 2, "a", 3, "d", 3, "c", 4)));
    Overall overall = Overall.of(List.of("a", "b", "c", "d"), events, Scoring.USUAL, Set.of());
    assertThat(overall.of("b").points()).hasToString("6");
    assertThat(overall.of("a").points()).hasToString("6");
    assertThat(overall.lines()).extracting(line -> line.athlete() + line.place()).containsExactly("a1", "b2", "c3", "d3");
    Scoring shared = new Scoring(List.of(), false, true);
    assertThat(Overall.of(List.of("a", "b", "c", "d"), events, shared, Set.of()).of("b").place()).isEqualTo(1);
  }

  private static EventTable places(Map<String, Integer> places) {
    Map<String, EventTable.Placed> placed = new LinkedHashMap<>();
    places.forEach((athlete, place) -> placed.put(athlete, new EventTable.Placed(place, 1, Scoring.USUAL.at(place, 4))));
    return new EventTable(placed);
  }

  @Test
  void whoWithdrawsKeepsThePointsOrScoresNothing() {
    List<EventTable> events = List.of(places(Map.of("a", 1, "b", 2, "c", 3, "d", 4)));
    assertThat(Overall.of(List.of("a", "b", "c", "d"), events, Scoring.USUAL, Set.of("a")).of("a").place()).isEqualTo(1);
    Overall.Line out = Overall.of(List.of("a", "b", "c", "d"), events, new Scoring(List.of(), true, false), Set.of("a")).of("a");
    assertThat(out.points()).isEqualTo(Points.NONE);
    assertThat(out.place()).isEqualTo(4);
  }

  @Test
  void figuresOutOfBoundsAreRefusedWithTheirRange() {
    assertThatThrownBy(() -> result("201r")).isInstanceOf(Refused.class).hasMessageContaining("from 0 to 200");
    assertThatThrownBy(() -> result("1.5r")).isInstanceOf(Refused.class).hasMessageContaining("whole");
    assertThatThrownBy(() -> result("1.234s")).isInstanceOf(Refused.class).hasMessageContaining("two decimals");
    assertThatThrownBy(() -> result("-1m")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> result("3600.01s")).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Scoring(List.of(Points.of(3), Points.of(4)), true, true)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> Points.of(new java.math.BigDecimal("0.25"))).isInstanceOf(Refused.class);
  }
}

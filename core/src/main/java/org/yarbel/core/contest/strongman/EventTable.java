package org.yarbel.core.contest.strongman;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The places and points of one event so far.
 *
 * @param placed by athlete, the first first; those without a result that counts have no place and stand at the end
 */
public record EventTable(Map<String, Placed> placed) {

  /**
   * One athlete's share.
   *
   * @param place from 1; 0 for none
   * @param sharers how many have that place
   */
  public record Placed(int place, int sharers, Points points) {
    static final Placed NOWHERE = new Placed(0, 1, Points.NONE);
  }

  public EventTable {
    placed = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(placed));
  }

  /**
   * Ranks the results there are.
   *
   * @param field how many began the contest
   */
  public static EventTable of(ContestedEvent event, Map<String, EventResult> results, Scoring scoring, int field) {
    List<Map.Entry<String, EventResult>> counting = new ArrayList<>();
    Map<String, Placed> placed = new LinkedHashMap<>();
    results.forEach((athlete, result) -> {
      if (event.counts(result)) {
        counting.add(Map.entry(athlete, result));
      }
    });
    counting.sort((one, other) -> event.compare(one.getValue(), other.getValue()));
    for (int from = 0; from < counting.size();) {
      int to = from + 1;
      while (to < counting.size() && event.compare(counting.get(from).getValue(), counting.get(to).getValue()) == 0) {
        to++;
      }
      Placed share = new Placed(from + 1, to - from, scoring.shared(from + 1, to - from, field));
      counting.subList(from, to).forEach(one -> placed.put(one.getKey(), share));
      from = to;
    }
    results.keySet().forEach(athlete -> placed.putIfAbsent(athlete, Placed.NOWHERE));
    return new EventTable(placed);
  }

  /** What an athlete has of it; nothing where there is no result yet. */
  public Placed of(String athlete) {
    return placed.getOrDefault(athlete, Placed.NOWHERE);
  }
}

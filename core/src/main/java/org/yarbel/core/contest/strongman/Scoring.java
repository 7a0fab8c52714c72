package org.yarbel.core.contest.strongman;

import java.util.List;
import org.yarbel.core.mass.Refused;

/**
 * What places bring, and what decides between equal totals.
 *
 * @param table points of the first, the second, …; empty for as many as begin the contest for the first down to 1 for the last. Beyond
 *     the end of a table there are none
 * @param countsBack whether of equal totals the one with more firsts leads, then with more seconds, …; else they share the place
 * @param withdrawnKeeps whether who withdraws keeps the points so far; else they score 0
 */
public record Scoring(List<Points> table, boolean countsBack, boolean withdrawnKeeps) {
  private static final int LONGEST = 200;

  /** n points for the first of n down to 1, count-back, points kept. Common practice, no source. */
  public static final Scoring USUAL = new Scoring(List.of(), true, true);

  public Scoring {
    if (table.size() > LONGEST) {
      throw new Refused("A table of points has " + LONGEST + " places at most but had " + table.size());
    }
    for (int place = 1; place < table.size(); place++) {
      if (table.get(place).compareTo(table.get(place - 1)) > 0) {
        throw new Refused("Points never rise with the place, but place " + (place + 1) + " brings more than place " + place);
      }
    }
    table = List.copyOf(table);
  }

  /**
   * What a place brings.
   *
   * @param place from 1
   * @param field how many began the contest
   */
  public Points at(int place, int field) {
    if (table.isEmpty()) {
      return place > field ? Points.NONE : Points.of(field - place + 1L);
    }
    return place > table.size() ? Points.NONE : table.get(place - 1);
  }

  /** What each of those brings home who share a place: the average of the places they take up. */
  Points shared(int place, int sharers, int field) {
    Points sum = Points.NONE;
    for (int taken = place; taken < place + sharers; taken++) {
      sum = sum.plus(at(taken, field));
    }
    return sum.among(sharers);
  }
}

package org.yarbel.core.contest.strongman;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A strongman contest so far: who leads, by the sum of the points of all events, then by count-back.
 *
 * @param lines the leader first
 */
public record Overall(List<Line> lines) {

  /**
   * One athlete's sum.
   *
   * @param place from 1, shared by those that nothing decides between
   * @param firsts how many times each place was taken, the first at 0; a shared place counts as that place for all who share it
   * @param withdrawn whether the athlete lifts no further event
   */
  public record Line(String athlete, int place, Points points, List<Integer> firsts, boolean withdrawn) {

    /** Below 0 where this one leads over another; 0 where nothing decides. */
    int compare(Line other, boolean countsBack) {
      int byPoints = other.points.compareTo(points);
      return byPoints != 0 || !countsBack ? byPoints : Places.compare(firsts, other.firsts);
    }
  }

  public Overall {
    lines = List.copyOf(lines);
  }

  /**
   * Adds the events up.
   *
   * @param athletes all who began
   * @param events so far, in their order, each with its table
   * @param withdrawn who lifts no further
   */
  public static Overall of(List<String> athletes, List<EventTable> events, Scoring scoring, Set<String> withdrawn) {
    List<Line> lines = new ArrayList<>();
    for (String athlete : athletes) {
      boolean out = withdrawn.contains(athlete);
      boolean scores = !out || scoring.withdrawnKeeps();
      Points sum = Points.NONE;
      int[] places = new int[athletes.size()];
      for (EventTable event : events) {
        EventTable.Placed placed = event.of(athlete);
        if (scores && placed.place() > 0) {
          sum = sum.plus(placed.points());
          places[placed.place() - 1]++;
        }
      }
      lines.add(new Line(athlete, 0, sum, Arrays.stream(places).boxed().toList(), out));
    }
    lines.sort((one, other) -> one.compare(other, scoring.countsBack()));
    List<Line> placed = new ArrayList<>();
    for (Line line : lines) {
      Line before = placed.isEmpty() ? null : placed.get(placed.size() - 1);
      int place = before != null && before.compare(line, scoring.countsBack()) == 0 ? before.place() : placed.size() + 1;
      placed.add(new Line(line.athlete(), place, line.points(), line.firsts(), line.withdrawn()));
    }
    return new Overall(placed);
  }

  /** The line of one who began. */
  public Line of(String athlete) {
    return lines.stream().filter(line -> line.athlete().equals(athlete)).findFirst().orElseThrow();
  }

  /** The places by athlete. */
  public Map<String, Integer> places() {
    return lines.stream().collect(java.util.stream.Collectors.toMap(Line::athlete, Line::place));
  }
}

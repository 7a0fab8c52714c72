package org.yarbel.core.contest.meet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * The table of a contest after the attempts so far.
 *
 * <p>In a class the heavier sum leads, of equal sums the lighter body mass where the rules say so and all of them are known; else they
 * share the place. Who has missed every attempt of a lift is out and has no place (IPF Technical Rules Book, from memory).
 *
 * @param lines by class in the order of the classes' names, in a class the leader first and who is out last
 */
public record MeetTable(List<Line> lines) {

  /** How totals are made into points. */
  public record Counting(PointsFormula formula, PointsFormula.Gear gear, PointsFormula.Event event) {

    /** The points of a sum; none without a body mass, or where the formula is not made for it. */
    OptionalDouble points(Entrant entrant, Mass sum) {
      if (entrant.bodyMass() == null || entrant.sex() == null || sum.isZero()) {
        return OptionalDouble.empty();
      }
      try {
        return OptionalDouble.of(formula.points(entrant.sex(), entrant.bodyMass(), sum, gear, event));
      } catch (Refused notMadeForIt) {
        return OptionalDouble.empty();
      }
    }
  }

  /**
   * A place in a class.
   *
   * @param number from 1, shared by those that nothing decides between; 0 for none
   * @param unweighed whether it is shared only since somebody's body mass is not known
   */
  public record Place(int number, boolean unweighed) {
    static final Place NONE = new Place(0, false);
  }

  /**
   * One athlete's line.
   *
   * @param place in the class
   * @param points of the sum so far
   * @param byPoints the place by points over all classes, 0 for none
   * @param out whether every attempt of a lift was missed
   */
  public record Line(Entrant entrant, Mass sum, Mass possible, Place place, OptionalDouble points, int byPoints, boolean out) {}

  public MeetTable {
    lines = List.copyOf(lines);
  }

  /** The table of all who lift. */
  public static MeetTable of(List<Entrant> entrants, RuleSet rules, Counting counting) {
    List<Line> lines = new ArrayList<>(entrants.size());
    for (Entrant entrant : entrants) {
      boolean out = entrant.lifts().stream().anyMatch(lift -> lift.bombed(rules));
      Mass sum = entrant.sum();
      OptionalDouble points = out ? OptionalDouble.empty() : counting.points(entrant, sum);
      lines.add(new Line(entrant, sum, entrant.possible(), Place.NONE, points, 0, out));
    }
    Map<Long, Place> inClass = new HashMap<>();
    lines.stream().filter(line -> !line.out && !line.sum.isZero()).collect(Collectors.groupingBy(line -> line.entrant.category()))
        .values().forEach(group -> inClass.putAll(inClass(group, rules.platform().lighterFirst())));
    Map<Long, Integer> byPoints = byPoints(lines);
    return new MeetTable(lines.stream().map(line -> new Line(line.entrant, line.sum, line.possible, inClass.getOrDefault(line.entrant.id(),
        Place.NONE), line.points, byPoints.getOrDefault(line.entrant.id(), 0), line.out)).sorted(Comparator
        .comparing((Line line) -> line.entrant.category()).thenComparing(line -> line.place.number == 0)
        .thenComparing(line -> line.place.number)).toList());
  }

  private static Map<Long, Place> inClass(List<Line> group, boolean lighterFirst) {
    Map<Long, Place> places = new HashMap<>();
    Map<Mass, List<Line>> bySum = new TreeMap<>(Comparator.reverseOrder());
    group.forEach(line -> bySum.computeIfAbsent(line.sum, sum -> new ArrayList<>()).add(line));
    int ahead = 0;
    for (List<Line> equal : bySum.values()) {
      boolean known = equal.stream().allMatch(line -> line.entrant.bodyMass() != null);
      for (Line line : equal) {
        Mass mine = line.entrant.bodyMass();
        long lighter = !lighterFirst || !known || mine == null ? 0
            : equal.stream().filter(other -> mine.compareTo(Objects.requireNonNull(other.entrant.bodyMass())) > 0).count();
        places.put(line.entrant.id(), new Place(ahead + (int) lighter + 1, lighterFirst && !known && equal.size() > 1));
      }
      ahead += equal.size();
    }
    return places;
  }

  private static Map<Long, Integer> byPoints(List<Line> lines) {
    Map<Long, Integer> places = new HashMap<>();
    List<Line> sorted = lines.stream().filter(line -> line.points.isPresent())
        .sorted(Comparator.comparingDouble((Line line) -> line.points.orElseThrow()).reversed()).toList();
    int place = 0;
    for (int at = 0; at < sorted.size(); at++) {
      if (at == 0 || sorted.get(at - 1).points.orElseThrow() > sorted.get(at).points.orElseThrow()) {
        place = at + 1;
      }
      places.put(sorted.get(at).entrant.id(), place);
    }
    return places;
  }

  /** The line of an athlete. */
  public Line of(long id) {
    return lines.stream().filter(line -> line.entrant.id() == id).findFirst().orElseThrow();
  }
}

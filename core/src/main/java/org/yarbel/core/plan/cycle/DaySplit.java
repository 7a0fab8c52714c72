package org.yarbel.core.plan.cycle;

import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.yarbel.core.lift.Lift;

/**
 * Which lift on which day: squats first, pulls furthest from them, a press a second time where there is a day for it, then a
 * second squat. Events have the last day of the week for themselves. Common practice, no source.
 */
final class DaySplit {
  private static final int MOST_DAYS = 5;
  private static final int FEW_DAYS = 3;

  private DaySplit() {}

  /**
   * The days of each lift, the heaviest first.
   *
   * @param free at least one day
   * @param events lifted together on the last day
   */
  static Map<Lift, Set<DayOfWeek>> of(List<Lift> lifts, List<Lift> events, Set<DayOfWeek> free) {
    List<DayOfWeek> days = new ArrayList<>(spread(free.stream().sorted().toList()));
    Map<Lift, Set<DayOfWeek>> split = new LinkedHashMap<>();
    if (!events.isEmpty()) {
      DayOfWeek last = days.contains(DayOfWeek.SATURDAY) ? DayOfWeek.SATURDAY : days.get(days.size() - 1);
      if (days.size() > 1) {
        days.remove(last);
      }
      events.forEach(event -> split.put(event, EnumSet.of(last)));
    }
    List<Lift> order = lifts.stream().sorted(Comparator.comparingInt(DaySplit::rank)).toList();
    for (int i = 0; i < order.size(); i++) {
      split.computeIfAbsent(order.get(i), lift -> EnumSet.noneOf(DayOfWeek.class)).add(first(i, order, days));
    }
    List<DayOfWeek> spare = days.subList(Math.min(order.size(), days.size()), days.size());
    List<Lift> again = order.stream().filter(lift -> rank(lift) < 2).sorted(Comparator.comparingInt(lift -> -rank(lift))).toList();
    if (spare.isEmpty() && days.size() > 1) {
      // a press recovers soonest: it comes twice even on few days
      again.stream().filter(lift -> rank(lift) == 1).findFirst().filter(press -> apart(split.get(press), days.get(days.size() - 1)))
          .ifPresent(press -> split.get(press).add(days.get(days.size() - 1)));
    }
    for (int i = 0; i < spare.size(); i++) {
      DayOfWeek day = spare.get(i);
      List<Lift> bear = again.stream().filter(lift -> split.get(lift).size() < most(lift) && apart(split.get(lift), day)).toList();
      if (spare.size() == 1) {
        bear.forEach(lift -> split.get(lift).add(day));
      } else if (!bear.isEmpty()) {
        split.get(bear.get(i % bear.size())).add(day);
      }
    }
    return split;
  }

  /** The most of these days of which no three follow one another, the week taken as a ring; up to three are all taken. */
  static List<DayOfWeek> spread(List<DayOfWeek> free) {
    if (free.size() <= FEW_DAYS) {
      return free;
    }
    List<DayOfWeek> best = List.of();
    for (int chosen = 1; chosen < 1 << free.size(); chosen++) {
      List<DayOfWeek> days = new ArrayList<>();
      for (int i = 0; i < free.size(); i++) {
        if ((chosen >> i & 1) == 1) {
          days.add(free.get(i));
        }
      }
      boolean three = days.stream().anyMatch(day -> days.contains(day.plus(1)) && days.contains(day.plus(2)));
      // of equally many the later mask begins later in the week: the first found stands
      best = !three && days.size() > best.size() && days.size() <= MOST_DAYS ? days : best;
    }
    return best;
  }

  /** Whether a day has a day between it and every other, the week taken as a ring. */
  private static boolean apart(Set<DayOfWeek> days, DayOfWeek day) {
    return days.stream().noneMatch(other -> other.plus(1) == day || day.plus(1) == other);
  }

  private static DayOfWeek first(int at, List<Lift> order, List<DayOfWeek> days) {
    if (days.size() >= order.size()) {
      return days.get(at);
    }
    // on two days: squat with the press, the pull on the other
    return rank(order.get(at)) == 2 ? days.get(days.size() - 1) : days.get(Math.min(at, days.size() - 1) * (days.size() > 2 ? 1 : 0));
  }

  /** How often a week a lift comes at the most. */
  private static int most(Lift lift) {
    return rank(lift) == 1 ? 3 : 2;
  }

  /** Squats 0, presses 1, pulls 2. */
  private static int rank(Lift lift) {
    return switch (lift.movement()) {
      case SQUAT -> 0;
      case BENCH, PRESS -> 1;
      default -> 2;
    };
  }
}

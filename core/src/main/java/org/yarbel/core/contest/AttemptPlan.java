package org.yarbel.core.contest;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Estimate;

/**
 * Three attempts of a lift, planned ahead for a bad, an expected and a good day.
 *
 * <p>The opener is made with 95 % or more, and is good for three on a bad day: 93 % of that day's max, which comes to 90–93 % of the
 * expected third. The second is 95–97 % of the third, here 96; the third is what is made with about 50 %. All common practice, no
 * source. A bad day is one standard deviation below what is expected, a good one as much above.
 *
 * @param days by how the day goes, each with its three attempts, lighter to heavier
 * @param target whether the third is one that somebody aims at
 */
public record AttemptPlan(Map<Day, List<Planned>> days, boolean target) {
  private static final double OPENER_CHANCE = 0.95;
  private static final double GOOD_FOR_THREE = 0.93;
  private static final double SECOND_OF_THIRD = 0.96;
  private static final double THIRD_CHANCE = 0.5;

  /** How the day goes. */
  public enum Day {
    BAD("a bad day"),
    EXPECTED("as expected"),
    GOOD("a good day");

    private final String word;

    Day(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * One attempt as planned.
   *
   * @param chance that it is made if those before it are, from 0 to 1, as it is seen before the day
   */
  public record Planned(int number, Mass load, double chance) {}

  public AttemptPlan {
    days = Map.copyOf(days);
  }

  /**
   * Plans a lift.
   *
   * @param third what the lifter aims at whatever the day; null for what the day allows
   */
  public static AttemptPlan of(DayOdds odds, RuleSet rules, @Nullable Mass third) {
    Mass step = rules.attempts().step();
    Estimate max = odds.max(step.unit());
    Mass opener = Steps.atMost(lighter(odds.load(OPENER_CHANCE, step.unit()), max.max().minus(max.sd()).scaled(GOOD_FOR_THREE)), rules);
    Map<Day, List<Planned>> days = new EnumMap<>(Day.class);
    for (Day day : Day.values()) {
      Mass last = Objects.requireNonNullElseGet(third, () -> Steps.nearest(expected(odds, max, day), rules));
      Mass second = heavier(Steps.nearest(last.scaled(SECOND_OF_THIRD), rules), opener.plus(step));
      days.put(day, chances(odds, List.of(opener, second, heavier(last, second.plus(step)))));
    }
    return new AttemptPlan(days, third != null);
  }

  private static Mass expected(DayOdds odds, Estimate max, Day day) {
    Mass even = odds.load(THIRD_CHANCE, max.max().unit());
    return switch (day) {
      case BAD -> even.minus(max.sd());
      case EXPECTED -> even;
      case GOOD -> even.plus(max.sd());
    };
  }

  private static List<Planned> chances(DayOdds before, List<Mass> loads) {
    List<Planned> planned = new ArrayList<>();
    DayOdds odds = before;
    for (Mass load : loads) {
      int number = planned.size() + 1;
      planned.add(new Planned(number, load, odds.chance(load)));
      odds = odds.after(Attempt.of(number, load, Verdict.good(null)));
    }
    return planned;
  }

  private static Mass lighter(Mass one, Mass other) {
    return one.compareTo(other) <= 0 ? one : other;
  }

  private static Mass heavier(Mass one, Mass other) {
    return one.compareTo(other) >= 0 ? one : other;
  }

  /** An attempt of a day. */
  public Planned at(Day day, int number) {
    return Objects.requireNonNull(days.get(day)).get(number - 1);
  }
}

package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Zone;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Exposure;

/**
 * A week of the Runway in figures.
 *
 * @param out weeks to the contest, 0 in its own week; null without a contest
 * @param of the week of its block; null outside of the plan
 * @param lifts the families that are looked at, in order
 * @param past whether it lies wholly behind
 * @param now whether today is in it
 */
public record RunwayWeek(LocalDate monday, @Nullable Integer out, Macrocycle.@Nullable Week of, List<OfLift> lifts, Map<Zone, Double> zones,
    Map<Zone, Double> zonesDone, List<MarkView> marks, boolean past, boolean now) {
  private static final int MOST_NAME = 12;
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  /**
   * A lift with its variations.
   *
   * @param head of the family
   * @param name of the head, or of the one lift of it that is trained
   */
  public record Family(Lift head, String name) {}

  /**
   * What a lift comes to, with its variations.
   *
   * @param top the highest share of the max planned, in percent; 0 for none
   * @param topDone lifted
   * @param sets hard ones planned
   * @param setsDone lifted
   */
  public record OfLift(Family of, double top, double topDone, long sets, long setsDone) {
    public String name() {
      return of.name();
    }

    /** As it fits beside its row. */
    String shortName() {
      return name().length() > MOST_NAME ? name().substring(0, MOST_NAME - 1) + "…" : name();
    }

    /** {@code 9 to 85 %}. */
    public String planned() {
      return words(sets, top);
    }

    /** The same of what was lifted; empty when nothing was. */
    public String lifted() {
      return setsDone == 0 ? "" : words(setsDone, topDone);
    }

    private static String words(long sets, double top) {
      return sets + (top > 0 ? " to " + Math.round(top) + " %" : "");
    }
  }

  /** What stands out in the week: its letter, and in words with its day. */
  public record MarkView(String letter, String words) {}

  static RunwayWeek of(LocalDate monday, @Nullable LocalDate contest, Macrocycle.@Nullable Week of, List<Family> families,
      List<CountedLine> planned, List<CountedLine> done, List<MarkView> marks, LocalDate today) {
    List<OfLift> lifts = new ArrayList<>();
    for (Family family : families) {
      Lift head = family.head();
      lifts.add(new OfLift(family, top(main(planned, head)), top(main(done, head)), sets(planned, head), sets(done, head)));
    }
    Integer out = contest == null ? null : Integer.valueOf((int) ChronoUnit.WEEKS.between(monday, Macrocycle.monday(contest)));
    return new RunwayWeek(monday, out, of, lifts, zones(planned), zones(done), marks, monday.plusWeeks(1).compareTo(today) <= 0,
        Macrocycle.monday(today).equals(monday));
  }

  private static List<CountedLine> main(List<CountedLine> lines, Lift family) {
    return lines.stream().filter(line -> line.kind().mainWork() && line.head().equals(family) && line.mainOrClose()).toList();
  }

  private static double top(List<CountedLine> lines) {
    return lines.stream().mapToDouble(CountedLine::topPercent).max().orElse(0);
  }

  private static long sets(List<CountedLine> lines, Lift family) {
    return lines.stream().filter(line -> line.head().equals(family)).mapToLong(CountedLine::hardSets).sum();
  }

  /** The reps of hard sets of main work in each zone: an easy week has none. */
  private static Map<Zone, Double> zones(List<CountedLine> lines) {
    Map<Zone, Double> zones = new EnumMap<>(Zone.class);
    lines.stream().filter(line -> line.kind().mainWork() && line.mainOrClose()).flatMap(line -> line.work().stream())
        .filter(set -> set.hard() && !Double.isNaN(set.percent()) && set.set().distance() == null)
        .forEach(set -> zones.merge(Zone.of(set.percent()), set.reps(), Double::sum));
    return zones;
  }

  public boolean easy() {
    return of != null && of.easy();
  }

  /** {@code 4 May}. */
  public String day() {
    return DAY.format(monday);
  }

  /** {@code Volume, week 2 of 5}. */
  public String block() {
    return of == null ? "outside of the plan" : title(of) + ", week " + (of.week() + 1) + " of " + of.block().weeks() + (easy() ? ", easy: "
        + of.block().easy().word() : "");
  }

  private static String title(Macrocycle.Week week) {
    String word = week.block().purpose().word();
    return Character.toUpperCase(word.charAt(0)) + word.substring(1);
  }

  /** The planned reps of each zone, the lightest first: {@code 0 · 24 · 12 · 1}. */
  public String reps() {
    return Arrays.stream(Zone.values()).map(zone -> Long.toString(Math.round(zones.getOrDefault(zone, 0.0))))
        .collect(Collectors.joining(" · "));
  }

  /** What stands out, in words. */
  public String said() {
    return marks.stream().map(MarkView::words).collect(Collectors.joining("; "));
  }

  private String toContest() {
    if (out == null || out < 0) {
      return "";
    }
    return out == 0 ? ", the contest's" : ", " + Count.of(out, "week") + " out";
  }

  /** The week in a sentence or two, for the line under the picture and for those who hear it. */
  public String words() {
    String when = "Week of " + day() + toContest();
    String loads = lifts.stream().filter(lift -> lift.sets() + lift.setsDone() > 0).map(lift -> lift.name() + " "
        + lift.sets() + (lift.sets() == 1 ? " hard set" : " hard sets") + (lift.top() > 0 ? " to " + Math.round(lift.top()) + " %" : "")
        + (past || now ? ", done " + lift.setsDone() + (lift.topDone() > 0 ? " to " + Math.round(lift.topDone()) + " %" : "") : ""))
        .collect(Collectors.joining("; "));
    String said = said();
    return when + ": " + block() + "." + (loads.isEmpty() ? " No hard sets." : " " + loads + ".") + (said.isEmpty() ? ""
        : " " + said + ".");
  }

  static MarkView mark(Exposure.Mark mark, Lift lift, LocalDate day) {
    return new MarkView(mark.letter(), lift.name() + ": " + mark.word() + " on " + DAY.format(day));
  }
}

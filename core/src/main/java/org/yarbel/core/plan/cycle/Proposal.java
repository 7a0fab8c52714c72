package org.yarbel.core.plan.cycle;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;

/**
 * A long plan proposed for a lifter, with the reasons in words.
 *
 * @param plan as proposed; every part can be changed
 * @param reasons a sentence each
 */
public record Proposal(Macrocycle plan, List<String> reasons) {
  /** A contest further away is not planned for. */
  static final int LONGEST = 52;
  /** A believable goal is some 5 % over the max: these shares of it are 92 to 97 % of what was the max. */
  private static final String PEAK_OF_GOAL = "87.5";
  private static final String PEAK_OF_GOAL_END = "92.5";

  /** A max is not for beginners: theirs ends where a rep or two are left. */
  private static final String BEGINNERS_TEST = "8";

  public Proposal {
    reasons = List.copyOf(reasons);
  }

  /**
   * Whom it is for.
   *
   * @param level over all; null when nobody said
   * @param lifts that are trained for their max
   * @param events of a strongman contest, in its order
   * @param free the days of the week they can train on, one at least
   * @param contest null for open-ended
   * @param from the Monday it starts on
   * @param strained whether they diet, work physically or in shifts
   * @param deload how their easy weeks are taken
   * @param unit the lifter's
   * @param aims goals with the max they start from; none where nothing is aimed at
   */
  public record Request(@Nullable Level level, List<Lift> lifts, List<Event> events, Set<DayOfWeek> free,
      @Nullable LocalDate contest, LocalDate from, boolean strained, Deload deload, MassUnit unit, List<Aim> aims) {}

  /** A goal and the max of today. */
  public record Aim(Lift lift, Mass max, Mass goal) {}

  /**
   * An event of a contest.
   *
   * @param work with the contest's mass, in the notation
   */
  public record Event(Lift lift, String work) {}

  /**
   * The Monday a plan begins on: this week's when at least half of its free days are still ahead, else the next.
   *
   * @param begun whether something of today is lifted already, so that it is no day to begin on
   */
  public static LocalDate begins(LocalDate today, Set<DayOfWeek> free, boolean begun) {
    LocalDate monday = Macrocycle.monday(today);
    LocalDate from = begun ? today.plusDays(1) : today;
    long ahead = free.stream().filter(day -> !monday.plusDays(day.getValue() - 1L).isBefore(from)).count();
    return free.isEmpty() || 2 * ahead >= free.size() ? monday : monday.plusWeeks(1);
  }

  /**
   * Proposes a plan.
   *
   * @throws Refused when nobody can train or nothing is trained, or the contest is before the first week
   */
  public static Proposal of(Request request) {
    check(request);
    LocalDate contest = request.contest();
    Periods periods = contest == null ? Periods.open(request.level()) : Periods.to(Fitting.weeks(request.from(), contest), request.level());
    List<String> reasons = new ArrayList<>(periods.reasons());
    Map<Lift, Set<DayOfWeek>> days = DaySplit.of(request.lifts(), request.events().stream().map(Event::lift).distinct().toList(),
        request.free());
    reasons.add(days(request, days));
    Set<Lift> ofGoal = aims(request, reasons);
    Deload.Interval interval = Deload.Interval.of(request.level(), request.strained());
    List<Block> blocks = blocks(periods.list(), interval, (no, period) -> new Block(no, period.purpose(), period.weeks(), 0,
        request.deload(), null, uses(period.purpose(), days, request, ofGoal)));
    if (blocks.stream().anyMatch(block -> block.every() > 0)) {
      reasons.add("An easy week ends a block whenever one is due: every " + interval.least() + "–" + interval.most()
          + " weeks at this level and in this life.");
    }
    return new Proposal(new Macrocycle(request.from(), contest, blocks, List.of(), List.of()), reasons);
  }

  private static void check(Request request) {
    if (request.free().isEmpty()) {
      throw new Refused("No day of the week is free: tick the free days on the Lifter page first");
    }
    if (request.lifts().isEmpty() && request.events().isEmpty()) {
      throw new Refused("There is no lift to plan: write down a max of one on the Lifter page first");
    }
    LocalDate contest = request.contest();
    if (contest != null && Macrocycle.monday(contest).isBefore(request.from())) {
      throw new Refused("The contest on " + contest + " is behind");
    }
    if (contest != null && Fitting.weeks(request.from(), contest) > LONGEST) {
      throw new Refused("The contest is more than a year away: plan open-ended until it is nearer");
    }
  }

  /** An easy week ends a block; where the next one would be too long to wait for, it ends this one. A long block has one on its way. */
  private static List<Block> blocks(List<Periods.Period> periods, Deload.Interval interval, BiFunction<Integer, Periods.Period,
      Block> made) {
    List<Block> blocks = new ArrayList<>();
    int since = 0;
    for (int i = 0; i < periods.size(); i++) {
      Periods.Period period = periods.get(i);
      int ending = since + period.weeks();
      int untilNext = ending + (i + 1 < periods.size() ? periods.get(i + 1).weeks() - 1 : 0);
      boolean easy = resting(period.purpose()) && period.weeks() > 2 && (ending > interval.least() - 1 || untilNext > interval.most());
      int stretches = (period.weeks() + interval.most() - 1) / interval.most();
      int stretch = (period.weeks() + stretches - 1) / stretches;
      since = easy ? period.weeks() % stretch : ending;
      Block block = made.apply(blocks.size() + 1, period);
      blocks.add(easy ? new Block(block.no(), block.purpose(), block.weeks(), stretch - 1, block.easy(), block.basis(),
          block.uses()) : block);
    }
    return blocks;
  }

  private static boolean resting(Purpose purpose) {
    return purpose == Purpose.VOLUME || purpose == Purpose.STRENGTH || purpose == Purpose.PRACTICE;
  }

  /** The lifts whose singles are of their goals: those that can be believed in. The rest goes by the numbers of today. */
  private static Set<Lift> aims(Request request, List<String> reasons) {
    Set<Lift> ofGoal = new HashSet<>();
    LocalDate contest = request.contest();
    if (contest == null) {
      return ofGoal;
    }
    for (Aim aim : request.aims()) {
      Mass believable = GoalCourse.believable(aim.max(), Fitting.weeks(request.from(), contest));
      long gain = aim.goal().nanograms() - aim.max().nanograms();
      String goal = "The goal of " + aim.goal().text() + " in the " + aim.lift().name().toLowerCase(Locale.ROOT) + " is "
          + Math.round(1000.0 * gain / aim.max().nanograms()) / 10.0 + " % over today's max";
      if (gain > 0 && gain <= believable.nanograms()) {
        ofGoal.add(aim.lift());
        reasons.add(goal + ", which can be believed in: the singles of the peak are shares of it, " + PEAK_OF_GOAL + " to "
            + PEAK_OF_GOAL_END + " %.");
      } else if (gain > 0) {
        reasons.add(goal + "; about " + Math.round(1000.0 * believable.nanograms() / aim.max().nanograms()) / 10.0
            + " % is believable by then, so everything is planned from the numbers of today.");
      }
    }
    return ofGoal;
  }

  private static String days(Request request, Map<Lift, Set<DayOfWeek>> days) {
    if (request.free().size() == 1) {
      return "One day a week: all lifts on it.";
    }
    long used = days.values().stream().flatMap(Set::stream).distinct().count();
    String more = String.join(", ", days.entrySet().stream().filter(of -> of.getValue().size() > 1)
        .map(of -> "the " + of.getKey().name().toLowerCase(Locale.ROOT) + " comes " + times(of.getValue().size())).toList());
    String events = request.events().isEmpty() ? "" : " The events have a day for themselves, in the order of the contest.";
    return "On " + used + " days a week " + (more.isEmpty() ? "each lift comes once."
        : more + ", the rest once; further days of a lift are lighter.") + events;
  }

  private static String times(int count) {
    return count == 2 ? "twice" : count + " times";
  }

  private static List<Use> uses(Purpose purpose, Map<Lift, Set<DayOfWeek>> days, Request request, Set<Lift> ofGoal) {
    if (purpose == Purpose.OFF) {
      return List.of();
    }
    List<Use> uses = new ArrayList<>();
    DayOfWeek last = days.values().stream().flatMap(Set::stream).max(Comparator.naturalOrder()).orElseThrow();
    days.forEach((lift, on) -> {
      List<Event> own = request.events().stream().filter(event -> event.lift().equals(lift)).toList();
      if (!own.isEmpty()) {
        own.forEach(event -> uses.add(event(event, on, purpose, request.unit())));
      } else if (purpose == Purpose.TEST) {
        Use test = purpose.usual(lift, EnumSet.of(last));
        uses.add(request.level() == Level.BEGINNER ? test.with("to", BEGINNERS_TEST) : test);
      } else {
        Use usual = purpose.usual(lift, on);
        uses.add(purpose == Purpose.PEAK && ofGoal.contains(lift) ? usual.with("basis", "goal").with("from", PEAK_OF_GOAL)
            .with("to", PEAK_OF_GOAL_END) : usual);
      }
    });
    return uses;
  }

  /** An event by its own weeks: below contest mass, in a peak every second week with it. */
  static Use event(Event event, Set<DayOfWeek> days, Purpose purpose, MassUnit unit) {
    Map<String, String> settings = new HashMap<>();
    WorkLine line = WorkLine.parse(event.work()).line();
    line.parts().forEach(part -> {
      if (part.load() instanceof Load.OfMass mass) {
        settings.put("mass", written(mass.mass(), unit));
      }
      if (part.work() instanceof Work.Carry carry) {
        settings.put("metres", carry.metres().setScale(0, RoundingMode.HALF_UP).max(BigDecimal.valueOf(5)).min(BigDecimal
            .valueOf(100)).toPlainString());
      }
      if (part.work() instanceof Work.Series series) {
        settings.put("mass", written(series.masses().stream().max(Comparator.naturalOrder()).orElseThrow(), unit));
      }
    });
    settings.put("every", purpose.peaking() ? "2" : "3");
    Pattern pattern = event.lift().pattern();
    if (pattern == Pattern.LOADING) {
      settings.put("runs", "2");
    }
    return new Use(event.lift().key(), Method.EVENT_WEEKS, settings, days);
  }

  private static String written(Mass mass, MassUnit unit) {
    return mass.amountIn(unit, 2).stripTrailingZeros().toPlainString();
  }

  /** The lifts of a block as a mock contest on its last day; events have their own rehearsals. */
  static List<Use> mock(List<Use> uses) {
    DayOfWeek last = uses.stream().flatMap(use -> use.days().stream()).max(Comparator.naturalOrder()).orElse(DayOfWeek.SATURDAY);
    return uses.stream().filter(use -> use.method() != Method.EVENT_WEEKS)
        .map(use -> new Use(use.lift(), Method.MOCK, Map.of(), EnumSet.of(last))).toList();
  }

  /** A block of another purpose with the lifts and days of one. */
  static Block block(int no, Purpose purpose, int weeks, Block like) {
    List<Use> uses = switch (purpose) {
      case OFF -> List.of();
      case TEST -> mock(like.uses());
      default -> like.uses().stream()
          .map(use -> use.method() == Method.EVENT_WEEKS ? use
              : new Use(use.lift(), purpose.method(), purpose.settings(), use.days())).toList();
    };
    return new Block(no, purpose, 1, 0, like.easy(), like.basis(), uses).withWeeks(weeks);
  }
}

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
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Tapering;

/**
 * A long plan proposed for a lifter, with the reasons in words.
 *
 * @param plan as proposed; every part can be changed
 * @param reasons a sentence each
 */
public record Proposal(Macrocycle plan, List<String> reasons) {
  private static final int OPEN_VOLUME = 5;
  private static final int OPEN_STRENGTH = 5;
  private static final int WAVE = 11;
  /** A contest further away is not planned for. */
  static final int LONGEST = 52;
  /** A believable goal is some 5 % over the max: these shares of it are 92 to 97 % of what was the max. */
  private static final String PEAK_OF_GOAL = "87.5";
  private static final String PEAK_OF_GOAL_END = "92.5";

  private static final int SHORT_WAY = 6;
  private static final int LONG_WAY = 12;

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
  public record Request(@Nullable Level level, List<Lift> lifts, List<Event> events, Set<DayOfWeek> free, @Nullable LocalDate contest, LocalDate from,
      boolean strained, Deload deload, MassUnit unit, List<Aim> aims) {}

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
    List<String> reasons = new ArrayList<>();
    List<Shape> shapes = contest == null ? open(request, reasons) : to(request, Fitting.weeks(request.from(), contest), reasons);
    Map<Lift, Set<DayOfWeek>> days = DaySplit.of(request.lifts(), request.events().stream().map(Event::lift).distinct().toList(), request.free());
    reasons.add(days(request, days));
    Set<Lift> ofGoal = aims(request, reasons);
    List<Block> blocks = new ArrayList<>();
    int since = 0;
    Deload.Interval interval = Deload.Interval.of(request.level(), request.strained());
    for (int i = 0; i < shapes.size(); i++) {
      Shape shape = shapes.get(i);
      // an easy week ends a block; where the next one would be too long to wait for, it ends this one
      int untilNext = since + shape.weeks + (i + 1 < shapes.size() ? shapes.get(i + 1).weeks - 1 : 0);
      boolean easy = resting(shape.purpose) && shape.weeks > 2 && (since + shape.weeks > interval.least() - 1 || untilNext > interval.most());
      since = easy ? 0 : since + shape.weeks;
      blocks.add(new Block(blocks.size() + 1, shape.purpose, shape.weeks, easy ? shape.weeks - 1 : 0, request.deload(), null,
          uses(shape.purpose, days, request, ofGoal)));
    }
    if (blocks.stream().anyMatch(block -> block.every() > 0)) {
      reasons.add("An easy week ends a block whenever one is due: every " + interval.least() + "–" + interval.most() + " weeks at this level and in this life.");
    }
    return new Proposal(new Macrocycle(request.from(), contest, blocks, List.of(), List.of()), reasons);
  }

  private static boolean resting(Purpose purpose) {
    return purpose == Purpose.VOLUME || purpose == Purpose.STRENGTH || purpose == Purpose.PRACTICE;
  }

  /** A block of so many weeks. */
  private record Shape(Purpose purpose, int weeks) {}

  private static List<Shape> open(Request request, List<String> reasons) {
    List<Shape> shapes = new ArrayList<>();
    if (request.level() == Level.BEGINNER) {
      reasons.add("No contest is written down, and at this level loads grow by the session: eight weeks of practice, then a mock contest.");
      shapes.add(new Shape(Purpose.PRACTICE, 8));
    } else {
      reasons.add("No contest is written down: volume, then strength, five weeks each, then a mock contest that shows what they came to.");
      shapes.add(new Shape(Purpose.VOLUME, OPEN_VOLUME));
      shapes.add(new Shape(Purpose.STRENGTH, OPEN_STRENGTH));
    }
    shapes.add(new Shape(Purpose.TEST, 1));
    return shapes;
  }

  /** On a short way there is no time for more. */
  private static int mostTaper(int weeks) {
    if (weeks < SHORT_WAY) {
      return 1;
    }
    return weeks < LONG_WAY ? 2 : 3;
  }

  private static List<Shape> to(Request request, int weeks, List<String> reasons) {
    boolean beginner = request.level() == Level.BEGINNER;
    int taper = Math.min(Tapering.weeks(request.level()), mostTaper(weeks));
    int peak = Math.min(Math.max(0, weeks - taper), beginner ? weeks >= 6 ? 1 : 0 : weeks >= 10 ? 3 : weeks >= 7 ? 2 : weeks >= 3 ? 1 : 0);
    int rest = weeks - taper - peak;
    reasons.add(Count.of(weeks, "week") + " to the contest, its own week included. The last " + (taper == 1 ? "one is" : taper + " are")
        + " the taper: less volume with the loads kept pays over about two weeks (Bosquet et al. 2007)" + (taper == 3
            ? ", a third for an advanced lifter." : taper == 1 ? "; new lifters and short ways need less." : "."));
    if (peak > 0) {
      reasons.add("Before it " + Count.of(peak, "week") + " of singles over 90 %, so that they are practised when they count.");
    }
    List<Shape> shapes = new ArrayList<>();
    if (rest > 0 && beginner) {
      for (int left = rest; left > 0; left -= Purpose.PRACTICE.most()) {
        shapes.add(new Shape(Purpose.PRACTICE, Math.min(left, Purpose.PRACTICE.most())));
      }
      reasons.add("The " + Count.of(rest, "week") + " before go to practice: at this level loads grow by the session.");
    } else if (rest > 0) {
      waves(shapes, rest, request.level());
      reasons.add(rest < 5 ? "The " + Count.of(rest, "week") + " before go to strength: there is no time for volume that pays on the day."
          : "The " + Count.of(rest, "week") + " before go to volume first and strength second" + (shapes.size() > 2 ? ", twice over" : "")
              + ": what is furthest from the platform is least like it.");
    } else {
      reasons.add("There is no time to get stronger: openers, and rest.");
    }
    if (peak > 0) {
      shapes.add(new Shape(Purpose.PEAK, peak));
    }
    shapes.add(new Shape(Purpose.TAPER, taper));
    shapes.add(new Shape(Purpose.OFF, 1));
    return shapes;
  }

  /** Volume and strength, over again where there are many weeks; those who are advanced have the longer half in strength. */
  private static void waves(List<Shape> shapes, int rest, @Nullable Level level) {
    if (rest < 5) {
      shapes.add(new Shape(Purpose.STRENGTH, rest));
      return;
    }
    int waves = (rest + WAVE - 1) / WAVE;
    int left = rest;
    for (int wave = 0; wave < waves; wave++) {
      int ofWave = left / (waves - wave);
      left -= ofWave;
      int volume = level == Level.ADVANCED ? ofWave / 2 : (ofWave + 1) / 2;
      if (volume < 2) {
        shapes.add(new Shape(Purpose.STRENGTH, ofWave));
      } else {
        shapes.add(new Shape(Purpose.VOLUME, volume));
        shapes.add(new Shape(Purpose.STRENGTH, ofWave - volume));
      }
    }
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
        reasons.add(goal + ", which can be believed in: the singles of the peak are shares of it, " + PEAK_OF_GOAL + " to " + PEAK_OF_GOAL_END + " %.");
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
    return "On " + used + " days a week " + (more.isEmpty() ? "each lift comes once." : more + ", the rest once; further days of a lift are lighter.") + events;
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
        uses.add(purpose == Purpose.PEAK && ofGoal.contains(lift) ? usual.with("basis", "goal").with("from", PEAK_OF_GOAL).with("to", PEAK_OF_GOAL_END) : usual);
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
    return uses.stream().filter(use -> use.method() != Method.EVENT_WEEKS).map(use -> new Use(use.lift(), Method.MOCK, Map.of(), EnumSet.of(last))).toList();
  }

  /** A block of another purpose with the lifts and days of one. */
  static Block block(int no, Purpose purpose, int weeks, Block like) {
    List<Use> uses = purpose == Purpose.OFF ? List.of() : purpose == Purpose.TEST ? mock(like.uses())
        : like.uses().stream().map(use -> use.method() == Method.EVENT_WEEKS ? use : new Use(use.lift(), purpose.method(), purpose.settings(), use.days()))
            .toList();
    return new Block(no, purpose, 1, 0, like.easy(), like.basis(), uses).withWeeks(weeks);
  }
}

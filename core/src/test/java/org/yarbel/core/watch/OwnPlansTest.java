package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RatioEstimate;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.Use;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;

/**
 * What the application itself proposes and writes passes its own checks: at most one doubt a week in the middle, over generated
 * lifters of every level, on long plans and on single methods. The lifters are made up.
 */
class OwnPlansTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final Loadables LOADABLES = Loadables.of(new Kit(kg(20), kg(0), PlateStock.standard(MassUnit.KG)));
  private static final int LIFTERS = 200;

  private static Mass kg(double amount) {
    return Mass.ofRoundedNanograms(amount * 1e12, MassUnit.KG);
  }

  /** Somebody who might walk in. */
  private record Somebody(Level level, Sex sex, int age, boolean strained, Map<String, Mass> maxes, Map<String, Mass> goals,
      Set<DayOfWeek> free, @Nullable LocalDate contest) {
    static Somebody made(RandomGenerator random) {
      Level level = Level.values()[random.nextInt(3)];
      Sex sex = Sex.values()[random.nextInt(2)];
      double body = sex == Sex.MALE ? 70 + random.nextInt(50) : 52 + random.nextInt(40);
      double strong = switch (level) {
        case BEGINNER -> 1.1;
        case INTERMEDIATE -> 1.6;
        case ADVANCED -> 2.3;
      } * (sex == Sex.MALE ? 1 : 0.75) * (0.9 + 0.2 * random.nextDouble());
      Map<String, Mass> maxes = new TreeMap<>(Map.of("squat", kg(Math.round(body * strong)), "bench",
          kg(Math.round(0.68 * body * strong)), "deadlift", kg(Math.round(1.15 * body * strong))));
      Set<DayOfWeek> free = EnumSet.noneOf(DayOfWeek.class);
      int days = 2 + random.nextInt(4);
      while (free.size() < days) {
        free.add(DayOfWeek.of(1 + random.nextInt(7)));
      }
      LocalDate contest = random.nextInt(3) == 0 ? null : MONDAY.plusWeeks(6 + random.nextInt(14)).plusDays(5);
      Map<String, Mass> goals = new TreeMap<>();
      if (contest != null && random.nextBoolean()) {
        double weeks = ChronoUnit.DAYS.between(MONDAY, contest) / 7.0;
        maxes.forEach((lift, max) -> goals.put(lift, max.plus(GoalCourse.believable(max, weeks).scaled(0.8)).shownIn(MassUnit.KG)));
      }
      return new Somebody(level, sex, 18 + random.nextInt(40), random.nextInt(4) == 0, maxes, goals, free, contest);
    }

    MaxNumbers numbers(Lift lift) {
      RatioEstimate estimates = new RatioEstimate(LIFTS, of -> Optional.ofNullable(maxes.get(of.key())), of -> Optional.empty());
      Mass max = estimates.of(lift).orElse(null);
      return max == null ? MaxNumbers.NONE : new MaxNumbers(null, max, MaxNumbers.trainingFrom(max), goals.get(lift.key()));
    }

    Brief brief(String key, Settings settings, int perWeek) {
      Lift lift = LIFTS.ofKey(key).orElseThrow();
      return new Brief(lift, MassUnit.KG, numbers(lift), EffortChart.HOUSE, LOADABLES, settings, perWeek, LIFTS);
    }

    CountedLine counted(long id, Written line) {
      return counted(id, line.day(), line.kind(), line.lift(), line.work());
    }

    CountedLine counted(long id, LocalDate day, SlotKind kind, String key, String work) {
      Lift lift = LIFTS.ofKey(key).orElseThrow();
      Map<String, MaxNumbers> others = new HashMap<>();
      maxes.keySet().forEach(other -> others.put(other, numbers(LIFTS.ofKey(other).orElseThrow())));
      ResolvedLine resolved = Resolver.resolve(new Resolver.Request(WorkLine.parse(work), Basis.ESTIMATED, numbers(lift), others, kg(90),
          lift.onBar() ? LOADABLES : null, MassUnit.KG, EffortChart.HOUSE, lift.movement(), lift.variation().partial(), List.of(),
          null, level));
      return CountedLine.of(id, day, kind, lift, resolved, numbers(lift).best(), EffortChart.HOUSE, LIFTS);
    }

    Athlete athlete(Map<String, List<Method>> methods) {
      Map<String, Athlete.Goal> aims = new HashMap<>();
      maxes.forEach((lift, max) -> {
        if (goals.containsKey(lift)) {
          aims.put(lift, new Athlete.Goal(goals.get(lift), contest, max, MONDAY));
        } else if (contest != null) {
          aims.put(lift, new Athlete.Goal(max, contest, null, null));
        }
      });
      return new Athlete(sex, age, false, strained, level, maxes, maxes, aims, methods, List.of(), free);
    }
  }

  /** A week with all that the checks are told, so that it can be shown to them again with other lines. */
  private record Shown(Somebody one, LocalDate monday, Athlete athlete, List<WatchedLine> lines, List<WeekTotals> past,
      Map<String, LocalDate> last, int since, @Nullable Deload deload, boolean peaking, Around around) {
    WatchedWeek week() {
      return new WatchedWeek(monday, athlete, lines, past, last, since, deload, peaking, Figures.USUAL, around);
    }

    /** The same with a line that a coach has written in place of the first main one of a lift. */
    Shown with(String lift, String work) {
      List<WatchedLine> all = new ArrayList<>(lines);
      for (int i = 0; i < all.size(); i++) {
        WatchedLine was = all.get(i);
        if (was.counted().lift().key().equals(lift) && was.counted().kind() == SlotKind.MAIN) {
          all.set(i, byHand(was.counted().day(), was.place(), i + 1, lift, work));
          return new Shown(one, monday, athlete, all, past, last, since, deload, peaking, around);
        }
      }
      throw new IllegalStateException("No line of the " + lift);
    }

    /** The same with one more line on the day after the first main one of a lift, or before it. */
    Shown andNextDay(String lift, String work) {
      List<WatchedLine> all = new ArrayList<>(lines);
      LocalDate first = all.stream().map(WatchedLine::counted).filter(line -> line.lift().key().equals(lift)
          && line.kind() == SlotKind.MAIN).findFirst()
          .orElseThrow().day();
      LocalDate day = first.plusDays(1).isBefore(monday.plusWeeks(1)) ? first.plusDays(1) : first.minusDays(1);
      all.add(byHand(day, 1, all.size() + 1, lift, work));
      all.sort(Comparator.comparing(line -> line.counted().day()));
      return new Shown(one, monday, athlete, all, past, last, since, deload, peaking, around);
    }

    private WatchedLine byHand(LocalDate day, int place, long id, String lift, String work) {
      CountedLine counted = one.counted(id, day, SlotKind.MAIN, lift, work);
      return new WatchedLine(counted, WorkLine.parse(work).line(), one.numbers(counted.lift()).best(), one.level(), Method.RISING,
          true, false, null, place);
    }
  }

  /** The weeks of a plan as the checks are shown them, one after another. */
  private static List<Shown> weeks(Somebody one, Macrocycle plan, LocalDate until) {
    List<Written> all = Written.all(plan, one::brief, LIFTS, plan.startsOn(), until);
    Map<LocalDate, Deload> easy = plan.easyWeeks();
    List<Shown> weeks = new ArrayList<>();
    List<WeekTotals> past = new ArrayList<>();
    List<CountedLine> before = new ArrayList<>();
    Map<String, LocalDate> last = new HashMap<>();
    int since = 0;
    for (LocalDate monday = plan.startsOn(); monday.isBefore(until); monday = monday.plusWeeks(1)) {
      List<WatchedLine> lines = new ArrayList<>();
      Map<LocalDate, Integer> places = new HashMap<>();
      Map<String, List<Method>> methods = new HashMap<>();
      Set<Boolean> peaking = new HashSet<>();
      for (Macrocycle.Assigned at : plan.assigned()) {
        if (!at.startsOn().isAfter(monday) && (at.endsOn() == null || at.endsOn().isAfter(monday))) {
          methods.computeIfAbsent(at.lift(), key -> new ArrayList<>()).add(at.method());
          peaking.add(at.method().rule().peaking(Settings.check(at.method(), at.settings(), LIFTS).settings(),
              (int) ChronoUnit.WEEKS.between(at.startsOn(), monday)));
        }
      }
      for (Written line : all) {
        if (!line.day().isBefore(monday) && line.day().isBefore(monday.plusWeeks(1))) {
          CountedLine counted = one.counted(lines.size() + 1, line);
          Method method = plan.assigned().stream().filter(at -> at.no() == line.block())
              .filter(at -> LIFTS.line(counted.lift()).stream().anyMatch(l -> l.key()
              .equals(at.lift()))).map(Macrocycle.Assigned::method).findFirst().orElse(Method.RISING);
          lines.add(new WatchedLine(counted, WorkLine.parse(line.work()).line(), one.numbers(counted.lift()).best(), one.level(),
              method, false, line.forecast(), null, places.merge(line.day(), 1, Integer::sum)));
        }
      }
      weeks.add(new Shown(one, monday, one.athlete(methods), List.copyOf(lines),
          List.copyOf(past.subList(Math.max(0, past.size() - 3), past.size())), Map.copyOf(last),
          since, easy.get(monday), peaking.contains(true), new Around(MONDAY, before, easy.containsKey(monday.plusWeeks(1)), Map.of())));
      if (easy.containsKey(monday) || lines.isEmpty()) {
        since = 0;
      } else {
        since++;
        past.add(weeks.get(weeks.size() - 1).week().totals());
      }
      before.clear();
      lines.forEach(line -> {
        before.add(line.counted());
        last.put(line.counted().head().key(), line.counted().day());
      });
    }
    return weeks;
  }

  /** Every lift by a method that suits the level, on the days there are. */
  private static Macrocycle byMethods(Somebody one, RandomGenerator random) {
    List<Method> suits = switch (one.level()) {
      case BEGINNER -> List.of(Method.NOVICE_LINEAR, Method.DOUBLE_PROGRESSION, Method.RPE_WEEKS);
      case INTERMEDIATE -> List.of(Method.PLUS_SETS, Method.RPE_WEEKS, Method.BLOCKS, Method.FALLING_BACKOFFS, Method.LADDER,
          Method.HIGH_FREQUENCY, Method.RISING);
      case ADVANCED -> List.of(Method.PLUS_SETS, Method.RPE_WEEKS, Method.BLOCKS, Method.FALLING_BACKOFFS, Method.HIGH_FREQUENCY,
          Method.CLUSTER, Method.DENSITY, Method.PARTIALS, Method.ROTATION);
    };
    Method method = suits.get(random.nextInt(suits.size()));
    Proposal proposal = propose(one, null);
    List<Use> uses = proposal.plan().blocks().get(0).uses().stream().map(use -> new Use(use.lift(), method, Map.of(), use.days())).toList();
    List<Block> blocks = List.of(new Block(1, Purpose.STRENGTH, 10, 5, Deload.HALF_LOAD, null, uses));
    return new Macrocycle(MONDAY, null, blocks, List.of(), List.of());
  }

  private static Proposal propose(Somebody one, @Nullable LocalDate contest) {
    List<Proposal.Aim> aims = new ArrayList<>();
    one.goals().forEach((lift, goal) -> aims.add(new Proposal.Aim(LIFTS.ofKey(lift).orElseThrow(), one.maxes().get(lift), goal)));
    return Proposal.of(new Proposal.Request(one.level(), LIFTS.powerlifts(), List.of(), one.free(), contest, MONDAY,
        one.strained(), Deload.HALF_LOAD, MassUnit.KG, aims));
  }

  private static List<Finding> doubts(WatchedWeek week) {
    return Checks.look(week).stream().filter(found -> found.severity() != Severity.NOTE).toList();
  }

  /** The weeks with lines of a lifter's plan: every other one has a long plan, the rest go by methods. */
  private static List<Shown> weeksOf(int number, RandomGenerator random) {
    Somebody one = Somebody.made(random);
    Macrocycle plan = number % 2 == 0 ? propose(one, one.contest()).plan() : byMethods(one, random);
    return weeks(one, plan, plan.end()).stream().filter(week -> !week.lines().isEmpty()).toList();
  }

  @Test
  void plansOfItsOwnAreHardlyEverDoubted() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(2_026);
    List<Integer> counts = new ArrayList<>();
    Map<String, Integer> spoke = new TreeMap<>();
    for (int i = 0; i < LIFTERS; i++) {
      for (Shown week : weeksOf(i, random)) {
        List<Finding> doubts = doubts(week.week());
        counts.add(doubts.size());
        doubts.forEach(found -> spoke.merge(found.check(), 1, Integer::sum));
      }
    }
    counts.sort(null);
    assertThat(counts.get(counts.size() / 2)).as("in the middle, of %s", spoke).isLessThanOrEqualTo(1);
    assertThat(counts.stream().mapToInt(Integer::intValue).average().orElseThrow())
        .as("on average of %s weeks, of %s", counts.size(), spoke).isLessThan(0.25);
  }

  @Test
  void whatIsPlantedInThemIsFound() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(40);
    Map<String, Integer> found = new TreeMap<>();
    for (int i = 0; i < LIFTERS; i++) {
      List<Shown> weeks = weeksOf(i, random);
      Shown week = weeks.get(random.nextInt(weeks.size()));
      Set<String> written = new TreeSet<>();
      week.lines().stream().filter(line -> line.counted().kind() == SlotKind.MAIN && line.counted().lift().powerlift())
          .forEach(line -> written.add(line.counted()
          .lift().key()));
      if (written.isEmpty()) {
        continue;
      }
      String lift = written.iterator().next();
      double max = week.one().maxes().get(lift).nanograms() / 1e12;
      Map<String, Shown> planted = new TreeMap<>();
      planted.put("to-failure", week.with(lift, "3x7 85%"));
      planted.put("percent-against-rpe", week.with(lift, "3x5 90% @7"));
      planted.put("out-of-reach", week.with(lift, "1x1 " + Math.round(max * 1.3 / 2.5) * 5 / 2 + "kg"));
      planted.put("not-loadable", week.with(lift, "3x5 " + Math.round(max / 5) * 3 + ".7kg"));
      planted.put("zone-limit", week.with(lift, "10x4 75%"));
      planted.put("consecutive-days", week.with(lift, "3x3 88%").andNextDay(lift, "3x3 88%"));
      if (week.one().level() == Level.BEGINNER) {
        planted.put("method-for-level", week.with(lift, "max 1"));
      }
      if (week.deload() != null) {
        planted.put("under-ceiling", week.with(lift, "5x5 80%"));
      }
      if (week.deload() == null && !week.around().deloadFollows() && !week.past().isEmpty()
          && week.past().stream().allMatch(of -> of.lifts().stream()
          .filter(l -> l.lift().key().equals(lift)).mapToLong(WeekTotals.OfLift::hardSets).sum() > 0)) {
        planted.put("volume-rise", week.with(lift, "20x5 75%"));
      }
      planted.forEach((check, with) -> {
        List<Finding> said = Checks.ofKey(check).orElseThrow().look(with.week());
        assertThat(said).as("%s planted in %s of %s", check, with.lines().stream().map(line -> line.counted().day().getDayOfWeek()
            + " " + line.counted().lift()
            .key() + " " + line.work()).toList(), week.one()).isNotEmpty();
        found.merge(check, 1, Integer::sum);
      });
    }
    assertThat(found).as("every one was planted").hasSize(9);
  }
}

package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.FitnessFatigue;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.TaperShape;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.Lifted;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.TrackedPoint;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.LongPlans;

/**
 * Reads what the Runway shows, in a fixed number of queries: weeks written and lifted as they stand, the rest as the
 * plan would write it.
 */
@Service
class RunwayService {
  /** The most weeks that are shown. */
  static final int MOST_WEEKS = 26;

  private static final int WEEKS_BACK = 8;
  private static final int OPEN_WEEKS = 9;
  private static final int LOADS_BACK_DAYS = 200;
  private static final int MOST_LIFTS = 6;

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final LiftNumbersRepository numbers;
  private final TrackedPointRepository points;
  private final LifterContexts contexts;
  private final ClubClock clock;

  RunwayService(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, LiftNumbersRepository numbers,
      TrackedPointRepository points, LifterContexts contexts, ClubClock clock) {
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.numbers = numbers;
    this.points = points;
    this.contexts = contexts;
    this.clock = clock;
  }

  /**
   * All that is drawn.
   *
   * @param readiness day by day
   * @param other the same with the taper it is compared with; empty without a contest
   */
  record ShownRunway(LocalDate today, @Nullable LocalDate contest, List<Macrocycle.Placed> blocks, List<RunwayWeek> weeks,
      List<FitnessFatigue.Point> readiness, List<FitnessFatigue.Point> other, List<Goal> goals) {
    LocalDate from() {
      return weeks.get(0).monday();
    }

    LocalDate end() {
      return weeks.get(weeks.size() - 1).monday().plusWeeks(1);
    }
  }

  /**
   * The way to a goal.
   *
   * @param course null without a goal, or where nothing tells where it started
   * @param tracked the estimates so far
   * @param behind in percent today; null without a course or an estimate
   */
  record Goal(Lift lift, @Nullable GoalCourse course, List<TrackedPoint> tracked, @Nullable Double behind, @Nullable Mass now) {}

  /** The lines of a plan from a day to its end, or of so many weeks where it holds. */
  @Transactional(readOnly = true)
  List<Written> written(Lifter lifter, Macrocycle plan, LocalDate from) {
    LifterContext context = contexts.of(lifter, null);
    LocalDate until = plan.holds() ? latest(plan.end(), from.plusWeeks(OPEN_WEEKS)) : plan.end();
    return LongPlans.lines(plan, context, from, until);
  }

  /** Reads it all. */
  @Transactional(readOnly = true)
  ShownRunway show(Lifter lifter, LongPlans.KeptPlan kept, List<Contested> contests, TaperShape compared) {
    LocalDate today = clock.today();
    Macrocycle plan = kept.plan();
    LocalDate monday = Macrocycle.monday(today);
    LocalDate from = latest(plan.startsOn(), monday.minusWeeks(WEEKS_BACK));
    LocalDate end = plan.holds() ? latest(plan.end(), monday.plusWeeks(OPEN_WEEKS)) : plan.end();
    end = latest(end, from.plusWeeks(1));
    end = end.isAfter(from.plusWeeks(MOST_WEEKS)) ? from.plusWeeks(MOST_WEEKS) : end;
    List<LiftNumbers> known = numbers.findByLifterIdIn(List.of(lifter.id()));
    LifterContext context = contexts.of(lifter, null, known);
    List<Written> written = LongPlans.lines(plan, context, from, end);
    List<CountedLine> planned = new ArrayList<>();
    List<CountedLine> done = new ArrayList<>();
    Set<LocalDate> weeksWritten = read(lifter, context, from, end, planned, done);
    written.stream().filter(line -> !line.day().isBefore(monday) && !weeksWritten.contains(Macrocycle.monday(line.day())))
        .forEach(line -> new SessionResolver(context).withoutRamp(line.planned(context.lifts()))
            .ifPresent(resolved -> planned.add(counted(context, line.day(), line.kind(), line.lift(), resolved))));
    List<RunwayWeek.Family> families = families(plan, context);
    Map<LocalDate, List<RunwayWeek.MarkView>> marks = marks(written, contests, context);
    Map<LocalDate, List<CountedLine>> plannedBy = byWeek(planned);
    Map<LocalDate, List<CountedLine>> doneBy = byWeek(done);
    Map<LocalDate, Macrocycle.Week> ofPlan = plan.allWeeks().stream().collect(Collectors.toMap(Macrocycle.Week::monday, week -> week));
    List<RunwayWeek> weeks = new ArrayList<>();
    for (LocalDate week = from; week.isBefore(end); week = week.plusWeeks(1)) {
      weeks.add(RunwayWeek.of(week, plan.contest(), held(plan, ofPlan, week), families, plannedBy.getOrDefault(week, List.of()),
          doneBy.getOrDefault(week, List.of()), marks.getOrDefault(week, List.of()), today));
    }
    Map<LocalDate, Double> loads = loads(lifter, context, planned, today);
    LocalDate until = plan.contest() == null ? end.minusDays(1) : plan.contest();
    boolean drawn = until.isAfter(today);
    LocalDate curveFrom = from.isAfter(today) ? today : from;
    List<FitnessFatigue.Point> readiness = drawn ? FitnessFatigue.curve(loads, today, curveFrom, until) : List.of();
    List<FitnessFatigue.Point> other = drawn && plan.contest() != null
        ? FitnessFatigue.curve(compared.applied(loads, plan.contest(), today), today, curveFrom, until) : List.of();
    List<Macrocycle.Placed> blocks = plan.placed();
    return new ShownRunway(today, plan.contest(), blocks, weeks, readiness, other,
        goals(lifter, known, plan, families.stream().map(RunwayWeek.Family::head).toList(), from));
  }

  /** A contest on the way, with what it is to the plan. */
  record Contested(String name, LocalDate day, boolean peak) {}

  private static LocalDate latest(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  /** The week of a plan; behind its end that of a hold, which goes on. */
  private static Macrocycle.@Nullable Week held(Macrocycle plan, Map<LocalDate, Macrocycle.Week> weeks, LocalDate monday) {
    Macrocycle.Week week = weeks.get(monday);
    if (week != null || !plan.holds() || monday.isBefore(plan.end())) {
      return week;
    }
    Macrocycle.Placed hold = plan.placed().get(plan.placed().size() - 1);
    return new Macrocycle.Week(monday, hold.block(), (int) (ChronoUnit.WEEKS.between(hold.monday(), monday) % hold.block().weeks()));
  }

  /** Reads the days that stand, planned and done, and tells for which weeks methods have written. */
  private Set<LocalDate> read(Lifter lifter, LifterContext context, LocalDate from, LocalDate end, List<CountedLine> planned,
      List<CountedLine> done) {
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, end.minusDays(1));
    List<Long> ids = all.stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, List<LoggedSet>> logged = log.ofSessions(ids).stream()
        .collect(Collectors.groupingBy(Lifted::line, Collectors.mapping(Lifted::set, Collectors.toList())));
    Set<LocalDate> weeks = new HashSet<>();
    SessionResolver resolver = new SessionResolver(context);
    for (TrainingSession session : all) {
      for (Slot slot : bySession.getOrDefault(session.id(), List.of())) {
        if (slot.origin() != null) {
          weeks.add(Macrocycle.monday(session.day()));
        }
        resolver.withoutRamp(PlannedLines.of(context, slot, session.groups())).ifPresent(line -> {
          planned.add(counted(context, session.day(), slot.kind(), slot.lift(), line));
          List<LoggedSet> sets = logged.get(slot.ref());
          if (sets != null) {
            done.add(counted(context, session.day(), slot.kind(), slot.lift(), line.with(sets).onlyDone()));
          }
        });
      }
    }
    return weeks;
  }

  private static CountedLine counted(LifterContext context, LocalDate day, SlotKind kind, String key, ResolvedLine line) {
    return CountedLine.of(0, day, kind, context.lift(key), line, context);
  }

  private static Map<LocalDate, List<CountedLine>> byWeek(List<CountedLine> lines) {
    return lines.stream().collect(Collectors.groupingBy(line -> Macrocycle.monday(line.day())));
  }

  /** What is trained: the lifts of powerlifting first, events behind them. */
  private static List<RunwayWeek.Family> families(Macrocycle plan, LifterContext context) {
    Map<Lift, Set<Lift>> all = new LinkedHashMap<>();
    plan.blocks().forEach(block -> block.uses().forEach(use -> {
      Lift lift = context.lift(use.lift());
      all.computeIfAbsent(context.lifts().family(lift), head -> new HashSet<>()).add(lift);
    }));
    return all.entrySet().stream().sorted(Comparator.comparingInt(of -> of.getKey().powerlift() ? 0 : 1)).limit(MOST_LIFTS)
        .map(of -> new RunwayWeek.Family(of.getKey(), of.getValue().size() == 1 ? of.getValue().iterator().next().name()
            : of.getKey().name())).toList();
  }

  private static Map<LocalDate, List<RunwayWeek.MarkView>> marks(List<Written> written, List<Contested> contests, LifterContext context) {
    Map<LocalDate, List<RunwayWeek.MarkView>> marks = new TreeMap<>();
    written.stream().filter(line -> line.mark() != null && line.block() > 0)
        .forEach(line -> marks.computeIfAbsent(Macrocycle.monday(line.day()),
        week -> new ArrayList<>()).add(RunwayWeek.mark(Objects.requireNonNull(line.mark()), context.lift(line.lift()), line.day())));
    contests.forEach(contest -> marks.computeIfAbsent(Macrocycle.monday(contest.day()), week -> new ArrayList<>())
        .add(new RunwayWeek.MarkView("C", contest.name() + (contest.peak() ? "" : ", as a training day"))));
    return marks;
  }

  /** The load of each day: what was lifted of the half year behind, what is planned from today on. */
  private Map<LocalDate, Double> loads(Lifter lifter, LifterContext context, List<CountedLine> planned, LocalDate today) {
    Map<LocalDate, Double> loads = new HashMap<>();
    Map<String, Mass> maxes = new LinkedHashMap<>();
    context.lifts().all().forEach(lift -> Optional.ofNullable(context.numbers(lift).best()).filter(max -> !max.isZero())
        .ifPresent(max -> maxes.put(lift.key(), max)));
    if (!maxes.isEmpty()) {
      log.dayLoads(lifter.id(), maxes.keySet(), today.minusDays(LOADS_BACK_DAYS), today.plusDays(1)).forEach(row -> {
        double share = row.getLoadNg() / (double) maxes.get(row.getLift()).nanograms();
        loads.merge(row.getDay(), row.getReps() * share * share, Double::sum);
      });
    }
    planned.stream().filter(line -> line.day().isAfter(today) || line.day().equals(today) && !loads.containsKey(today))
        .collect(Collectors.groupingBy(
        CountedLine::day, Collectors.summingDouble(CountedLine::sessionLoad))).forEach(loads::put);
    return loads;
  }

  private List<Goal> goals(Lifter lifter, List<LiftNumbers> numbersOf, Macrocycle plan, Collection<Lift> families, LocalDate from) {
    LocalDate today = clock.today();
    Map<String, LiftNumbers> own = numbersOf.stream().collect(Collectors.toMap(LiftNumbers::lift, n -> n));
    LocalDate since = from.isAfter(today) ? today.minusWeeks(WEEKS_BACK) : from.minusWeeks(2);
    Map<String, List<TrackedPoint>> tracked = points.since(List.of(lifter.id()), families.stream().map(Lift::key).toList(), since).stream()
        .filter(point -> point.estimate(lifter.unit()) != null).collect(Collectors.groupingBy(TrackedPoint::lift));
    List<Goal> goals = new ArrayList<>();
    for (Lift lift : families) {
      LiftNumbers known = own.get(lift.key());
      if (known != null && known.numbers(lifter.unit(), today).best() != null) {
        goals.add(goal(lift, known, tracked.getOrDefault(lift.key(), List.of()), lifter, plan, today));
      }
    }
    return goals;
  }

  private static Goal goal(Lift lift, LiftNumbers known, List<TrackedPoint> tracked, Lifter lifter, Macrocycle plan, LocalDate today) {
    Mass now = known.numbers(lifter.unit(), today).best();
    Mass goal = known.numbers(lifter.unit(), today).goal();
    LocalDate on = known.goalOn() != null ? known.goalOn() : plan.contest();
    TrackedPoint first = tracked.stream().filter(point -> !point.day().isBefore(plan.startsOn())).findFirst().orElse(null);
    TrackedPoint before = tracked.stream().filter(point -> point.day().isBefore(plan.startsOn())).reduce((one, later) -> later)
        .orElse(null);
    Mass start = Stream.of(Optional.ofNullable(before), Optional.ofNullable(first)).flatMap(Optional::stream).findFirst()
        .map(point -> point.estimate(lifter.unit())).orElse(now);
    LocalDate startOn = plan.startsOn();
    GoalCourse course = goal == null || on == null || start == null || !on.isAfter(startOn) ? null
        : new GoalCourse(start, startOn, goal, on);
    Double behind = course == null || now == null || today.isBefore(startOn) ? null : Double.valueOf(course.behind(today, now));
    return new Goal(lift, course, tracked, behind, now);
  }
}

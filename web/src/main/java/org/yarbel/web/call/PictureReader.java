package org.yarbel.web.call;

import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.hibernate.FlushMode;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.Picture;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.watch.WatchedWeek;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.WeighInRepository;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.log.TrackedPoint;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.DeloadWeek;
import org.yarbel.web.program.DeloadWeekRepository;
import org.yarbel.web.program.Progression;
import org.yarbel.web.program.ProgressionRepository;
import org.yarbel.web.session.CheckedInRepository;
import org.yarbel.web.session.SessionLogRepository;
import org.yarbel.web.watch.Thresholds;
import org.yarbel.web.watch.WeekWatch;

/** Gathers all that the rules ask of one lifter, in a fixed number of queries, and nothing older than they look at. */
@Component
class PictureReader {
  /** So many weeks of the log are looked at. */
  static final int WEEKS_BACK = 12;

  private static final int WEEKS_AHEAD = 5;
  private static final Limit ANSWERS = Limit.of(40);
  private static final Limit WEIGHED = Limit.of(6);
  private static final Limit COMPLAINTS = Limit.of(20);
  private static final Pattern NUMBER = Pattern.compile("(\\d{2,3}(?:[.,]\\d)?)(\\s*\\+)?");

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final SetMarkRepository marks;
  private final LeftSetsRepository left;
  private final SessionLogRepository sessionLogs;
  private final CheckedInRepository checkIns;
  private final ComplaintRepository complaints;
  private final WeighInRepository weighIns;
  private final Contests contests;
  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final LiftNumbersRepository numbers;
  private final TrackedPointRepository points;
  private final LifterContexts contexts;
  private final Thresholds thresholds;
  private final WeekWatch watch;
  private final Lifts lifts;
  private final ClubClock clock;
  private final EntityManager entities;

  PictureReader(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, SetMarkRepository marks,
      LeftSetsRepository left, SessionLogRepository sessionLogs, CheckedInRepository checkIns, ComplaintRepository complaints,
      WeighInRepository weighIns, Contests contests, ProgressionRepository progressions, DeloadWeekRepository deloads,
      LiftNumbersRepository numbers, TrackedPointRepository points, LifterContexts contexts, Thresholds thresholds, WeekWatch watch,
      Lifts lifts, ClubClock clock, EntityManager entities) {
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.marks = marks;
    this.left = left;
    this.sessionLogs = sessionLogs;
    this.checkIns = checkIns;
    this.complaints = complaints;
    this.weighIns = weighIns;
    this.contests = contests;
    this.progressions = progressions;
    this.deloads = deloads;
    this.numbers = numbers;
    this.points = points;
    this.contexts = contexts;
    this.thresholds = thresholds;
    this.watch = watch;
    this.lifts = lifts;
    this.clock = clock;
    this.entities = entities;
  }

  /**
   * What is read of a lifter, the picture with the rows behind it.
   *
   * @param rows of the sessions, in order of their days
   * @param slots of the sessions, by the row
   * @param done what was lifted, by the ref of the line
   */
  record Read(Lifter lifter, Picture picture, List<TrainingSession> rows, Map<Long, List<Slot>> slots, Map<UUID, List<LoggedSetRow>> done,
      List<LiftNumbers> numbers, List<Complaint> hurts) {}

  /** What a lift is called; empty where there is none. */
  Optional<String> liftName(String key) {
    return lifts.catalogue().ofKey(key).map(Lift::name);
  }

  /** The picture of a lifter as of today. */
  @Transactional(readOnly = true)
  public Read read(Lifter lifter) {
    return read(lifter, clock.today());
  }

  /** The picture as of a day: what was written down of later ones, by a phone whose clock runs fast, is not known yet. */
  @Transactional(readOnly = true)
  public Read read(Lifter lifter, LocalDate today) {
    Session session = entities.unwrap(Session.class);
    FlushMode before = session.getHibernateFlushMode();
    if (before == FlushMode.MANUAL) {
      return gather(lifter, today);
    }
    // what waits to be written is, once: else each question would look again through all that was read for the ones before
    session.flush();
    session.setHibernateFlushMode(FlushMode.MANUAL);
    try {
      return gather(lifter, today);
    } finally {
      session.setHibernateFlushMode(before);
    }
  }

  private Read gather(Lifter lifter, LocalDate today) {
    List<TrainingSession> rows = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), today.minusWeeks(WEEKS_BACK),
        today.plusWeeks(WEEKS_AHEAD));
    List<Long> ids = rows.stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = ids.isEmpty() ? Map.of() : slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    List<LoggedSetRow> sets = ids.isEmpty() ? List.of() : log.allOf(ids).stream().filter(set -> !set.day().isAfter(today)).toList();
    Map<UUID, List<LoggedSetRow>> done = sets.stream().collect(Collectors.groupingBy(LoggedSetRow::line));
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(lifter.id()));
    List<Complaint> hurts = complaints.present(lifter.id(), COMPLAINTS).stream().filter(row -> !row.since().isAfter(today)).toList();
    LifterContext context = contexts.of(lifter, null, own);
    List<Progression> methods = progressions.findByLifterIdOrderById(lifter.id());
    Map<UUID, Picture.AtWork> atWork = methods.stream().filter(method -> method.endsOn() == null
        || method.endsOn().isAfter(today.minusWeeks(3))).map(PictureReader::atWork)
        .collect(Collectors.toMap(Picture.AtWork::ref, Function.identity()));
    PicturedSessions built = new PicturedSessions(context, atWork, done, marks(ids), ended(ids), liftedOn(ids));
    List<Picture.Session> all = rows.stream().map(row -> built.session(row, bySession.getOrDefault(row.id(), List.of()))).toList();
    Picture picture = new Picture(today, person(lifter, own), context, lifts(own, methods, context, today), all,
        checkIns.findByLifterIdOrderByDayDesc(lifter.id(), ANSWERS).stream().filter(row -> row.said().any() && !row.day().isAfter(today))
            .map(row -> new Picture.Answers(row.id(), row.day(), row.said())).toList(),
        hurts.stream().map(PictureReader::complaint).toList(),
        weighIns.findByLifterIdOrderByDayDesc(lifter.id(), WEIGHED).stream().filter(row -> !row.day().isAfter(today))
            .map(row -> new Picture.Weighed(row.id(), row.day(), row.mass().shownIn(lifter.unit()))).toList(),
        contest(lifter, today), List.copyOf(atWork.values()), deloads(lifter, methods, today), null,
        thresholds.values());
    Read read = new Read(lifter, picture, rows, bySession, done, own, hurts);
    return missedThisWeek(picture) ? new Read(lifter, watched(read), rows, bySession, done, own, hurts) : read;
  }

  /** The week is looked at by the checks only where a session could be moved in it. */
  private static boolean missedThisWeek(Picture picture) {
    LocalDate monday = Macrocycle.monday(picture.today());
    return picture.sessions().stream().anyMatch(session -> !session.day().isBefore(monday) && session.day().isBefore(picture.today())
        && !session.begun() && !session.ended());
  }

  private Picture watched(Read read) {
    Picture p = read.picture();
    WatchedWeek week = seen(read, Macrocycle.monday(p.today())).week();
    return new Picture(p.today(), p.person(), p.context(), p.lifts(), p.sessions(), p.answers(), p.complaints(), p.weighed(), p.contest(),
        p.methods(), p.deloads(), week, p.figures());
  }

  /** A week of a lifter as the checks see it. */
  WeekWatch.SeenWeek seen(Read read, LocalDate monday) {
    List<WeekWatch.WatchedDay> before = new ArrayList<>();
    List<WeekWatch.WatchedDay> days = new ArrayList<>();
    for (TrainingSession row : read.rows()) {
      if (row.day().isBefore(monday) && !row.day().isBefore(monday.minusWeeks(WeekWatch.WEEKS_BACK))) {
        before.add(day(read, row));
      } else if (!row.day().isBefore(monday) && row.day().isBefore(monday.plusWeeks(1))) {
        days.add(day(read, row));
      }
    }
    return watch.look(read.lifter(), monday, read.numbers(), read.hurts(), Set.of(), before, days);
  }

  private static WeekWatch.WatchedDay day(Read read, TrainingSession row) {
    LifterContext context = read.picture().context();
    List<Slot> lines = read.slots().getOrDefault(row.id(), List.of());
    SessionResolver resolver = new SessionResolver(context);
    Map<Long, ResolvedLine> resolved = new HashMap<>();
    Map<Long, ResolvedLine> asked = new HashMap<>();
    boolean trained = lines.stream().anyMatch(slot -> read.done().containsKey(slot.ref()));
    for (Slot slot : lines) {
      resolver.withoutRamp(PlannedLines.of(context, slot, row.groups())).ifPresent(line -> {
        List<LoggedSet> sets = read.done().getOrDefault(slot.ref(), List.of()).stream().map(LoggedSetRow::loggedSet).toList();
        resolved.put(slot.id(), line.with(sets));
        asked.put(slot.id(), line);
      });
    }
    return new WeekWatch.WatchedDay(row.day(), lines, row.groups(), context, resolved, asked, trained);
  }

  private static Picture.AtWork atWork(Progression method) {
    return new Picture.AtWork(method.ref(), method.lift(), method.method(), method.settings(), method.startsOn(), method.endsOn());
  }

  private Map<Long, List<TechniqueMark>> marks(List<Long> sessionIds) {
    return sessionIds.isEmpty() ? Map.of() : marks.findBySessionIdIn(sessionIds).stream()
        .collect(Collectors.groupingBy(SetMark::setId, Collectors.mapping(mark -> mark.mark().what(), Collectors.toList())));
  }

  private Set<Long> ended(List<Long> sessionIds) {
    return sessionIds.isEmpty() ? Set.of() : left.findBySessionIdIn(sessionIds).stream().map(LeftSets::sessionId)
        .collect(Collectors.toSet());
  }

  private Map<Long, LocalDate> liftedOn(List<Long> sessionIds) {
    Map<Long, LocalDate> days = new HashMap<>();
    if (!sessionIds.isEmpty()) {
      sessionLogs.findBySessionIdIn(sessionIds).stream().filter(row -> row.liftedOn() != null)
          .forEach(row -> days.put(row.sessionId(), row.liftedOn()));
    }
    return days;
  }

  private static Picture.Person person(Lifter lifter, List<LiftNumbers> own) {
    Level level = own.stream().filter(LiftNumbers::listed).map(LiftNumbers::level).max(Comparator.naturalOrder())
        .or(() -> own.stream().map(LiftNumbers::level).max(Comparator.naturalOrder())).orElse(null);
    return new Picture.Person(level, lifter.strained(), lifter.daysFree());
  }

  private Map<String, Picture.OfLift> lifts(List<LiftNumbers> own, List<Progression> methods, LifterContext context, LocalDate today) {
    MassUnit unit = context.unit();
    Map<String, List<TrackedPoint>> tracked = own.isEmpty() ? Map.of() : points.since(List.of(own.get(0).lifterId()),
        own.stream().map(LiftNumbers::lift).toList(), today.minusWeeks(WEEKS_BACK)).stream().filter(point -> !point.day().isAfter(today))
            .collect(Collectors.groupingBy(TrackedPoint::lift));
    Map<String, Picture.OfLift> lifts = new HashMap<>();
    for (LiftNumbers known : own) {
      Lift lift = context.lifts().ofKey(known.lift()).orElse(null);
      if (lift != null) {
        Mass tested = known.tested();
        lifts.put(lift.key(), new Picture.OfLift(lift, known.level(), tested == null ? null : tested.shownIn(unit),
            known.testedOn(), points(tracked.getOrDefault(lift.key(), List.of()), unit), known.heaviest(unit),
            course(known, methods, unit, today), known.trainingPercent() / 100.0, known.moves()));
      }
    }
    return lifts;
  }

  private static List<Picture.Point> points(List<TrackedPoint> tracked, MassUnit unit) {
    List<Picture.Point> all = new ArrayList<>();
    for (TrackedPoint point : tracked) {
      Mass max = point.estimate(unit);
      Mass sd = point.sd(unit);
      if (max != null && sd != null) {
        all.add(new Picture.Point(point.day(), max, sd));
      }
    }
    return all;
  }

  /** The way to the goal from where a method of the lift has it begin; null where nobody knows. */
  private static @Nullable GoalCourse course(LiftNumbers known, List<Progression> methods, MassUnit unit, LocalDate today) {
    Mass goal = known.goal();
    Progression towards = methods.stream().filter(method -> method.lift().equals(known.lift()) && method.runsOn(today)
        && method.settings().containsKey(Progression.START_MAX)).findFirst().orElse(null);
    LocalDate on = known.goalOn() != null || towards == null ? known.goalOn() : towards.contestOn();
    if (goal == null || towards == null || on == null) {
      return null;
    }
    Map<String, String> settings = towards.settings();
    LocalDate from = settings.containsKey(Progression.START_ON) ? LocalDate.parse(settings.get(Progression.START_ON)) : towards.startsOn();
    return on.isAfter(from) ? new GoalCourse(Mass.of(settings.get(Progression.START_MAX), unit), from, goal.shownIn(unit), on) : null;
  }

  private static Picture.Complaint complaint(Complaint row) {
    String words = row.place().toLowerCase(Locale.ROOT);
    BodyPlace place = Arrays.stream(BodyPlace.values()).filter(one -> one != BodyPlace.ELSEWHERE && Arrays.stream(one.word().split(" or "))
        .anyMatch(words::contains)).max(Comparator.comparingInt(one -> one.word().length())).orElse(null);
    return new Picture.Complaint(row.id(), place, row.place(), row.since(), row.score());
  }

  private Picture.@Nullable Contest contest(Lifter lifter, LocalDate today) {
    return contests.of(lifter.id()).stream().filter(going -> going.contest().takesPlace() && going.contest().day() != null
        && !going.contest().day().isBefore(today)).min(Comparator.comparing(going -> going.contest().day()))
        .map(going -> new Picture.Contest(going.contest().id(), going.contest().name(), going.contest().day(),
            limit(going.entry().weightClass(), lifter.unit()))).orElse(null);
  }

  /** The limit of a class such as {@code -83 kg}; null for an open one, or words that name none. */
  private static @Nullable Mass limit(String weightClass, MassUnit unit) {
    Matcher number = NUMBER.matcher(weightClass);
    if (!number.find() || number.group(2) != null) {
      return null;
    }
    MassUnit of = weightClass.contains("lb") ? MassUnit.LB : MassUnit.KG;
    return Mass.of(new BigDecimal(number.group(1).replace(',', '.')), of).shownIn(unit);
  }

  private Picture.Deloads deloads(Lifter lifter, List<Progression> methods, LocalDate today) {
    LocalDate monday = Macrocycle.monday(today);
    List<LocalDate> mondays = deloads.findByLifterIdAndMondayBetween(lifter.id(), monday.minusWeeks(WatchedWeek.LOOKED_BACK),
        monday.plusWeeks(WEEKS_BACK)).stream().map(DeloadWeek::monday).sorted().toList();
    int since = watch.weeksSince(lifter, methods, monday, new HashSet<>(mondays));
    return new Picture.Deloads(since, mondays.stream().filter(week -> !week.isBefore(monday)).toList(), mondays.stream()
        .filter(week -> week.isBefore(monday) && !week.isBefore(monday.minusWeeks(WEEKS_BACK))).toList(), lifter.deloadKind());
  }
}

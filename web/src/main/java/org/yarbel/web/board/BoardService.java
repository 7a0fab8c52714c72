package org.yarbel.web.board;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.CoachWord;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Places;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.line.LineView;
import org.yarbel.web.log.Lifted;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.LineLoads;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.plan.Weeks;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Programs;
import org.yarbel.web.program.Progression;
import org.yarbel.web.watch.RecoveryPicture;
import org.yarbel.web.watch.Silence;
import org.yarbel.web.watch.Silences;
import org.yarbel.web.watch.WeekWatch;

/** Reads a lifter's week: issued cards as they were issued, the rest worked out with the numbers of today. */
@Service
class BoardService {
  private static final Limit SHOWN_PAINS = Limit.of(6);

  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final LiftNumbersRepository numbers;
  private final LifterContexts contexts;
  private final ComplaintRepository complaints;
  private final Places places;
  private final Issuing issuing;
  private final WeekWatch watch;
  private final Silences silences;
  private final Programs programs;
  private final Undo undo;
  private final ClubClock clock;

  BoardService(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots,
      LoggedSetRepository log, LiftNumbersRepository numbers, LifterContexts contexts,
      ComplaintRepository complaints, Places places, Issuing issuing, WeekWatch watch, Silences silences, Programs programs, Undo undo,
          ClubClock clock) {
    this.watch = watch;
    this.silences = silences;
    this.programs = programs;
    this.undo = undo;
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.numbers = numbers;
    this.contexts = contexts;
    this.complaints = complaints;
    this.places = places;
    this.issuing = issuing;
    this.clock = clock;
  }

  private Lifter lifter(long lifterId) {
    return lifters.findById(lifterId).orElseThrow(NotFound::new);
  }

  /** The week that a day is in; today's without one. */
  @Transactional(readOnly = true)
  BoardView week(long lifterId, @Nullable LocalDate of) {
    LocalDate today = clock.today();
    LocalDate from = Programs.monday(of == null ? today : of);
    Looked looked = look(lifter(lifterId), from);
    Lifter lifter = looked.lifter();
    List<LiftNumbers> known = looked.known();
    LoadedWeek loaded = looked.loaded();
    List<Complaint> hurts = looked.hurts();
    List<Silence> record = looked.record();
    Set<String> quiet = Silences.quiet(record);
    WeekWatch.SeenWeek seen = looked.seen();
    WeekPanel panel = WeekPanel.of(lifter, loaded.usual(), seen, record, Programs.silentRemarks(seen.methods(), loaded.usual(), from),
        unwritten(seen.methods(), from, today), loaded.quick());
    List<BoardView.DayView> days = days(lifter, loaded, today, quiet, seen.week().deload());
    return new BoardView(lifter.id(), lifter.name(), lifter.unit().symbol(),
        BoardView.numbers(known, lifter, today), hurts.stream().map(Complaint::words).toList(),
        Weeks.label(from),
        from.toString(), from.minusWeeks(1).toString(), from.plusWeeks(1).toString(), days, panel, undo.of(lifterId));
  }

  /** A week with what the checks see in it. */
  private record Looked(Lifter lifter, List<LiftNumbers> known, LoadedWeek loaded, List<Complaint> hurts, List<Silence> record, WeekWatch.SeenWeek seen) {}

  private Looked look(Lifter lifter, LocalDate from) {
    List<LiftNumbers> known = numbers.findByLifterIdIn(List.of(lifter.id()));
    LoadedWeek loaded = load(lifter, known, from, 7, WeekWatch.WEEKS_BACK);
    List<Complaint> hurts = complaints.present(lifter.id(), SHOWN_PAINS);
    List<Silence> record = silences.record(lifter.id());
    return new Looked(lifter, known, loaded, hurts, record,
        watch.look(lifter, from, known, hurts, Silences.quiet(record), loaded.before(), loaded.watched()));
  }

  /** How each main lift dips and comes back over a week. */
  @Transactional(readOnly = true)
  RecoveryPicture recovery(long lifterId, LocalDate of) {
    Looked looked = look(lifter(lifterId), Programs.monday(of));
    return RecoveryPicture.of(looked.lifter(), looked.loaded().usual().bodyMass(), looked.seen());
  }

  /** How far the methods have written where that is not as far as a week to come; null where it is. */
  private @Nullable LocalDate unwritten(List<Progression> methods, LocalDate monday, LocalDate today) {
    boolean canBe = monday.isAfter(today) && monday.isBefore(Programs.monday(today).plusWeeks(Programs.MOST_AHEAD));
    return canBe ? programs.writtenTo(methods).filter(last -> last.isBefore(monday)).orElse(null) : null;
  }

  /** What is seen in a week, to be drawn anew after a change. */
  @Transactional(readOnly = true)
  BoardView.Panel panel(long lifterId, LocalDate of) {
    BoardView week = week(lifterId, of);
    return new BoardView.Panel(week.panel(), week.days(), week.history(), week.lifterId(), week.monday());
  }

  /** One day of a lifter. */
  @Transactional(readOnly = true)
  BoardView.DayView day(long lifterId, LocalDate date) {
    Lifter lifter = lifter(lifterId);
    return days(lifter, load(lifter, numbers.findByLifterIdIn(List.of(lifterId)), date, 1, 0), clock.today(), silences.quiet(lifterId), watch.easy(lifterId, date)).get(0);
  }

  /** The days looked at, with those before them. */
  private record LoadedWeek(LocalDate from, int count, LifterContext usual, Map<LocalDate, TrainingSession> sessions, Map<LocalDate, WeekWatch.WatchedDay> days,
      Map<Long, LineView> views, Map<Long, Long> logged, List<WeekWatch.WatchedDay> before, List<BoardView.PlaceView> choice) {
    List<WeekWatch.WatchedDay> watched() {
      return new ArrayList<>(days.values());
    }

    /** What a line of the week comes to with another text. */
    WeekPanel.Quick quick() {
      return (slotId, work) -> days.values().stream().flatMap(day -> day.slots().stream().filter(slot -> slot.id() == slotId)
          .map(slot -> new SessionResolver(day.context()).alone(PlannedLines.of(day.context(), slot, day.groups()).saying(work)))).findFirst()
          .map(SessionResolver.Worked::line).map(line -> String.join(" · ", LineLoads.of(line))).orElse("");
    }
  }

  private LoadedWeek load(Lifter lifter, List<LiftNumbers> known, LocalDate from, int count, int weeksBack) {
    LifterContext usual = contexts.of(lifter, null, known);
    Map<Long, LifterContext> elsewhere = new HashMap<>();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from.minusWeeks(weeksBack), from.plusDays(count - 1L));
    List<Long> ids = all.stream().map(TrainingSession::id).toList();
    List<Long> shown = all.stream().filter(session -> !session.day().isBefore(from)).map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream().collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(shown);
    List<Lifted> rows = log.ofSessions(ids);
    Map<Long, Long> logged = rows.stream().collect(Collectors.groupingBy(Lifted::sessionId, Collectors.counting()));
    Map<UUID, List<LoggedSet>> done = rows.stream().collect(Collectors.groupingBy(Lifted::line, Collectors.mapping(Lifted::set, Collectors.toList())));
    Map<LocalDate, TrainingSession> byDay = new HashMap<>();
    Map<LocalDate, WeekWatch.WatchedDay> days = new TreeMap<>();
    Map<Long, LineView> views = new HashMap<>();
    List<WeekWatch.WatchedDay> before = new ArrayList<>();
    for (TrainingSession session : all) {
      Long placeId = session.placeId();
      LifterContext context = placeId == null ? usual : elsewhere.computeIfAbsent(placeId, id -> contexts.of(lifter, id, known));
      List<Slot> lines = bySession.getOrDefault(session.id(), List.of());
      boolean trained = logged.containsKey(session.id());
      if (session.day().isBefore(from)) {
        Map<Long, ResolvedLine> asked = new HashMap<>();
        Map<Long, ResolvedLine> lifted = quickly(context, lines, session.groups(), trained ? done : null, asked);
        before.add(new WeekWatch.WatchedDay(session.day(), lines, session.groups(), context, lifted, asked, trained));
      } else {
        byDay.put(session.day(), session);
        Map<Long, ResolvedLine> asked = new HashMap<>();
        Map<Long, ResolvedLine> resolved = new HashMap<>();
        LineView.worked(context, lines, session.groups(), issued, done, asked).forEach((slot, view) -> views.put(slot.id(), view));
        lines.stream().filter(slot -> asked.containsKey(slot.id()))
            .forEach(slot -> resolved.put(slot.id(), asked.get(slot.id()).with(done.getOrDefault(slot.ref(), List.of()))));
        days.put(session.day(), new WeekWatch.WatchedDay(session.day(), lines, session.groups(), context, resolved, asked, trained));
      }
    }
    return new LoadedWeek(from, count, usual, byDay, days, views, logged, before, choice(lifter));
  }

  /**
   * Lines of days behind, without their warm-ups: only their volume is asked for.
   *
   * @param done what was logged, by the ref of its line: the rest was not lifted; null where nothing was logged at all
   * @param asked takes the same as it was asked, the sets alone that were done
   */
  private static Map<Long, ResolvedLine> quickly(LifterContext context, List<Slot> lines, Groups groups, @Nullable Map<UUID, List<LoggedSet>> done,
      Map<Long, ResolvedLine> asked) {
    Map<Long, ResolvedLine> resolved = new HashMap<>();
    SessionResolver resolver = new SessionResolver(context);
    lines.stream().filter(slot -> done == null || done.containsKey(slot.ref()))
        .forEach(slot -> resolver.withoutRamp(PlannedLines.of(context, slot, groups)).ifPresent(line -> {
          resolved.put(slot.id(), done == null ? line : line.with(done.get(slot.ref())).onlyDone());
          asked.put(slot.id(), done == null ? line : line.onlyTried(done.get(slot.ref())));
        }));
    return resolved;
  }

  private static List<BoardView.DayView> days(Lifter lifter, LoadedWeek loaded, LocalDate today, Set<String> quiet, @Nullable Deload easy) {
    List<BoardView.DayView> days = new ArrayList<>();
    for (LocalDate date = loaded.from(); date.isBefore(loaded.from().plusDays(loaded.count())); date = date.plusDays(1)) {
      TrainingSession session = loaded.sessions().get(date);
      WeekWatch.WatchedDay day = loaded.days().get(date);
      List<BoardView.SlotView> lines = session == null || day == null ? List.of() : lines(lifter, session, day, loaded.views(), quiet, easy);
      days.add(BoardView.day(lifter.id(), date, today, session, session == null ? 0 : loaded.logged()
          .getOrDefault(session.id(), 0L), lines, loaded.choice()));
    }
    return days;
  }

  private static List<BoardView.SlotView> lines(Lifter lifter, TrainingSession session, WeekWatch.WatchedDay day, Map<Long, LineView> worked,
      Set<String> quiet, @Nullable Deload easy) {
    List<BoardView.SlotView> views = new ArrayList<>();
    LifterContext context = day.context();
    List<String> bars = context.kit().bars();
    Slot above = null;
    for (Slot slot : day.slots()) {
      Lift lift = context.lift(slot.lift());
      LineView view = worked.get(slot.id()).without(quiet, context.lifts().family(lift).key());
      String word = slot.details().agreed() || view.wrong() ? null : CoachWord.neededFor(lift, WorkLine.parse(slot.work()).line(), context.level(lift)).orElse(null);
      views.add(BoardView.SlotView.of(slot, lift.name(), lifter.id(), session.day(), view, bars, session.groups(), above, easy, word));
      above = slot;
    }
    return views;
  }

  /** One stored line with its loads. */
  @Transactional(readOnly = true)
  BoardView.SlotView slot(Slot slot) {
    TrainingSession session = sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
    return day(session.lifterId(), session.day()).slots().stream().filter(view -> view.id() == slot.id()).findFirst().orElseThrow(NotFound::new);
  }

  /** The places a day can be trained in; none when there is only one. */
  private List<BoardView.PlaceView> choice(Lifter lifter) {
    Set<Long> ids = new HashSet<>(lifter.furtherPlaces());
    if (ids.isEmpty()) {
      return List.of();
    }
    ids.add(lifter.placeId());
    return places.all().stream().filter(place -> ids.contains(place.id()))
        .map(place -> new BoardView.PlaceView(place.id(), place.name(), place.id() == lifter.placeId())).toList();
  }
}

package org.yarbel.web.board;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterPlace;
import org.yarbel.web.lifter.LifterPlaceRepository;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.LifterContext;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

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
  private final LifterPlaceRepository further;
  private final ComplaintRepository complaints;
  private final Places places;
  private final Issuing issuing;
  private final ClubClock clock;

  BoardService(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots,
      LoggedSetRepository log, LiftNumbersRepository numbers, LifterContexts contexts,
      LifterPlaceRepository further, ComplaintRepository complaints, Places places, Issuing issuing, ClubClock clock) {
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.numbers = numbers;
    this.contexts = contexts;
    this.further = further;
    this.complaints = complaints;
    this.places = places;
    this.issuing = issuing;
    this.clock = clock;
  }

  Lifter lifter(long lifterId) {
    return lifters.findById(lifterId).orElseThrow(NotFound::new);
  }

  /** The week that a day is in; today's without one. */
  @Transactional(readOnly = true)
  BoardView week(long lifterId, @Nullable LocalDate of) {
    Lifter lifter = lifter(lifterId);
    LocalDate today = clock.today();
    LocalDate from = (of == null ? today : of).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    List<BoardView.DayView> days = days(lifter, from, 7, today);
    return new BoardView(lifter.id(), lifter.name(), lifter.unit().symbol(),
        BoardView.numbers(numbers.findByLifterIdIn(List.of(lifterId)), lifter, today),
        complaints.present(lifterId, SHOWN_PAINS).stream().map(Complaint::words).toList(), BoardView.week(from),
        from.minusWeeks(1).toString(), from.plusWeeks(1).toString(), days);
  }

  /** One day of a lifter. */
  @Transactional(readOnly = true)
  BoardView.DayView day(long lifterId, LocalDate date) {
    return days(lifter(lifterId), date, 1, clock.today()).get(0);
  }

  private List<BoardView.DayView> days(Lifter lifter, LocalDate from, int count, LocalDate today) {
    LifterContext usual = contexts.of(lifter, null);
    Map<Long, LifterContext> elsewhere = new HashMap<>();
    List<BoardView.PlaceView> choice = choice(lifter);
    Map<LocalDate, TrainingSession> byDay =
        sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, from.plusDays(count - 1L)).stream()
            .collect(Collectors.toMap(TrainingSession::day, s -> s));
    List<Long> ids = byDay.values().stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<Long, CardDocument.Line> issued = issuing.issuedLines(ids);
    Map<Long, Long> logged = log.counts(ids).stream().collect(Collectors.toMap(
        LoggedSetRepository.SessionCount::getSessionId, LoggedSetRepository.SessionCount::getSets));
    List<BoardView.DayView> days = new ArrayList<>();
    for (LocalDate date = from; date.isBefore(from.plusDays(count)); date = date.plusDays(1)) {
      TrainingSession session = byDay.get(date);
      Long placeId = session == null ? null : session.placeId();
      LifterContext context = placeId == null ? usual : elsewhere.computeIfAbsent(placeId, id -> contexts.of(lifter, id));
      List<BoardView.SlotView> lines = session == null ? List.of()
          : lines(lifter, session, bySession.getOrDefault(session.id(), List.of()), context, issued);
      days.add(BoardView.day(lifter.id(), date, today, session, session == null ? 0 : logged.getOrDefault(session.id(), 0L), lines, choice));
    }
    return days;
  }

  private static List<BoardView.SlotView> lines(Lifter lifter, TrainingSession session, List<Slot> slots, LifterContext context,
      Map<Long, CardDocument.Line> issued) {
    List<BoardView.SlotView> views = new ArrayList<>();
    Groups groups = session.groups();
    List<String> bars = context.kit().bars();
    Slot above = null;
    for (Map.Entry<Slot, LineView> line : LineView.of(context, slots, groups, issued).entrySet()) {
      Slot slot = line.getKey();
      views.add(BoardView.SlotView.of(slot, context.lift(slot.lift()).name(), lifter.id(), session.day(), line.getValue(), bars,
          groups, above));
      above = slot;
    }
    return views;
  }

  /** One stored line with its loads. */
  @Transactional(readOnly = true)
  BoardView.SlotView slot(Slot slot) {
    TrainingSession session = sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
    Lifter lifter = lifter(session.lifterId());
    return lines(lifter, session, slots.findBySessionIdOrderByPositionAscIdAsc(session.id()), contexts.of(lifter, session.placeId()),
        issuing.issuedLines(List.of(slot.sessionId()))).stream().filter(view -> view.id() == slot.id()).findFirst().orElseThrow(NotFound::new);
  }

  Slot stored(long slotId) {
    return slots.findById(slotId).orElseThrow(NotFound::new);
  }

  @Transactional(readOnly = true)
  Lifter lifterOf(Slot slot) {
    TrainingSession session = sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
    return lifter(session.lifterId());
  }

  @Transactional(readOnly = true)
  LocalDate dayOf(Slot slot) {
    return sessions.findById(slot.sessionId()).orElseThrow(NotFound::new).day();
  }

  /**
   * What a line comes to for a lifter, without storing it.
   *
   * @param slotId the stored line it would replace; null for a new one at the end
   * @param details what is said beside the work; null for what is stored, or for nothing
   */
  @Transactional(readOnly = true)
  LineView line(long lifterId, @Nullable LocalDate day, @Nullable Long slotId, Lift lift, String work, @Nullable Details details) {
    TrainingSession session = day == null ? null : sessions.findByLifterIdAndDay(lifterId, day).orElse(null);
    LifterContext context = contexts.of(lifter(lifterId), session == null ? null : session.placeId());
    if (session == null) {
      return LineView.of(context, lift, work);
    }
    List<Slot> all = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    Slot replaced = all.stream().filter(slot -> slotId != null && slot.id() == slotId).findFirst().orElse(null);
    List<Slot> before = replaced == null ? all : all.subList(0, all.indexOf(replaced));
    Details beside = details != null ? details : replaced == null ? Details.NONE : replaced.details();
    return LineView.of(context, lift, work, context.after(before, session.groups(), lift, work, beside,
        replaced == null ? null : replaced.groupNo()));
  }

  /** The places a day can be trained in; none when there is only one. */
  private List<BoardView.PlaceView> choice(Lifter lifter) {
    Set<Long> ids = new HashSet<>(further.findByLifterIdOrderByPlaceId(lifter.id()).stream().map(LifterPlace::placeId).toList());
    if (ids.isEmpty()) {
      return List.of();
    }
    ids.add(lifter.placeId());
    return places.all().stream().filter(place -> ids.contains(place.id()))
        .map(place -> new BoardView.PlaceView(place.id(), place.name(), place.id() == lifter.placeId())).toList();
  }
}

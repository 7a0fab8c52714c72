package org.yarbel.web.floor;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.OwnLifters;
import org.yarbel.web.form.Sought;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.line.LineView;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.TrackedPoint;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.skyline.Sparkline;

/** Reads the Floor in a fixed number of queries, however many lifters train. */
@Service
class FloorService {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM yyyy", Locale.ENGLISH);
  private static final DateTimeFormatter NEXT = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int NEWS_WEEKS = 3;
  private static final int SPARK_WEEKS = 8;
  private static final Limit MOST_LIFTERS = Limit.of(300);
  /** So many are looked at before anybody asks for more. */
  private static final int SHOWN = 40;

  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final TrackedPointRepository points;
  private final LiftNumbersRepository numbers;
  private final LifterContexts contexts;
  private final Issuing issuing;
  private final ClubClock clock;
  private final OwnLifters own;

  FloorService(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots,
      LoggedSetRepository log, TrackedPointRepository points, LiftNumbersRepository numbers, LifterContexts contexts,
      Issuing issuing, ClubClock clock, OwnLifters own) {
    this.own = own;
    this.numbers = numbers;
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.points = points;
    this.contexts = contexts;
    this.issuing = issuing;
    this.clock = clock;
  }

  /**
   * The Floor with the lifters whose name contains a text, those first who train today.
   *
   * @param find nothing for everybody
   * @param all whether all of them are shown, however many there are
   */
  @Transactional(readOnly = true)
  FloorView floor(String find, boolean all) {
    LocalDate today = clock.today();
    String part = new Sought(find).like();
    // who looks for a name looks in the whole club
    List<Lifter> everybody = lifters.named(part, find.isBlank() ? own.coach() : OwnLifters.EVERYBODY, MOST_LIFTERS);
    Map<Long, TrainingSession> training = sessions.findByDay(today).stream()
        .collect(Collectors.toMap(TrainingSession::lifterId, s -> s));
    List<Lifter> found = everybody.stream().sorted(Comparator.comparing(lifter -> !training.containsKey(lifter.id())))
        .limit(all ? everybody.size() : SHOWN).toList();
    List<Long> ids = found.stream().map(Lifter::id).toList();
    List<Long> sessionIds = ids.stream().map(training::get).filter(Objects::nonNull).map(TrainingSession::id).toList();
    Map<Long, List<Slot>> work = slots.findBySessionIdInOrderByPositionAscIdAsc(sessionIds).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(sessionIds);
    Map<Long, Long> logged = log.counts(sessionIds).stream().collect(Collectors.toMap(
        LoggedSetRepository.SessionCount::getSessionId, LoggedSetRepository.SessionCount::getSets));
    Map<Long, List<TrackedPoint>> tracked = points.since(ids, mainLifts(), today.minusWeeks(SPARK_WEEKS)).stream()
        .collect(Collectors.groupingBy(TrackedPoint::lifterId));
    List<LiftNumbers> own = numbers.findByLifterIdIn(ids);
    Map<Long, List<LiftNumbers>> known = own.stream().collect(Collectors.groupingBy(LiftNumbers::lifterId));
    Map<Long, LocalDate> next = sessions.nextDays(ids, today.plusDays(1)).stream().collect(Collectors.toMap(
        TrainingSessionRepository.NextDay::getLifterId, TrainingSessionRepository.NextDay::getDay));
    Map<Long, LifterContext> byLifter = contexts.of(
        found.stream().filter(l -> training.containsKey(l.id())).toList(), elsewhere(training.values()), own);
    List<FloorView.TodayView> todays = new ArrayList<>();
    List<FloorView.OtherView> others = new ArrayList<>();
    for (Lifter lifter : found) {
      List<FloorView.MainLift> lifts = mainLifts(lifter, tracked.getOrDefault(lifter.id(), List.of()),
          known.getOrDefault(lifter.id(), List.of()), today);
      TrainingSession session = training.get(lifter.id());
      if (session != null) {
        todays.add(new FloorView.TodayView(lifter.id(), lifter.name(), lifter.unit().symbol(), session.id(),
            lines(work.getOrDefault(session.id(), List.of()), session, byLifter.get(lifter.id()), issued),
            logged.getOrDefault(session.id(), 0L), lifts));
      } else {
        LocalDate day = next.get(lifter.id());
        others.add(new FloorView.OtherView(lifter.id(), lifter.name(), lifter.unit().symbol(),
            day == null ? "nothing planned" : NEXT.format(day), lifts));
      }
    }
    return new FloorView(DAY.format(today), find, todays, others, everybody.size() - found.size(), !found.isEmpty() || !find.isBlank(),
        own.stream().map(LiftNumbers::beforeOn).anyMatch(on -> on != null && on.isAfter(today.minusWeeks(NEWS_WEEKS))));
  }

  private static Map<Long, Long> elsewhere(Collection<TrainingSession> training) {
    return training.stream().filter(session -> session.placeId() != null)
        .collect(Collectors.toMap(TrainingSession::lifterId, session -> Objects.requireNonNull(session.placeId())));
  }

  private static List<FloorView.WorkView> lines(List<Slot> slots, TrainingSession session, LifterContext context,
      Map<UUID, CardDocument.DocumentLine> issued) {
    return LineView.of(context, slots, session.groups(), issued).entrySet().stream()
        .map(entry -> line(entry.getKey(), entry.getValue(), context)).toList();
  }

  private static FloorView.WorkView line(Slot slot, LineView line, LifterContext context) {
    return new FloorView.WorkView(context.lift(slot.lift()).name(), slot.work(), String.join(" · ", line.loads()),
        line.wrong() ? line.problems().get(0) : null);
  }

  private static List<String> mainLifts() {
    return Catalogue.standard().powerlifts().stream().map(Lift::key).toList();
  }

  private static List<FloorView.MainLift> mainLifts(Lifter lifter, List<TrackedPoint> tracked, List<LiftNumbers> known, LocalDate today) {
    List<FloorView.MainLift> lifts = new ArrayList<>();
    for (Lift lift : Catalogue.standard().powerlifts()) {
      List<Mass> estimates = tracked.stream()
          .filter(p -> p.lift().equals(lift.key()) && p.estimate(lifter.unit()) != null)
          .map(p -> Objects.requireNonNull(p.estimate(lifter.unit())))
          .toList();
      Optional<LiftNumbers> own = known.stream().filter(numbers -> numbers.lift().equals(lift.key())).findFirst();
      Optional<Estimate> now = own.map(numbers -> numbers.estimate(lifter.unit(), today));
      Optional<Mass> newest = now.map(Estimate::max).or(() -> own.map(LiftNumbers::tested));
      lifts.add(new FloorView.MainLift(lift.name(), newest.map(max -> max.amountIn(lifter.unit(), 0).toPlainString()).orElse(""),
          now.map(estimate -> "± " + estimate.sd().amountIn(lifter.unit(), 0).toPlainString()).orElse(""),
          Sparkline.of(estimates.stream().map(m -> m.amountIn(lifter.unit(), 3).doubleValue()).toList(), 84, 24)));
    }
    return lifts;
  }
}

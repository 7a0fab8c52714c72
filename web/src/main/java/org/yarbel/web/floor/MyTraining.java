package org.yarbel.web.floor;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.line.LineView;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** What a lifter trains: today with its loads, the week to come, and what of the last two weeks is not logged yet. */
@Service
class MyTraining {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
  private static final int DAYS_AHEAD = 8;
  private static final int DAYS_BEHIND = 14;

  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final LeftSetsRepository left;
  private final LifterContexts contexts;
  private final Issuing issuing;
  private final ClubClock clock;

  MyTraining(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log,
      LeftSetsRepository left, LifterContexts contexts, Issuing issuing, ClubClock clock) {
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.left = left;
    this.contexts = contexts;
    this.issuing = issuing;
    this.clock = clock;
  }

  /**
   * A lifter's training.
   *
   * @param today null on a day without a session
   * @param behind days of the last two weeks of which nothing is logged, the newest first
   */
  public record Mine(String day, @Nullable TodaysTraining today, List<TrainingDay> ahead, List<TrainingDay> behind) {
    public boolean nothing() {
      return today == null && ahead.isEmpty() && behind.isEmpty();
    }
  }

  /** Today's session; {@code state} says how far it is. */
  public record TodaysTraining(long sessionId, List<TrainingLine> lines, String state, boolean begun) {}

  /** What is lifted: the loads of each part. */
  public record TrainingLine(String lift, String work, String loads) {}

  /** Another day with what is lifted on it. */
  public record TrainingDay(long sessionId, String day, String lifts) {}

  @Transactional(readOnly = true)
  Mine of(long lifterId) {
    LocalDate today = clock.today();
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, today.minusDays(DAYS_BEHIND),
        today.plusDays(DAYS_AHEAD));
    List<Long> ids = all.stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<Long, Long> logged = log.counts(ids).stream().collect(Collectors.toMap(LoggedSetRepository.SessionCount::getSessionId,
        LoggedSetRepository.SessionCount::getSets));
    LifterContext context = contexts.of(lifter, all.stream().filter(s -> s.day().equals(today)).map(TrainingSession::placeId)
        .filter(Objects::nonNull)
        .findFirst().orElse(null));
    Set<Long> ended = left.findBySessionIdIn(ids).stream().map(LeftSets::sessionId).collect(Collectors.toSet());
    TodaysTraining now = null;
    List<TrainingDay> ahead = new ArrayList<>();
    List<TrainingDay> behind = new ArrayList<>();
    for (TrainingSession session : all) {
      List<Slot> own = lines.getOrDefault(session.id(), List.of());
      if (own.isEmpty()) {
        continue;
      }
      TrainingDay day = new TrainingDay(session.id(), DAY.format(session.day()), own.stream().filter(slot -> slot.linkOf() == null)
          .map(slot -> context.lift(slot.lift()).name()).distinct().collect(Collectors.joining(", ")));
      if (session.day().equals(today)) {
        now = today(session, own, context, logged.getOrDefault(session.id(), 0L));
      } else if (session.day().isAfter(today)) {
        ahead.add(day);
      } else if (!logged.containsKey(session.id()) && !ended.contains(session.id())) {
        behind.add(0, day);
      }
    }
    return new Mine(DAY.format(today), now, ahead, behind);
  }

  private TodaysTraining today(TrainingSession session, List<Slot> own, LifterContext context, long logged) {
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(List.of(session.id()));
    List<TrainingLine> lines = LineView.of(context, own, session.groups(), issued).entrySet().stream()
        .map(entry -> new TrainingLine(context.lift(entry.getKey().lift())
        .name(), entry.getKey().work(), String.join(" · ", entry.getValue().loads()))).toList();
    String begun = logged == 1 ? "1 set logged: go on" : logged + " sets logged: go on";
    return new TodaysTraining(session.id(), lines, logged == 0 ? "Begin" : begun, logged > 0);
  }
}

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
import org.springframework.stereotype.Component;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.line.LineView;
import org.yarbel.web.log.Lifted;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.watch.WeekWatch;

/** Reads the days of a lifter: issued cards as they were issued, the rest worked out with the numbers of today. */
@Component
class WeekReader {
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final LifterContexts contexts;
  private final Places places;
  private final Issuing issuing;

  WeekReader(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, LifterContexts contexts,
      Places places, Issuing issuing) {
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.contexts = contexts;
    this.places = places;
    this.issuing = issuing;
  }

  /** The session a line stands in. */
  TrainingSession session(Slot slot) {
    return sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
  }

  /**
   * Loads days of a lifter.
   *
   * @param known the lifter's numbers
   * @param count so many days
   * @param weeksBack so many weeks before them, of which only the volume is asked
   */
  LoadedDays load(Lifter lifter, List<LiftNumbers> known, LocalDate from, int count, int weeksBack) {
    LifterContext usual = contexts.of(lifter, null, known);
    Map<Long, LifterContext> elsewhere = new HashMap<>();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from.minusWeeks(weeksBack),
        from.plusDays(count - 1L));
    List<Long> ids = all.stream().map(TrainingSession::id).toList();
    List<Long> shown = all.stream().filter(session -> !session.day().isBefore(from)).map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(shown);
    List<Lifted> rows = log.ofSessions(ids);
    Map<Long, Long> logged = rows.stream().collect(Collectors.groupingBy(Lifted::sessionId, Collectors.counting()));
    Map<UUID, List<LoggedSet>> done = rows.stream()
        .collect(Collectors.groupingBy(Lifted::line, Collectors.mapping(Lifted::set, Collectors.toList())));
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
    return new LoadedDays(from, count, usual, byDay, days, views, logged, before, choice(lifter));
  }

  /**
   * Lines of days behind, without their warm-ups: only their volume is asked for.
   *
   * @param done what was logged, by the ref of its line: the rest was not lifted; null where nothing was logged at all
   * @param asked takes the same as it was asked, the sets alone that were done
   */
  private static Map<Long, ResolvedLine> quickly(LifterContext context, List<Slot> lines, Groups groups,
      @Nullable Map<UUID, List<LoggedSet>> done, Map<Long, ResolvedLine> asked) {
    Map<Long, ResolvedLine> resolved = new HashMap<>();
    SessionResolver resolver = new SessionResolver(context);
    lines.stream().filter(slot -> done == null || done.containsKey(slot.ref()))
        .forEach(slot -> resolver.withoutRamp(PlannedLines.of(context, slot, groups)).ifPresent(line -> {
          resolved.put(slot.id(), done == null ? line : line.with(done.get(slot.ref())).onlyDone());
          asked.put(slot.id(), done == null ? line : line.onlyTried(done.get(slot.ref())));
        }));
    return resolved;
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

package org.yarbel.web.grid;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.line.LineView;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.DeloadWeekRepository;

/** Reads several weeks of a lifter, or one week of several lifters, in a fixed number of queries. */
@Service
public class GridService {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final LifterContexts contexts;
  private final DeloadWeekRepository deloads;
  private final Issuing issuing;

  GridService(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, LifterContexts contexts,
      DeloadWeekRepository deloads, Issuing issuing) {
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.contexts = contexts;
    this.deloads = deloads;
    this.issuing = issuing;
  }

  /** Weeks of one lifter, a column each. */
  @Transactional(readOnly = true)
  Grid weeks(Lifter lifter, LocalDate monday, int count) {
    LocalDate end = monday.plusWeeks(count).minusDays(1);
    Map<LocalDate, String> easy = deloads.findByLifterIdAndMondayBetween(lifter.id(), monday, end).stream()
        .collect(Collectors.toMap(w -> w.monday(), w -> "deload, " + w.kind().word()));
    Map<Integer, List<CountedLine>> counted = new HashMap<>();
    List<Grid.PlacedCell> placed = placed(sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), monday, end), List.of(lifter),
        session -> (int) ChronoUnit.WEEKS.between(monday, session.day()), counted);
    List<Grid.GridHead> heads = new ArrayList<>();
    for (int week = 0; week < count; week++) {
      LocalDate from = monday.plusWeeks(week);
      List<String> lines = new ArrayList<>();
      if (easy.containsKey(from)) {
        lines.add(easy.get(from));
      }
      lines.add(sums(counted.getOrDefault(week, List.of())));
      heads.add(new Grid.GridHead(DAY.format(from) + " – " + DAY.format(from.plusDays(6)), "/lifters/" + lifter.id() + "/week?of="
          + from, lines));
    }
    return Grid.of(heads, placed);
  }

  /** One week of several lifters, a column each. */
  @Transactional(readOnly = true)
  public Grid group(List<Lifter> lifters, LocalDate monday) {
    List<Long> ids = lifters.stream().map(Lifter::id).toList();
    Map<Long, String> easy = deloads.findByLifterIdInAndMonday(ids, monday).stream().collect(Collectors.toMap(w -> w.lifterId(),
        w -> "deload, " + w.kind().word()));
    Map<Integer, List<CountedLine>> counted = new HashMap<>();
    List<TrainingSession> all = new ArrayList<>(sessions.findByLifterIdInAndDayBetween(ids, monday, monday.plusDays(6)));
    all.sort(Comparator.comparing(TrainingSession::day).thenComparing(session -> ids.indexOf(session.lifterId())));
    List<Grid.PlacedCell> placed = placed(all, lifters, session -> ids.indexOf(session.lifterId()), counted);
    List<Grid.GridHead> heads = new ArrayList<>();
    for (Lifter lifter : lifters) {
      List<String> lines = new ArrayList<>();
      if (easy.containsKey(lifter.id())) {
        lines.add(easy.get(lifter.id()));
      }
      lines.add(sums(counted.getOrDefault(heads.size(), List.of())));
      heads.add(new Grid.GridHead(lifter.name() + ", " + lifter.unit().symbol(), "/lifters/" + lifter.id() + "/week?of=" + monday, lines));
    }
    return Grid.of(heads, placed);
  }

  /** The lines of one week of a lifter, in order. */
  @Transactional(readOnly = true)
  List<Grid.PlacedCell> week(Lifter lifter, LocalDate monday) {
    return placed(sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), monday, monday.plusDays(6)), List.of(lifter),
        session -> 0, new HashMap<>());
  }

  private static String sums(List<CountedLine> lines) {
    WeekTotals totals = WeekTotals.of(lines);
    return totals.hardSets() == 0 ? "nothing written" : totals.hardSets() + " hard sets, " + Math.round(10 * totals.tonnes()) / 10.0 + " t";
  }

  private interface GridColumn {
    int of(TrainingSession session);
  }

  private List<Grid.PlacedCell> placed(List<TrainingSession> all, List<Lifter> lifters, GridColumn column,
      Map<Integer, List<CountedLine>> counted) {
    Map<Long, LifterContext> known = contexts.of(lifters, Map.of());
    Map<List<Long>, LifterContext> elsewhere = new HashMap<>();
    Map<Long, Lifter> byId = lifters.stream().collect(Collectors.toMap(Lifter::id, lifter -> lifter));
    List<Long> ids = all.stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(ids);
    List<UUID> refs = lines.values().stream().flatMap(List::stream).map(Slot::ref).toList();
    Set<UUID> begun = refs.isEmpty() ? Set.of() : new HashSet<>(log.begun(refs));
    List<Grid.PlacedCell> placed = new ArrayList<>();
    for (TrainingSession session : all) {
      Long placeId = session.placeId();
      LifterContext context = placeId == null ? known.get(session.lifterId())
          : elsewhere.computeIfAbsent(List.of(session.lifterId(), placeId), key -> contexts.of(byId.get(session.lifterId()), placeId));
      Map<Long, ResolvedLine> resolved = new HashMap<>();
      LineView.worked(context, lines.getOrDefault(session.id(), List.of()), session.groups(), issued, Map.of(), resolved)
          .forEach((slot, view) -> {
        Lift lift = context.lift(slot.lift());
        placed.add(new Grid.PlacedCell(column.of(session), session.day(), slot,
            Grid.Cell.of(slot, lift.name(), view, begun.contains(slot.ref()))));
        ResolvedLine line = resolved.get(slot.id());
        if (line != null) {
          counted.computeIfAbsent(column.of(session), c -> new ArrayList<>())
              .add(CountedLine.of(slot.id(), session.day(), slot.kind(), lift, line, context));
        }
      });
    }
    return placed;
  }
}

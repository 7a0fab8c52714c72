package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.session.SessionNotes;

/** Who trains now and which set is their next, from all their cards at once, in a fixed number of queries however many they are. */
@Service
public class TrainingNow {
  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final LoggedSetRepository sets;
  private final LeftSetsRepository left;
  private final LiftNumbersRepository numbers;
  private final CardService cards;
  private final Issuing issuing;
  private final ClubClock clock;
  private final SlotRepository slots;
  private final Lifts lifts;

  TrainingNow(TrainingSessionRepository sessions, LifterRepository lifters, LoggedSetRepository sets, LeftSetsRepository left,
      LiftNumbersRepository numbers, CardService cards, Issuing issuing, ClubClock clock, SlotRepository slots, Lifts lifts) {
    this.slots = slots;
    this.lifts = lifts;
    this.sessions = sessions;
    this.lifters = lifters;
    this.sets = sets;
    this.left = left;
    this.numbers = numbers;
    this.cards = cards;
    this.issuing = issuing;
    this.clock = clock;
  }

  /**
   * Somebody with a session today.
   *
   * @param next the set that comes; null where none waits, or the card was not taken yet
   * @param begun whether the card was taken
   * @param last what was logged last, in words; before the card was taken what there is to lift; empty while nothing was
   * @param stamp changes with anything that is shown
   */
  public record Row(long sessionId, long lifterId, String name, String unit, String step, @Nullable Next next, boolean begun, int done,
      int total, String last, String stamp) {}

  /**
   * The set that comes.
   *
   * @param what the lift and which set of it: {@code Squat, back-off 1 of 4}
   * @param load what to lift; empty where the lifter picks
   * @param rated whether it is asked how hard it was
   */
  public record Next(String panel, UUID line, int part, int set, int issue, int seen, String key, String what, String asked, String load,
      String reps, boolean countsReps, boolean asksSeconds, boolean asksMetres, String seconds, String metres, boolean rated) {
    private static Next of(CardView.PanelView panel, int issue) {
      CardView.SetView set = panel.set();
      CardView.Filled filled = set.filled();
      return new Next(set.panel(), set.ref(), set.part(), set.set(), issue, set.seen(), filled.key(), panel.slot().lift() + ", "
          + set.title(), set.asked(), filled.load(), filled.reps(), set.countsReps(), set.asksSeconds(), set.asksMetres(), filled.seconds(),
          filled.metres(), set.rated());
    }
  }

  /**
   * Everybody with a session today, or one of another day that is lifted today: those under way first, in the order they began, then
   * who has not begun, then who is through.
   */
  @Transactional(readOnly = true)
  public List<Row> rows() {
    LocalDate today = clock.today();
    Set<TrainingSession> training = new LinkedHashSet<>(sessions.findByDay(today));
    training.addAll(sessions.liftedOn(today));
    return rows(training);
  }

  private List<Row> rows(Collection<TrainingSession> training) {
    List<Long> ids = training.stream().map(TrainingSession::id).toList();
    List<Long> lifterIds = training.stream().map(TrainingSession::lifterId).toList();
    Map<Long, Lifter> byId = lifters.findAllById(lifterIds).stream().collect(Collectors.toMap(Lifter::id, lifter -> lifter));
    Map<Long, CardDocument> issued = issuing.issued(ids);
    Map<Long, List<LoggedSetRow>> logged = sets.allOf(ids).stream().collect(Collectors.groupingBy(LoggedSetRow::sessionId));
    Map<Long, List<LeftSets>> ended = left.findBySessionIdIn(ids).stream().collect(Collectors.groupingBy(LeftSets::sessionId));
    Map<Long, List<LiftNumbers>> known = numbers.findByLifterIdIn(lifterIds).stream().collect(Collectors.groupingBy(LiftNumbers::lifterId));
    List<Long> ahead = ids.stream().filter(id -> !issued.containsKey(id)).toList();
    Map<Long, List<Slot>> planned = slots.findBySessionIdInOrderByPositionAscIdAsc(ahead).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    List<Row> rows = new ArrayList<>();
    for (TrainingSession session : training) {
      Lifter lifter = byId.get(session.lifterId());
      CardDocument document = issued.get(session.id());
      List<LoggedSetRow> own = logged.getOrDefault(session.id(), List.of());
      rows.add(document == null ? notBegun(session, lifter, planned.getOrDefault(session.id(), List.of()))
          : row(cards.card(session, lifter, document.in(session.easier()), new CardService.Read(own,
              ended.getOrDefault(session.id(), List.of()),
              known.getOrDefault(session.lifterId(), List.of()), List.of(), SessionNotes.Told.NOTHING))));
    }
    rows.sort(Comparator.comparingInt(TrainingNow::turn).thenComparing(Row::name));
    return rows;
  }

  private static int turn(Row row) {
    if (row.next() == null) {
      return row.begun() ? 2 : 1;
    }
    return 0;
  }

  private Row notBegun(TrainingSession session, Lifter lifter, List<Slot> work) {
    String what = work.stream().map(slot -> lifts.catalogue().ofKey(slot.lift()).map(Lift::name).orElse(slot.lift())).distinct()
        .collect(Collectors.joining(", "));
    return new Row(session.id(), lifter.id(), lifter.name(), lifter.unit().symbol(), lifter.unit().usualStep().toPlainString(), null,
        false, 0, 0, what, "not begun");
  }

  private static Row row(CardService.Card card) {
    CardView view = CardView.of(card, CardView.Wanted.NEXT);
    CardView.PanelView next = view.panels().stream().filter(panel -> panel.set().panel().equals(view.current()))
        .filter(panel -> panel.set().waits() || panel.set().comesFirst()).findFirst().orElse(null);
    List<LoggedSetRow> logged = card.logged();
    String last = logged.isEmpty() ? "" : card.lifts().ofKey(logged.get(logged.size() - 1).lift()).map(lift -> lift.name() + " ").orElse("")
        + logged.get(logged.size() - 1).words();
    Next set = next == null ? null : Next.of(next, view.number());
    String stamp = view.number() + " " + view.done() + " " + last
        + (next == null ? "" : " " + next.set().panel() + " " + next.set().load());
    return new Row(view.sessionId(), view.lifterId(), view.lifter(), view.unit().symbol(), view.step(), set, true, view.done(),
        view.total(), last, stamp);
  }
}

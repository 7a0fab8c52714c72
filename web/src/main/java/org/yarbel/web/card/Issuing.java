package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.LowDay;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.journal.PlanListener;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Speeds;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;

/**
 * Issues cards. A card is issued when it is first opened on its day or later, or at its first logged set; before that a
 * look at it works everything out afresh. A coach's change to an issued card issues the next number; lines with sets
 * logged stay as they were. What phones keep of days to come is numbered but not issued: loads go on moving.
 */
@Service
public class Issuing implements PlanListener {
  /** How many of a session are kept for phones that were away. */
  private static final int MOST_KEPT = 20;

  private final CardIssueRepository issues;
  private final SlotRepository slots;
  private final LoggedSetRepository sets;
  private final LiftNumbersRepository numbers;
  private final LifterContexts contexts;
  private final CoreJson json;
  private final ClubClock clock;
  private final CurrentClub club;
  private final Speeds speeds;
  private final LowDays lowDays;

  Issuing(CardIssueRepository issues, SlotRepository slots, LoggedSetRepository sets, LiftNumbersRepository numbers,
      LifterContexts contexts, CoreJson json, ClubClock clock, CurrentClub club, Speeds speeds, LowDays lowDays) {
    this.lowDays = lowDays;
    this.speeds = speeds;
    this.club = club;
    this.issues = issues;
    this.slots = slots;
    this.sets = sets;
    this.numbers = numbers;
    this.contexts = contexts;
    this.json = json;
    this.clock = clock;
  }

  /** The lines of the newest issued cards of these sessions, by slot: what the lifters' phones show. */
  @Transactional(readOnly = true)
  public Map<UUID, CardDocument.DocumentLine> issuedLines(Collection<Long> sessionIds) {
    Map<UUID, CardDocument.DocumentLine> lines = new HashMap<>();
    issues.newest(sessionIds).forEach(issue -> lines.putAll(json.read(issue.document(), CardDocument.class).lines()));
    return lines;
  }

  /** The newest issued cards of these sessions, by session. */
  @Transactional(propagation = Propagation.MANDATORY)
  Map<Long, CardDocument> issued(Collection<Long> sessionIds) {
    Map<Long, CardDocument> cards = new HashMap<>();
    issues.newest(sessionIds).forEach(issue -> cards.put(issue.sessionId(), json.read(issue.document(), CardDocument.class)));
    return cards;
  }

  /** The newest issued card, or a look ahead with number 0 when none was issued. */
  @Transactional(propagation = Propagation.MANDATORY)
  CardDocument newestOrLookAhead(TrainingSession session, Lifter lifter) {
    return newest(session.id()).orElseGet(() -> document(session, lifter, 0, Map.of())).in(session.easier());
  }

  /** The newest issued card; issues the first when there is none. */
  @Transactional(propagation = Propagation.MANDATORY)
  CardDocument newestOrIssue(TrainingSession session, Lifter lifter) {
    return newest(session.id()).orElseGet(() -> first(session, lifter)).in(session.easier());
  }

  /** The first of a session: what a phone keeps, where nothing of it has moved since. */
  private CardDocument first(TrainingSession session, Lifter lifter) {
    CardIssue kept = issues.findBySessionIdAndAheadTrueOrderByNumberDesc(session.id()).stream().findFirst().orElse(null);
    if (kept != null) {
      CardDocument now = document(session, lifter, kept.number(), Map.of());
      if (kept.document().equals(json.write(now))) {
        kept.begin();
        issues.saveAndFlush(kept);
        return now;
      }
    }
    return issue(session, lifter, next(session.id()), Map.of());
  }

  private int next(long sessionId) {
    return issues.findFirstBySessionIdOrderByNumberDesc(sessionId).map(CardIssue::number).orElse(0) + 1;
  }

  /** The card a phone keeps of a session: the issued one, else one for later, which is numbered anew where anything of it has moved. */
  @Transactional(propagation = Propagation.MANDATORY)
  CardDocument keep(TrainingSession session, Lifter lifter) {
    return newest(session.id()).orElseGet(() -> {
      List<CardIssue> kept = issues.findBySessionIdAndAheadTrueOrderByNumberDesc(session.id());
      int number = kept.isEmpty() ? next(session.id()) : kept.get(0).number();
      CardDocument now = document(session, lifter, number, Map.of(), lowDays.of(lifter));
      if (kept.isEmpty() || !kept.get(0).document().equals(json.write(now))) {
        now = now.numbered(next(session.id()));
        issues.save(new CardIssue(session.id(), now.number(), clock.now(), json.write(now)).forLater());
        // a phone that was away for long may still lift from one of the last
        issues.deleteAll(kept.stream().skip(MOST_KEPT - 1).toList());
      }
      return now;
    }).in(session.easier());
  }

  /** What a phone keeps of a session, without anything being worked out. */
  @Transactional(propagation = Propagation.MANDATORY)
  Optional<CardDocument> kept(TrainingSession session) {
    return newest(session.id()).or(() -> issues.findBySessionIdAndAheadTrueOrderByNumberDesc(session.id()).stream().findFirst()
        .map(issue -> json.read(issue.document(), CardDocument.class))).map(document -> document.in(session.easier()));
  }

  /**
   * A set is lifted from the card of a number: one that was only kept on a phone is issued by it. Whether the plan has gone on since, so
   * that what is not begun follows once the set is written down.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  boolean begin(TrainingSession session, Lifter lifter, int number) {
    Optional<CardIssue> kept = issues.findBySessionIdAndNumber(session.id(), number).filter(CardIssue::ahead);
    if (kept.isPresent() && newest(session.id()).isEmpty()) {
      kept.get().begin();
      issues.saveAndFlush(kept.get());
      return !lines(json.read(kept.get().document(), CardDocument.class)).equals(lines(document(session, lifter, 0, Map.of())));
    }
    newestOrIssue(session, lifter);
    return false;
  }

  private static List<String> lines(CardDocument document) {
    return document.slots().stream().map(slot -> slot.ref() + " " + slot.lift() + " " + slot.work()).toList();
  }

  /** The plan has gone on since a phone kept what is lifted from: what is not begun follows. */
  @Transactional(propagation = Propagation.MANDATORY)
  void follow(TrainingSession session, Lifter lifter) {
    planChanged(session, lifter);
  }

  /** Issues the next number of the cards of these sessions that were issued before. */
  @Override
  @Transactional
  public void plansChanged(Collection<TrainingSession> sessions, Lifter lifter) {
    Set<Long> issued = sessions.isEmpty() ? Set.of() : new HashSet<>(issues.issued(sessions.stream().map(TrainingSession::id).toList()));
    sessions.stream().filter(session -> issued.contains(session.id())).forEach(session -> planChanged(session, lifter));
  }

  /** Lines with sets logged stay as they were issued. */
  private void planChanged(TrainingSession session, Lifter lifter) {
    newest(session.id()).ifPresent(old -> {
      Set<UUID> begun = sets.ofSession(session.id()).stream().map(LoggedSetRow::line).collect(Collectors.toSet());
      Map<UUID, CardDocument.CardSlot> kept = old.slots().stream()
          .filter(slot -> begun.contains(slot.ref()))
          .collect(Collectors.toMap(CardDocument.CardSlot::ref, slot -> slot));
      issue(session, lifter, next(session.id()), kept);
    });
  }

  /** The card of a number. */
  @Transactional(propagation = Propagation.MANDATORY)
  Optional<CardDocument> numbered(TrainingSession session, int number) {
    return issues.findBySessionIdAndNumber(session.id(), number)
        .map(issue -> json.read(issue.document(), CardDocument.class).in(session.easier()));
  }

  private Optional<CardDocument> newest(long sessionId) {
    return issues.findFirstBySessionIdAndAheadFalseOrderByNumberDesc(sessionId)
        .map(issue -> json.read(issue.document(), CardDocument.class));
  }

  private CardDocument issue(TrainingSession session, Lifter lifter, int number, Map<UUID, CardDocument.CardSlot> kept) {
    CardDocument document = document(session, lifter, number, kept);
    store(session.id(), document);
    return document;
  }

  /** Stores a card as issued. */
  @Transactional
  public void store(long sessionId, CardDocument document) {
    issues.save(new CardIssue(sessionId, document.number(), clock.now(), json.write(document)));
  }

  private CardDocument document(TrainingSession session, Lifter lifter, int number, Map<UUID, CardDocument.CardSlot> kept) {
    return document(session, lifter, number, kept, lowDay(session, lifter, number));
  }

  private CardDocument document(TrainingSession session, Lifter lifter, int number, Map<UUID, CardDocument.CardSlot> kept,
      @Nullable LowDay lowDay) {
    LifterContext context = contexts.of(lifter, session.placeId());
    List<Slot> plan = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    Map<String, Mass> last = lastLoads(lifter, plan, session.day());
    return CardDocument.of(number, session.day(), context, known(lifter, last, lowDay), plan, session.groups(),
        kept);
  }

  /** A look ahead offers nothing for its day, and a day gone by has nothing easier to offer. */
  private @Nullable LowDay lowDay(TrainingSession session, Lifter lifter, int number) {
    return number > 0 && session.day().equals(clock.today()) ? lowDays.of(lifter) : null;
  }

  private CardDocument.Known known(Lifter lifter, Map<String, Mass> last, @Nullable LowDay lowDay) {
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(lifter.id()));
    Map<String, List<SpeedTable.Row>> rows = new HashMap<>();
    speeds.of(lifter, own).forEach((lift, table) -> rows.put(lift, table.rows()));
    return new CardDocument.Known(numbersOn(own), last, lifter.normalGear(), rows, lowDay);
  }

  private static Map<String, LocalDate> numbersOn(List<LiftNumbers> all) {
    Map<String, LocalDate> days = new HashMap<>();
    for (LiftNumbers own : all) {
      if (own.estimateOn() != null) {
        days.put(own.lift(), own.estimateOn());
      }
    }
    return days;
  }

  private Map<String, Mass> lastLoads(Lifter lifter, List<Slot> plan, LocalDate before) {
    Set<String> lifts = plan.stream().map(Slot::lift).collect(Collectors.toSet());
    return lifts.isEmpty() ? Map.of() : sets.lastLoads(club.id(), lifter.id(), String.join(",", lifts), before).stream()
        .collect(Collectors.toMap(LoggedSetRepository.LastLoad::getLift,
            last -> Mass.ofNanograms(last.getLoadNg(), lifter.unit())));
  }
}

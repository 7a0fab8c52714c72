package org.yarbel.web.card;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Mark;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.who.SignedIn;

/** Opens cards. {@link CardLog} writes down what is lifted from them. */
@Service
public class CardService {
  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final LoggedSetRepository sets;
  private final LeftSetsRepository left;
  private final Lifts lifts;
  private final LiftNumbersRepository numbers;
  private final Issuing issuing;
  private final IssuedLines lines;
  private final ClubClock clock;
  private final Turns turns;
  private final SessionNotes notes;
  private final LowDays lowDays;
  private final SetMarkRepository marks;

  CardService(TrainingSessionRepository sessions, LifterRepository lifters, LoggedSetRepository sets, LeftSetsRepository left, Lifts lifts,
      LiftNumbersRepository numbers, Issuing issuing, IssuedLines lines, ClubClock clock, Turns turns, SessionNotes notes,
      SetMarkRepository marks, LowDays lowDays) {
    this.lowDays = lowDays;
    this.notes = notes;
    this.marks = marks;
    this.turns = turns;
    this.sessions = sessions;
    this.lifters = lifters;
    this.sets = sets;
    this.left = left;
    this.lifts = lifts;
    this.numbers = numbers;
    this.issuing = issuing;
    this.lines = lines;
    this.clock = clock;
  }

  /**
   * A card with what was logged so far.
   *
   * @param lines by slot
   * @param beside what stands beside each line, by slot
   * @param gone what was done of lines that were taken out since, in words
   * @param marks what was seen of them, by the row of the set
   * @param told what is said of the session
   * @param lifts the lifts of the club
   * @param ahead whether its day is to come
   * @param zone in which the club reads its clock
   * @param decided whether a coach has decided about an easier session
   */
  record Card(TrainingSession session, Lifter lifter, CardDocument document, List<LoggedSetRow> logged,
      Map<UUID, ResolvedLine> lines, Map<UUID, IssuedLines.Beside> beside, List<String> gone,
      Map<Long, List<Mark>> marks, SessionNotes.Told told, Catalogue lifts, boolean ahead, ZoneId zone, boolean decided) {
    boolean issued() {
      return document.number() > 0;
    }

    /** How many sets of a line are neither logged nor needless. */
    long owed(UUID ref) {
      ResolvedLine line = lines.get(ref);
      IssuedLines.Beside own = beside.get(ref);
      return line == null || own == null ? 0 : line.sets().stream()
          .filter(set -> !set.logged() && !own.needless().contains(new LoggedSet.Place(set.part(), set.set()))).count();
    }
  }

  /** Looks at a card as it stands; nothing is issued by looking, which a browser may do by itself. */
  @Transactional(readOnly = true)
  public Card look(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    Lifter lifter = lifter(session);
    return card(session, lifter, issuing.newestOrLookAhead(session, lifter));
  }

  /** A card as a phone keeps it. */
  @Transactional(readOnly = true)
  public Card lookAtKept(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    Lifter lifter = lifter(session);
    return card(session, lifter, issuing.kept(session).orElseGet(() -> issuing.newestOrLookAhead(session, lifter)));
  }

  /** The unit a card is written in. */
  @Transactional(readOnly = true)
  public MassUnit unit(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    return issuing.newestOrLookAhead(session, lifter(session)).unit();
  }

  /** Opens a card: on its day or later this issues it. */
  @Transactional
  public Card open(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    if (!session.day().isAfter(clock.today())) {
      turns.ofSession(sessionId);
      issuing.newestOrIssue(session, lifter(session));
    }
    return look(sessionId, who);
  }

  /**
   * What the trackers say on the day of a session, by the key of the lift.
   *
   * @param begun whether anything of it is lifted; of one to come that was today
   */
  Map<String, IssuedLines.TrackedDay> tracked(TrainingSession session, boolean begun) {
    return tracked(session, begun, numbers.findByLifterIdIn(List.of(session.lifterId())));
  }

  private Map<String, IssuedLines.TrackedDay> tracked(TrainingSession session, boolean begun, List<LiftNumbers> known) {
    LocalDate on = begun && session.day().isAfter(clock.today()) ? clock.today() : session.day();
    Map<String, IssuedLines.TrackedDay> days = new HashMap<>();
    known.forEach(own -> IssuedLines.TrackedDay.of(own, on).ifPresent(day -> days.put(own.lift(), day)));
    return days;
  }

  /** A session of who asks. */
  TrainingSession session(long sessionId, SignedIn who) {
    return sessions.findById(sessionId).filter(s -> who.maySee(s.lifterId())).orElseThrow(NotFound::new);
  }

  /** The same, once it is the turn of who asks to write: one after the other for each lifter. */
  TrainingSession turn(long sessionId, SignedIn who) {
    turns.ofSession(sessionId);
    return session(sessionId, who);
  }

  Lifter lifter(TrainingSession session) {
    return lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
  }

  /**
   * What is read of a session to show its card.
   *
   * @param logged its sets, in the order they were logged
   * @param left why sets were not tried
   * @param numbers of the lifter
   * @param marks of its sets
   * @param told what is said around them
   */
  record Read(List<LoggedSetRow> logged, List<LeftSets> left, List<LiftNumbers> numbers, List<SetMark> marks, SessionNotes.Told told) {}

  private Card card(TrainingSession session, Lifter lifter, CardDocument document) {
    return card(session, lifter, document, new Read(sets.ofSession(session.id()), left.findBySessionId(session.id()),
        numbers.findByLifterIdIn(List.of(session.lifterId())), marks.findBySessionIdOrderById(session.id()), notes.told(session)));
  }

  /** A card from what was read of it. */
  Card card(TrainingSession session, Lifter lifter, CardDocument document, Read read) {
    List<LoggedSetRow> logged = read.logged();
    Map<UUID, LeftSets.Why> why = read.left().stream().collect(Collectors.toMap(LeftSets::line, LeftSets::why));
    Map<UUID, ResolvedLine> resolved = new HashMap<>();
    Map<UUID, IssuedLines.Beside> beside = new HashMap<>();
    Map<String, IssuedLines.TrackedDay> tracked = tracked(session, !logged.isEmpty(), read.numbers());
    for (CardDocument.CardSlot slot : document.slots()) {
      if (slot.problem() == null) {
        IssuedLines.TrackedDay day = tracked.get(slot.lift());
        Resolver.Request request = lines.request(document, slot, logged.stream().filter(l -> l.line().equals(slot.ref())).toList(), day);
        ResolvedLine line = IssuedLines.line(slot, request);
        resolved.put(slot.ref(), line);
        beside.put(slot.ref(), IssuedLines.beside(slot, request, line, day, why.get(slot.ref())));
      }
    }
    Map<Long, List<Mark>> seen = read.marks().stream().filter(mark -> mark.clipId() == null)
        .collect(Collectors.groupingBy(SetMark::setId, Collectors.mapping(SetMark::mark, Collectors.toList())));
    Set<UUID> there = document.slots().stream().map(CardDocument.CardSlot::ref).collect(Collectors.toSet());
    List<LoggedSetRow> without = logged.stream().filter(row -> !there.contains(row.line()) && !row.extra()).toList();
    Catalogue names = lifts.catalogue();
    List<String> gone = without.stream().map(row -> names.ofKey(row.lift()).map(Lift::name).orElse(row.lift()) + ": " + row.words())
        .toList();
    return new Card(session, lifter, document, logged, resolved, beside, gone, seen, read.told(), names,
        session.day().isAfter(clock.today()), clock.zone(), document.lowDay() != null && session.easier() == null
        && read.told().said().isPresent() && lowDays.decided(session.lifterId(), session.day()));
  }
}

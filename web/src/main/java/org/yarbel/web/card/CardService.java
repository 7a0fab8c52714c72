package org.yarbel.web.card;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.AfterMiss;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.Ended;
import org.yarbel.core.card.EntryCheck;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.core.card.FromToday;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Places;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Opens cards and writes down what was lifted from them. */
@Service
public class CardService {
  /** What is said of the lift and its warm-up, whatever is done. */
  private static final Set<String> OF_THE_LIFT =
      Set.of(Caution.Kind.BY_RATIO.code(), Caution.Kind.POOR_RAMP.code(), Caution.Kind.LANDING.code());

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);

  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final LoggedSetRepository sets;
  private final LeftSetsRepository left;
  private final Lifts lifts;
  private final Issuing issuing;
  private final Places places;
  private final Tracking tracking;
  private final ClubClock clock;
  private final Turns turns;

  CardService(TrainingSessionRepository sessions, LifterRepository lifters, LoggedSetRepository sets, LeftSetsRepository left, Lifts lifts,
      Issuing issuing, Places places, Tracking tracking, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.sessions = sessions;
    this.lifters = lifters;
    this.sets = sets;
    this.left = left;
    this.lifts = lifts;
    this.issuing = issuing;
    this.places = places;
    this.tracking = tracking;
    this.clock = clock;
  }

  /**
   * A card with what was logged so far.
   *
   * @param lines by slot
   * @param beside what stands beside each line, by slot
   * @param gone what was done of lines that were taken out since, in words
   * @param ahead whether its day is to come
   */
  record Card(TrainingSession session, Lifter lifter, CardDocument document, List<LoggedSetRow> logged,
      Map<UUID, ResolvedLine> lines, Map<UUID, Beside> beside, List<String> gone, boolean ahead) {
    boolean issued() {
      return document.number() > 0;
    }
  }

  /**
   * What stands beside a line.
   *
   * @param needless sets that nobody needs to do any more
   * @param afterMiss the ways to go on after a miss of what back-offs hang on; null where nothing hangs on anything
   * @param missed whether they are to be shown
   * @param today what back-offs would weigh worked from today's max, by part
   * @param left why sets were not tried when the session was ended; null when it was not
   */
  record Beside(Set<LoggedSet.Place> needless, @Nullable AfterMiss afterMiss, boolean missed, Map<Integer, Loading> today, LeftSets.@Nullable Why left) {}

  /** What became of an entry. */
  sealed interface LogOutcome {
    /** Written down, or known already from the same entry sent before. */
    record Kept() implements LogOutcome {}

    /** The set was logged meanwhile, differently; nothing was changed. */
    record Superseded(LoggedSetRow now) implements LogOutcome {}

    /** An entry of that key is written down for another set; nothing was changed. */
    record OfAnother() implements LogOutcome {}

    /** It looks like a slip; nothing was changed. */
    record Doubt(EntryDoubt.Doubt about) implements LogOutcome {}
  }

  /** Looks at a card as it stands; nothing is issued by looking, which a browser may do by itself. */
  @Transactional(readOnly = true)
  public Card look(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
    return card(session, lifter, issuing.newestOrLookAhead(session, lifter));
  }

  /** The unit a card is written in. */
  @Transactional(readOnly = true)
  public MassUnit unit(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    return issuing.newestOrLookAhead(session, lifters.findById(session.lifterId()).orElseThrow(NotFound::new)).unit();
  }

  /** Opens a card: on its day or later this issues it. */
  @Transactional
  public Card open(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    if (!session.day().isAfter(clock.today())) {
      turns.ofSession(sessionId);
      issuing.newestOrIssue(session, lifters.findById(session.lifterId()).orElseThrow(NotFound::new));
    }
    return look(sessionId, who);
  }

  private TrainingSession session(long sessionId, SignedIn who) {
    return sessions.findById(sessionId).filter(s -> who.maySee(s.lifterId())).orElseThrow(NotFound::new);
  }

  private Card card(TrainingSession session, Lifter lifter, CardDocument document) {
    List<LoggedSetRow> logged = sets.ofSession(session.id());
    Map<UUID, LeftSets.Why> why = left.findBySessionId(session.id()).stream().collect(Collectors.toMap(LeftSets::line, LeftSets::why));
    Map<UUID, ResolvedLine> lines = new HashMap<>();
    Map<UUID, Beside> beside = new HashMap<>();
    for (CardDocument.CardSlot slot : document.slots()) {
      if (slot.problem() == null) {
        Resolver.Request request = request(document, slot, logged.stream().filter(l -> l.line().equals(slot.ref())).toList());
        ResolvedLine line = line(slot, request);
        lines.put(slot.ref(), line);
        beside.put(slot.ref(), beside(slot, request, line, why.get(slot.ref())));
      }
    }
    Set<UUID> there = document.slots().stream().map(CardDocument.CardSlot::ref).collect(Collectors.toSet());
    List<LoggedSetRow> without = logged.stream().filter(row -> !there.contains(row.line())).toList();
    Catalogue names = without.isEmpty() ? Catalogue.standard() : lifts.catalogue();
    List<String> gone = without.stream().map(row -> names.ofKey(row.lift()).map(Lift::name).orElse(row.lift()) + ": " + row.words()).toList();
    return new Card(session, lifter, document, logged, lines, beside, gone, session.day().isAfter(clock.today()));
  }

  private static Beside beside(CardDocument.CardSlot slot, Resolver.Request request, ResolvedLine line, LeftSets.@Nullable Why why) {
    AfterMiss afterMiss = slot.tables().isEmpty() ? null : AfterMiss.of(request).orElse(null);
    boolean steers = !slot.tables().isEmpty() && request.level() != Level.BEGINNER;
    return new Beside(Ended.needless(request.line().line(), request.logged()), afterMiss, AfterMiss.due(line),
        steers ? FromToday.of(request) : Map.of(), why);
  }

  private Resolver.Request request(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> logged) {
    Map<String, MaxNumbers> others = new HashMap<>(document.numbers());
    MaxNumbers own = others.get(slot.lift());
    CardDocument.Facts facts = slot.facts() == null ? CardDocument.Facts.UNKNOWN : slot.facts();
    return new Resolver.Request(WorkLine.parse(slot.work()), slot.basis(),
        own == null ? MaxNumbers.NONE : own, others, document.bodyMass(), places.loadables(document.loaded(slot)).orElse(null),
        document.unit(), slot.chart(), facts.movement(), facts.partial(), logged.stream().map(LoggedSetRow::loggedSet).toList(), null,
        facts.level());
  }

  /** The line as it stood when it was issued, with what was done. */
  private static ResolvedLine line(CardDocument.CardSlot slot, Resolver.Request request) {
    ResolvedLine line = Resolver.resolve(request);
    // the ramp stays as issued: it was warmed up on before anything was logged
    return new ResolvedLine(line.notation(), slot.ramp(), line.sets(), line.today(), cautions(slot, line));
  }

  // what was said of the plan when it was issued stays said, beside what comes of the sets done
  private static List<Caution> cautions(CardDocument.CardSlot slot, ResolvedLine line) {
    List<Caution> cautions = new ArrayList<>(line.cautions());
    slot.cautions().stream().filter(issued -> cautions.stream().noneMatch(c -> c.code().equals(issued.code())))
        .filter(issued -> OF_THE_LIFT.contains(issued.code()))
        .forEach(cautions::add);
    return cautions;
  }

  /** Writes an entry down, once however often it is sent, and lets the tracked max follow. */
  @Transactional
  public LogOutcome log(long sessionId, SignedIn who, Entry entry, boolean sure) {
    turns.ofSession(sessionId);
    TrainingSession session = session(sessionId, who);
    Optional<LoggedSetRow> sentBefore = sets.findByEntryKey(entry.key());
    if (sentBefore.filter(row -> row.sessionId() != sessionId || !row.line().equals(entry.line()) || !row.loggedSet().place().equals(entry.place())).isPresent()) {
      return new LogOutcome.OfAnother();
    }
    if (sentBefore.filter(row -> same(row, entry)).isPresent()) {
      return new LogOutcome.Kept();
    }
    Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
    issuing.newestOrIssue(session, lifter);
    CardDocument document = issuing.numbered(sessionId, Math.max(entry.issue(), 1)).orElseThrow(NotFound::new);
    List<LoggedSetRow> logged = new ArrayList<>(sets.ofSession(sessionId));
    Optional<LoggedSetRow> existing = at(logged, entry);
    // a page from before that answer may show the set open: what stands is told, and written over by nobody who has not seen it
    boolean meanwhile = existing.isPresent() && existing.get().version() != entry.seen();
    if (meanwhile && !same(existing.get(), entry)) {
      return new LogOutcome.Superseded(existing.get());
    }
    CardDocument.CardSlot slot =
        document.slots().stream().filter(s -> s.ref().equals(entry.line())).findFirst().orElseThrow(NotFound::new);
    existing.ifPresent(logged::remove);
    List<LoggedSetRow> ofLine = logged.stream().filter(row -> row.line().equals(slot.ref())).toList();
    ResolvedSet asked = asked(document, slot, ofLine, entry.place());
    Entry meant = entry.withLoad(meant(slot, entry.load(), asked));
    boolean telling = asked.tellsOfMax() && lifts.catalogue().ofKey(slot.lift()).filter(lift -> lift.variation().assisted()).isEmpty();
    Optional<EntryDoubt.Doubt> doubt = sure ? Optional.empty() : doubt(session, document, slot, ofLine, asked, telling, meant);
    if (doubt.isPresent()) {
      return new LogOutcome.Doubt(doubt.get());
    }
    LocalDate day = session.day().isAfter(clock.today()) ? clock.today() : session.day();
    LoggedSetRow row = existing.orElseGet(() -> new LoggedSetRow(lifter.id(), sessionId, entry.line(), entry.place(), slot.lift(), day));
    row.write(meant, asked.toFailure(entry.rpe()), asked, telling, clock.now());
    sets.saveAndFlush(row);
    left.deleteAll(left.findByLineIn(List.of(slot.ref())));
    if (existing.isPresent()) {
      tracking.rerun(lifter, slot.lift());
    } else {
      tracking.logged(lifter, slot.lift(), row.day());
    }
    return new LogOutcome.Kept();
  }

  /** What was lifted by what was typed: a thing is called by its stamp, unless what was asked weighs just that. */
  private static Mass meant(CardDocument.CardSlot slot, Mass typed, ResolvedSet asked) {
    return asked.load() != null && typed.hits(asked.load()) ? typed : slot.stamped().stream().filter(stamp -> stamp.stamped().hits(typed))
        .map(stamp -> stamp.trueMass().shownIn(typed.unit())).findFirst().orElse(typed);
  }

  private Optional<EntryDoubt.Doubt> doubt(TrainingSession session, CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> ofLine,
      ResolvedSet asked, boolean telling, Entry entry) {
    if (session.day().isAfter(clock.today())) {
      return Optional.of(new EntryDoubt.Doubt("This card is for " + DAY.format(session.day()) + ". Is it lifted today?", null));
    }
    Mass bar = document.loaded(slot).filter(PlaceKit.Loaded.OnBar.class::isInstance)
        .map(loaded -> ((PlaceKit.Loaded.OnBar) loaded).kit().bar()).orElse(Mass.ofNanograms(0, document.unit()));
    boolean novice = slot.facts() != null && slot.facts().level() == Level.BEGINNER;
    Mass max = novice || !telling ? null : document.numbers().getOrDefault(slot.lift(), MaxNumbers.NONE).best();
    boolean leads = slot.tables().stream().anyMatch(table -> table.part() > asked.part());
    return EntryCheck.about(new EntryCheck.Typed(entry.load(), entry.reps(), entry.rpe(), entry.flagged()),
        new EntryCheck.Expected(asked, bar, max, slot.chart(), leads, ofLine.isEmpty()));
  }

  /** What of a line was not tried, by slot, where a session can be ended with it. */
  @Transactional
  public Set<UUID> end(long sessionId, SignedIn who, Map<UUID, LeftSets.Why> why) {
    turns.ofSession(sessionId);
    Card card = open(sessionId, who);
    if (!card.issued()) {
      throw new NotFound();
    }
    Set<UUID> open = card.document().slots().stream().map(CardDocument.CardSlot::ref).filter(slot -> owed(card, slot) > 0).collect(Collectors.toSet());
    Map<UUID, LeftSets> said = left.findBySessionId(sessionId).stream().collect(Collectors.toMap(LeftSets::line, row -> row));
    open.forEach(slot -> {
      LeftSets.Why own = why.getOrDefault(slot, LeftSets.Why.LEFT_OUT);
      LeftSets row = said.getOrDefault(slot, new LeftSets(sessionId, slot, own, clock.now()));
      row.say(own, clock.now());
      left.save(row);
    });
    left.flush();
    return open;
  }

  /** Goes on with a session that was ended; the lines that were left. */
  @Transactional
  public Set<UUID> goOn(long sessionId, SignedIn who) {
    turns.ofSession(sessionId);
    TrainingSession session = session(sessionId, who);
    List<LeftSets> all = left.findBySessionId(session.id());
    left.deleteAll(all);
    left.flush();
    return all.stream().map(LeftSets::line).collect(Collectors.toSet());
  }

  /** How many sets of a line are neither logged nor needless. */
  static long owed(Card card, UUID ref) {
    ResolvedLine line = card.lines().get(ref);
    Beside beside = card.beside().get(ref);
    return line == null || beside == null ? 0 : line.sets().stream()
        .filter(set -> !set.logged() && !beside.needless().contains(new LoggedSet.Place(set.part(), set.set()))).count();
  }

  /** Takes an entry back: the set counts as not done. The line it was of; empty when nothing of this session stood there. */
  @Transactional
  public Optional<UUID> clear(long sessionId, SignedIn who, UUID line, LoggedSet.Place place) {
    turns.ofSession(sessionId);
    TrainingSession session = session(sessionId, who);
    Optional<LoggedSetRow> there = sets.ofSession(sessionId).stream()
        .filter(row -> row.line().equals(line) && row.loggedSet().place().equals(place)).findFirst();
    there.ifPresent(row -> {
      sets.delete(row);
      sets.flush();
      tracking.rerun(lifters.findById(session.lifterId()).orElseThrow(NotFound::new), row.lift());
    });
    return there.map(LoggedSetRow::line);
  }

  private ResolvedSet asked(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> ofSlot, LoggedSet.Place place) {
    if (slot.problem() != null) {
      throw new NotFound();
    }
    Resolver.Request request = request(document, slot, ofSlot);
    ResolvedLine line = line(slot, request);
    Optional<ResolvedSet> attempt = AfterMiss.due(line) ? AfterMiss.of(request).map(AfterMiss::attempt) : Optional.empty();
    return Stream.concat(line.sets().stream(), attempt.stream()).filter(set -> set.part() == place.part() && set.set() == place.set()).findFirst()
        .orElseThrow(NotFound::new);
  }

  private static Optional<LoggedSetRow> at(List<LoggedSetRow> logged, Entry entry) {
    return logged.stream()
        .filter(row -> row.line().equals(entry.line()) && row.loggedSet().place().equals(entry.place()))
        .findFirst();
  }

  private static boolean same(LoggedSetRow row, Entry entry) {
    return row.load().equals(entry.load()) && row.reps() == entry.reps()
        && Objects.equals(row.rpe(), entry.rpe()) && row.flagged() == entry.flagged()
        && Objects.equals(row.doneTenths(), entry.tenths()) && Objects.equals(row.doneCentimetres(), entry.centimetres()) && row.stopped() == entry.stopped();
  }
}

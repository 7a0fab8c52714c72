package org.yarbel.web.card;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** Opens cards and writes down what was lifted from them. */
@Service
public class CardService {
  /** What is said of the lift and its warm-up, whatever is done. */
  private static final Set<String> OF_THE_LIFT =
      Set.of(Caution.Kind.BY_RATIO.code(), Caution.Kind.POOR_RAMP.code(), Caution.Kind.LANDING.code());

  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final LoggedSetRepository sets;
  private final Issuing issuing;
  private final Places places;
  private final Tracking tracking;
  private final ClubClock clock;

  CardService(TrainingSessionRepository sessions, LifterRepository lifters, LoggedSetRepository sets, Issuing issuing,
      Places places, Tracking tracking, ClubClock clock) {
    this.sessions = sessions;
    this.lifters = lifters;
    this.sets = sets;
    this.issuing = issuing;
    this.places = places;
    this.tracking = tracking;
    this.clock = clock;
  }

  /** A card with what was logged so far. */
  record Card(TrainingSession session, Lifter lifter, CardDocument document, List<LoggedSetRow> logged,
      Map<Long, ResolvedLine> lines) {
    boolean issued() {
      return document.number() > 0;
    }
  }

  /** What became of an entry. */
  sealed interface Outcome {
    /** Written down, or known already from the same entry sent before. */
    record Kept() implements Outcome {}

    /** The set was logged meanwhile, differently; nothing was changed. */
    record Changed(LoggedSetRow now) implements Outcome {}

    /** It looks like a slip; nothing was changed. */
    record Doubt(String question) implements Outcome {}
  }

  /** Opens a card; on its day or later this issues it. */
  @Transactional
  public Card open(long sessionId, SignedIn who) {
    TrainingSession session = session(sessionId, who);
    Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
    boolean due = !session.day().isAfter(clock.today());
    CardDocument document =
        due ? issuing.newestOrIssue(session, lifter) : issuing.newestOrLookAhead(session, lifter);
    return card(session, lifter, document);
  }

  private TrainingSession session(long sessionId, SignedIn who) {
    return sessions.findById(sessionId).filter(s -> who.maySee(s.lifterId())).orElseThrow(NotFound::new);
  }

  private Card card(TrainingSession session, Lifter lifter, CardDocument document) {
    List<LoggedSetRow> logged = sets.ofSession(session.id());
    Map<Long, ResolvedLine> lines = new HashMap<>();
    for (CardDocument.CardSlot slot : document.slots()) {
      if (slot.problem() == null) {
        lines.put(slot.slotId(), line(document, slot, logged.stream().filter(l -> l.slotId() == slot.slotId()).toList()));
      }
    }
    return new Card(session, lifter, document, logged, lines);
  }

  /** The line as it stood when it was issued, with what was done. */
  private ResolvedLine line(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> logged) {
    Map<String, MaxNumbers> others = new HashMap<>(document.numbers());
    MaxNumbers own = others.remove(slot.lift());
    CardDocument.Facts facts = slot.facts() == null ? CardDocument.Facts.UNKNOWN : slot.facts();
    ResolvedLine line = Resolver.resolve(new Resolver.Request(WorkLine.parse(slot.work()), slot.basis(),
        own == null ? MaxNumbers.NONE : own, others, document.bodyMass(), places.loadables(document.loaded(slot)).orElse(null),
        document.unit(), slot.chart(), facts.movement(), facts.partial(), logged.stream().map(LoggedSetRow::loggedSet).toList(), null,
        facts.level()));
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
  public Outcome log(long sessionId, SignedIn who, Entry entry, boolean sure) {
    TrainingSession session = session(sessionId, who);
    Optional<LoggedSetRow> sentBefore = sets.findByEntryKey(entry.key());
    if (sentBefore.filter(row -> same(row, entry)).isPresent()) {
      return new Outcome.Kept();
    }
    Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
    issuing.newestOrIssue(session, lifter);
    CardDocument document = issuing.numbered(sessionId, Math.max(entry.issue(), 1)).orElseThrow(NotFound::new);
    List<LoggedSetRow> logged = new ArrayList<>(sets.ofSession(sessionId));
    Optional<LoggedSetRow> existing = at(logged, entry);
    // the same form sent again with other figures corrects what it sent first: its answer may never have arrived
    boolean meanwhile = sentBefore.isEmpty() && existing.isPresent() && existing.get().version() != entry.seen();
    if (meanwhile && !same(existing.get(), entry)) {
      return new Outcome.Changed(existing.get());
    }
    CardDocument.CardSlot slot =
        document.slots().stream().filter(s -> s.slotId() == entry.slotId()).findFirst().orElseThrow(NotFound::new);
    existing.ifPresent(logged::remove);
    ResolvedSet asked = asked(document, slot, logged, entry.place());
    Mass bar = document.loaded(slot).filter(PlaceKit.Loaded.OnBar.class::isInstance)
        .map(loaded -> ((PlaceKit.Loaded.OnBar) loaded).kit().bar()).orElse(Mass.ofNanograms(0, document.unit()));
    Optional<String> doubt = asked.load() == null ? Optional.empty() : EntryDoubt.about(entry.load(), asked.load(), bar);
    if (doubt.isPresent() && !sure && entry.reps() > 0) {
      return new Outcome.Doubt(doubt.get());
    }
    LoggedSetRow row = existing.orElseGet(() -> new LoggedSetRow(
        lifter.id(), sessionId, entry.slotId(), entry.place(), slot.lift(), session.day()));
    row.write(entry, toFailure(asked, entry.rpe()), asked, clock.now());
    sets.saveAndFlush(row);
    tracking.rerun(lifter, slot.lift());
    return new Outcome.Kept();
  }

  /** Takes an entry back: the set counts as not done. */
  @Transactional
  public void clear(long sessionId, SignedIn who, long slotId, LoggedSet.Place place) {
    TrainingSession session = session(sessionId, who);
    sets.ofSession(sessionId).stream()
        .filter(row -> row.slotId() == slotId && row.loggedSet().place().equals(place))
        .findFirst()
        .ifPresent(row -> {
          sets.delete(row);
          sets.flush();
          Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
          tracking.rerun(lifter, row.lift());
        });
  }

  private ResolvedSet asked(CardDocument document, CardDocument.CardSlot slot, List<LoggedSetRow> others,
      LoggedSet.Place place) {
    List<LoggedSetRow> ofSlot = others.stream().filter(l -> l.slotId() == slot.slotId()).toList();
    if (slot.problem() != null) {
      throw new NotFound();
    }
    return line(document, slot, ofSlot).sets().stream()
        .filter(s -> s.part() == place.part() && s.set() == place.set())
        .findFirst()
        .orElseThrow(NotFound::new);
  }

  // An open set without a cap that was rated 10 went on until nothing was left.
  private static boolean toFailure(ResolvedSet asked, @Nullable Rpe rpe) {
    boolean open = asked.role() == Role.OPEN || asked.role() == Role.PLUS;
    return open && "form".equals(asked.stop()) && Rpe.MAX.equals(rpe);
  }

  private static Optional<LoggedSetRow> at(List<LoggedSetRow> logged, Entry entry) {
    return logged.stream()
        .filter(row -> row.slotId() == entry.slotId() && row.loggedSet().place().equals(entry.place()))
        .findFirst();
  }

  private static boolean same(LoggedSetRow row, Entry entry) {
    return row.load().equals(entry.load()) && row.reps() == entry.reps()
        && Objects.equals(row.rpe(), entry.rpe()) && row.flagged() == entry.flagged()
        && Objects.equals(row.doneSeconds(), entry.seconds()) && Objects.equals(row.doneCentimetres(), entry.centimetres());
  }
}

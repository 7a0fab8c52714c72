package org.yarbel.web.card;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.EntryCheck;
import org.yarbel.core.card.EntryDoubt;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.device.Devices;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.log.SetState;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.who.SignedIn;

/** Writes down what was lifted from a card, and how a session ended. */
@Service
public class CardLog {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);

  private final CardService cards;
  private final IssuedLines lines;
  private final LoggedSetRepository sets;
  private final LeftSetsRepository left;
  private final Lifts lifts;
  private final Issuing issuing;
  private final Tracking tracking;
  private final ClubClock clock;
  private final CardBeside beside;
  private final SetMarkRepository marks;
  private final Devices devices;
  private final SessionNotes notes;

  CardLog(CardService cards, IssuedLines lines, LoggedSetRepository sets, LeftSetsRepository left, Lifts lifts, Issuing issuing,
      Tracking tracking, ClubClock clock, CardBeside beside, SetMarkRepository marks,
      Devices devices, SessionNotes notes) {
    this.devices = devices;
    this.notes = notes;
    this.beside = beside;
    this.marks = marks;
    this.cards = cards;
    this.lines = lines;
    this.sets = sets;
    this.left = left;
    this.lifts = lifts;
    this.issuing = issuing;
    this.tracking = tracking;
    this.clock = clock;
  }

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

  /** Writes an entry down, once however often it is sent, and lets the tracked max follow. */
  @Transactional
  LogOutcome log(long sessionId, SignedIn who, Entry entry, boolean sure) {
    TrainingSession session = cards.turn(sessionId, who);
    Optional<LoggedSetRow> sentBefore = sets.findByEntryKey(entry.key());
    if (sentBefore.filter(row -> row.sessionId() != sessionId || !row.line().equals(entry.line())
        || !row.loggedSet().place().equals(entry.place())).isPresent()) {
      return new LogOutcome.OfAnother();
    }
    Lifter lifter = cards.lifter(session);
    boolean wentOn = issuing.begin(session, lifter, Math.max(entry.issue(), 1));
    CardDocument document = issuing.numbered(session, Math.max(entry.issue(), 1)).orElseThrow(NotFound::new);
    List<LoggedSetRow> logged = new ArrayList<>(sets.ofSession(sessionId));
    Optional<LoggedSetRow> existing = at(logged, entry);
    CardDocument.CardSlot slot =
        document.slots().stream().filter(s -> s.ref().equals(entry.line())).findFirst().orElseThrow(NotFound::new);
    Said said = beside.said(session, slot, entry, existing.orElse(null));
    boolean same = existing.filter(row -> same(row, entry, said, marks.findBySetIdOrderById(row.id()))).isPresent();
    if (same && sentBefore.isPresent()) {
      return new LogOutcome.Kept();
    }
    // a page from before that answer may show the set open: what stands is told, and written over by nobody who has not seen it
    if (existing.filter(row -> row.version() != entry.seen()).isPresent() && !same) {
      return new LogOutcome.Superseded(existing.get());
    }
    existing.ifPresent(logged::remove);
    List<LoggedSetRow> ofLine = logged.stream().filter(row -> row.line().equals(slot.ref())).toList();
    ResolvedSet asked = lines.asked(document, slot, ofLine, entry.place(), cards.tracked(session, !logged.isEmpty()).get(slot.lift()));
    Entry meant = entry.withLoad(meant(slot, entry.load(), asked)).saying(said);
    String did = said.did() == null ? slot.lift() : said.did();
    boolean telling = asked.tellsOfMax() && lifts.catalogue().ofKey(did).filter(lift -> lift.variation().assisted()).isEmpty();
    Optional<EntryDoubt.Doubt> doubt = sure ? Optional.empty() : doubt(session, document, slot, ofLine, asked, telling, meant);
    if (doubt.isPresent()) {
      return new LogOutcome.Doubt(doubt.get());
    }
    LocalDate day = notes.begin(session);
    String before = existing.map(LoggedSetRow::lift).orElse(null);
    LoggedSetRow row = existing.orElseGet(() -> new LoggedSetRow(lifter.id(), sessionId, entry.line(), entry.place(), slot.lift(), day));
    row.write(meant, asked, telling, clock.now());
    sets.saveAndFlush(row);
    beside.mark(row, said.marks(), who.staff());
    if (said.pain() != null) {
      notes.hurts(session, said.pain());
    }
    devices.find(row);
    left.deleteAll(left.findByLineIn(List.of(slot.ref())));
    if (wentOn) {
      issuing.follow(session, lifter);
    }
    if (before == null) {
      tracking.logged(lifter, row.lift(), row.day());
    } else {
      Stream.of(before, row.lift()).distinct().forEach(lift -> tracking.rerun(lifter, lift));
    }
    return new LogOutcome.Kept();
  }

  /** What was lifted by what was typed: a thing is called by its stamp, unless what was asked weighs just that. */
  private static Mass meant(CardDocument.CardSlot slot, Mass typed, ResolvedSet asked) {
    return asked.load() != null && typed.hits(asked.load()) ? typed : slot.stamped().stream().filter(stamp -> stamp.stamped().hits(typed))
        .map(stamp -> stamp.trueMass().shownIn(typed.unit())).findFirst().orElse(typed);
  }

  private Optional<EntryDoubt.Doubt> doubt(TrainingSession session, CardDocument document, CardDocument.CardSlot slot,
      List<LoggedSetRow> ofLine, ResolvedSet asked, boolean telling, Entry entry) {
    if (session.day().isAfter(clock.today())) {
      return Optional.of(new EntryDoubt.Doubt("This card is for " + DAY.format(session.day()) + ". Is it lifted today?", null));
    }
    if (entry.said() != null && entry.said().did() != null && !entry.said().did().equals(slot.lift())) {
      // what was asked tells nothing of another lift
      return Optional.empty();
    }
    Mass bar = document.loaded(slot).filter(PlaceKit.Loaded.OnBar.class::isInstance)
        .map(loaded -> ((PlaceKit.Loaded.OnBar) loaded).kit().bar()).orElse(Mass.ofNanograms(0, document.unit()));
    boolean novice = slot.facts() != null && slot.facts().level() == Level.BEGINNER;
    Mass max = novice || !telling ? null : document.numbers().getOrDefault(slot.lift(), MaxNumbers.NONE).best();
    boolean leads = slot.tables().stream().anyMatch(table -> table.part() > asked.part());
    return EntryCheck.about(new EntryCheck.Typed(entry.load(), entry.reps(), entry.rpe(), entry.easier(),
        entry.said() != null && entry.said().flagged()),
        new EntryCheck.Expected(asked, bar, max, slot.chart(), leads, ofLine.isEmpty()));
  }

  /**
   * Ends a session with what of it was not tried; the lines with such sets.
   *
   * @param why of a line, by its ref
   */
  @Transactional
  public Set<UUID> end(long sessionId, SignedIn who, Function<UUID, LeftSets.Why> why) {
    cards.turn(sessionId, who);
    CardService.Card card = cards.open(sessionId, who);
    if (!card.issued()) {
      throw new NotFound();
    }
    Set<UUID> open = card.document().slots().stream().map(CardDocument.CardSlot::ref).filter(slot -> card.owed(slot) > 0)
        .collect(Collectors.toSet());
    Map<UUID, LeftSets> said = left.findBySessionId(sessionId).stream().collect(Collectors.toMap(LeftSets::line, row -> row));
    open.forEach(slot -> {
      LeftSets.Why own = why.apply(slot);
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
    TrainingSession session = cards.turn(sessionId, who);
    List<LeftSets> all = left.findBySessionId(session.id());
    left.deleteAll(all);
    left.flush();
    return all.stream().map(LeftSets::line).collect(Collectors.toSet());
  }

  /** Takes an entry back: the set counts as not done. The line it was of; empty when nothing of this session stood there. */
  @Transactional
  public Optional<UUID> clear(long sessionId, SignedIn who, UUID line, LoggedSet.Place place) {
    TrainingSession session = cards.turn(sessionId, who);
    Optional<LoggedSetRow> there = sets.ofSession(sessionId).stream()
        .filter(row -> row.line().equals(line) && row.loggedSet().place().equals(place)).findFirst();
    there.ifPresent(row -> {
      sets.delete(row);
      sets.flush();
      tracking.rerun(cards.lifter(session), row.lift());
    });
    return there.map(LoggedSetRow::line);
  }

  private static Optional<LoggedSetRow> at(List<LoggedSetRow> logged, Entry entry) {
    return logged.stream()
        .filter(row -> row.line().equals(entry.line()) && row.loggedSet().place().equals(entry.place()))
        .findFirst();
  }

  private static boolean same(LoggedSetRow row, Entry entry, Said said, List<SetMark> marks) {
    return row.load().equals(entry.load()) && row.reps() == entry.reps()
        && Objects.equals(row.rpe(), entry.rpe()) && row.easier() == entry.easier()
        && (entry.said() == null || saidSame(row, said, marks))
        && Objects.equals(row.doneTenths(), entry.tenths()) && Objects.equals(row.doneCentimetres(), entry.centimetres())
        && row.stopped() == entry.stopped() && row.ended() == entry.ended();
  }

  private static boolean saidSame(LoggedSetRow row, Said said, List<SetMark> marks) {
    String asked = row.askedLift() == null ? row.lift() : row.askedLift();
    SetState state = row.state();
    return state.contexts().equals(said.contexts()) && state.contextWords().equals(said.words())
        && Objects.equals(state.repSpeeds(), said.speeds()) && (said.gear() == null || said.gear().equals(state.gear()))
        && row.lift().equals(said.did() == null ? asked : said.did())
        && marks.stream().filter(mark -> mark.clipId() == null).map(SetMark::mark).collect(Collectors.toSet())
        .equals(Set.copyOf(said.marks()));
  }
}

package org.yarbel.web.board;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Days;
import org.yarbel.web.program.Programs;
import tools.jackson.databind.json.JsonMapper;

/** Writes the plan. Every change keeps what stood before, touches only what lies ahead, and can be undone. */
@Service
public class PlanService {
  private static final int MOST_SLOTS = 40;

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final ChangeRepository changes;
  private final LifterRepository lifters;
  private final LoggedSetRepository log;
  private final Arranging arranging;
  private final Days days;
  private final Programs programs;
  private final Lifts lifts;
  private final Issuing issuing;
  private final ClubClock clock;
  private final JsonMapper json = new JsonMapper();
  private final Turns turns;

  PlanService(TrainingSessionRepository sessions, SlotRepository slots, ChangeRepository changes,
      LifterRepository lifters, LoggedSetRepository log, Arranging arranging, Days days, Programs programs, Lifts lifts,
      Issuing issuing, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.lifts = lifts;
    this.days = days;
    this.programs = programs;
    this.sessions = sessions;
    this.slots = slots;
    this.changes = changes;
    this.lifters = lifters;
    this.log = log;
    this.arranging = arranging;
    this.issuing = issuing;
    this.clock = clock;
  }

  /**
   * What a slot says, for the record of changes.
   *
   * @param groups of its session as they stood, and who was done by turns with it; null for a line by itself
   */
  private record Said(long sessionId, int position, SlotKind kind, String lift, String work, @Nullable Details details,
      @Nullable Integer groupNo, @Nullable String groups, @Nullable List<Long> mates) {
    Details said() {
      return details == null ? Details.NONE : details;
    }
  }

  /** What became of a change. */
  public sealed interface Outcome {
    /** Done; the change can be undone by its id. */
    record Done(Slot slot, long changeId) implements Outcome {}

    /** The session has forty lines: none was added. */
    record Full() implements Outcome {}

    /** It says that already: nothing to do, whoever wrote it. */
    record Same(Slot slot) implements Outcome {}

    /** Somebody changed the slot meanwhile; nothing was touched. */
    record ChangedMeanwhile(Slot now) implements Outcome {}

    /** Sets of the slot are logged: only what lies ahead can change. */
    record Begun(Slot now) implements Outcome {}
  }

  /** Adds a line to a lifter's day; the session is made with its first. */
  @Transactional
  public Outcome add(Lifter lifter, LocalDate day, SlotKind kind, Lift lift, String work, SignedIn who) {
    turns.ofLifter(lifter.id());
    TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day)
        .orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
    List<Slot> there = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    if (there.size() >= MOST_SLOTS) {
      return new Outcome.Full();
    }
    int position = there.isEmpty() ? 1 : there.get(there.size() - 1).position() + 1;
    Slot slot = slots.saveAndFlush(new Slot(session.id(), position, kind, lift.key(), normal(work)));
    issuing.planChanged(session, lifter);
    return done(slot, lifter, who, null, said(slot));
  }

  /** Moves a day to another of the lifter's places; its loads follow, those of lines begun stay. */
  @Transactional
  public void moveTo(Lifter lifter, LocalDate day, @Nullable Long placeId) {
    turns.ofLifter(lifter.id());
    TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day)
        .orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
    session.moveTo(placeId);
    sessions.saveAndFlush(session);
    issuing.planChanged(session, lifter);
  }

  /**
   * Changes a line and those that do it again, unless it was changed or begun meanwhile.
   *
   * @param details what is said beside the work; null for what was said before
   */
  @Transactional
  public Outcome write(long slotId, int version, SlotKind kind, Lift lift, String work, @Nullable Details details, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slots.findById(slotId).orElseThrow(NotFound::new);
    Details said = details == null ? slot.details() : details;
    if (slot.kind() == kind && slot.lift().equals(lift.key()) && slot.work().equals(normal(work)) && slot.details().equals(said)) {
      return new Outcome.Same(slot);
    }
    Optional<Outcome> refused = refused(slot, version);
    if (refused.isPresent()) {
      return refused.get();
    }
    String before = said(slot);
    slot.write(kind, lift.key(), normal(work), said);
    slots.saveAndFlush(slot);
    arranging.follow(slot.sessionId());
    return replan(slot, who, before, said(slot));
  }

  /** Takes a line out, unless it was changed or begun meanwhile. */
  @Transactional
  public Outcome remove(long slotId, int version, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slots.findById(slotId).orElseThrow(NotFound::new);
    Optional<Outcome> refused = refused(slot, version);
    if (refused.isPresent()) {
      return refused.get();
    }
    String before = said(slot);
    programs.takenOut(slot, true);
    slots.delete(slot);
    slots.flush();
    arranging.follow(slot.sessionId());
    return replan(slot, who, before, null);
  }

  private Optional<Outcome> refused(Slot slot, int version) {
    if (slot.version() != version) {
      return Optional.of(new Outcome.ChangedMeanwhile(slot));
    }
    return arranging.begun(slot) ? Optional.of(new Outcome.Begun(slot)) : Optional.empty();
  }

  /**
   * Undoes a change when nothing later touched the same line.
   *
   * @return a sentence that says what was done, or why not
   */
  @Transactional
  public String undo(long changeId, SignedIn who) {
    turns.ofChange(changeId);
    Change change = change(changeId);
    if (change.subject().equals(Arranging.SUBJECT)) {
      return arranging.undo(change);
    }
    if (change.subject().equals(Days.SUBJECT)) {
      return days.undo(change);
    }
    Optional<Change> newest =
        changes.findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc("slot", change.subjectId());
    if (change.undone() || newest.isEmpty() || newest.get().id() != changeId) {
      return "That line was changed again since: undo the later change first.";
    }
    if (log.countOfSlot(change.subjectId()) > 0) {
      return "Sets of that line are logged: only what lies ahead can change.";
    }
    change.undo();
    Said before = read(change.before());
    stand(change, before, read(change.after()));
    return before == null ? "The line is out again." : "The line is back as it was: " + before.work();
  }

  /** Does an undone change again when the line stands as it was undone to. */
  @Transactional
  public String redo(Change change) {
    turns.ofLifter(change.lifterId());
    if (change.subject().equals(Arranging.SUBJECT)) {
      return arranging.redo(change);
    }
    if (change.subject().equals(Days.SUBJECT)) {
      return days.redo(change);
    }
    Said before = read(change.before());
    Said after = read(change.after());
    Slot now = change.subjectId() == 0 ? null : lineOf(change, before);
    boolean stands = before == null ? now == null : now != null && now.lift().equals(before.lift()) && now.work().equals(before.work());
    if (!change.undone() || !stands || now != null && arranging.begun(now)) {
      return "That line was changed or begun since: it is not done again.";
    }
    change.redo();
    if (after == null && now != null) {
      slots.delete(now);
      slots.flush();
      arranging.follow(now.sessionId());
      replanned(now.sessionId());
    } else {
      stand(change, after, before);
    }
    return after == null ? "The line is out again." : "Done again: " + after.work();
  }

  /** The line a change was about; one that was put back by an undo has another id and the same words. */
  private @Nullable Slot lineOf(Change change, @Nullable Said before) {
    return slots.findById(change.subjectId())
        .orElseGet(() -> before == null ? null : slots.findBySessionIdOrderByPositionAscIdAsc(before.sessionId()).stream()
        .filter(slot -> slot.lift().equals(before.lift()) && slot.work().equals(before.work())).reduce((first, second) -> second).orElse(null));
  }

  /** Makes a line stand as it was; null for out. */
  private void stand(Change change, @Nullable Said wanted, @Nullable Said other) {
    Optional<Slot> slot = slots.findById(change.subjectId());
    if (wanted == null) {
      slot.ifPresent(slots::delete);
    } else if (slot.isPresent()) {
      slot.get().write(wanted.kind(), wanted.lift(), wanted.work(), wanted.said());
    } else {
      Slot again = new Slot(wanted.sessionId(), wanted.position(), wanted.kind(), wanted.lift(), wanted.work());
      again.write(wanted.kind(), wanted.lift(), wanted.work(), wanted.said());
      slots.save(again);
      if (wanted.groupNo() != null && wanted.groups() != null && wanted.mates() != null) {
        arranging.rejoin(again, wanted.groupNo(), Groups.of(wanted.groups()), wanted.mates());
      }
    }
    slots.flush();
    Said any = wanted != null ? wanted : other;
    arranging.follow(any == null ? 0 : any.sessionId());
    replanned(any == null ? 0 : any.sessionId());
  }

  /** The lifter a change was about. */
  @Transactional(readOnly = true)
  public long lifterOf(long changeId) {
    return change(changeId).lifterId();
  }

  private Change change(long changeId) {
    return changes.findById(changeId).filter(c -> c.subject().equals("slot") || c.subject().equals(Arranging.SUBJECT) || c.subject()
        .equals(Days.SUBJECT))
        .orElseThrow(NotFound::new);
  }

  private Outcome replan(Slot slot, SignedIn who, String before, @Nullable String after) {
    return done(slot, replanned(slot.sessionId()), who, before, after);
  }

  private Lifter replanned(long sessionId) {
    TrainingSession session = sessions.findById(sessionId).orElseThrow(NotFound::new);
    Lifter lifter = lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
    issuing.planChanged(session, lifter);
    return lifter;
  }

  private Outcome done(Slot slot, Lifter lifter, SignedIn who, @Nullable String before, @Nullable String after) {
    Change change =
        changes.save(Change.ofSlot(who.accountId(), clock.now(), lifter.id(), slot.id(), before, after).saying(words(read(before), read(after))));
    return new Outcome.Done(slot, change.id());
  }

  /** What a change did: {@code Squat 5x5 60kg → 5x5 65kg}. */
  private String words(@Nullable Said before, @Nullable Said after) {
    if (before == null || after == null) {
      return after == null ? "taking out " + name(before) : "adding " + name(after);
    }
    if (!before.lift().equals(after.lift())) {
      return name(before) + " → " + name(after);
    }
    return name(before) + " → " + (after.work().equals(before.work()) ? "what stands beside it" : after.work());
  }

  private String name(@Nullable Said said) {
    return said == null ? "" : lifts.catalogue().ofKey(said.lift()).map(Lift::name).orElse(said.lift()) + " " + said.work();
  }

  private String said(Slot slot) {
    boolean alone = slot.groupNo() == null;
    return json.writeValueAsString(new Said(slot.sessionId(), slot.position(), slot.kind(), slot.lift(), slot.work(), slot.details(),
        slot.groupNo(), alone ? null : arranging.session(slot.sessionId()).groups().text(), alone ? null : arranging.mates(slot)));
  }

  private @Nullable Said read(@Nullable String text) {
    return text == null ? null : json.readValue(text, Said.class);
  }

  private static String normal(String work) {
    return WorkLine.parse(work).line().toString();
  }
}

package org.yarbel.web.edit;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.Edit;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Programs;
import org.yarbel.web.who.SignedIn;

/** Writes single lines of a plan. Every change touches only what lies ahead, and can be undone. */
@Service
public class PlanService {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final TrainingSessionRepository rows;
  private final SlotRepository slots;
  private final LifterRepository lifters;
  private final Sessions sessions;
  private final PlanWriter writer;
  private final Programs programs;
  private final Turns turns;

  PlanService(TrainingSessionRepository rows, SlotRepository slots, LifterRepository lifters, Sessions sessions, PlanWriter writer,
      Programs programs, Turns turns) {
    this.rows = rows;
    this.slots = slots;
    this.lifters = lifters;
    this.sessions = sessions;
    this.writer = writer;
    this.programs = programs;
    this.turns = turns;
  }

  /** What became of a change. */
  public sealed interface EditOutcome {
    /** Done; the change can be undone by its id. */
    record Done(Slot slot, long changeId) implements EditOutcome {}

    /** The session has forty lines: none was added. */
    record Full() implements EditOutcome {}

    /** It says that already: nothing to do, whoever wrote it. */
    record Same(Slot slot) implements EditOutcome {}

    /** Somebody changed the slot meanwhile; nothing was touched. */
    record ChangedMeanwhile(Slot now) implements EditOutcome {}

    /** Sets of the slot are logged: only what lies ahead can change. */
    record Begun(Slot now) implements EditOutcome {}
  }

  /**
   * A line as it is typed.
   *
   * @param details what is said beside the work; null for what was said before
   */
  public record TypedWork(SlotKind kind, Lift lift, String work, @Nullable Details details) {
    /** A line of which only lift and work are typed. */
    public static TypedWork of(SlotKind kind, Lift lift, String work) {
      return new TypedWork(kind, lift, work, null);
    }

    String normal() {
      return WorkLine.parse(work).line().toString();
    }
  }

  /** Adds a line to a lifter's day; the session is made with its first. */
  @Transactional
  public EditOutcome add(Lifter lifter, LocalDate day, TypedWork typed, SignedIn who) {
    turns.ofLifter(lifter.id());
    TrainingSession session = sessions.session(lifter, day);
    List<Slot> there = sessions.lines(session);
    if (there.size() >= Sessions.MOST_LINES) {
      return new EditOutcome.Full();
    }
    int position = there.isEmpty() ? 1 : there.get(there.size() - 1).position() + 1;
    Slot slot = new Slot(session.id(), position, typed.kind(), typed.lift().key(), typed.normal());
    return done(slot, lifter, Scope.line(day), who, () -> slots.save(slot));
  }

  /** Moves a day to another of the lifter's places; its loads follow, those of lines begun stay. */
  @Transactional
  public void moveTo(Lifter lifter, LocalDate day, @Nullable Long placeId, SignedIn who) {
    turns.ofLifter(lifter.id());
    TrainingSession session = sessions.session(lifter, day);
    writer.change(lifter, Scope.session(day, DAY.format(day) + ": in another place"), who, () -> {
      session.moveTo(placeId);
      rows.save(session);
    });
  }

  /** Changes a line and those that do it again, unless it was changed or begun meanwhile. */
  @Transactional
  public EditOutcome write(long slotId, int version, TypedWork typed, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slots.findById(slotId).orElseThrow(NotFound::new);
    Details said = typed.details() == null ? slot.details() : typed.details();
    String lift = typed.lift().key();
    if (slot.kind() == typed.kind() && slot.lift().equals(lift) && slot.work().equals(typed.normal()) && slot.details().equals(said)) {
      return new EditOutcome.Same(slot);
    }
    TrainingSession session = session(slot);
    Optional<EditOutcome> refused = refused(slot, version, session);
    return refused.isPresent() ? refused.get() : done(slot, lifter(session), Scope.line(session.day()), who, () -> {
      slot.write(typed.kind(), lift, typed.normal(), said);
      slots.save(slot);
    });
  }

  /** Takes a line out, unless it was changed or begun meanwhile. */
  @Transactional
  public EditOutcome remove(long slotId, int version, SignedIn who) {
    turns.ofLine(slotId);
    Slot slot = slots.findById(slotId).orElseThrow(NotFound::new);
    TrainingSession session = session(slot);
    Optional<EditOutcome> refused = refused(slot, version, session);
    Scope line = Scope.line(session.day());
    return refused.isPresent() ? refused.get() : done(slot, lifter(session), slot.origin() == null ? line : line.withMethods(), who, () -> {
      programs.takenOut(slot);
      slots.delete(slot);
    });
  }

  private Optional<EditOutcome> refused(Slot slot, int version, TrainingSession session) {
    if (slot.version() != version) {
      return Optional.of(new EditOutcome.ChangedMeanwhile(slot));
    }
    return sessions.begunOrAgain(sessions.lines(session)).contains(slot.id()) ? Optional.of(new EditOutcome.Begun(slot)) : Optional.empty();
  }

  private EditOutcome done(Slot slot, Lifter lifter, Scope scope, SignedIn who, Edit edit) {
    return writer.change(lifter, scope, who, edit).<EditOutcome>map(change -> new EditOutcome.Done(slot, change))
        .orElseGet(() -> new EditOutcome.Same(slot));
  }

  private TrainingSession session(Slot slot) {
    return rows.findById(slot.sessionId()).orElseThrow(NotFound::new);
  }

  private Lifter lifter(TrainingSession session) {
    return lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
  }
}

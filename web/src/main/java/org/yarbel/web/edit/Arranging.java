package org.yarbel.web.edit;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.Arrangement;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Changes how the lines of a session stand together, as {@link Arrangement} says; what is begun stays in its group. */
@Service
public class Arranging {
  private static final ArrangeOutcome FOLLOWS = ArrangeOutcome.refused("It follows the line it does again: move or change that one.");
  private static final ArrangeOutcome THERE = ArrangeOutcome.refused("It stands there already.");
  private static final ArrangeOutcome GROUP_BEGUN = ArrangeOutcome.refused("It stays: sets of this group are logged.");

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final TrainingSessionRepository rows;
  private final SlotRepository slots;
  private final LifterRepository lifters;
  private final Sessions sessions;
  private final PlanWriter writer;
  private final Turns turns;

  Arranging(TrainingSessionRepository rows, SlotRepository slots, LifterRepository lifters, Sessions sessions, PlanWriter writer,
      Turns turns) {
    this.rows = rows;
    this.slots = slots;
    this.lifters = lifters;
    this.sessions = sessions;
    this.writer = writer;
    this.turns = turns;
  }

  /**
   * What became of a change.
   *
   * @param changeId to undo it by; null when nothing was changed
   */
  public record ArrangeOutcome(@Nullable Long changeId, String said) {
    static ArrangeOutcome refused(String why) {
      return new ArrangeOutcome(null, why);
    }
  }

  /** A session as it stands while it is changed. */
  private record Stand(TrainingSession session, List<Slot> lines, Arrangement now) {
    LocalDate day() {
      return session.day();
    }

    Optional<Slot> line(@Nullable UUID ref) {
      return lines.stream().filter(line -> line.ref().equals(ref)).findFirst();
    }
  }

  /** Moves a line by so many places; beyond the ends it stays at the end. */
  @Transactional
  public ArrangeOutcome move(long slotId, int by, SignedIn who) {
    Slot slot = slot(slotId);
    Stand stand = stand(slot.sessionId());
    return slot.linkOf() != null ? FOLLOWS : changed(stand, stand.now.moved(slot.ref(), by), "Moved.", who).orElse(THERE);
  }

  /** Moves a line to stand before another of its session; 0 for the end. */
  @Transactional
  public ArrangeOutcome moveBefore(long slotId, long beforeId, SignedIn who) {
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    Stand stand = stand(slot.sessionId());
    UUID before = stand.lines.stream().filter(line -> line.id() == beforeId && line.linkOf() == null).map(Slot::ref).findFirst()
        .orElse(null);
    return changed(stand, stand.now.movedBefore(slot.ref(), before), "Moved.", who).orElse(THERE);
  }

  /** Lets a line be done by turns with the one above it. */
  @Transactional
  public ArrangeOutcome join(long slotId, SignedIn who) {
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    Stand stand = stand(slot.sessionId());
    Optional<Slot> above = stand.now.above(slot.ref()).flatMap(line -> stand.line(line.ref()));
    Set<Long> begun = sessions.begunOrAgain(stand.lines);
    if (above.isPresent() && (begun.contains(slot.id()) || begun.contains(above.get().id()))) {
      return ArrangeOutcome.refused("It stays: sets of these lines are logged.");
    }
    return changed(stand, stand.now.joined(slot.ref()), "Done by turns with the line above.", who)
        .orElseGet(() -> ArrangeOutcome.refused("There is no line above it to do it by turns with."));
  }

  /** Lets a line be done by itself again. */
  @Transactional
  public ArrangeOutcome leave(long slotId, SignedIn who) {
    Slot slot = slot(slotId);
    if (slot.linkOf() != null) {
      return FOLLOWS;
    }
    Stand stand = stand(slot.sessionId());
    if (slot.groupNo() != null && sessions.begunOrAgain(stand.lines).contains(slot.id())) {
      return ArrangeOutcome.refused("It stays: sets of this line are logged.");
    }
    return changed(stand, stand.now.left(slot.ref()), "Done by itself.", who)
        .orElseGet(() -> ArrangeOutcome.refused("It is done by itself already."));
  }

  /** Changes rounds, rests and clock of a group. */
  @Transactional
  public ArrangeOutcome write(long sessionId, int number, Group group, SignedIn who) {
    turns.ofSession(sessionId);
    Stand stand = stand(sessionId);
    if (stand.now.groups().numbered(number).orElseThrow(NotFound::new).again() != null) {
      return FOLLOWS;
    }
    return begun(stand, number) ? GROUP_BEGUN
        : changed(stand, Optional.of(stand.now.with(number, group)), "Group changed: " + group.words() + ".", who).orElse(THERE);
  }

  /** Does a group a second time at the end of the session, such as the warm-up as cool-down. */
  @Transactional
  public ArrangeOutcome again(long sessionId, int number, SlotKind kind, SignedIn who) {
    turns.ofSession(sessionId);
    Stand stand = stand(sessionId);
    stand.now.groups().numbered(number).orElseThrow(NotFound::new);
    return changed(stand, stand.now.again(number, kind), "Done again at the end, as " + kind.word() + ".", who)
        .orElseGet(() -> ArrangeOutcome.refused("It is done a second time already."));
  }

  /** Takes a group apart; where it is done a second time, that goes. */
  @Transactional
  public ArrangeOutcome dissolve(long sessionId, int number, SignedIn who) {
    turns.ofSession(sessionId);
    Stand stand = stand(sessionId);
    return begun(stand, number) ? GROUP_BEGUN : changed(stand, Optional.of(stand.now.dissolved(number)), "Each line by itself.",
        who).orElse(THERE);
  }

  private boolean begun(Stand stand, int number) {
    Set<Long> begun = sessions.begunOrAgain(stand.lines);
    return stand.lines.stream().anyMatch(line -> Objects.equals(line.groupNo(), number) && begun.contains(line.id()));
  }

  private Optional<ArrangeOutcome> changed(Stand stand, Optional<Arrangement> becomes, String said, SignedIn who) {
    String words = DAY.format(stand.day()) + ": " + Character.toLowerCase(said.charAt(0)) + said.substring(1, said.length() - 1);
    return becomes.flatMap(next -> writer.change(lifters.findById(stand.session.lifterId()).orElseThrow(NotFound::new),
        Scope.session(stand.day(), words), who,
        () -> sessions.arrange(stand.session, stand.lines, next))).map(change -> new ArrangeOutcome(change, said));
  }

  private Stand stand(long sessionId) {
    TrainingSession session = session(sessionId);
    List<Slot> lines = sessions.lines(session);
    return new Stand(session, lines, Sessions.arrangement(session, lines));
  }

  /** A line, with the turn for its lifter. */
  private Slot slot(long slotId) {
    turns.ofLine(slotId);
    return slots.findById(slotId).orElseThrow(NotFound::new);
  }

  /** A session of the club. */
  @Transactional(readOnly = true)
  public TrainingSession session(long sessionId) {
    return rows.findById(sessionId).orElseThrow(NotFound::new);
  }
}

package org.yarbel.web.journal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.Turns;
import org.yarbel.web.club.Undoing;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** Takes changes of plans back, and does them again: as far as what they touched still stands as they left it, and is not begun. */
@Component
class PlanUndoing implements Undoing {
  private final Sessions sessions;
  private final TrainingSessionRepository rows;
  private final SlotRepository slots;
  private final LifterRepository lifters;
  private final MethodSettings methods;
  private final PlanWriter writer;
  private final CoreJson json;
  private final Turns turns;

  PlanUndoing(Sessions sessions, TrainingSessionRepository rows, SlotRepository slots, LifterRepository lifters, MethodSettings methods,
      PlanWriter writer, CoreJson json, Turns turns) {
    this.sessions = sessions;
    this.rows = rows;
    this.slots = slots;
    this.lifters = lifters;
    this.methods = methods;
    this.writer = writer;
    this.json = json;
    this.turns = turns;
  }

  @Override
  public Change.Subject subject() {
    return Change.Subject.PLAN;
  }

  /** A change that is taken back or done again: what must stand, and what shall. */
  private record UndoStep(Lifter lifter, PlanState from, PlanState to, boolean back) {
    List<LocalDate> days() {
      return to.days().stream().map(PlanState.DayState::date).toList();
    }
  }

  @Override
  @Transactional
  public UndoOutcome undo(Change change) {
    return step(change, true);
  }

  @Override
  @Transactional
  public UndoOutcome redo(Change change) {
    return step(change, false);
  }

  private UndoOutcome step(Change change, boolean back) {
    turns.ofLifter(change.lifterId());
    Lifter lifter = lifters.findById(change.lifterId()).orElseThrow(NotFound::new);
    PlanState before = json.read(Objects.requireNonNull(change.before()), PlanState.class);
    PlanState after = json.read(Objects.requireNonNull(change.after()), PlanState.class);
    UndoStep step = back ? new UndoStep(lifter, after, before, true) : new UndoStep(lifter, before, after, false);
    Optional<String> refused = change.undone() == back ? Optional.of(Said.changedSince(step.from, step.back)) : refused(step);
    if (refused.isPresent()) {
      return UndoOutcome.refused(refused.get());
    }
    if (back) {
      change.undo();
    } else {
      change.redo();
    }
    put(step);
    return UndoOutcome.done(Said.done(step.from, step.to, back));
  }

  private Optional<String> refused(UndoStep step) {
    return switch (step.to.extent()) {
      case LINE -> lineRefused(step);
      case SESSION -> stands(step).stream().allMatch(day -> day.arrangedAs(step.from.day(day.date()))) ? Optional.empty()
          : Optional.of(Said.changedSince(step.from, step.back));
      case DAYS -> daysRefused(step);
    };
  }

  private List<PlanState.DayState> stands(UndoStep step) {
    return sessions.states(step.lifter.id(), step.days());
  }

  private Optional<String> lineRefused(UndoStep step) {
    Map<UUID, PlanState.LineState> from = step.from.lines();
    Map<UUID, PlanState.LineState> to = step.to.lines();
    Map<UUID, Slot> now = byRef(step);
    List<Slot> touched = new ArrayList<>();
    for (UUID ref : written(step)) {
      Slot slot = now.get(ref);
      PlanState.LineState was = from.get(ref);
      boolean stands = slot == null ? was == null : was != null && PlanState.LineState.of(slot, null).saysAs(was);
      if (!stands) {
        return Optional.of(Said.changedSince(step.from, step.back));
      }
      Optional.ofNullable(slot).ifPresent(touched::add);
    }
    boolean full = to.keySet().stream().anyMatch(ref -> !now.containsKey(ref)) && now.size() >= Sessions.MOST_LINES;
    if (full) {
      return Optional.of("It stays: its day has " + Sessions.MOST_LINES + " lines by now.");
    }
    Set<Long> begun = sessions.begunOrAgain(new ArrayList<>(now.values()));
    return touched.stream().anyMatch(slot -> begun.contains(slot.id())) ? Optional.of(Said.begun(step.from, step.back)) : Optional.empty();
  }

  /** The lines that say something else, and do not only follow. */
  private static Set<UUID> written(UndoStep step) {
    Map<UUID, PlanState.LineState> from = step.from.lines();
    Map<UUID, PlanState.LineState> to = step.to.lines();
    Set<UUID> refs = new TreeSet<>(from.keySet());
    refs.addAll(to.keySet());
    refs.removeIf(ref -> {
      PlanState.LineState any = Objects.requireNonNull(from.getOrDefault(ref, to.get(ref)));
      PlanState.LineState was = from.get(ref);
      return any.follows() != null || was != null && was.saysAs(to.get(ref));
    });
    return refs;
  }

  /** The lines as they stand on the days, by their refs. */
  private Map<UUID, Slot> byRef(UndoStep step) {
    List<Long> ids = sessions.of(step.lifter.id(), step.days()).stream().map(TrainingSession::id).toList();
    return slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream().collect(Collectors.toMap(Slot::ref, slot -> slot));
  }

  private Optional<String> daysRefused(UndoStep step) {
    List<PlanState.DayState> now = stands(step);
    Optional<PlanState.DayState> other = now.stream().filter(day -> !day.standsAs(step.from.day(day.date()))).findFirst();
    if (other.isPresent()) {
      return Optional.of(other.get().date() + " was changed again since, by a later change or by a method after a log: this one stays.");
    }
    Map<UUID, Slot> there = byRef(step);
    Set<Long> begun = sessions.begun(there.values());
    Set<UUID> refs = there.values().stream().filter(slot -> begun.contains(slot.id())).map(Slot::ref).collect(Collectors.toSet());
    return now.stream().filter(day -> day.lines().stream().anyMatch(line -> refs.contains(line.ref())
        && !kept(line, step.to.day(day.date())))).findFirst()
        .map(day -> "Sets of " + day.date() + " are logged: only what lies ahead can change.");
  }

  private static boolean kept(PlanState.LineState line, PlanState.DayState then) {
    return then.lines().stream().anyMatch(other -> other.said().equals(line.said()));
  }

  private void put(UndoStep step) {
    switch (step.to.extent()) {
      case LINE -> putLines(step);
      case SESSION -> putSessions(step);
      case DAYS -> putDays(step);
    }
    slots.flush();
    if (step.from.methods() != null && step.to.methods() != null) {
      methods.restore(step.lifter, step.from.methods(), step.to.methods());
    }
    sessions.settle(sessions.of(step.lifter.id(), step.days()));
    writer.tell(step.lifter, step.days());
  }

  private void putLines(UndoStep step) {
    Map<UUID, Slot> now = byRef(step);
    for (PlanState.DayState day : step.to.days()) {
      TrainingSession session = sessions.session(step.lifter, day.date());
      session.arrange(withGroups(session.groups(), day.groups(), step.from.day(day.date()).groups()));
      rows.save(session);
      for (PlanState.LineState line : day.lines()) {
        if (line.follows() == null) {
          Slot slot = now.getOrDefault(line.ref(), null);
          Integer left = step.from.lines().containsKey(line.ref()) ? step.from.lines().get(line.ref()).groupNo() : null;
          boolean rejoins = slot == null || Objects.equals(slot.groupNo(), left);
          Slot stands = slot == null ? Slot.back(line.ref(), session.id(), line.kind(), line.lift(), line.work()) : slot;
          say(stands, line);
          stands.place(slot == null ? line.position() : slot.position(), rejoins ? line.groupNo() : slot.groupNo());
          slots.save(stands);
        }
      }
    }
    Set<UUID> shall = step.to.lines().keySet();
    step.from.lines().keySet().stream().filter(ref -> !shall.contains(ref)).map(now::get).filter(Objects::nonNull)
        .sorted(Comparator.comparing(slot -> slot.linkOf() == null)).forEach(slots::delete);
  }

  /** Groups that ended with a line are there again with it, where their number is free or theirs. */
  private static Groups withGroups(Groups now, Groups then, Groups left) {
    Groups groups = now;
    for (Groups.Numbered one : then.all()) {
      if (left.numbered(one.number()).isEmpty() && now.numbered(one.number()).isEmpty()) {
        groups = groups.with(one);
      }
    }
    return groups;
  }

  private void putSessions(UndoStep step) {
    for (PlanState.DayState day : step.to.days()) {
      TrainingSession session = sessions.session(step.lifter, day.date());
      sessions.place(session, day.place());
      session.arrange(day.groups());
      rows.save(session);
      Map<UUID, PlanState.LineState> placed = new HashMap<>();
      day.lines().forEach(line -> placed.put(line.ref(), line));
      sessions.lines(session).stream().filter(slot -> placed.containsKey(slot.ref())).forEach(slot -> {
        PlanState.LineState line = Objects.requireNonNull(placed.get(slot.ref()));
        slot.place(line.position(), line.groupNo());
      });
    }
  }

  private void putDays(UndoStep step) {
    Map<UUID, Slot> there = new HashMap<>(byRef(step));
    for (PlanState.DayState day : step.to.days()) {
      TrainingSession session = sessions.session(step.lifter, day.date());
      sessions.place(session, day.place());
      session.arrange(day.groups());
      rows.save(session);
      Map<UUID, Slot> lines = new HashMap<>();
      for (PlanState.LineState line : day.lines()) {
        Slot kept = there.remove(line.ref());
        Slot slot = kept == null ? Slot.back(line.ref(), session.id(), line.kind(), line.lift(), line.work()) : kept;
        slot.moveTo(session.id(), lines.size() + 1);
        slot.place(lines.size() + 1, line.groupNo());
        say(slot, line);
        lines.put(line.ref(), slots.save(slot));
      }
      day.lines().forEach(line -> Objects.requireNonNull(lines.get(line.ref())).follows(firstOf(line, lines)));
    }
    // what follows a line goes before it
    slots.deleteAll(there.values().stream().sorted(Comparator.comparing(slot -> slot.linkOf() == null)).toList());
  }

  private static @Nullable Long firstOf(PlanState.LineState line, Map<UUID, Slot> lines) {
    Slot first = line.follows() == null ? null : lines.get(line.follows());
    return first == null ? null : Long.valueOf(first.id());
  }

  private static void say(Slot slot, PlanState.LineState line) {
    slot.write(line.kind(), line.lift(), line.work(), line.details());
    slot.originate(line.origin(), line.written(), line.forecast(), line.trainingNg(), line.remark());
  }
}

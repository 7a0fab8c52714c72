package org.yarbel.web.journal;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.who.SignedIn;

/** Writes plans: every change of one goes through here, whoever makes it, and is kept so that it can be undone and done again. */
@Service
public class PlanWriter {
  private final Sessions sessions;
  private final TrainingSessionRepository rows;
  private final SlotRepository slots;
  private final ChangeRepository changes;
  private final MethodSettings methods;
  private final List<PlanListener> listeners;
  private final Words words;
  private final CoreJson json;
  private final ClubClock clock;
  private final Turns turns;

  PlanWriter(Sessions sessions, TrainingSessionRepository rows, SlotRepository slots, ChangeRepository changes, MethodSettings methods,
      List<PlanListener> listeners, Words words, CoreJson json, ClubClock clock, Turns turns) {
    this.sessions = sessions;
    this.rows = rows;
    this.slots = slots;
    this.changes = changes;
    this.methods = methods;
    this.listeners = listeners;
    this.words = words;
    this.json = json;
    this.clock = clock;
    this.turns = turns;
  }

  /**
   * Lets a change be made and keeps the record of it.
   *
   * @return the change, to undo it by; empty when nothing is different after it
   */
  @Transactional
  public Optional<Long> change(Lifter lifter, Scope scope, SignedIn who, Edit edit) {
    turns.ofLifter(lifter.id());
    PlanState before = state(lifter, scope);
    edit.apply();
    slots.flush();
    PlanState written = state(lifter, scope);
    PlanState after = sessions.settle(sessions.of(lifter.id(), before.changed(written))) ? state(lifter, scope) : written;
    if (before.sameAs(after)) {
      return Optional.empty();
    }
    tell(lifter, before.changed(after));
    String said = scope.words() == null ? words.of(before, after) : scope.words();
    return Optional.of(changes.save(Change.ofPlan(who.accountId(), clock.now(), lifter.id(), json.write(before.without(after)),
        json.write(after.without(before))).saying(said)).id());
  }

  /**
   * Lets methods follow what was lifted: nobody made the change by hand, so nobody undoes it.
   *
   * @param edit makes it and says which sessions it touched
   */
  @Transactional
  public void follow(Lifter lifter, Supplier<Set<Long>> edit) {
    turns.ofLifter(lifter.id());
    Set<Long> touched = edit.get();
    slots.flush();
    List<TrainingSession> all = rows.findAllById(touched);
    sessions.settle(all);
    listeners.forEach(listener -> listener.plansChanged(all, lifter));
  }

  /** As much of a plan as it stands now. */
  PlanState state(Lifter lifter, Scope scope) {
    return state(lifter, scope.extent(), scope.days(), scope.methods());
  }

  private PlanState state(Lifter lifter, Scope.Extent extent, Collection<LocalDate> days, boolean withMethods) {
    MethodSettings.@Nullable MethodStand stand = withMethods ? methods.of(lifter) : null;
    return new PlanState(extent, sessions.states(lifter.id(), days), stand);
  }

  /** Has what was handed out of these days handed out anew. */
  void tell(Lifter lifter, Collection<LocalDate> days) {
    List<TrainingSession> all = sessions.of(lifter.id(), days);
    listeners.forEach(listener -> listener.plansChanged(all, lifter));
  }
}

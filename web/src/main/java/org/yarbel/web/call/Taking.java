package org.yarbel.web.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.Effect;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.Easy;
import org.yarbel.web.program.Programs;
import org.yarbel.web.program.Progression;
import org.yarbel.web.program.ProgressionRepository;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.who.SignedIn;

/** Makes the edits of a proposal as one change, through the doors a coach's own edits go through. */
@Component
class Taking {
  /** Something stands otherwise than when the call was made, or is being lifted: nothing was touched. */
  static final class Stale extends Refused {
    private static final long serialVersionUID = 1;

    Stale(String why) {
      super(why);
    }
  }

  private final PlanWriter writer;
  private final Programs programs;
  private final Easy easy;
  private final ProgressionRepository progressions;
  private final SlotRepository slots;
  private final TrainingSessionRepository rows;
  private final Sessions sessions;
  private final LiftNumbersRepository numbers;
  private final SessionNotes notes;
  private final ClubClock clock;

  Taking(PlanWriter writer, Programs programs, Easy easy, ProgressionRepository progressions, SlotRepository slots,
      TrainingSessionRepository rows, Sessions sessions, LiftNumbersRepository numbers, SessionNotes notes, ClubClock clock) {
    this.writer = writer;
    this.programs = programs;
    this.easy = easy;
    this.progressions = progressions;
    this.slots = slots;
    this.rows = rows;
    this.sessions = sessions;
    this.numbers = numbers;
    this.notes = notes;
    this.clock = clock;
  }

  /**
   * Makes edits.
   *
   * @param words what the change does, for the record
   * @return the change, to undo it by; empty where the plan is the same after it
   * @throws Stale when a line says something else by now, or is begun
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Optional<Long> take(Lifter lifter, List<Effect> effects, String words, SignedIn who) {
    if (effects.isEmpty()) {
      return Optional.empty();
    }
    Made made = new Made(lifter, who);
    boolean lines = effects.stream().allMatch(effect -> effect instanceof Effect.Rewrite || effect instanceof Effect.Add
        || effect instanceof Effect.Ask);
    boolean wide = effects.stream().anyMatch(effect -> effect instanceof Effect.EasyWeek || effect instanceof Effect.Number
        || effect instanceof Effect.OfBasis || effect instanceof Effect.Setting || effect instanceof Effect.Another);
    if (wide) {
      return programs.write(lifter, clock.today(), words, who, () -> effects.forEach(effect -> effect.accept(made)));
    }
    Scope scope = lines ? Scope.lines(days(effects)) : Scope.days(days(effects));
    return writer.change(lifter, scope.saying(words), who, () -> effects.forEach(effect -> effect.accept(made)));
  }

  private static Set<LocalDate> days(Collection<Effect> effects) {
    Set<LocalDate> days = new TreeSet<>();
    for (Effect effect : effects) {
      if (effect instanceof Effect.Rewrite edit) {
        days.add(edit.day());
      } else if (effect instanceof Effect.Add edit) {
        days.add(edit.day());
      } else if (effect instanceof Effect.Move edit) {
        days.addAll(List.of(edit.from(), edit.to()));
      } else if (effect instanceof Effect.Ask edit) {
        days.add(edit.day());
      }
    }
    return days;
  }

  /** Each edit as it is made. */
  private final class Made implements Effect.Visitor<Boolean> {
    private final Lifter lifter;
    private final SignedIn who;

    Made(Lifter lifter, SignedIn who) {
      this.lifter = lifter;
      this.who = who;
    }

    @Override
    public Boolean rewrite(Effect.Rewrite edit) {
      Slot slot = slots.findByRef(edit.line()).orElseThrow(() -> new Stale("A line it would change is not there any more."));
      TrainingSession session = rows.findById(slot.sessionId()).orElseThrow();
      if (session.lifterId() != lifter.id() || !slot.lift().equals(edit.lift()) || !slot.work().equals(edit.before())) {
        throw new Stale("A line it would change says something else by now.");
      }
      if (sessions.begunOrAgain(sessions.lines(session)).contains(slot.id())) {
        throw new Stale("A session it would change has begun: only what lies ahead can change.");
      }
      Details details = edit.cue() == null ? slot.details() : slot.details().withMind(edit.cue());
      slot.write(slot.kind(), edit.toLift(), edit.after(), details);
      slots.save(slot);
      return true;
    }

    @Override
    public Boolean add(Effect.Add edit) {
      TrainingSession session = sessions.session(lifter, edit.day());
      List<Slot> there = sessions.lines(session);
      if (there.size() >= Sessions.MOST_LINES) {
        throw new Stale("That day has " + Sessions.MOST_LINES + " lines already.");
      }
      int position = there.isEmpty() ? 1 : there.get(there.size() - 1).position() + 1;
      Slot slot = new Slot(session.id(), position, edit.kind(), edit.lift(), edit.work());
      slot.write(edit.kind(), edit.lift(), edit.work(), Details.NONE.withReason(edit.reason()));
      slots.save(slot);
      return true;
    }

    @Override
    public Boolean move(Effect.Move edit) {
      TrainingSession from = rows.findByLifterIdAndDay(lifter.id(), edit.from())
          .orElseThrow(() -> new Stale("That session is not there any more."));
      List<Slot> lines = sessions.lines(from).stream().filter(slot -> slot.linkOf() == null).toList();
      if (lines.isEmpty() || !sessions.begun(lines).isEmpty()) {
        throw new Stale("That session has begun, or has no lines any more.");
      }
      TrainingSession target = sessions.session(lifter, edit.to());
      int position = sessions.lines(target).size();
      for (Slot slot : lines) {
        slot.moveTo(target.id(), ++position);
        slots.save(slot);
      }
      return true;
    }

    @Override
    public Boolean easyWeek(Effect.EasyWeek edit) {
      easy.put(lifter, edit.monday(), edit.kind(), edit.insteadOf());
      return true;
    }

    @Override
    public Boolean number(Effect.Number edit) {
      LiftNumbers own = own(edit.lift());
      if (edit.what() == Basis.TRAINING) {
        own.train(edit.after());
      } else if (edit.what() == Basis.GOAL) {
        own.aim(edit.after(), own.goalOn());
      } else {
        own.move(own.moves(), edit.after());
      }
      numbers.saveAndFlush(own);
      return true;
    }

    @Override
    public Boolean ofBasis(Effect.OfBasis edit) {
      LiftNumbers own = own(edit.lift());
      if (own.basis() != edit.before()) {
        throw new Stale("Its percentages are of another number by now.");
      }
      own.decide(own.level(), edit.after());
      numbers.saveAndFlush(own);
      return true;
    }

    private LiftNumbers own(String lift) {
      return numbers.findByLifterIdAndLift(lifter.id(), lift).orElseThrow(() -> new Stale("There are no numbers of that lift any more."));
    }

    private Progression method(UUID ref) {
      return progressions.findByRef(ref).filter(method -> method.lifterId() == lifter.id())
          .orElseThrow(() -> new Stale("That method is not at work any more."));
    }

    @Override
    public Boolean setting(Effect.Setting edit) {
      Progression method = method(edit.method());
      Map<String, String> settings = new HashMap<>(method.settings());
      settings.put(edit.key(), edit.after());
      Settings.Checked checked = Settings.check(method.method(), settings, Catalogue.standard());
      if (!checked.errors().isEmpty()) {
        throw new Stale("The method cannot be set like that: " + checked.errors().values().iterator().next());
      }
      method.set(settings, method.startsOn(), method.days(), method.turn());
      progressions.saveAndFlush(method);
      return true;
    }

    @Override
    public Boolean another(Effect.Another edit) {
      Progression method = method(edit.method());
      if (edit.to() == null) {
        method.end(null);
        progressions.saveAndFlush(method);
        return true;
      }
      method.end(edit.from());
      progressions.saveAndFlush(method);
      Progression next = new Progression(lifter.id(), method.lift(), edit.to());
      next.set(Map.of(), edit.from(), method.days(), method.turn());
      progressions.saveAndFlush(next);
      return true;
    }

    @Override
    public Boolean ask(Effect.Ask edit) {
      TrainingSession session = rows.findById(edit.session()).filter(row -> row.lifterId() == lifter.id())
          .orElseThrow(() -> new Stale("That session is not there any more."));
      notes.say(session, who, UUID.randomUUID(), edit.words(), Long.MAX_VALUE);
      return true;
    }
  }

  /** Lines to change that a coach typed otherwise, in place of what was proposed. */
  static List<Effect> edited(List<Effect> effects, Map<Integer, String> typed) {
    List<Effect> all = new ArrayList<>();
    for (int i = 0; i < effects.size(); i++) {
      @Nullable String text = typed.get(i);
      Effect effect = effects.get(i);
      if (text != null && effect instanceof Effect.Rewrite edit) {
        all.add(edit.saying(text));
      } else if (text != null && effect instanceof Effect.Add add) {
        all.add(new Effect.Add(add.day(), add.kind(), add.lift(), text, add.reason()));
      } else {
        all.add(effect);
      }
    }
    return all;
  }

  /** The refs of lines that are changed. */
  static Set<UUID> lines(List<Effect> effects) {
    return effects.stream().filter(Effect.Rewrite.class::isInstance).map(effect -> ((Effect.Rewrite) effect).line())
        .collect(Collectors.toSet());
  }
}

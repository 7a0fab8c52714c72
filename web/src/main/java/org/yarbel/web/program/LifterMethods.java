package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The methods of a lifter: set to work, changed, ended, and written on ahead. */
@Service
class LifterMethods {
  private final ProgressionRepository progressions;
  private final LifterRepository lifters;
  private final LifterContexts contexts;
  private final Programs programs;
  private final ClubClock clock;

  LifterMethods(ProgressionRepository progressions, LifterRepository lifters, LifterContexts contexts, Programs programs, ClubClock clock) {
    this.progressions = progressions;
    this.lifters = lifters;
    this.contexts = contexts;
    this.programs = programs;
    this.clock = clock;
  }

  /**
   * What came of setting a method to work.
   *
   * @param wrote whether a week to come is written otherwise
   * @param silent why nothing of it stands in the weeks that are written; null where something does
   * @param beside another method that writes the same lift; null for none
   */
  record KeptMethod(boolean wrote, @Nullable String silent, @Nullable Method beside) {}

  /** A method that ended, or goes on. */
  record Ended(long lifterId, Optional<String> leaving) {}

  /** How writing on ahead went. */
  enum On {
    WRITTEN, NOTHING, TOO_FAR
  }

  Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }

  /** All that are or were at work, but those a long plan never came to. */
  @Transactional(readOnly = true)
  List<Progression> of(Lifter lifter) {
    return progressions.findByLifterIdOrderById(lifter.id()).stream()
        .filter(one -> one.endsOn() == null || one.endsOn().isAfter(one.startsOn()) || one.blockNo() == null).toList();
  }

  Progression own(Lifter lifter, long id) {
    return progressions.findById(id).filter(one -> one.lifterId() == lifter.id()).orElseThrow(NotFound::new);
  }

  LifterContext context(Lifter lifter) {
    return contexts.of(lifter, null);
  }

  /** Sets a method to work by what was typed, and lets it write. */
  @Transactional
  KeptMethod keep(Lifter lifter, MethodTyped typed, SignedIn who) {
    Long own = typed.own();
    Progression progression = own == null ? new Progression(lifter.id(), typed.lift().key(), typed.method()) : own(lifter, own);
    Map<String, String> settings = remembering(lifter, progression, typed);
    // set only where the journal looks: it keeps what stood before
    boolean wrote = programs.write(lifter, who, () -> {
      progression.set(settings, Macrocycle.monday(typed.starts()), typed.days(), typed.turn());
      progressions.saveAndFlush(progression);
    }).isPresent();
    return new KeptMethod(wrote, programs.silent(lifter, progression).orElse(null), beside(progression).orElse(null));
  }

  private Optional<Method> beside(Progression one) {
    return progressions.findByLifterIdOrderById(one.lifterId()).stream()
        .filter(other -> other.id() != one.id() && other.lift().equals(one.lift()) && other.runsOn(clock.today())).findFirst()
        .map(Progression::method);
  }

  /** The settings with where the lifter stands at the start, for methods that measure from there. */
  private Map<String, String> remembering(Lifter lifter, Progression before, MethodTyped typed) {
    Map<String, String> settings = new HashMap<>(typed.settings().settings().texts());
    LifterContext context = context(lifter);
    MaxNumbers numbers = context.numbers(context.lift(before.lift()));
    String startMax = before.isNew() ? null : before.settings().get(Progression.START_MAX);
    if (startMax != null) {
      settings.put(Progression.START_MAX, startMax);
    } else if (numbers.estimated() != null) {
      settings.put(Progression.START_MAX, numbers.estimated().amountIn(lifter.unit(), 1).toPlainString());
    }
    if (typed.method() == Method.PLUS_SETS && settings.getOrDefault("training", "").isEmpty() && numbers.training() != null) {
      settings.put("training", numbers.training().amountIn(lifter.unit(), 2).toPlainString());
    }
    return settings;
  }

  /** Lets the methods write on to a week that is further ahead than they go by themselves. */
  @Transactional
  On writeOn(Lifter lifter, LocalDate to, SignedIn who) {
    boolean wrote = programs.write(lifter, to, who).isPresent();
    if (!to.isBefore(Macrocycle.monday(clock.today()).plusWeeks(Programs.MOST_AHEAD))) {
      return On.TOO_FAR;
    }
    return wrote ? On.WRITTEN : On.NOTHING;
  }

  /** Ends a method today: what it had written ahead goes, and what is to be minded when it is left is told. */
  @Transactional
  Ended end(long id, SignedIn who) {
    Progression progression = until(id, clock.today(), who);
    long weeks = Math.max(0, ChronoUnit.WEEKS.between(progression.startsOn(), clock.today()));
    return new Ended(progression.lifterId(), progression.method().rule().leaving(weeks));
  }

  /** Lets an ended one go on. */
  @Transactional
  Ended goOn(long id, SignedIn who) {
    return new Ended(until(id, null, who).lifterId(), Optional.empty());
  }

  private Progression until(long id, @Nullable LocalDate end, SignedIn who) {
    Progression progression = progressions.findById(id).orElseThrow(NotFound::new);
    programs.write(lifter(progression.lifterId()), who, () -> {
      progression.end(end);
      progressions.saveAndFlush(progression);
    });
    return progression;
  }
}

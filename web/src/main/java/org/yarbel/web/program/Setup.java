package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.plan.Deload;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;

/**
 * What a lifter's methods and easy weeks are set to, as a state that can be put back: a change to the days that came of it
 * is undone together with it, or the next log would write it again.
 */
@Component
class Setup {
  private static final int WEEKS_AHEAD = 104;

  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final LifterRepository lifters;
  private final ClubClock clock;

  Setup(ProgressionRepository progressions, DeloadWeekRepository deloads, LifterRepository lifters, ClubClock clock) {
    this.progressions = progressions;
    this.deloads = deloads;
    this.lifters = lifters;
    this.clock = clock;
  }

  /** A method as it is set; days as texts, as the record keeps them. */
  record OfMethod(long id, Map<String, String> settings, String startsOn, Set<DayOfWeek> days, Progression.Turn turn, @Nullable String endsOn) {}

  /** An easy week to come. */
  record Easy(String monday, Deload kind) {}

  /** All of it. */
  record State(List<OfMethod> methods, List<Easy> easy, @Nullable Integer every, Deload kind) {}

  /** As it stands. */
  State of(long lifterId) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    return new State(progressions.findByLifterIdOrderById(lifterId).stream().map(Setup::of).toList(),
        ahead(lifterId).stream().map(week -> new Easy(week.monday().toString(), week.kind())).sorted(Comparator.comparing(Easy::monday)).toList(),
        lifter.deloadEvery(), lifter.deloadKind());
  }

  private static OfMethod of(Progression p) {
    return new OfMethod(p.id(), p.settings(), p.startsOn().toString(), new TreeSet<>(p.days()), p.turn(), p.endsOn() == null ? null
        : p.endsOn().toString());
  }

  private List<DeloadWeek> ahead(long lifterId) {
    LocalDate monday = Programs.monday(clock.today());
    return deloads.findByLifterIdAndMondayBetween(lifterId, monday, monday.plusWeeks(WEEKS_AHEAD));
  }

  /** Puts it back. A method that was not there is ended from its first day on: it stays listed, and can go on. */
  void restore(long lifterId, State to) {
    for (Progression p : progressions.findByLifterIdOrderById(lifterId)) {
      Optional<OfMethod> then = to.methods().stream().filter(method -> method.id() == p.id()).findFirst();
      then.ifPresent(method -> p.set(method.settings(), LocalDate.parse(method.startsOn()), method.days(), method.turn()));
      p.end(then.isEmpty() ? p.startsOn() : Optional.ofNullable(then.get().endsOn()).map(LocalDate::parse).orElse(null));
      progressions.save(p);
    }
    deloads.deleteAll(ahead(lifterId));
    deloads.flush();
    LocalDate monday = Programs.monday(clock.today());
    to.easy().stream().map(week -> new DeloadWeek(lifterId, LocalDate.parse(week.monday()), week.kind()))
        .filter(week -> !week.monday().isBefore(monday)).forEach(deloads::save);
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    if (!Objects.equals(lifter.deloadEvery(), to.every()) || lifter.deloadKind() != to.kind()) {
      lifter.deloads(to.every(), to.kind());
      lifters.save(lifter);
    }
  }
}

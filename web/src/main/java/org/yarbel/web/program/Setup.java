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
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Occasions.Turn;
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
  private final LongPlanRepository plans;
  private final ClubClock clock;

  Setup(ProgressionRepository progressions, DeloadWeekRepository deloads, LifterRepository lifters, LongPlanRepository plans, ClubClock clock) {
    this.plans = plans;
    this.progressions = progressions;
    this.deloads = deloads;
    this.lifters = lifters;
    this.clock = clock;
  }

  /** A method as it is set; days as texts, as the record keeps them. */
  record OfMethod(long id, Map<String, String> settings, String startsOn, Set<DayOfWeek> days, Turn turn, @Nullable String endsOn,
      @Nullable Integer blockNo, @Nullable String contestOn, @Nullable Set<String> skips) {}

  /** An easy week to come. */
  record Easy(String monday, Deload kind) {
    static Easy of(DeloadWeek week) {
      return new Easy(week.monday().toString(), week.kind());
    }
  }

  /** The long plan: its document and the contest it leads to. */
  record OfPlan(String document, @Nullable Long contestId) {}

  /** All of it. */
  record State(List<OfMethod> methods, List<Easy> easy, @Nullable Integer every, Deload kind, @Nullable OfPlan plan) {
    @Nullable OfMethod method(long id) {
      return methods.stream().filter(method -> method.id() == id).findFirst().orElse(null);
    }
  }

  /** As it stands. */
  State of(long lifterId) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    return new State(progressions.findByLifterIdOrderById(lifterId).stream().map(Setup::of).toList(),
        ahead(lifterId).stream().map(Easy::of).sorted(Comparator.comparing(Easy::monday)).toList(),
        lifter.deloadEvery(), lifter.deloadKind(), plans.findByLifterId(lifterId).map(plan -> new OfPlan(plan.document(), plan.contestId())).orElse(null));
  }

  private static OfMethod of(Progression p) {
    return new OfMethod(p.id(), p.settings(), p.startsOn().toString(), new TreeSet<>(p.days()), p.turn(), p.endsOn() == null ? null
        : p.endsOn().toString(), p.blockNo(), p.contestOn() == null ? null : p.contestOn().toString(), p.skips().stream().map(LocalDate::toString)
            .collect(Collectors.toCollection(TreeSet::new)));
  }

  private List<DeloadWeek> ahead(long lifterId) {
    LocalDate monday = Programs.monday(clock.today());
    return deloads.findByLifterIdAndMondayBetween(lifterId, monday, monday.plusWeeks(WEEKS_AHEAD));
  }

  /**
   * Puts back what a change set otherwise, and nothing else. A method that was not there is ended from its first day on: it
   * stays listed, and can go on.
   *
   * @param from as the change left it
   * @param to as it was before
   */
  void restore(long lifterId, State from, State to) {
    for (Progression p : progressions.findByLifterIdOrderById(lifterId)) {
      OfMethod then = to.method(p.id());
      if (!Objects.equals(from.method(p.id()), then)) {
        if (then != null) {
          p.set(then.settings(), LocalDate.parse(then.startsOn()), then.days(), then.turn());
          p.belong(then.blockNo(), then.contestOn() == null ? null : LocalDate.parse(then.contestOn()), then.skips() == null ? Set.of()
              : then.skips().stream().map(LocalDate::parse).collect(Collectors.toSet()));
        }
        p.end(then == null ? p.startsOn() : then.endsOn() == null ? null : LocalDate.parse(then.endsOn()));
        progressions.save(p);
      }
    }
    List<Easy> gone = from.easy().stream().filter(week -> !to.easy().contains(week)).toList();
    deloads.deleteAll(ahead(lifterId).stream().filter(week -> gone.contains(Easy.of(week))).toList());
    deloads.flush();
    Set<LocalDate> there = ahead(lifterId).stream().map(DeloadWeek::monday).collect(Collectors.toSet());
    LocalDate monday = Programs.monday(clock.today());
    to.easy().stream().filter(week -> !from.easy().contains(week)).map(week -> new DeloadWeek(lifterId, LocalDate.parse(week.monday()), week.kind()))
        .filter(week -> !week.monday().isBefore(monday) && !there.contains(week.monday())).forEach(deloads::save);
    if (!Objects.equals(from.plan(), to.plan())) {
      restorePlan(lifterId, to.plan());
    }
    if (!Objects.equals(from.every(), to.every()) || from.kind() != to.kind()) {
      Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
      lifter.deloads(to.every(), to.kind());
      lifters.save(lifter);
    }
  }

  private void restorePlan(long lifterId, @Nullable OfPlan then) {
    Optional<LongPlan> now = plans.findByLifterId(lifterId);
    if (then == null) {
      now.ifPresent(plans::delete);
    } else {
      LongPlan plan = now.orElseGet(() -> new LongPlan(lifterId));
      plan.restore(then.document(), then.contestId());
      plans.save(plan);
    }
  }
}

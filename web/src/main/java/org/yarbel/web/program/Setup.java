package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.Picture;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.journal.MethodSettings;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;

/**
 * What a lifter's methods and easy weeks are set to, as a state that can be put back: a change to the days that came of it
 * is undone together with it, or the next log would write it again.
 */
@Component
class Setup implements MethodSettings {
  private static final int WEEKS_AHEAD = 104;

  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final LifterRepository lifters;
  private final LongPlanRepository plans;
  private final LiftNumbersRepository numbers;
  private final Contests contests;
  private final CoreJson json;
  private final ClubClock clock;

  Setup(ProgressionRepository progressions, DeloadWeekRepository deloads, LifterRepository lifters, LongPlanRepository plans,
      LiftNumbersRepository numbers, Contests contests, CoreJson json, ClubClock clock) {
    this.contests = contests;
    this.plans = plans;
    this.numbers = numbers;
    this.progressions = progressions;
    this.deloads = deloads;
    this.lifters = lifters;
    this.json = json;
    this.clock = clock;
  }

  /** A method as it is set. */
  record OfMethod(UUID ref, SortedMap<String, String> settings, LocalDate startsOn, SortedSet<DayOfWeek> days, Turn turn,
      @Nullable LocalDate endsOn, @Nullable Integer blockNo, @Nullable LocalDate contestOn, SortedSet<LocalDate> skips) {
    static OfMethod of(Progression p) {
      return new OfMethod(p.ref(), new TreeMap<>(p.settings()), p.startsOn(), new TreeSet<>(p.days()), p.turn(), p.endsOn(),
          p.blockNo(), p.contestOn(), new TreeSet<>(p.skips()));
    }

    void to(Progression p) {
      p.set(settings, startsOn, days, turn);
      p.belong(blockNo, contestOn, skips);
    }
  }

  /** An easy week to come. */
  record EasyWeek(LocalDate monday, Deload kind) {
    static EasyWeek of(DeloadWeek week) {
      return new EasyWeek(week.monday(), week.kind());
    }
  }

  /** What somebody took out of what a method writes. */
  record LeftOut(UUID ref, SortedSet<String> lines) {}

  /** The long plan: its document and the contest it leads to. */
  record OfPlan(String document, @Nullable UUID contest) {}

  /** What a coach has decided of the numbers of a lift; null for what was not. */
  record OfNumbers(String lift, Basis basis, @Nullable Long trainingNg, @Nullable String goal, @Nullable LocalDate goalOn,
      Picture.Moves moves, @Nullable Long agreedNg) {
    static OfNumbers of(LiftNumbers own, MassUnit unit) {
      Mass goal = own.goal();
      Mass agreed = own.agreed(unit);
      return new OfNumbers(own.lift(), own.basis(), own.trainingNg(), goal == null ? null : goal.toString(), own.goalOn(), own.moves(),
          agreed == null ? null : Long.valueOf(agreed.nanograms()));
    }

    void to(LiftNumbers own, MassUnit unit) {
      own.decide(own.level(), basis);
      own.train(trainingNg == null ? null : Mass.ofNanograms(trainingNg, unit));
      own.aim(goal == null ? null : Mass.parse(goal), goalOn);
      own.move(moves, agreedNg == null ? null : Mass.ofNanograms(agreedNg, unit));
    }
  }

  /** All of it; records of old know nothing of numbers. */
  record SetupState(List<OfMethod> methods, List<EasyWeek> easy, @Nullable Integer every, Deload kind, @Nullable OfPlan plan,
      @Nullable List<OfNumbers> numbers) {
    Optional<OfNumbers> numbers(String lift) {
      return numbers == null ? Optional.empty() : numbers.stream().filter(own -> own.lift().equals(lift)).findFirst();
    }

    @Nullable OfMethod method(UUID ref) {
      return methods.stream().filter(method -> method.ref().equals(ref)).findFirst().orElse(null);
    }
  }

  @Override
  public MethodStand of(Lifter lifter) {
    List<Progression> all = progressions.findByLifterIdOrderById(lifter.id());
    OfPlan plan = plans.findByLifterId(lifter.id())
        .map(row -> new OfPlan(row.document(), row.contestId() == null ? null : contests.contest(row.contestId()).ref())).orElse(null);
    SetupState state = new SetupState(all.stream().map(OfMethod::of).toList(),
        ahead(lifter.id()).stream().map(EasyWeek::of).sorted(Comparator.comparing(EasyWeek::monday)).toList(),
        lifter.deloadEvery(), lifter.deloadKind(), plan, numbers(lifter));
    return new MethodStand(json.write(state), json.write(all.stream().map(p -> new LeftOut(p.ref(), new TreeSet<>(p.leftOut()))).toList()));
  }

  private List<OfNumbers> numbers(Lifter lifter) {
    return numbers.findByLifterIdIn(List.of(lifter.id())).stream().map(own -> OfNumbers.of(own, lifter.unit()))
        .sorted(Comparator.comparing(OfNumbers::lift)).toList();
  }

  private List<DeloadWeek> ahead(long lifterId) {
    LocalDate monday = Macrocycle.monday(clock.today());
    return deloads.findByLifterIdAndMondayBetween(lifterId, monday, monday.plusWeeks(WEEKS_AHEAD));
  }

  @Override
  public void restore(Lifter lifter, MethodStand from, MethodStand to) {
    if (!from.settings().equals(to.settings())) {
      restore(lifter, json.read(from.settings(), SetupState.class), json.read(to.settings(), SetupState.class));
    }
    if (!from.leftOut().equals(to.leftOut())) {
      Map<UUID, LeftOut> then = Arrays.stream(json.read(to.leftOut(), LeftOut[].class))
          .collect(Collectors.toMap(LeftOut::ref, left -> left));
      progressions.findByLifterIdOrderById(lifter.id()).stream().filter(p -> then.containsKey(p.ref())).forEach(p -> {
        p.leaveOut(Objects.requireNonNull(then.get(p.ref())).lines());
        progressions.save(p);
      });
    }
  }

  private void restore(Lifter lifter, SetupState from, SetupState to) {
    for (Progression p : progressions.findByLifterIdOrderById(lifter.id())) {
      if (!Objects.equals(from.method(p.ref()), to.method(p.ref()))) {
        restore(p, to.method(p.ref()));
      }
    }
    restoreWeeks(lifter.id(), from, to);
    restoreNumbers(lifter, from, to);
    if (!Objects.equals(from.plan(), to.plan())) {
      restorePlan(lifter.id(), to.plan());
    }
    if (!Objects.equals(from.every(), to.every()) || from.kind() != to.kind()) {
      lifter.deloads(to.every(), to.kind());
      lifters.save(lifter);
    }
  }

  /** Numbers that stand as the change left them; what was decided since stays. */
  private void restoreNumbers(Lifter lifter, SetupState from, SetupState to) {
    for (LiftNumbers own : numbers.findByLifterIdIn(List.of(lifter.id()))) {
      Optional<OfNumbers> then = to.numbers(own.lift());
      Optional<OfNumbers> left = from.numbers(own.lift());
      if (then.isPresent() && left.isPresent() && !then.equals(left) && left.get().equals(OfNumbers.of(own, lifter.unit()))) {
        then.get().to(own, lifter.unit());
        numbers.save(own);
      }
    }
  }

  /** A method that was not there is ended from its first day on: it stays listed, and can go on. */
  private void restore(Progression p, @Nullable OfMethod then) {
    if (then == null) {
      p.end(p.startsOn());
    } else {
      then.to(p);
      p.end(then.endsOn());
    }
    progressions.save(p);
  }

  private void restoreWeeks(long lifterId, SetupState from, SetupState to) {
    List<EasyWeek> gone = from.easy().stream().filter(week -> !to.easy().contains(week)).toList();
    deloads.deleteAll(ahead(lifterId).stream().filter(week -> gone.contains(EasyWeek.of(week))).toList());
    deloads.flush();
    Set<LocalDate> there = ahead(lifterId).stream().map(DeloadWeek::monday).collect(Collectors.toSet());
    LocalDate monday = Macrocycle.monday(clock.today());
    to.easy().stream().filter(week -> !from.easy().contains(week) && !week.monday().isBefore(monday) && !there.contains(week.monday()))
        .map(week -> new DeloadWeek(lifterId, week.monday(), week.kind())).forEach(deloads::save);
  }

  private void restorePlan(long lifterId, @Nullable OfPlan then) {
    Optional<LongPlan> now = plans.findByLifterId(lifterId);
    if (then == null) {
      now.ifPresent(plans::delete);
    } else {
      LongPlan plan = now.orElseGet(() -> new LongPlan(lifterId));
      plan.restore(then.document(), then.contest() == null ? null : contests.known(then.contest()).map(Contest::id).orElse(null));
      plans.save(plan);
    }
  }
}

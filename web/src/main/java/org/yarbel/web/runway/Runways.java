package org.yarbel.web.runway;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.plan.cycle.Editing;
import org.yarbel.core.plan.cycle.Leading;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Meets;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Turns;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** What a coach does with the long plan of a lifter. */
@Service
public class Runways {
  private final LongPlans plans;
  private final Contests contests;
  private final LiftNumbersRepository numbers;
  private final LoggedSetRepository log;
  private final Sessions sessions;
  private final Lifts lifts;
  private final ClubClock clock;
  private final Turns turns;

  Runways(LongPlans plans, Contests contests, LiftNumbersRepository numbers, LoggedSetRepository log, Sessions sessions,
      Lifts lifts, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.plans = plans;
    this.contests = contests;
    this.numbers = numbers;
    this.log = log;
    this.sessions = sessions;
    this.lifts = lifts;
    this.clock = clock;
  }

  /**
   * Where the plan of a lifter leads, and where their contests are.
   *
   * @param kept null without a plan
   * @param roles of the contests to come
   * @param due what would have to change so that the plan leads to where its contest is; null when it does
   * @param contestId the contest it would lead to then
   * @param wrong why nothing can be fitted although something moved; null when it can
   */
  public record Situation(LongPlans.@Nullable KeptPlan kept, List<Contests.Going> going, List<Meets.Role> roles, @Nullable Refit due,
      @Nullable Long contestId, @Nullable String wrong) {
    /** The contest the plan leads or led to. */
    public Optional<Contest> contest() {
      Long id = kept == null ? null : kept.contestId();
      return going.stream().map(Contests.Going::contest).filter(contest -> id != null && contest.id() == id).findFirst();
    }

  }

  /** A date that a contest might move to. */
  public record WhatIf(@Nullable LocalDate day, Contest.State state) {}

  /** A contest a lifter goes to. */
  @Transactional(readOnly = true)
  Contest contest(long lifterId, String id) {
    return contests.of(lifterId).stream().map(Contests.Going::contest).filter(own -> Long.toString(own.id()).equals(id)).findFirst()
        .orElseThrow(NotFound::new);
  }

  /** How things stand. */
  @Transactional(readOnly = true)
  public Situation of(Lifter lifter) {
    return of(lifter, null);
  }

  /** How they would stand if the contest the plan leads to moved. */
  @Transactional(readOnly = true)
  public Situation of(Lifter lifter, @Nullable WhatIf moved) {
    LocalDate today = clock.today();
    List<Contests.Going> going = contests.of(lifter.id());
    List<Meets.Role> roles = Contests.roles(going, today);
    LongPlans.KeptPlan kept = plans.of(lifter.id()).orElse(null);
    if (kept == null) {
      return new Situation(null, going, roles, null, null, null);
    }
    Leading leading = new Leading(kept.plan(), kept.contestId(), roles, today, day -> from(lifter, day));
    try {
      Optional<Leading.Due> due = moved != null ? Optional.of(leading.moved(led(moved.state(), moved.day())))
          : leading.due(going.stream().map(Contests.Going::contest).filter(contest -> kept.contestId() != null
              && contest.id() == kept.contestId() && !contest.gone())
              .findFirst().map(contest -> led(contest.state(), contest.day())).orElse(null));
      return new Situation(kept, going, roles, due.map(Leading.Due::refit).orElse(null), due.map(Leading.Due::contestId)
          .orElse(due.isPresent() ? null : kept.contestId()), null);
    } catch (Refused refused) {
      return new Situation(kept, going, roles, null, null, refused.sentence());
    }
  }

  private static Leading.Led led(Contest.State state, @Nullable LocalDate day) {
    return new Leading.Led(switch (state) {
      case PLANNED -> Leading.Standing.PLANNED;
      case POSTPONED -> Leading.Standing.POSTPONED;
      case CANCELLED -> Leading.Standing.CANCELLED;
    }, day);
  }

  /** The first Monday that may change: this week's when nothing of it is lifted, or when the contest is in it; else the next. */
  LocalDate from(Lifter lifter, @Nullable LocalDate contest) {
    LocalDate today = clock.today();
    LocalDate monday = Macrocycle.monday(today);
    boolean fresh = today.equals(monday) && log.countSince(lifter.id(), monday) == 0;
    return fresh || contest != null && Macrocycle.monday(contest).equals(monday) ? monday : monday.plusWeeks(1);
  }

  /** Takes a refit that was looked at. */
  @Transactional
  public Optional<Long> take(Lifter lifter, Refit refit, @Nullable Long contestId, SignedIn who) {
    turns.ofLifter(lifter.id());
    return plans.take(lifter, refit.now(), contestId, who);
  }

  /** What is proposed to a lifter, to a contest or open-ended. */
  @Transactional(readOnly = true)
  public Proposal propose(Lifter lifter, @Nullable Contest contest) {
    return propose(lifter, contest, LocalDate.MIN);
  }

  /** The same from a Monday on, where that is ahead. */
  private Proposal propose(Lifter lifter, @Nullable Contest contest, LocalDate begins) {
    LocalDate today = clock.today();
    LocalDate day = contest == null ? null : contest.day();
    if (day != null && day.isBefore(today)) {
      throw new Refused("The contest on " + day + " is behind");
    }
    Catalogue catalogue = lifts.catalogue();
    List<LiftNumbers> known = numbers.findByLifterIdIn(List.of(lifter.id()));
    Level level = known.stream().map(LiftNumbers::level).max(Comparator.naturalOrder()).orElse(null);
    List<Lift> main = main(lifter, known, catalogue, today);
    List<Proposal.Event> events = contest == null ? List.of() : contest.said().events().stream()
        .flatMap(event -> catalogue.ofKey(event.lift()).map(lift -> new Proposal.Event(lift, event.work())).stream()).toList();
    LocalDate from = begins.isAfter(today) ? begins : Proposal.begins(today, lifter.daysFree(), log.countSince(lifter.id(), today) > 0);
    List<Lift> trained = main.stream().filter(lift -> events.stream().noneMatch(event -> event.lift().equals(lift))).toList();
    Proposal proposal = Proposal.of(new Proposal.Request(level, trained, events, lifter.daysFree(), day, from, lifter.strained(),
        lifter.deloadKind(), lifter.unit(), aims(lifter, known, trained, today)));
    List<LocalDate> training = day == null ? List.of() : Contests.roles(contests.of(lifter.id()), today).stream()
        .filter(role -> !role.peak())
        .map(role -> role.meet().day()).filter(other -> other.isBefore(day)).toList();
    return new Proposal(proposal.plan().through(training), proposal.reasons());
  }

  private static List<Proposal.Aim> aims(Lifter lifter, List<LiftNumbers> known, List<Lift> trained, LocalDate today) {
    List<Proposal.Aim> aims = new ArrayList<>();
    for (Lift lift : trained) {
      known.stream().filter(own -> own.lift().equals(lift.key())).map(own -> own.numbers(lifter.unit(), today))
          .filter(of -> of.best() != null && of.goal() != null)
          .forEach(of -> aims.add(new Proposal.Aim(lift, Objects.requireNonNull(of.best()), Objects.requireNonNull(of.goal()))));
    }
    return aims;
  }

  /** The three lifts of powerlifting, as far as a max of them is known; else whatever has one. */
  private static List<Lift> main(Lifter lifter, List<LiftNumbers> known, Catalogue catalogue, LocalDate today) {
    List<Lift> all = known.stream().filter(own -> own.numbers(lifter.unit(), today).best() != null)
        .flatMap(own -> catalogue.ofKey(own.lift()).stream()).filter(lift -> !lift.variation().partial()).toList();
    List<Lift> three = all.stream().filter(Lift::powerlift).toList();
    List<Lift> more = all.stream().filter(lift -> lift.contest() == Lift.Contest.STRONGMAN).toList();
    List<Lift> main = new ArrayList<>(three);
    main.addAll(more);
    return main.isEmpty() ? all.stream().limit(4).toList() : main.stream().limit(5).toList();
  }

  /** The lines that somebody has written by hand, of lifts a plan trains, on days that it would write into. */
  @Transactional(readOnly = true)
  List<InTheWay.LineInTheWay> inTheWay(Lifter lifter, Macrocycle plan) {
    Catalogue catalogue = lifts.catalogue();
    Set<Lift> families = new HashSet<>();
    plan.blocks().forEach(block -> block.uses().forEach(use -> catalogue.ofKey(use.lift()).map(catalogue::family)
        .ifPresent(families::add)));
    LocalDate from = plan.startsOn().isAfter(clock.today()) ? plan.startsOn() : clock.today();
    List<InTheWay.LineInTheWay> lines = new ArrayList<>();
    sessions.days(lifter.id(), from, plan.end().minusDays(1)).forEach((day, all) -> {
      Set<Long> begun = sessions.begun(all);
      all.stream().filter(slot -> slot.origin() == null && slot.linkOf() == null && !begun.contains(slot.id()) && slot.kind().mainWork()
          && catalogue.ofKey(slot.lift()).map(catalogue::family).filter(families::contains).isPresent())
          .forEach(slot -> lines.add(new InTheWay.LineInTheWay(slot.id(), day, slot.lift(), slot.work())));
    });
    return lines;
  }

  /** Takes a proposal; what is in its way goes, stays beside it, or is waited for. */
  @Transactional
  public Optional<Long> take(Lifter lifter, Proposal proposal, @Nullable Contest contest, InTheWay.Way way, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<InTheWay.LineInTheWay> lines = inTheWay(lifter, proposal.plan());
    Long contestId = contest == null ? null : Long.valueOf(contest.id());
    if (way == InTheWay.Way.AFTER && !lines.isEmpty()) {
      LocalDate last = lines.get(lines.size() - 1).day();
      return plans.take(lifter, propose(lifter, contest, Macrocycle.monday(last).plusWeeks(1)).plan(), contestId, who);
    }
    List<Long> out = way == InTheWay.Way.REPLACE ? lines.stream().map(InTheWay.LineInTheWay::slotId).toList() : List.of();
    return plans.take(lifter, proposal.plan(), contestId, out, who);
  }

  /**
   * Edits the plan.
   *
   * @return what else changed with it
   * @throws Refused when it cannot be
   */
  @Transactional
  public Edited edit(Lifter lifter, Function<Editing, Refit> what, SignedIn who) {
    turns.ofLifter(lifter.id());
    LongPlans.KeptPlan kept = plans.of(lifter.id()).orElseThrow(NotFound::new);
    Refit refit = what.apply(new Editing(kept.plan(), from(lifter, kept.plan().contest())));
    return new Edited(refit, plans.take(lifter, refit.now(), kept.contestId(), who));
  }

  /** What came of an edit; the change is empty when nothing was new. */
  public record Edited(Refit refit, Optional<Long> change) {}

  /** Gives a plan to another lifter: on their days, with their numbers, to their own next contest where they have one. */
  @Transactional
  public String copy(Macrocycle plan, Lifter lifter, SignedIn who) {
    turns.ofLifter(lifter.id());
    LocalDate today = clock.today();
    Set<DayOfWeek> free = lifter.daysFree();
    if (free.isEmpty()) {
      return "Left as it was: no day of the week is free.";
    }
    Meets.Meet peak = Contests.roles(contests.of(lifter.id()), today).stream().filter(Meets.Role::peak).map(Meets.Role::meet)
        .findFirst().orElse(null);
    LocalDate monday = Macrocycle.monday(today);
    Macrocycle theirs = plan.copied(monday, null, free);
    if (peak != null) {
      theirs = Refit.toDate(theirs, peak.day(), monday).now();
    }
    Optional<Long> change = plans.take(lifter, theirs, peak == null ? null : Long.valueOf(peak.id()), who);
    if (change.isEmpty()) {
      return "Nothing had to change.";
    }
    return peak == null ? "Copied, open-ended." : "Copied, fitted to " + peak.name() + ".";
  }
}

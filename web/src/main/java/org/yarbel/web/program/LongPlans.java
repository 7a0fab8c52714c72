package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.who.SignedIn;

/**
 * Keeps the long plans. Each lift of a block is written by a method of its own that runs from the block's first Monday to its
 * end; its easy weeks are placed like any others. A change is undone with what it wrote.
 */
@Service
public class LongPlans {
  private final LongPlanRepository plans;
  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final Programs programs;
  private final CoreJson json;
  private final SlotRepository slots;
  private final LiftNumbersRepository numbers;
  private final ClubClock clock;
  private final Turns turns;

  LongPlans(LongPlanRepository plans, ProgressionRepository progressions, DeloadWeekRepository deloads, Programs programs,
      CoreJson json, SlotRepository slots, LiftNumbersRepository numbers, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.slots = slots;
    this.numbers = numbers;
    this.plans = plans;
    this.progressions = progressions;
    this.deloads = deloads;
    this.programs = programs;
    this.json = json;
    this.clock = clock;
  }

  /** A plan as it is kept. */
  public record KeptPlan(Macrocycle plan, @Nullable Long contestId, int version) {}

  /** The plan of a lifter. */
  @Transactional(readOnly = true)
  public Optional<KeptPlan> of(long lifterId) {
    return plans.findByLifterId(lifterId).map(this::kept);
  }

  /** What is kept of a row. */
  public KeptPlan kept(LongPlan row) {
    return new KeptPlan(row.plan(json), row.contestId(), row.version());
  }

  /** What a plan writes from a day up to another, whether it stands in the days or not. */
  public static List<Written> lines(Macrocycle plan, LifterContext context, LocalDate from, LocalDate until) {
    return Written.all(plan, (lift, settings, perWeek) -> Exposures.brief(lift, settings, perWeek, context), context.lifts(), from, until);
  }

  /**
   * What a plan would write into days to come that no method has written into yet.
   *
   * @param from the first day that is asked for
   * @param written the Mondays of the weeks in which methods have written
   */
  public static List<Written> ahead(Macrocycle plan, LifterContext context, LocalDate from, LocalDate until, Set<LocalDate> written) {
    return lines(plan, context, Macrocycle.monday(from), until).stream().filter(line -> !line.day().isBefore(from)
        && !written.contains(Macrocycle.monday(line
        .day()))).toList();
  }

  /** Takes a plan in place of the one there is, and writes the weeks ahead. The change is empty when nothing is new. */
  @Transactional
  public Optional<Long> take(Lifter lifter, Macrocycle plan, @Nullable Long contestId, SignedIn who) {
    return take(lifter, plan, contestId, List.of(), who);
  }

  /**
   * The same with lines taken out that are in its way.
   *
   * @param out ids of lines of the lifter that nobody has begun
   */
  @Transactional
  public Optional<Long> take(Lifter lifter, Macrocycle plan, @Nullable Long contestId, List<Long> out, SignedIn who) {
    turns.ofLifter(lifter.id());
    LocalDate until = out.isEmpty() ? clock.today() : plan.end();
    return programs.write(lifter, until, who, () -> {
      slots.deleteAll(slots.findAllById(out).stream().filter(slot -> slot.linkOf() != null).toList());
      slots.deleteAllById(out);
      slots.flush();
      set(lifter, plan, contestId);
    });
  }

  /** The same before any change of it is kept: as if it had been there from the start. */
  @Transactional
  public void set(Lifter lifter, Macrocycle plan, @Nullable Long contestId) {
    turns.ofLifter(lifter.id());
    LongPlan row = plans.findByLifterId(lifter.id()).orElseGet(() -> new LongPlan(lifter.id()));
    row.take(plan, contestId, json);
    plans.save(row);
    methods(lifter, plan);
    easyWeeks(lifter, plan);
    plans.flush();
  }

  /** Ends the plan: what its methods wrote ahead goes, what somebody edited stays. */
  @Transactional
  public Optional<Long> end(Lifter lifter, SignedIn who) {
    turns.ofLifter(lifter.id());
    LocalDate today = clock.today();
    return programs.write(lifter, who, () -> {
      plans.findByLifterId(lifter.id()).ifPresent(plans::delete);
      progressions.findByLifterIdOrderById(lifter.id()).stream().filter(p -> p.blockNo() != null).forEach(p -> stop(p, today));
      LocalDate monday = Macrocycle.monday(today);
      deloads.deleteAll(deloads.findByLifterIdAndMondayBetween(lifter.id(), monday.plusWeeks(1), monday.plusWeeks(Macrocycle.MOST_WEEKS)));
      plans.flush();
    });
  }

  private void methods(Lifter lifter, Macrocycle plan) {
    LocalDate today = clock.today();
    List<Progression> all = progressions.findByLifterIdOrderById(lifter.id());
    Map<String, List<Progression>> own = new HashMap<>();
    all.stream().filter(p -> p.blockNo() != null)
        .forEach(p -> own.computeIfAbsent(key(p.blockNo(), p.lift(), p.method().key()), k -> new ArrayList<>()).add(p));
    Map<String, Mass> maxes = new HashMap<>();
    numbers.findByLifterIdIn(List.of(lifter.id())).forEach(known -> Optional.ofNullable(known.numbers(lifter.unit(), today).best())
        .ifPresent(max -> maxes.put(known.lift(), max)));
    Set<String> lifts = new HashSet<>();
    Set<Progression> used = new HashSet<>();
    for (Macrocycle.Assigned one : plan.assigned()) {
      lifts.add(one.lift());
      List<Progression> there = own.getOrDefault(key(one.no(), one.lift(), one.method().key()), List.of());
      Progression progression = there.isEmpty() ? new Progression(lifter.id(), one.lift(), one.method()) : there.remove(0);
      Set<DayOfWeek> days = one.days();
      progression.set(begun(lifter, plan, one, progression, maxes), one.startsOn(), days, Turn.EVERY);
      progression.end(one.endsOn());
      progression.belong(one.no(), one.contest(), one.skipped());
      used.add(progressions.save(progression));
    }
    all.stream().filter(p -> p.blockNo() != null && !used.contains(p)).forEach(p -> stop(p, today));
    LocalDate begins = plan.startsOn().isAfter(today) ? plan.startsOn() : today;
    all.stream().filter(p -> p.blockNo() == null && lifts.contains(p.lift()) && p.runsOn(begins)).forEach(p -> stop(p, begins));
    progressions.flush();
  }

  /** What is set of a method, with where the lifter stood when the plan was taken: the way to a goal is measured from there. */
  private Map<String, String> begun(Lifter lifter, Macrocycle plan, Macrocycle.Assigned one, Progression there, Map<String, Mass> maxes) {
    Map<String, String> all = new HashMap<>(one.settings());
    String max = there.settings().get(Progression.START_MAX);
    String on = there.settings().get(Progression.START_ON);
    LocalDate today = clock.today();
    if (max == null && maxes.containsKey(one.lift())) {
      max = maxes.get(one.lift()).amountIn(lifter.unit(), 1).toPlainString();
      on = (plan.startsOn().isAfter(today) ? plan.startsOn() : today).toString();
    }
    if (max != null) {
      all.put(Progression.START_MAX, max);
      all.put(Progression.START_ON, on == null ? one.startsOn().toString() : on);
    }
    return all;
  }

  private static String key(int block, String lift, String method) {
    return block + "/" + lift + "/" + method;
  }

  private void stop(Progression progression, LocalDate from) {
    if (progression.runsOn(from)) {
      progression.end(progression.startsOn().isAfter(from) ? progression.startsOn() : from);
      progressions.save(progression);
    }
  }

  /** The easy weeks of the plan in place of those that were placed over its time; what is behind stays. */
  private void easyWeeks(Lifter lifter, Macrocycle plan) {
    LocalDate monday = Macrocycle.monday(clock.today());
    LocalDate from = plan.startsOn().isAfter(monday) ? plan.startsOn() : monday;
    deloads.deleteAll(deloads.findByLifterIdAndMondayBetween(lifter.id(), from, monday.plusWeeks(Macrocycle.MOST_WEEKS)));
    deloads.flush();
    plan.easyWeeks().forEach((week, kind) -> {
      if (!week.isBefore(from)) {
        deloads.save(new DeloadWeek(lifter.id(), week, kind));
      }
    });
  }
}

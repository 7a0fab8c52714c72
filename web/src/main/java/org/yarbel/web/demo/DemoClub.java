package org.yarbel.web.demo;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.sim.SimulatedLifter;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.LifterContext;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;

/** Fills the demo club: plans for two weeks to come, and logs of the weeks behind from simulated lifters. */
@Service
class DemoClub {
  static final String PASSWORD = "tarnbrook-demo";
  static final String DOMAIN = "@tarnbrook.example";
  private static final long SEED = 20_260;

  private final Places places;
  private final Accounts accounts;
  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final Issuing issuing;
  private final Tracking tracking;

  DemoClub(Places places, Accounts accounts, LifterRepository lifters, LiftNumbersRepository numbers,
      TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, Issuing issuing,
      Tracking tracking) {
    this.places = places;
    this.accounts = accounts;
    this.lifters = lifters;
    this.numbers = numbers;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.issuing = issuing;
    this.tracking = tracking;
  }

  /** Fills a club that has its first place. */
  @Transactional
  public void fill(long clubId, LocalDate today) {
    Map<MassUnit, Place> byUnit = new HashMap<>();
    byUnit.put(MassUnit.KG, places.all().get(0));
    byUnit.put(MassUnit.LB, places.add("Old loft (pounds)", DemoProgram.kit(MassUnit.LB)));
    long seed = SEED;
    for (DemoProgram program : DemoProgram.all()) {
      new Filling(clubId, program, byUnit.get(program.unit()), today, seed++).fill();
    }
  }

  /** One lifter while they are filled in. */
  private final class Filling {
    private final long clubId;
    private final DemoProgram program;
    private final Place place;
    private final Kit kit;
    private final LocalDate today;
    private final LocalDate monday;
    private final RandomGenerator random;
    private final Map<String, SimulatedLifter> bodies = new HashMap<>();
    private final Map<String, List<Observation>> history = new HashMap<>();
    private final Map<String, LiftNumbers> known = new HashMap<>();
    private final Map<String, Mass> last = new HashMap<>();

    Filling(long clubId, DemoProgram program, Place place, LocalDate today, long seed) {
      this.clubId = clubId;
      this.program = program;
      this.place = place;
      this.kit = DemoProgram.kit(program.unit());
      this.today = today;
      this.monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      this.random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    }

    void fill() {
      Lifter lifter = new Lifter(program.name(), program.unit(), place.id());
      lifter.body(program.sex(), program.born(), mass(program.bodyMass()), program.note());
      lifters.saveAndFlush(lifter);
      accounts.add(clubId, program.email() + DOMAIN, PASSWORD, program.name(), org.yarbel.web.account.Role.LIFTER, lifter.id());
      program.numbers().forEach(n -> numbers(lifter, n));
      for (int week = -program.weeksBack(); week <= 1; week++) {
        for (DayOfWeek day : DayOfWeek.values()) {
          List<DemoProgram.Line> lines = program.plan().on(day, week);
          if (!lines.isEmpty()) {
            session(lifter, monday.plusWeeks(week).plusDays(day.getValue() - 1L), lines);
          }
        }
      }
      log.flush();
      history.keySet().forEach(lift -> tracking.rerun(lifter, lift));
      known.keySet().stream().filter(lift -> !history.containsKey(lift)).forEach(lift -> tracking.rerun(lifter, lift));
    }

    private Mass mass(String amount) {
      return Mass.of(amount, program.unit());
    }

    private void numbers(Lifter lifter, DemoProgram.Numbers given) {
      LiftNumbers own = new LiftNumbers(lifter.id(), given.lift());
      own.decide(given.level(), given.basis());
      if (!given.tested().isEmpty()) {
        own.test(mass(given.tested()), today.minusWeeks(given.testedWeeksAgo()));
      }
      if (!given.goal().isEmpty()) {
        own.aim(mass(given.goal()), monday.plusWeeks(given.goalInWeeks()).plusDays(5));
      }
      known.put(given.lift(), own);
      numbers.save(own);
      bodies.put(given.lift(), body(mass(given.truth()), given.gainPerWeek()));
    }

    private SimulatedLifter body(Mass truth, double gainPerWeek) {
      return new SimulatedLifter(new SimulatedLifter.Traits(truth, gainPerWeek / 700, 0.012, -0.1, 0.35), random);
    }

    private void session(Lifter lifter, LocalDate day, List<DemoProgram.Line> lines) {
      TrainingSession session = sessions.saveAndFlush(new TrainingSession(lifter.id(), day));
      List<Slot> plan = new ArrayList<>();
      for (DemoProgram.Line line : lines) {
        Lift lift = Lift.ofKey(line.lift()).orElseThrow();
        plan.add(slots.save(new Slot(session.id(), plan.size() + 1, line.kind(), lift, line.work())));
      }
      slots.flush();
      if (day.isBefore(today)) {
        LifterContext context = context(lifter);
        issuing.store(session.id(), CardDocument.of(1, day, context, Map.of(), plan, last, Map.of()));
        long dayNumber = ChronoUnit.DAYS.between(monday.minusWeeks(program.weeksBack()), day);
        bodies.values().forEach(body -> body.startDay(dayNumber));
        plan.forEach(slot -> lift(lifter, session, slot, context));
      }
    }

    private LifterContext context(Lifter lifter) {
      Map<String, MaxNumbers> maxes = new HashMap<>();
      Map<String, Basis> bases = new HashMap<>();
      known.forEach((lift, own) -> {
        MaxTracker.Estimate now = new MaxTracker(own.level(), own.testedForTracking())
            .run(history.getOrDefault(lift, List.of()), program.unit()).now();
        own.track(now, null);
        maxes.put(lift, own.numbers(program.unit()));
        bases.put(lift, own.basis());
      });
      return new LifterContext(program.unit(), lifter.bodyMass(), maxes, bases, kit, places.loadables(kit));
    }

    private void lift(Lifter lifter, TrainingSession session, Slot slot, LifterContext context) {
      List<LoggedSet> done = new ArrayList<>();
      int count = context.resolve(slot.lift(), slot.work()).sets().size();
      boolean flagged = random.nextInt(40) == 0;
      for (int i = 0; i < count; i++) {
        ResolvedLine line = context.resolve(slot.lift(), slot.work(), done);
        ResolvedSet asked = line.sets().get(i);
        Mass load = asked.load() != null ? asked.load() : mass(program.picks().getOrDefault(slot.lift().key(), "20"));
        SimulatedLifter.Outcome outcome = outcome(slot.lift(), asked, load);
        done.add(new LoggedSet(asked.part(), asked.set(), load, outcome.reps(), outcome.rpe()));
        write(lifter, session, slot, asked, load, outcome, flagged, i);
      }
    }

    private SimulatedLifter.Outcome outcome(Lift lift, ResolvedSet asked, Mass load) {
      int reps = asked.repsTo() != null && random.nextBoolean() ? asked.repsTo() : asked.reps() == null ? 8 : asked.reps();
      SimulatedLifter body = bodies.get(parent(lift));
      boolean open = asked.role() == Role.OPEN || asked.role() == Role.PLUS;
      if (body == null || !lift.onBar()) {
        return new SimulatedLifter.Outcome(reps, null);
      }
      Mass felt = lift.contest() ? load : load.scaled(1 / 0.9);
      SimulatedLifter.Outcome outcome = body.lift(felt, reps, open);
      return lift.contest() || random.nextInt(3) > 0 ? outcome : new SimulatedLifter.Outcome(outcome.reps(), null);
    }

    private @Nullable String parent(Lift lift) {
      return switch (lift.movement()) {
        case SQUAT -> "squat";
        case BENCH -> "bench";
        case DEADLIFT -> "deadlift";
        default -> lift.movement() == Movement.PRESS ? "press" : null;
      };
    }

    private void write(Lifter lifter, TrainingSession session, Slot slot, ResolvedSet asked, Mass load,
        SimulatedLifter.Outcome outcome, boolean flagged, int order) {
      LoggedSet.Place at = new LoggedSet.Place(asked.part(), asked.set());
      LoggedSetRow row = new LoggedSetRow(lifter.id(), session.id(), slot.id(), at, slot.lift().key(), session.day());
      Rpe rpe = outcome.rpe();
      row.write(new Entry(new UUID(random.nextLong(), random.nextLong()), slot.id(), at, 1, -1, load, outcome.reps(), rpe, flagged),
          false, asked.load(), asked.reps(), session.day().atTime(17, 0).plusMinutes(slot.position() * 25L + order * 4L).toInstant(ZoneOffset.UTC));
      log.save(row);
      history.computeIfAbsent(slot.lift().key(), key -> new ArrayList<>()).add(row.observation());
      if (outcome.reps() > 0) {
        last.put(slot.lift().key(), load);
      }
    }
  }

  /** The zone the demo club lives in. */
  static ZoneId zone() {
    return ZoneOffset.UTC;
  }
}

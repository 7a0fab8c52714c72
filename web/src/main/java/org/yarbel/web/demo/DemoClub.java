package org.yarbel.web.demo;

import jakarta.persistence.EntityManager;
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
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.sim.SimulatedLifter;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.core.track.Observation;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.group.GroupBoards;
import org.yarbel.web.library.Library;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.WeighIn;
import org.yarbel.web.lifter.WeighInRepository;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.DeloadWeek;
import org.yarbel.web.program.DeloadWeekRepository;
import org.yarbel.web.program.Programs;
import org.yarbel.web.program.Progression;
import org.yarbel.web.program.ProgressionRepository;

/** Fills the demo club: plans for two weeks to come, and logs of the weeks behind from simulated lifters. */
@Service
class DemoClub {
  static final String PASSWORD = "tarnbrook-demo";
  static final String DOMAIN = "@tarnbrook.example";
  private static final long SEED = 20_260;
  /** Weeks to come that the coach has written by hand. */
  private static final int WEEKS_AHEAD = 3;

  private final Places places;
  private final Accounts accounts;
  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final WeighInRepository weighIns;
  private final ComplaintRepository complaints;
  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final Programs programs;
  private final Issuing issuing;
  private final Tracking tracking;
  private final GroupBoards groups;
  private final Library library;
  private final DemoContests contests;
  private final EntityManager entities;

  DemoClub(Places places, Accounts accounts, LifterRepository lifters, LiftNumbersRepository numbers,
      TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, WeighInRepository weighIns,
      ComplaintRepository complaints, ProgressionRepository progressions, DeloadWeekRepository deloads, Programs programs, Issuing issuing,
      Tracking tracking, GroupBoards groups, Library library, DemoContests contests, EntityManager entities) {
    this.contests = contests;
    this.groups = groups;
    this.library = library;
    this.entities = entities;
    this.progressions = progressions;
    this.deloads = deloads;
    this.programs = programs;
    this.places = places;
    this.accounts = accounts;
    this.lifters = lifters;
    this.numbers = numbers;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.weighIns = weighIns;
    this.complaints = complaints;
    this.issuing = issuing;
    this.tracking = tracking;
  }

  /** Fills a club that has its first place. */
  @Transactional
  public void fill(long clubId, LocalDate today) {
    Map<MassUnit, Place> byUnit = new HashMap<>();
    byUnit.put(MassUnit.KG, places.all().get(0));
    byUnit.put(MassUnit.LB, places.add("Old loft (pounds)", DemoKit.loft()));
    contests.make(today);
    long seed = SEED;
    for (DemoProgram program : DemoProgram.all()) {
      new Filling(clubId, program, byUnit.get(program.unit()), today, seed++).fill();
      entities.flush();
      entities.clear();
    }
    Map<String, Lifter> byName = lifters.findAll().stream().collect(Collectors.toMap(lifter -> lifter.name().split(" ")[0], lifter -> lifter));
    groups.save(null, "Evening group", Set.of(byName.get("Odile").id(), byName.get("Leopold").id(), byName.get("Emeric").id()));
    LocalDate monday = Programs.monday(today);
    library.keepWeeks(byName.get("Odile"), monday, 1, "RPE week with technique on Sunday");
    library.keepWeeks(byName.get("Brannoc"), monday, 2, "Two event weeks with a medley");
  }

  /** One lifter while they are filled in. */
  private final class Filling {
    private final long clubId;
    private final DemoProgram program;
    private final Place place;
    private final PlaceKit kit;
    private final LocalDate today;
    private final LocalDate monday;
    private final RandomGenerator random;
    /** Of its own, so that times of carries change nothing of what is lifted. */
    private final RandomGenerator times;
    private final Map<String, SimulatedLifter> bodies = new HashMap<>();
    private final Map<String, List<Observation>> history = new HashMap<>();
    private final Map<String, LiftNumbers> known = new HashMap<>();
    private final Map<String, Mass> last = new HashMap<>();

    Filling(long clubId, DemoProgram program, Place place, LocalDate today, long seed) {
      this.clubId = clubId;
      this.program = program;
      this.place = place;
      this.kit = places.kit(place);
      this.today = today;
      this.monday = today.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
      this.random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
      this.times = RandomGeneratorFactory.of("L64X128MixRandom").create(seed + 1);
    }

    void fill() {
      Lifter lifter = new Lifter(program.name(), program.unit(), place.id());
      DemoLife life = DemoLife.of(program);
      lifter.body(program.sex(), program.born(), life.heightMm(), program.note());
      lifter.life(today.minusMonths(life.monthsTraining()), life.workLoad(), life.diet(), life.free());
      lifter.likes(life.gear(), life.ramp(), false);
      lifters.saveAndFlush(lifter);
      body(lifter, life);
      accounts.add(clubId, program.email() + DOMAIN, PASSWORD, program.name(), org.yarbel.web.who.Role.LIFTER, lifter.id());
      program.numbers().forEach(n -> numbers(lifter, n));
      program.methods().forEach(uses -> method(lifter, uses));
      DemoContests.Journey journey = DemoContests.journey(program.email());
      program.easyWeeksAgo().stream().filter(ago -> journey == null || ago > journey.since()).forEach(ago -> deloads.saveAndFlush(new DeloadWeek(lifter.id(), monday.minusWeeks(ago), Deload.HALF_LOAD)));
      contests.set(lifter, program.email(), today);
      for (int week = -program.weeksBack(); week <= WEEKS_AHEAD; week++) {
        week(lifter, week);
        forget(lifter);
      }
      log.flush();
      history.keySet().forEach(lift -> tracking.rerun(lifter, lift));
      known.keySet().stream().filter(lift -> !history.containsKey(lift)).forEach(lift -> tracking.rerun(lifter, lift));
      programs.write(lifter, context(lifter, today), today, Programs.WEEKS_AHEAD);
    }

    /** What is looked through before every query stays small. */
    private void forget(Lifter lifter) {
      entities.flush();
      entities.clear();
      known.replaceAll((lift, own) -> numbers.findByLifterIdAndLift(lifter.id(), lift).orElseThrow());
    }

    private void method(Lifter lifter, DemoProgram.Uses uses) {
      Progression progression = new Progression(lifter.id(), uses.lift(), uses.method());
      Map<String, String> settings = new HashMap<>(uses.settings());
      LiftNumbers own = known.get(uses.lift());
      if (own != null && own.tested() != null) {
        settings.put("startMax", own.tested().amountIn(program.unit(), 1).toPlainString());
        if (uses.method() == Method.PLUS_SETS) {
          settings.put("training", MaxNumbers.trainingFrom(own.tested()).amountIn(program.unit(), 1).toPlainString());
        }
      }
      progression.set(settings, monday.minusWeeks(uses.since()), uses.days(), Turn.EVERY);
      progression.end(uses.until() == 0 ? null : monday.minusWeeks(uses.until()));
      progressions.saveAndFlush(progression);
    }

    /** A week: what the methods write, what the coach added, and what was lifted on the days behind. */
    private void week(Lifter lifter, int week) {
      LocalDate from = monday.plusWeeks(week);
      if (!program.methods().isEmpty() && week <= 0) {
        programs.write(lifter, context(lifter, from), from, 1);
      }
      for (DayOfWeek day : DayOfWeek.values()) {
        List<DemoProgram.Line> lines = program.plan().on(day, week);
        if (!lines.isEmpty()) {
          session(lifter, from.plusDays(day.getValue() - 1L), lines);
        }
      }
      // what is lifted once a week follows the log when the next week is written
      boolean remembers = program.methods().stream().anyMatch(uses -> uses.method().rule().memory() && uses.days().size() > 1);
      for (LocalDate day = from; day.isBefore(today) && day.isBefore(from.plusWeeks(1)); day = day.plusDays(1)) {
        TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day).orElse(null);
        if (session != null) {
          train(lifter, session);
          if (remembers) {
            programs.write(lifter, context(lifter, day), day.plusDays(1), 1);
          }
        }
      }
    }

    private void body(Lifter lifter, DemoLife life) {
      Mass now = mass(program.bodyMass());
      for (int week = program.weeksBack(); week >= 0; week--) {
        double off = week == 0 ? 0 : -life.drift() * week + 0.3 * random.nextGaussian();
        Mass then = Mass.ofRoundedNanograms(now.nanograms() + Math.rint(off * 10) / 10 * program.unit().nanograms(), program.unit());
        weighIns.save(new WeighIn(lifter.id(), monday.minusWeeks(week), then));
      }
      life.pains().forEach(pain -> complaints.save(
          new Complaint(lifter.id(), pain.place(), today.minusWeeks(pain.weeksAgo()), pain.score(), pain.aggravates())));
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
      TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day)
          .orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
      int position = slots.findBySessionIdOrderByPositionAscIdAsc(session.id()).size();
      Groups groups = session.groups();
      Group above = null;
      for (DemoProgram.Line line : lines) {
        Group group = line.group();
        if (group != null && !group.equals(above)) {
          groups = groups.with(new Groups.Numbered(groups.free(), group, null));
        }
        position = line.kind() == SlotKind.PREPARE ? position : position + 1;
        Slot slot = new Slot(session.id(), line.kind() == SlotKind.PREPARE ? 0 : position, line.kind(), line.lift(), line.work());
        slot.write(line.kind(), line.lift(), line.work(), line.details());
        slot.place(slot.position(), group == null ? null : Integer.valueOf(groups.free() - 1));
        slots.save(slot);
        above = group;
      }
      session.arrange(groups);
      slots.flush();
    }

    private void train(Lifter lifter, TrainingSession session) {
      LocalDate day = session.day();
      List<Slot> plan = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
      LifterContext context = context(lifter, day);
      issuing.store(session.id(), CardDocument.of(1, day, context, Map.of(), plan, session.groups(), last, Map.of()));
      long dayNumber = ChronoUnit.DAYS.between(monday.minusWeeks(program.weeksBack()), day);
      bodies.values().forEach(body -> body.startDay(dayNumber));
      plan.forEach(slot -> lift(lifter, session, slot, context));
    }

    private LifterContext context(Lifter lifter, LocalDate day) {
      Map<String, LifterContext.Known> maxes = new HashMap<>();
      known.forEach((lift, own) -> {
        own.track(new MaxTracker(own.level(), own.testedForTracking())
            .run(history.getOrDefault(lift, List.of()), program.unit()).standing());
        maxes.put(lift, LifterContexts.known(own, program.unit(), day));
      });
      Catalogue lifts = Catalogue.standard();
      return new LifterContext(program.unit(), mass(program.bodyMass()), maxes, lifter.ramp(), lifts,
          LifterContext.Loads.of(kit, lifts, program.unit(), places::loadables));
    }

    private void lift(Lifter lifter, TrainingSession session, Slot slot, LifterContext context) {
      List<LoggedSet> done = new ArrayList<>();
      Lift lift = context.lift(slot.lift());
      Resolver.Request request = new SessionResolver(context).planned(new PlannedLine(lift, slot.work(), slot.details().beside(), 1, null));
      int count = Resolver.resolve(request).sets().size();
      boolean flagged = random.nextInt(40) == 0;
      for (int i = 0; i < count; i++) {
        ResolvedLine line = Resolver.resolve(request.withLogged(done));
        ResolvedSet asked = line.sets().get(i);
        Mass load = asked.load() != null ? asked.load() : mass(program.picks().getOrDefault(slot.lift(), "20"));
        SimulatedLifter.Outcome outcome = outcome(lift, asked, load);
        done.add(new LoggedSet(asked.part(), asked.set(), load, outcome.reps(), outcome.rpe()));
        write(lifter, session, slot, asked, load, outcome, flagged, i);
      }
    }

    private SimulatedLifter.Outcome outcome(Lift lift, ResolvedSet asked, Mass load) {
      int reps = asked.repsTo() != null && random.nextBoolean() ? asked.repsTo() : asked.reps() == null ? 8 : asked.reps();
      SimulatedLifter body = bodies.get(parent(lift));
      boolean open = asked.role() == Role.OPEN || asked.role() == Role.PLUS;
      if (asked.role() == Role.HOLD || asked.role() == Role.CARRY) {
        return new SimulatedLifter.Outcome(1, null);
      }
      if (body == null || !lift.onBar() || !asked.tellsOfMax()) {
        return new SimulatedLifter.Outcome(reps, null);
      }
      Mass felt = lift.powerlift() ? load : load.scaled(1 / 0.9);
      SimulatedLifter.Outcome outcome = body.lift(felt, reps, open);
      return lift.powerlift() || random.nextInt(3) > 0 ? outcome : new SimulatedLifter.Outcome(outcome.reps(), null);
    }

    /** How long it took, in tenths of a second: carries by their way, work against a clock within it. */
    private @Nullable Integer tenths(ResolvedSet asked) {
      ResolvedSet.Clock clock = asked.clock();
      Integer limit = null;
      if (clock != null) {
        limit = clock.seconds() != null ? clock.seconds() : clock.limit();
      }
      if (asked.distance() != null) {
        int took = (int) Math.round(asked.distance().metres().doubleValue() * (4.5 + 2.5 * times.nextDouble()));
        return limit == null ? took : Integer.valueOf(Math.min(took, 10 * limit));
      }
      return limit == null ? null : Integer.valueOf(asked.role() == Role.SERIES ? 10 * limit / 3 + times.nextInt(3 * limit) : 10 * limit);
    }

    private static @Nullable Integer centimetres(ResolvedSet asked) {
      return asked.distance() == null ? null : asked.distance().metres().movePointRight(2).intValue();
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
      LoggedSetRow row = new LoggedSetRow(lifter.id(), session.id(), slot.id(), at, slot.lift(), session.day());
      Rpe rpe = outcome.rpe();
      row.write(new Entry(new UUID(random.nextLong(), random.nextLong()), slot.id(), at, 1, -1, load, outcome.reps(), rpe, flagged,
          tenths(asked), centimetres(asked), null), false, asked, asked.tellsOfMax(), session.day().atTime(17, 0).plusMinutes(slot.position() * 25L + order * 4L)
              .toInstant(ZoneOffset.UTC));
      log.save(row);
      history.computeIfAbsent(slot.lift(), key -> new ArrayList<>()).add(row.observation());
      if (outcome.reps() > 0) {
        last.put(slot.lift(), load);
      }
    }
  }

  /** The zone the demo club lives in. */
  static ZoneId zone() {
    return ZoneOffset.UTC;
  }
}

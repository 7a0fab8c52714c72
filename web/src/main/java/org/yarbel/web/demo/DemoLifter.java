package org.yarbel.web.demo;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.sim.SimulatedLifter;
import org.yarbel.core.sim.Traits;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.LifterContexts;

/** One lifter of the demo while they are filled in: what they can, what they have lifted, and chance that is the same each time. */
final class DemoLifter {
  private static final String CHANCE = "L64X128MixRandom";
  private static final int BOLD_DAYS = 22;

  private final DemoProgram program;
  private final Place place;
  private final LocalDate today;
  private final LocalDate monday;
  private final RandomGenerator random;
  /** Of its own, so that times of carries change nothing of what is lifted. */
  private final RandomGenerator times;
  private final Map<String, SimulatedLifter> bodies = new HashMap<>();
  /** What was lifted of each lift since its numbers were last worked out. */
  private final Map<String, List<Observation>> news = new HashMap<>();
  private final Set<String> lifted = new HashSet<>();
  private final Map<String, LiftNumbers> known = new HashMap<>();
  private final Map<String, Mass> last = new HashMap<>();
  private final Lifter lifter;

  DemoLifter(DemoProgram program, Place place, LocalDate today, long seed) {
    this.program = program;
    this.place = place;
    this.today = today;
    this.monday = Macrocycle.monday(today);
    this.random = RandomGeneratorFactory.of(CHANCE).create(seed);
    this.times = RandomGeneratorFactory.of(CHANCE).create(seed + 1);
    this.lifter = new Lifter(program.name(), program.unit(), place.id());
  }

  DemoProgram program() {
    return program;
  }

  Place place() {
    return place;
  }

  LocalDate today() {
    return today;
  }

  /** Of this week. */
  LocalDate monday() {
    return monday;
  }

  Lifter lifter() {
    return lifter;
  }

  RandomGenerator random() {
    return random;
  }

  /** The numbers of each lift, as they stand. */
  Map<String, LiftNumbers> known() {
    return known;
  }

  /** The lifts of which anything was lifted. */
  Set<String> lifted() {
    return lifted;
  }

  /** Takes in what was lifted of a lift. */
  void lifted(String lift, Observation set) {
    lifted.add(lift);
    news.computeIfAbsent(lift, key -> new ArrayList<>()).add(set);
  }

  /** The numbers were worked out over the whole log: nothing is news any more. */
  void reran() {
    news.clear();
  }

  /** The last load made of each lift. */
  Map<String, Mass> last() {
    return last;
  }

  Mass mass(String amount) {
    return Mass.of(amount, program.unit());
  }

  /** What they can in truth, and gain in a week. */
  void can(String lift, String truth, double gainPerWeek) {
    bodies.put(lift, new SimulatedLifter(Traits.steady(mass(truth), gainPerWeek / 700, 0.012, 0.1, 0.35), random));
  }

  void startDay(LocalDate day) {
    long number = ChronoUnit.DAYS.between(monday.minusWeeks(program.weeksBack()), day);
    bodies.values().forEach(body -> body.startDay(number));
  }

  /** What they are told and know on a day. */
  LifterContext context(LocalDate day, Places places) {
    Map<String, LifterContext.Known> maxes = new HashMap<>();
    known.forEach((lift, own) -> {
      track(lift, own);
      maxes.put(lift, LifterContexts.known(own, program.unit(), day));
    });
    Catalogue lifts = Catalogue.standard();
    return new LifterContext(program.unit(), mass(program.bodyMass()), maxes, lifter.ramp(), lifts,
        LifterContext.Loads.of(places.kit(place), lifts, program.unit(), places::loadables));
  }

  private void track(String lift, LiftNumbers own) {
    List<Observation> since = news.getOrDefault(lift, List.of());
    Standing from = own.standing().orElse(null);
    if (from != null && since.isEmpty()) {
      return;
    }
    Tracker tracker = new Tracker(own.level(), own.testedForTracking());
    Track track = from == null ? tracker.run(since, program.unit()) : tracker.goOn(from, since, program.unit());
    own.track(track);
    if (track.standing() != null) {
      news.remove(lift);
    }
  }

  /** What they take of what is asked: one of them has felt strong of late, and puts a little more on. */
  Mass takes(String lift, Mass asked, LocalDate day) {
    boolean more = program.email().equals("hal") && lift.equals("bench") && day.isAfter(today.minusDays(BOLD_DAYS));
    long step = mass(program.unit().usualStep().toPlainString()).nanograms();
    return more ? Mass.ofNanograms(asked.nanograms() + 2 * step, program.unit()) : asked;
  }

  /** What becomes of a set. */
  SimulatedLifter.Outcome outcome(Lift lift, ResolvedSet asked, Mass load) {
    int reps = reps(asked);
    SimulatedLifter body = bodies.get(parent(lift));
    boolean open = asked.role() == Role.OPEN || asked.role() == Role.PLUS;
    if (asked.role() == Role.HOLD || asked.role() == Role.CARRY) {
      return unrated(1);
    }
    if (body == null || !lift.onBar() || !asked.tellsOfMax()) {
      return unrated(reps);
    }
    Mass felt = lift.powerlift() ? load : load.scaled(1 / 0.9);
    SimulatedLifter.Outcome outcome = body.lift(felt, reps, open);
    return lift.powerlift() || random.nextInt(3) > 0 ? outcome : unrated(outcome.reps());
  }

  private static SimulatedLifter.Outcome unrated(int reps) {
    return new SimulatedLifter.Outcome(reps, null, false, false);
  }

  private int reps(ResolvedSet asked) {
    if (asked.repsTo() != null && random.nextBoolean()) {
      return asked.repsTo();
    }
    return asked.reps() == null ? 8 : asked.reps();
  }

  /** How long it took, in tenths of a second: carries by their way, work against a clock within it. */
  @Nullable Integer tenths(ResolvedSet asked) {
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

  private @Nullable String parent(Lift lift) {
    return switch (lift.movement()) {
      case SQUAT -> "squat";
      case BENCH -> "bench";
      case DEADLIFT -> "deadlift";
      default -> lift.movement() == Movement.PRESS ? "press" : null;
    };
  }
}

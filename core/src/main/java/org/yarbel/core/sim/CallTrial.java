package org.yarbel.core.sim;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.call.Effect;
import org.yarbel.core.call.LineChange;
import org.yarbel.core.call.Picture;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;
import org.yarbel.core.watch.Figures;

/**
 * Asks made-up lifters whether calls do any good: each trains half a year by the same plan, once with every call taken as it is proposed
 * at a look on Monday, and once with none. The squat and one bench day hang on a training max, the other bench day on RPE; every eighth
 * week is easy. What comes of it is compared, never believed by itself.
 */
public final class CallTrial {
  static final int WEEKS = 26;
  private static final int FLIP_DAYS = 21;
  private static final int KNOWN_WEEKS = 12;
  private static final Set<String> STEERING = Set.of("numbers-moved", "too-easy-or-hard", "missed", "missed-single", "form-went",
      "over-plan");
  private static final LocalDate START = LocalDate.of(2026, 1, 5);
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final PlaceKit KIT = new PlaceKit(MassUnit.KG, List.of(new Bar("Bar", Mass.of("20", MassUnit.KG), List.of(), true, true)),
      Mass.of("0", MassUnit.KG), PlateStock.standard(MassUnit.KG).plates(), false, List.of(), List.of(), List.of(), List.of());
  private static final Map<PlaceKit.Loaded, Loadables> SEARCHED = new ConcurrentHashMap<>();
  private final School school;
  private final Predicate<String> calls;
  private final RandomGenerator random;
  private final TrainedBody body;
  private final Map<String, TrainedBody.InLift> lifts = new TreeMap<>();
  private final Map<String, Tracked> tracked = new TreeMap<>();
  private final TrialPlan plan = new TrialPlan(START, this::trainWith);
  private final List<Picture.Answers> answers = new ArrayList<>();
  private final Map<String, Set<String>> decided = new HashMap<>();
  private final List<Integer> callsAWeek = new ArrayList<>();
  private final Map<String, Integer> byRule = new TreeMap<>();
  private final Map<String, Turn> turns = new HashMap<>();
  private int exposures;
  private int misses;
  private int days;
  private int painFree;
  private int safe;
  private int taken;
  private int steered;
  private int flips;
  private long ids = 1;

  /** What is known of a lift. */
  private static final class Tracked {
    private final Tracker tracker;
    private @Nullable Standing standing;
    private Mass training;
    private final List<Picture.Point> points = new ArrayList<>();
    private final Mass tested;

    Tracked(Mass tested) {
      this.tested = tested;
      this.tracker = new Tracker(Level.INTERMEDIATE, new TestedMax(tested, START.minusDays(1)));
      this.standing = tracker.run(List.of(), MassUnit.KG).standing();
      this.training = tested.scaled(0.9);
    }

    Mass max(LocalDate on) {
      return Objects.requireNonNull(standing).on(on).max(MassUnit.KG).max();
    }
  }

  /** Which way loads of a lift were moved last, and when. */
  private record Turn(int way, LocalDate on, String rule) {}

  private CallTrial(School school, Predicate<String> calls, RandomGenerator random) {
    this.school = school;
    this.calls = calls;
    this.random = random;
    this.body = new TrainedBody(school, random);
    lifts.put("squat", body.new InLift(school.traits(random, 140, 220), true));
    lifts.put("bench", body.new InLift(school.traits(random, 85, 150), false));
    lifts.forEach((lift, one) -> {
      one.startDay(0);
      tracked.put(lift, new Tracked(one.trueMax()));
    });
  }

  /**
   * So many lifters of a school; the same number gives the same lifters.
   *
   * @param calls which rules' calls are taken, by key
   */
  public static TrialResult of(School school, Predicate<String> calls, int lifters, long seed) {
    TrialResult all = TrialResult.NONE;
    for (int lifter = 0; lifter < lifters; lifter++) {
      all = all.plus(new CallTrial(school, calls, RandomGeneratorFactory.of("L64X128MixRandom").create(seed + lifter)).run());
    }
    return all;
  }

  /** What is known of a lifter of a school after so many weeks without calls; the same number gives the same lifter. */
  public static Picture after(School school, int weeks, long seed) {
    CallTrial trial = new CallTrial(school, rule -> false, RandomGeneratorFactory.of("L64X128MixRandom").create(seed));
    for (int week = 0; week < weeks; week++) {
      trial.week(week);
    }
    trial.plan.write(weeks);
    return trial.picture(START.plusWeeks(weeks));
  }

  private void trainWith(String lift, Mass training) {
    Objects.requireNonNull(tracked.get(lift)).training = training;
  }

  private void week(int week) {
    LocalDate monday = START.plusWeeks(week);
    plan.write(week);
    decide(monday);
    for (LocalDate day : monday.datesUntil(monday.plusWeeks(1)).toList()) {
      if (!school.away(week) && plan.has(day)) {
        train(day);
      }
    }
  }

  private TrialResult run() {
    Map<String, Mass> begun = new HashMap<>();
    lifts.forEach((lift, one) -> begun.put(lift, one.trueMax()));
    for (int week = 0; week < WEEKS; week++) {
      week(week);
    }
    double gain = lifts.entrySet().stream().mapToDouble(one -> one.getValue().trueMax().ratioTo(Objects.requireNonNull(begun.get(one
        .getKey()))) - 1).average().orElse(0);
    return new TrialResult(1, exposures, misses, days, painFree, gain, callsAWeek, taken, safe, steered, flips, byRule);
  }

  private LifterContext context(LocalDate on) {
    Map<String, LifterContext.Known> known = new HashMap<>();
    tracked.forEach((lift, own) -> known.put(lift, new LifterContext.Known(new MaxNumbers(own.tested, own.max(on), own.training, null),
        lift.equals("squat") ? Basis.TRAINING : Basis.ESTIMATED, null, EffortChart.HOUSE, Level.INTERMEDIATE,
        new LifterContext.Tracked(Objects.requireNonNull(own.standing), on))));
    return new LifterContext(MassUnit.KG, null, known, RampStyle.SHRINKING, LIFTS, LifterContext.Loads.of(KIT, LIFTS, MassUnit.KG,
        loaded -> SEARCHED.computeIfAbsent(loaded, PlaceKit.Loaded::search)));
  }

  private void decide(LocalDate monday) {
    int week = 0;
    Set<String> seen = new HashSet<>();
    // after each that is taken all is looked at anew, as on the screen
    for (int round = 0; round < 12; round++) {
      Picture picture = picture(monday);
      Call next = CallRules.look(picture).stream().filter(call -> calls.test(call.rule()) && !seen.contains(call.matter())
          && !decided.getOrDefault(call.matter(), Set.of()).containsAll(call.factKeys())).findFirst().orElse(null);
      if (next == null) {
        break;
      }
      seen.add(next.matter());
      decided.put(next.matter(), new HashSet<>(next.factKeys()));
      week++;
      taken++;
      safe += next.safe() ? 1 : 0;
      byRule.merge(next.rule(), 1, Integer::sum);
      if (!next.proposals().isEmpty()) {
        steer(picture, next, monday);
        next.proposals().get(0).effects().forEach(effect -> effect.accept(plan));
      }
    }
    callsAWeek.add(week);
  }

  /** Notes which way the loads of a lift are moved, and whether that undoes what was moved last. */
  private void steer(Picture picture, Call call, LocalDate on) {
    Map<String, Integer> ways = new HashMap<>();
    // what is meant for a week, or to find something out, is no steering
    boolean steering = STEERING.contains(call.rule()) && !call.about().equals("skill");
    boolean edits = steering && call.proposals().get(0).effects().stream().allMatch(effect -> effect instanceof Effect.Rewrite
        || effect instanceof Effect.Number);
    if (!edits || call.lift().isEmpty()) {
      return;
    }
    LineChange.of(picture, call.proposals().get(0).effects()).forEach(change -> {
      int way = change.way();
      if (way != 0) {
        ways.putIfAbsent(change.lift(), way);
      }
    });
    ways.forEach((lift, way) -> {
      Turn before = turns.put(lift, new Turn(way, on, call.rule()));
      steered++;
      if (before != null && before.way() == -way && !before.on().isBefore(on.minusDays(FLIP_DAYS))) {
        flips++;
        byRule.merge("undone: " + before.rule() + " by " + call.rule(), 1, Integer::sum);
      }
    });
  }

  private Picture picture(LocalDate today) {
    Map<String, Picture.OfLift> known = new HashMap<>();
    tracked.forEach((lift, own) -> known.put(lift, new Picture.OfLift(lift(lift), Level.INTERMEDIATE, own.tested, START, own.points, null,
        null,
        0.9, Picture.Moves.FOLLOW)));
    List<Picture.Session> sessions = new ArrayList<>();
    plan.days().forEach((day, lines) -> {
      if (!day.isBefore(today.minusWeeks(KNOWN_WEEKS))) {
        sessions.add(new Picture.Session(day.toEpochDay(), day, false, false, lines.stream()
            .map(line -> new Picture.Line(line.ref, line.kind,
            PlannedLine.of(lift(line.lift), line.work), null, false, "", line.sets)).toList()));
      }
    });
    return new Picture(today, new Picture.Person(Level.INTERMEDIATE, false, Set.of()), context(today), known, sessions,
        answers.subList(Math.max(0, answers.size() - 40), answers.size()), List.of(), List.of(), null, List.of(),
            plan.deloads(today, KNOWN_WEEKS), null,
            Figures.USUAL);
  }

  private static Lift lift(String key) {
    return LIFTS.ofKey(key).orElseThrow();
  }

  private void train(LocalDate day) {
    long since = ChronoUnit.DAYS.between(START, day);
    body.startDay(since);
    lifts.values().forEach(lift -> lift.startDay(since));
    CheckIn said = answer();
    answers.add(new Picture.Answers(ids++, day, said));
    days++;
    painFree += body.pain() < 4 ? 1 : 0;
    Map<String, List<Observation>> log = new TreeMap<>();
    for (TrialPlan.Written line : plan.on(day)) {
      train(day, line, said, log);
    }
    log.forEach((lift, sets) -> {
      Tracked own = Objects.requireNonNull(tracked.get(lift));
      Track track = own.standing == null ? own.tracker.run(sets, MassUnit.KG) : own.tracker.goOn(own.standing, sets, MassUnit.KG);
      own.standing = track.standing();
      Estimate max = Objects.requireNonNull(track.standing()).on(day).max(MassUnit.KG);
      own.points.add(new Picture.Point(day, max.max(), max.sd()));
    });
    body.endSession();
  }

  private CheckIn answer() {
    int energy = (int) Math.round(Math.min(5, Math.max(1, 4.2 - 25 * Math.max(0, body.tired() - 0.03) + 0.7 * random.nextGaussian())));
    int joints = (int) Math.round(Math.min(5, Math.max(1, 4.2 - 20 * Math.max(0, body.tired() - 0.03) - 0.4 * body.pain()
        + 0.6 * random.nextGaussian())));
    int sleep = (int) Math.round(Math.min(20, Math.max(8, 15 + 1.6 * random.nextGaussian())));
    return new CheckIn(sleep, energy, joints, 4, body.pain() == 0 ? List.of()
        : List.of(new Pain(BodyPlace.KNEE, Pain.Side.LEFT, body.pain(),
        "")));
  }

  private void train(LocalDate day, TrialPlan.Written line, CheckIn said, Map<String, List<Observation>> log) {
    TrainedBody.InLift lift = lifts.get(lift(line.lift).powerlift() ? line.lift : LIFTS.family(lift(line.lift)).key());
    if (lift == null) {
      return;
    }
    double ratio = lift(line.lift).ratio() == null ? 1 : lift(line.lift).ratio().percent() / 100;
    LifterContext context = context(day);
    Resolver.Request request;
    try {
      request = new SessionResolver(context).planned(PlannedLine.of(lift(line.lift), line.work));
    } catch (NotationException cannot) {
      return;
    }
    List<Part> parts = WorkLine.parse(line.work).line().parts();
    List<LoggedSet> done = new ArrayList<>();
    boolean missed = false;
    double takes = school.takes(random);
    Set<Context> state = EnumSet.noneOf(Context.class);
    state.addAll(said.contextOf(lift(line.lift)));
    ResolvedLine planned = Resolver.resolve(request);
    for (ResolvedSet one : planned.sets()) {
      ResolvedSet set = Resolver.resolve(request.withLogged(done)).sets().stream().filter(other -> other.part() == one.part()
          && other.set() == one.set()).findFirst().orElse(one);
      Mass load = set.load();
      Integer reps = set.reps();
      if (load == null || set.role() == Role.WARM) {
        continue;
      }
      boolean open = reps == null;
      boolean gone = lightEnough(done);
      if (gone) {
        break;
      }
      Mass took = one.part() == 1 ? request.loadables() == null ? load : request.loadables().nearest(load.scaled(takes)).total() : load;
      TrainedBody.Done made = lift.lift(took.scaled(1 / ratio), open ? 1 : reps, open);
      SimulatedLifter.Outcome outcome = made.outcome();
      Part part = parts.get(set.part() - 1);
      boolean plus = part.work() instanceof Work.SetsOfReps sets && !(sets.reps() instanceof Reps.Exactly) && open;
      line.sets.add(new Picture.Lifted(ids++, lift(line.lift), set.part(), took, outcome.reps(), open ? null : reps, load,
          part.rpe() == null ? null : Double.valueOf(part.rpe().middle()), plus, outcome.rpe(), outcome.easier(),
          outcome.failed() ? HowEnded.COULD_NOT : null, state, made.form() ? List.of(TechniqueMark.HIPS_FIRST) : List.of(), null, false));
      done.add(new LoggedSet(set.part(), set.set(), took, outcome.reps(), outcome.rpe()));
      missed |= !open && outcome.reps() < reps;
      log.computeIfAbsent(line.lift, any -> new ArrayList<>()).add(Observation.of(day, took, outcome.reps(), outcome.rpe())
          .with(Trait.EASIER, outcome.easier()).with(Trait.FAILED, outcome.failed()).with(Trait.FLAGGED, !state.isEmpty()));
    }
    exposures++;
    misses += missed ? 1 : 0;
    log.keySet().removeIf(key -> !tracked.containsKey(key));
  }

  /** After two sets without a rep nobody goes on. */
  private static boolean lightEnough(List<LoggedSet> done) {
    return done.size() >= 2 && done.subList(done.size() - 2, done.size()).stream().allMatch(set -> set.reps() == 0);
  }
}

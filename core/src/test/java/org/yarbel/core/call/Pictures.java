package org.yarbel.core.call;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
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
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.watch.Figure;
import org.yarbel.core.watch.Figures;
import org.yarbel.core.watch.WatchedWeek;

/** A made-up lifter on Monday 2 March 2026, put together in the tests. A set is written as {@code 140x4/5 @9 no belt, knees in}. */
final class Pictures {
  static final LocalDate TODAY = LocalDate.of(2026, 3, 2);
  static final Catalogue LIFTS = Catalogue.standard();
  private static final PlaceKit KIT = new PlaceKit(MassUnit.KG, List.of(new Bar("Bar", kg("20"), List.of(), true, true)), kg("0"),
      PlateStock.standard(MassUnit.KG).plates(), false, List.of(), List.of(), List.of(), List.of());
  private static final Map<PlaceKit.Loaded, Loadables> SEARCHED = new ConcurrentHashMap<>();

  private final Map<String, MaxNumbers> numbers = new HashMap<>();
  private final Map<String, Basis> bases = new HashMap<>();
  private final Map<String, List<Picture.Point>> points = new HashMap<>();
  private final Map<String, LocalDate> tests = new HashMap<>();
  private final Map<String, GoalCourse> courses = new HashMap<>();
  private final Map<String, Mass> heaviest = new HashMap<>();
  private final Map<LocalDate, List<Picture.Line>> days = new TreeMap<>();
  private final Map<LocalDate, Boolean> ended = new HashMap<>();
  private final List<Picture.Answers> answers = new ArrayList<>();
  private final List<Picture.Complaint> complaints = new ArrayList<>();
  private final List<Picture.Weighed> weighed = new ArrayList<>();
  private final List<Picture.AtWork> methods = new ArrayList<>();
  final Map<Figure, Double> figures = new HashMap<>();
  Picture.@Nullable Contest contest;
  Picture.Deloads deloads = new Picture.Deloads(2, List.of(), List.of(), Deload.HALF_LOAD);
  Level level = Level.INTERMEDIATE;
  Picture.Moves moves = Picture.Moves.FOLLOW;
  Set<DayOfWeek> free = Set.of();
  boolean strained;
  @Nullable WatchedWeek week;
  private long ids = 1;

  Pictures() {
    max("squat", "180");
    max("bench", "120");
    max("deadlift", "220");
    max("overhead-press", "75");
  }

  static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  static LocalDate day(int fromToday) {
    return TODAY.plusDays(fromToday);
  }

  Pictures max(String lift, String estimated) {
    numbers.put(lift, new MaxNumbers(null, kg(estimated), kg(estimated).scaled(0.9), null));
    return this;
  }

  Pictures numbers(String lift, Basis basis, MaxNumbers all) {
    numbers.put(lift, all);
    bases.put(lift, basis);
    return this;
  }

  /** The estimate after each of the days so many ago, the newest last. */
  Pictures points(String lift, int every, double... maxes) {
    List<Picture.Point> all = new ArrayList<>();
    for (int i = 0; i < maxes.length; i++) {
      all.add(new Picture.Point(day(-1 - every * (maxes.length - 1 - i)), Mass.ofRoundedNanograms(maxes[i] * 1e12, MassUnit.KG), kg("3")));
    }
    points.put(lift, all);
    return this;
  }

  Pictures tested(String lift, LocalDate on) {
    tests.put(lift, on);
    return this;
  }

  Pictures course(String lift, GoalCourse course) {
    courses.put(lift, course);
    return this;
  }

  Pictures heaviest(String lift, String load) {
    heaviest.put(lift, kg(load));
    return this;
  }

  Picture.AtWork method(String lift, Method method, Map<String, String> settings, LocalDate from, @Nullable LocalDate until) {
    Picture.AtWork own = new Picture.AtWork(UUID.nameUUIDFromBytes((lift + method + from).getBytes()), lift, method, settings, from, until);
    methods.add(own);
    return own;
  }

  /** A session so many days ago, or from today on, of one lift. */
  Pictures lifted(int daysAgo, String lift, String work, String... sets) {
    return line(-daysAgo, SlotKind.MAIN, lift, work, null, "", sets);
  }

  Pictures ahead(int days, String lift, String work) {
    return line(days, SlotKind.MAIN, lift, work, null, "");
  }

  Pictures line(int days, SlotKind kind, String lift, String work, Picture.@Nullable AtWork method, String remark, String... sets) {
    Lift of = LIFTS.ofKey(lift).orElseThrow();
    List<Picture.Lifted> done = Arrays.stream(sets).map(set -> set(of, LineEdit.read(work), set)).toList();
    List<Picture.Line> lines = days(days);
    UUID ref = UUID.nameUUIDFromBytes((days + lift + work + lines.size()).getBytes());
    lines.add(new Picture.Line(ref, kind, PlannedLine.of(of, work), method, false, remark, done));
    return this;
  }

  private List<Picture.Line> days(int days) {
    return this.days.computeIfAbsent(day(days), any -> new ArrayList<>());
  }

  Pictures ended(int daysAgo) {
    ended.put(day(-daysAgo), true);
    return this;
  }

  private Picture.Lifted set(Lift lift, WorkLine line, String written) {
    String[] words = written.split(" ", 2);
    String[] figures = words[0].split("[x/]");
    String rest = words.length > 1 ? words[1] : "";
    Part part = line.parts().get(rest.contains("part 2") ? 1 : 0);
    int reps = Integer.parseInt(figures[1]);
    Rpe rated = rest.startsWith("@") ? Rpe.of(Double.parseDouble(rest.substring(1).split("[ ,]")[0])) : null;
    boolean plus = part.work() instanceof Work.SetsOfReps sets && (sets.reps() instanceof Reps.AtLeast || sets.reps() instanceof Reps.Open);
    Set<Context> state = EnumSet.noneOf(Context.class);
    Arrays.stream(Context.values()).filter(context -> rest.contains(context.word())).forEach(state::add);
    List<TechniqueMark> marks = Arrays.stream(TechniqueMark.values()).filter(mark -> mark != TechniqueMark.OTHER
        && rest.contains(mark.word()))
        .toList();
    HowEnded how = Arrays.stream(HowEnded.values()).filter(one -> rest.contains(one.word())).findFirst().orElse(null);
    String speed = rest.contains("m/s") ? rest.replaceAll(".*?(\\d\\.\\d+) m/s.*", "$1") : null;
    String askedLoad = rest.contains("for ") ? rest.replaceAll(".*for (\\d+(\\.\\d+)?).*", "$1") : figures[0];
    Integer asked = figures.length > 2 ? Integer.valueOf(figures[2]) : Integer.valueOf(reps);
    return new Picture.Lifted(ids++, lift, 1, kg(figures[0]), reps, rest.contains("open") ? null : asked, kg(askedLoad),
        part.rpe() == null ? null : Double.valueOf(part.rpe().middle()), plus && rest.contains("last") || rest.contains("open"), rated,
        rest.contains("easier"), how, state, marks, speed == null ? null
            : new RepSpeeds(List.of((int) Math.round(1000 * Double.parseDouble(speed)))), rest.contains("extra"));
  }

  Pictures said(int daysAgo, @Nullable Double sleep, @Nullable Integer energy, @Nullable Integer joints, Pain... pains) {
    answers.add(new Picture.Answers(ids++, day(-daysAgo), new CheckIn(sleep == null ? null : Integer.valueOf((int) (2 * sleep)), energy,
        joints, null, List.of(pains))));
    return this;
  }

  static Pain pain(BodyPlace place, Pain.@Nullable Side side, int score) {
    return new Pain(place, side, score, "");
  }

  Pictures complains(BodyPlace place, int score, int daysAgo) {
    complaints.add(new Picture.Complaint(ids++, place, place.word(), day(-daysAgo), score));
    return this;
  }

  Pictures weighs(int daysAgo, String mass) {
    weighed.add(new Picture.Weighed(ids++, day(-daysAgo), kg(mass)));
    return this;
  }

  Picture make() {
    Map<String, LifterContext.Known> known = new HashMap<>();
    numbers.forEach((lift, own) -> known.put(lift, new LifterContext.Known(own, bases.getOrDefault(lift, Basis.ESTIMATED), null,
        EffortChart.HOUSE, level)));
    LifterContext context = new LifterContext(MassUnit.KG, kg("90"), known, RampStyle.SHRINKING, LIFTS,
        LifterContext.Loads.of(KIT, LIFTS, MassUnit.KG, loaded -> SEARCHED.computeIfAbsent(loaded, PlaceKit.Loaded::search)));
    Map<String, Picture.OfLift> lifts = new HashMap<>();
    numbers.forEach((key, own) -> lifts.put(key, new Picture.OfLift(LIFTS.ofKey(key).orElseThrow(), level, own.tested(), tests.get(key),
        points.getOrDefault(key, List.of()), heaviest.get(key), courses.get(key), 0.9, moves)));
    List<Picture.Session> sessions = new ArrayList<>();
    days.forEach((date, lines) -> sessions.add(new Picture.Session(date.toEpochDay(), date, ended.getOrDefault(date, false), false,
        lines)));
    return new Picture(TODAY, new Picture.Person(level, strained, free), context, lifts, sessions, answers, complaints, weighed, contest,
        methods, deloads, week, new Figures(figures));
  }

  /** The calls of all rules. */
  List<Call> calls() {
    return CallRules.look(make());
  }

  /** The call of a rule; null where it says nothing. */
  @Nullable Call call(String rule) {
    return calls().stream().filter(call -> call.rule().equals(rule)).findFirst().orElse(null);
  }

  /** What the first proposal of a call writes: {@code squat 3x5 77.5%}. */
  static List<String> writes(Call call) {
    return writes(call.proposals().get(0));
  }

  static List<String> writes(Proposal proposal) {
    List<String> all = new ArrayList<>();
    for (Effect effect : proposal.effects()) {
      if (effect instanceof Effect.Rewrite edit) {
        all.add(edit.toLift() + " " + edit.after());
      } else if (effect instanceof Effect.Add add) {
        all.add("+" + add.lift() + " " + add.work());
      } else {
        all.add(effect.toString());
      }
    }
    return all;
  }
}

package org.yarbel.core.watch;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.ParsedLine;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.progress.Method;

/** Written weeks for tests, a line each: {@code Mon main squat 5x5 80%}. Squat 200, bench 140, deadlift 240 kg unless said. */
final class Weeks {
  static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  static final Catalogue LIFTS = Catalogue.standard();

  private static final Loadables LOADABLES = Loadables.of(new Kit(kg("20"), kg("0"), PlateStock.standard(MassUnit.KG)));

  final Map<String, Mass> maxes = new HashMap<>(Map.of("squat", kg("200"), "bench", kg("140"), "deadlift", kg("240")));
  final Map<String, Mass> heaviest = new HashMap<>();
  final Map<String, Athlete.Goal> goals = new HashMap<>();
  final Map<String, List<Method>> methods = new HashMap<>();
  final Map<String, LocalDate> lastTrained = new HashMap<>();
  final Map<Threshold, Double> figures = new HashMap<>();
  final List<WeekTotals> past = new ArrayList<>();
  @Nullable Integer age = 30;
  @Nullable Sex sex = Sex.MALE;
  final List<Athlete.Pain> pains = new ArrayList<>();
  boolean forecast;
  @Nullable Method method;
  final Set<DayOfWeek> free = EnumSet.noneOf(DayOfWeek.class);
  final List<CountedLine> before = new ArrayList<>();
  final Map<String, Around.ShortCluster> clusters = new HashMap<>();
  LocalDate today = MONDAY;
  boolean deloadFollows;
  boolean edited;
  boolean dieting;
  boolean strained;
  boolean peaking;
  @Nullable Level level = Level.INTERMEDIATE;
  @Nullable Deload deload;
  @Nullable Bar bar;
  int weeksSinceDeload;

  static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  /** The week of these lines. */
  WatchedWeek of(String... lines) {
    Athlete athlete = new Athlete(sex, age, dieting, strained, level, maxes, heaviest, goals, methods, pains, free);
    return new WatchedWeek(MONDAY, athlete, watched(lines), past, lastTrained, weeksSinceDeload, deload, peaking,
        new Figures(figures), new Around(today, before, deloadFollows, clusters));
  }

  /** What one check says of these lines. */
  List<Finding> find(String check, String... lines) {
    return Checks.ofKey(check).orElseThrow().look(of(lines));
  }

  /** Lines of the week before. */
  void before(String... lines) {
    watched(lines).forEach(line -> before.add(line.counted().on(line.counted().day().minusWeeks(1))));
  }

  /** A week as it counts among the last ones. */
  WeekTotals totals(String... lines) {
    return WeekTotals.of(watched(lines).stream().map(WatchedLine::counted).toList());
  }

  private List<WatchedLine> watched(String... lines) {
    List<WatchedLine> watched = new ArrayList<>();
    Map<String, Integer> places = new HashMap<>();
    for (String text : lines) {
      String[] words = text.split(" ", 4);
      LocalDate day = MONDAY.plusDays(day(words[0]).getValue() - 1L);
      watched.add(line(watched.size() + 1, day, SlotKind.valueOf(words[1].toUpperCase(Locale.ROOT)), words[2], words[3],
          places.merge(words[0], 1, Integer::sum)));
    }
    return watched;
  }

  private static DayOfWeek day(String word) {
    for (DayOfWeek day : DayOfWeek.values()) {
      if (day.name().startsWith(word.toUpperCase(Locale.ROOT))) {
        return day;
      }
    }
    throw new IllegalArgumentException(word);
  }

  private WatchedLine line(long id, LocalDate day, SlotKind kind, String key, String work, int place) {
    Lift lift = LIFTS.ofKey(key).orElseThrow();
    Mass max = maxes.get(key);
    ParsedLine parsed = WorkLine.parse(work);
    Map<String, MaxNumbers> others = new HashMap<>();
    maxes.forEach((other, mass) -> others.put(other, numbers(other, mass)));
    ResolvedLine resolved = Resolver.resolve(new Resolver.Request(parsed, Basis.ESTIMATED, max == null ? MaxNumbers.NONE
        : numbers(key, max), others, null, LOADABLES,
        MassUnit.KG, EffortChart.HOUSE, lift.movement(), lift.variation().partial(), List.of(), null, level));
    return new WatchedLine(CountedLine.of(id, day, kind, lift, resolved, max, EffortChart.HOUSE, LIFTS), parsed.line(), max, level, method,
        edited, forecast, bar, place);
  }

  private MaxNumbers numbers(String key, Mass max) {
    Athlete.Goal goal = goals.get(key);
    return new MaxNumbers(null, max, MaxNumbers.trainingFrom(max), goal == null ? null : goal.max());
  }
}

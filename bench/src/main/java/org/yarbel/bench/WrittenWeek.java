package org.yarbel.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.WarmUp;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
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
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.core.watch.Around;
import org.yarbel.core.watch.Athlete;
import org.yarbel.core.watch.Checks;
import org.yarbel.core.watch.Figures;
import org.yarbel.core.watch.Finding;
import org.yarbel.core.watch.WatchedLine;
import org.yarbel.core.watch.WatchedWeek;

/**
 * A week of four days for one lifter: four methods write it, sixteen lines are worked out with ramps and plates, and every
 * check looks at it. Another lifter and another week of the methods each time; the kit's table is built before.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class WrittenWeek {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final List<Method> METHODS = List.of(Method.GOAL_WAVE, Method.RPE_WEEKS, Method.PLUS_SETS, Method.FALLING_BACKOFFS);
  private static final List<String> MAIN = List.of("squat", "bench", "deadlift", "bench");
  private static final List<String> BESIDE = List.of("second front-squat 3x5 70% of squat", "second close-grip-bench 4x6 65% of bench",
      "assistance row 4x8", "assistance leg-curl 3x10-12");

  private final Loadables kilograms = Loadables.of(Kit.standard(MassUnit.KG));
  private final List<WeekTotals> past = new ArrayList<>();
  private int turn;

  /** Fills the weeks before. */
  public WrittenWeek() {
    WatchedWeek before = week();
    past.addAll(List.of(before.totals(), before.totals(), before.totals()));
  }

  @Benchmark
  public List<Finding> writtenWorkedOutAndChecked() {
    return Checks.look(week());
  }

  private WatchedWeek week() {
    turn++;
    Mass max = Mass.of(Integer.toString(120 + turn % 200), MassUnit.KG);
    MaxNumbers numbers = new MaxNumbers(max, max, max.scaled(0.9), max.scaled(1.05));
    Map<String, MaxNumbers> others = Map.of("squat", numbers, "bench", numbers, "deadlift", numbers);
    List<WatchedLine> lines = new ArrayList<>();
    for (int day = 0; day < 4; day++) {
      int place = 1;
      Lift main = LIFTS.ofKey(MAIN.get(day)).orElseThrow();
      Method method = METHODS.get(day);
      Brief brief = new Brief(main, MassUnit.KG, numbers, EffortChart.HOUSE, kilograms, Settings.defaults(method), 1, LIFTS);
      for (Exposure.Line line : method.rule().write(brief, List.of(), turn % 10, 0).lines()) {
        lines.add(line(lines.size(), day, place++, line.kind(), line.lift(), line.work().toString(), numbers, others));
      }
      for (String beside : BESIDE.subList(0, 3)) {
        String[] words = beside.split(" ", 3);
        lines.add(line(lines.size(), day, place++, SlotKind.valueOf(words[0].toUpperCase(Locale.ROOT)), words[1], words[2],
            numbers, others));
      }
    }
    Athlete.Goal goal = new Athlete.Goal(max.scaled(1.05), MONDAY.plusWeeks(8), max, MONDAY.minusWeeks(2));
    Athlete athlete = new Athlete(Sex.FEMALE, 30, false, false, Level.ADVANCED, Map.of("squat", max, "bench", max, "deadlift", max),
        Map.of("squat", max.scaled(0.95)), Map.of("squat", goal), Map.of("squat", List.of(Method.GOAL_WAVE)), List.of(), Set.of());
    return new WatchedWeek(MONDAY, athlete, lines, past, Map.of("deadlift", MONDAY.minusDays(3)), 4, null, true,
        Figures.USUAL, Around.nothing(MONDAY));
  }

  private WatchedLine line(int id, int day, int place, SlotKind kind, String key, String work, MaxNumbers numbers,
      Map<String, MaxNumbers> others) {
    Lift lift = LIFTS.ofKey(key).orElseThrow();
    ParsedLine parsed = WorkLine.parse(work);
    ResolvedLine resolved = Resolver.resolve(new Resolver.Request(parsed, Basis.ESTIMATED, lift.powerlift() ? numbers
        : MaxNumbers.NONE, others, null, kilograms, MassUnit.KG, EffortChart.HOUSE, lift.movement(), lift.variation().partial(),
        List.of(), WarmUp.SHRINKING, Level.ADVANCED));
    Mass max = lift.powerlift() ? numbers.estimated() : null;
    return new WatchedLine(CountedLine.of(id, MONDAY.plusDays(day), kind, lift, resolved, max, EffortChart.HOUSE, LIFTS), parsed.line(),
        max, Level.ADVANCED, null, false, false, null, place);
  }
}

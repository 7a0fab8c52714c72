package org.yarbel.bench;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
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
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.watch.Around;
import org.yarbel.core.watch.Athlete;
import org.yarbel.core.watch.Checks;
import org.yarbel.core.watch.Figures;
import org.yarbel.core.watch.Finding;
import org.yarbel.core.watch.WatchedLine;
import org.yarbel.core.watch.WatchedWeek;

/**
 * Sixteen weeks of four days to a contest: proposed, written, every line worked out with its ramp and plates, every week
 * checked. Another lifter each time; the kit's table is built before. And what a refit of such a plan takes.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class LongPlan {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final LocalDate CONTEST = MONDAY.plusWeeks(15).plusDays(5);
  private static final List<String> MAIN = List.of("squat", "bench", "deadlift");

  private final Loadables kilograms = Loadables.of(Kit.standard(MassUnit.KG));
  private final Macrocycle plan = proposed();
  private int turn;

  private static Macrocycle proposed() {
    return Proposal.of(new Proposal.Request(Level.INTERMEDIATE, MAIN.stream().map(key -> LIFTS.ofKey(key).orElseThrow()).toList(),
        List.of(),
        EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.THURSDAY, DayOfWeek.SATURDAY), CONTEST, MONDAY, false,
        Deload.HALF_LOAD, MassUnit.KG, List.of())).plan();
  }

  @Benchmark
  public List<Finding> proposedWrittenWorkedOutAndChecked() {
    turn++;
    Macrocycle macrocycle = proposed();
    Mass max = Mass.of(Integer.toString(120 + turn % 200), MassUnit.KG);
    MaxNumbers numbers = new MaxNumbers(max, max, max.scaled(0.9), max.scaled(1.05));
    Map<LocalDate, List<WatchedLine>> weeks = new HashMap<>();
    for (Written line : Written.all(macrocycle, (key, settings, perWeek) -> new Brief(LIFTS.ofKey(key).orElseThrow(), MassUnit.KG,
        numbers, EffortChart.HOUSE, kilograms, settings, perWeek, LIFTS), LIFTS, macrocycle.startsOn(), macrocycle.end())) {
      weeks.computeIfAbsent(Macrocycle.monday(line.day()), week -> new ArrayList<>()).add(line(line, numbers));
    }
    List<Finding> findings = new ArrayList<>();
    List<WeekTotals> past = new ArrayList<>();
    for (Macrocycle.Week week : macrocycle.allWeeks()) {
      List<WatchedLine> lines = weeks.getOrDefault(week.monday(), List.of());
      Athlete athlete = new Athlete(Sex.FEMALE, 30, false, false, Level.INTERMEDIATE,
          Map.of("squat", max, "bench", max, "deadlift", max), Map.of(),
          Map.of("squat", new Athlete.Goal(max.scaled(1.05), CONTEST, max, MONDAY)), Map.of(), List.of(), Set.of());
      WatchedWeek watched = new WatchedWeek(week.monday(), athlete, lines, past.subList(Math.max(0, past.size() - 3), past.size()),
          Map.of(), week.week(),
          week.easy() ? week.block().easy() : null, week.block().purpose().peaking(), Figures.USUAL, Around.nothing(MONDAY));
      findings.addAll(Checks.look(watched));
      past.add(watched.totals());
    }
    return findings;
  }

  @Benchmark
  public Refit refittedToAnotherDate() {
    turn++;
    return Refit.toDate(plan, CONTEST.plusWeeks(turn % 12 - 6), MONDAY.plusWeeks(turn % 5));
  }

  private WatchedLine line(Written written, MaxNumbers numbers) {
    Lift lift = LIFTS.ofKey(written.lift()).orElseThrow();
    ParsedLine parsed = WorkLine.parse(written.work());
    ResolvedLine resolved = Resolver.resolve(new Resolver.Request(parsed, Basis.ESTIMATED, numbers, Map.of(), null, kilograms,
        MassUnit.KG, EffortChart.HOUSE, lift.movement(), lift.variation().partial(), List.of(), WarmUp.SHRINKING, Level.INTERMEDIATE));
    return new WatchedLine(CountedLine.of(0, written.day(), written.kind(), lift, resolved, numbers.estimated(), EffortChart.HOUSE,
        LIFTS), parsed.line(), numbers.estimated(), Level.INTERMEDIATE, null, false, false, null, 1);
  }
}

package org.yarbel.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.DayOdds;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.NextAttempt;
import org.yarbel.core.contest.OddsTable;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.meet.Entrant;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.contest.strongman.ContestedEvent;
import org.yarbel.core.contest.strongman.EventKind;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.contest.strongman.EventTable;
import org.yarbel.core.contest.strongman.Overall;
import org.yarbel.core.contest.strongman.Scenarios;
import org.yarbel.core.contest.strongman.Scoring;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** A contest's day: the next attempt, what a phone takes along, the tables, and what the last two events can still bring. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class ContestDay {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 14);
  private static final RuleSet RULES = RuleSet.usual();
  private static final int MANY = 200;
  private static final int FIELD = 12;
  private static final int STANDINGS = 40;
  private static final MeetTable.Counting DOTS = new MeetTable.Counting(PointsFormula.DOTS, PointsFormula.Gear.CLASSIC,
      PointsFormula.Event.FULL);

  private final Random random = new Random(11);
  private final DayOdds before = DayOdds.of(new Tracker(Level.ADVANCED, new TestedMax(kilograms(200), DAY.minusDays(10)))
      .run(List.of(), MassUnit.KG).standing().on(DAY), DayOdds.USUAL_RATIO);
  private final List<Entrant> entrants = IntStream.range(0, MANY).mapToObj(this::entrant).toList();
  private final List<String> field = IntStream.range(0, FIELD).mapToObj(number -> "athlete " + number).toList();
  private final List<Overall> standings = IntStream.range(0, STANDINGS).mapToObj(number -> standing(number % 6)).toList();
  private int turn;

  private static Mass kilograms(double amount) {
    return Mass.of(Double.toString(amount), MassUnit.KG);
  }

  private Entrant entrant(int number) {
    List<LiftDay> lifts = new ArrayList<>();
    for (String lift : RULES.platform().lifts()) {
      double opener = 100 + 2.5 * random.nextInt(60);
      lifts.add(new LiftDay(lift, IntStream.range(0, 3).mapToObj(attempt -> Attempt.of(attempt + 1, kilograms(opener + 7.5 * attempt),
          random.nextInt(4) > 0 ? Verdict.good(null) : Verdict.not(null))).toList()));
    }
    return new Entrant(number, "class " + number % 8, Sex.MALE, kilograms(66 + random.nextInt(60)), lifts);
  }

  private Overall standing(int events) {
    List<EventTable> done = new ArrayList<>();
    for (int event = 0; event < events; event++) {
      List<String> order = new ArrayList<>(field);
      Collections.shuffle(order, random);
      Map<String, EventResult> results = new LinkedHashMap<>();
      order.forEach(athlete -> results.put(athlete, EventResult.of(EventKind.Field.REPS, Integer.toString(results.size() + 1))));
      done.add(EventTable.of(new ContestedEvent("reps", EventKind.REPS, false), results, Scoring.USUAL, FIELD));
    }
    return Overall.of(field, done, Scoring.USUAL, Set.of());
  }

  @Benchmark
  public List<NextAttempt.Choice> nextAttempt() {
    LiftDay day = new LiftDay("squat", List.of(Attempt.of(1, kilograms(175 + 2.5 * (turn++ % 6)), Verdict.good(Verdict.Look.RIGHT))));
    return NextAttempt.of(day, RULES, before.after(day.attempts()));
  }

  @Benchmark
  public OddsTable takenAlong() {
    return OddsTable.of(new LiftDay("squat", List.of()), RULES, before, kilograms(175 + 2.5 * (turn++ % 6)));
  }

  @Benchmark
  public MeetTable tableOfTwoHundred() {
    return MeetTable.of(entrants, RULES, DOTS);
  }

  @Benchmark
  public Scenarios lastTwoEvents() {
    turn++;
    return Scenarios.of(standings.get(turn % STANDINGS), 2, Scoring.USUAL, field.get(turn % FIELD));
  }
}

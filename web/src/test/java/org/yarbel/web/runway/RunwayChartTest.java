package org.yarbel.web.runway;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.FitnessFatigue;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.core.plan.cycle.TaperShape;

class RunwayChartTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final LocalDate TODAY = MONDAY.plusWeeks(3).plusDays(2);
  private static final LocalDate CONTEST = MONDAY.plusWeeks(11).plusDays(5);
  private static final Lift SQUAT = Catalogue.standard().ofKey("squat").orElseThrow();

  private static Macrocycle plan() {
    return Proposal.of(new Proposal.Request(Level.INTERMEDIATE, List.of(SQUAT), List.of(), EnumSet.of(DayOfWeek.MONDAY), CONTEST,
        MONDAY, false, Deload.HALF_LOAD, MassUnit.KG, List.of())).plan();
  }

  private static RunwayService.ShownRunway shown() {
    Macrocycle plan = plan();
    List<RunwayWeek> weeks = new ArrayList<>();
    plan.allWeeks().forEach(week -> weeks.add(RunwayWeek.of(week.monday(), CONTEST, week,
        List.of(new RunwayWeek.Family(SQUAT, "Squat")), List.of(), List.of(),
        week.monday().equals(Macrocycle.monday(CONTEST)) ? List.of(new RunwayWeek.MarkView("C", "Marsh End Cup")) : List.of(), TODAY)));
    Map<LocalDate, Double> loads = new TreeMap<>();
    for (int week = -20; week < 12; week++) {
      loads.put(MONDAY.plusWeeks(week), 40.0);
    }
    return new RunwayService.ShownRunway(TODAY, CONTEST, plan.placed(), weeks, FitnessFatigue.curve(loads, TODAY, MONDAY, CONTEST),
        FitnessFatigue.curve(TaperShape.ONE_WEEK.applied(loads, CONTEST, TODAY), TODAY, MONDAY, CONTEST), List.of());
  }

  @Test
  void countsTheWeeksDownToTheContestAtTheRight() {
    RunwayChart chart = RunwayChart.of(shown());
    assertThat(chart.labels().stream().filter(label -> label.kind().startsWith("rw-out")).map(RunwayChart.Label::text))
        .containsExactly("11", "10", "9", "8", "7", "6", "5", "4", "3", "2", "1", "0", "+1");
    assertThat(chart.columns()).extracting(RunwayChart.WeekColumn::x).isSorted();
    assertThat(chart.columns()).filteredOn(RunwayChart.WeekColumn::now).singleElement()
        .satisfies(column -> assertThat(column.monday()).isEqualTo("2026-03-23"));
    assertThat(chart.first()).isEqualTo(3);
    assertThat(chart.paths()).filteredOn(path -> path.kind().equals("rw-contest")).hasSize(1);
    assertThat(chart.labels()).filteredOn(label -> label.kind().equals("rw-mark contest")).singleElement()
        .satisfies(label -> assertThat(label.text()).isEqualTo("C"));
  }

  @Test
  void drawsEachBlockInItsOwnPatternAndWithoutGaps() {
    RunwayChart chart = RunwayChart.of(shown());
    assertThat(chart.blocks()).extracting(RunwayChart.BlockShape::title).containsExactly("volume", "strength", "peak", "taper", "off");
    Set<String> fills = new HashSet<>(chart.blocks().stream().map(RunwayChart.BlockShape::fill).toList());
    assertThat(fills).as("patterns, not only words, tell them apart").hasSize(5);
    for (int i = 1; i < chart.blocks().size(); i++) {
      RunwayChart.BlockShape before = chart.blocks().get(i - 1);
      assertThat(chart.blocks().get(i).x()).isCloseTo(before.x() + before.width(), org.assertj.core.api.Assertions.within(0.2));
    }
    assertThat(chart.blocks().get(0).words()).isEqualTo("Change the block volume, 4 weeks from 2 Mar");
  }

  @Test
  void drawsReadinessWithItsBandAndTheOtherTaper() {
    RunwayChart chart = RunwayChart.of(shown());
    assertThat(chart.paths()).extracting(RunwayChart.Path::kind).contains("rw-band", "rw-ready", "rw-ready other", "rw-today");
    assertThat(chart.paths()).filteredOn(path -> path.kind().equals("rw-band")).singleElement()
        .satisfies(path -> assertThat(path.d()).startsWith("M").endsWith("Z"));
    assertThat(chart.paths()).allSatisfy(path -> assertThat(path.d()).doesNotContain("NaN").doesNotContain("Infinity"));
    assertThat(chart.rects()).allSatisfy(rect -> assertThat(rect.width()).isNotNegative());
  }

  @Test
  void aWeekIsSaidInWords() {
    RunwayWeek last = shown().weeks().get(11);
    assertThat(last.words()).isEqualTo("Week of 18 May, the contest's: Taper, week 2 of 2. No hard sets. Marsh End Cup.");
    assertThat(shown().weeks().get(10).words()).startsWith("Week of 11 May, 1 week out: Taper, week 1 of 2.");
    assertThat(shown().weeks().get(6).block()).isEqualTo("Strength, week 3 of 3, easy: half the load");
    assertThat(last.reps()).isEqualTo("0 · 0 · 0 · 0");
  }

  @Test
  void theWayToAGoalIsDrawnAndSaid() {
    Mass goal = Mass.of("210", MassUnit.KG);
    GoalCourse course = new GoalCourse(Mass.of("200", MassUnit.KG), MONDAY, goal, CONTEST);
    GoalChart chart = GoalChart.of(new RunwayService.Goal(SQUAT, course, List.of(), 1.26, Mass.of("200", MassUnit.KG)), MONDAY,
        CONTEST.plusDays(2), MassUnit.KG);
    assertThat(chart.words()).isEqualTo("Squat: from 200 kg to 210 kg on 23 May; now 200 kg, 1.3 % behind the line");
    assertThat(chart.low()).isEqualTo("200");
    assertThat(chart.high()).isEqualTo("210");
    assertThat(chart.line().split(" ")).hasSize(2);
    GoalChart none = GoalChart.of(new RunwayService.Goal(SQUAT, null, List.of(), null, null), MONDAY, CONTEST, MassUnit.LB);
    assertThat(none.words()).isEqualTo("Squat: now unknown, no goal with a date");
    assertThat(none.line()).isEmpty();
  }
}

package org.yarbel.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.WarmUp;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Recovery.Modifier;
import org.yarbel.core.plan.Recovery.Quality;

/** Volume, zones, minutes and recovery against figures worked by hand from the handbook. */
class CountsTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
  private static final Loadables LOADABLES = Loadables.of(new Kit(kg("20"), kg("0"), PlateStock.standard(MassUnit.KG)));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static CountedLine line(long id, SlotKind kind, String key, String work) {
    Lift lift = Catalogue.standard().ofKey(key).orElseThrow();
    MaxNumbers numbers = new MaxNumbers(null, kg("200"), null, null);
    return CountedLine.of(id, DAY, kind, lift, Resolver.resolve(new Resolver.Request(WorkLine.parse(work), Basis.ESTIMATED, lift.powerlift()
        ? numbers : MaxNumbers.NONE,
        Map.of("squat", numbers), null, LOADABLES, MassUnit.KG, EffortChart.HOUSE, lift.movement(), false, List.of(), id == 9
            ? WarmUp.SHRINKING : null, null)),
        lift.powerlift() ? kg("200") : null, EffortChart.HOUSE, Catalogue.standard());
  }

  @Test
  void countsHardSets() {
    // 65 % and more, or four in reserve and fewer; lighter ones do not count
    assertThat(line(1, SlotKind.MAIN, "squat", "4x5 65%").hardSets()).isEqualTo(4);
    assertThat(line(1, SlotKind.MAIN, "squat", "4x5 60%").hardSets()).isZero();
    assertThat(line(1, SlotKind.MAIN, "squat", "3x12 60% @8").hardSets()).isEqualTo(3);
    assertThat(line(1, SlotKind.ASSISTANCE, "leg-curl", "3x10-12").hardSets()).isEqualTo(3);
    assertThat(line(1, SlotKind.COOL_DOWN, "leg-curl", "3x10").hardSets()).isZero();
    assertThat(line(1, SlotKind.MAIN, "squat", "warm 1x5 70%; 2x3 80%").hardSets()).isEqualTo(2);
  }

  @Test
  void tellsHardFromLight() {
    assertThat(line(1, SlotKind.MAIN, "squat", "1x1 85%").hard()).isTrue();
    assertThat(line(1, SlotKind.MAIN, "squat", "3x5 @8.5").hard()).isTrue();
    assertThat(line(1, SlotKind.MAIN, "squat", "3x3 80%").hard()).isFalse();
    assertThat(line(1, SlotKind.MAIN, "squat", "3x3 60%").light()).isTrue();
    assertThat(line(1, SlotKind.MAIN, "squat", "3x3 72%").light()).isFalse();
  }

  @Test
  void sumsUpAWeek() {
    WeekTotals totals = WeekTotals.of(List.of(line(1, SlotKind.MAIN, "squat", "5x5 75%"), line(2, SlotKind.SECOND, "paused-squat",
        "3x5 70% of squat"),
        line(3, SlotKind.ASSISTANCE, "leg-curl", "3x10"), line(4, SlotKind.PREPARE, "bike", "1x10")));
    WeekTotals.OfLift squat = totals.lifts().get(0);
    assertThat(squat.lift().key()).isEqualTo("squat");
    assertThat(squat.hardSets()).isEqualTo(8);
    assertThat(squat.reps()).isEqualTo(40);
    // 25 x 150 + 15 x 140 kg
    assertThat(squat.tonnes()).isCloseTo(5.85, within(1e-9));
    assertThat(squat.zones()).containsEntry(Zone.FROM_70, 25.0);
    // squats weigh 1.5 in muscle counts
    assertThat(totals.muscles()).containsEntry(Muscle.QUADS, 12.0).containsEntry(Muscle.HAMSTRINGS, 3.0);
    // paused squats are a close variant
    assertThat(totals.mainReps()).isEqualTo(40);
    assertThat(totals.mainShare()).isCloseTo(100 * 40 / 70.0, within(1e-9));
    assertThat(totals.hardSets()).isEqualTo(11);
  }

  @Test
  void weighsASessionByRepsAndPercentSquared() {
    // 25 reps at 75 %: 25 x 0.5625
    assertThat(line(1, SlotKind.MAIN, "squat", "5x5 75%").sessionLoad()).isCloseTo(14.0625, within(1e-9));
  }

  @Test
  void estimatesMinutes() {
    // 2 min, five sets of five at 4 s (100 s), four rests of 2:30 at 75 %: 820 s
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "squat", "5x5 75%"), null, null)))).isEqualTo(14);
    CountedLine ramped = line(9, SlotKind.MAIN, "squat", "5x5 75%");
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(ramped, null, null))))
        .isEqualTo(Math.round((820 + 60 * ramped.ramp().size()) / 60f));
    // 2 min and ten minutes on the clock
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "squat", "density 10 90% in 10:00"), null, null))))
        .isEqualTo(12);
    // a tempo of 5 s a rep: 2 min, 3 x 4 x 5 s, two written rests of a minute
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "squat", "3x4 60% rest 60s tempo 3-1-1-0"), null,
        null)))).isEqualTo(5);
  }

  @Test
  void estimatesMinutesOfAGroupByTurns() {
    CountedLine row = line(1, SlotKind.ASSISTANCE, "row", "3x10");
    CountedLine curl = line(2, SlotKind.ASSISTANCE, "curl", "3x10");
    Group superset = new Group(Group.Kind.SUPERSET, null, 0, 90, null);
    // 4 min for two exercises, six sets of 40 s, rests only between the three rounds: 240 + 240 + 180 = 660 s
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(row, 1L, superset), new SessionTime.Line(curl, 1L, superset))))
        .isEqualTo(11);
    // one after another each line rests 1:30 after its sets: five rests of 90 s
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(row, null, null), new SessionTime.Line(curl, null, null))))
        .isEqualTo(Math.round((480 + 450) / 60f));
  }

  @Test
  void estimatesMinutesOfClocksAndCarries() {
    // 2 min and eight starts of a minute
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "squat", "emom 8x2 70%"), null, null))))
        .isEqualTo(10);
    // 2 min, three rounds of six singles (24 s and five gaps of 20 s), two rests of 4 min: 120 + 372 + 480
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "squat", "cluster 3x6 93% gap 20s rest 4:00"), null,
        null)))).isEqualTo(16);
    // 2 min, three carries of 20 m at a metre a second, two rests of 3 min
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.MAIN, "yoke-walk", "carry 3x20m 200kg"), null,
        null)))).isEqualTo(9);
    // 2 min, three holds of 40 s, two rests of 1:30 as assistance
    assertThat(SessionTime.minutes(List.of(new SessionTime.Line(line(1, SlotKind.ASSISTANCE, "plank", "hold 3x40s"), null, null))))
        .isEqualTo(7);
    assertThat(SessionTime.minutes(List.of())).isZero();
  }

  @ParameterizedTest
  @CsvSource({"69.9, UNDER_70", "70, FROM_70", "79.99, FROM_70", "80, FROM_80", "90, FROM_90", "104, FROM_90"})
  void findsTheZoneOfAShare(double percent, Zone zone) {
    assertThat(Zone.of(percent)).isEqualTo(zone);
  }

  @Test
  void hasPrilepinsNumbers() {
    // Prilepin's table, from memory
    assertThat(Zone.values()).extracting(Zone::fewest).containsExactly(18, 12, 10, 4);
    assertThat(Zone.values()).extracting(Zone::most).containsExactly(30, 24, 20, 10);
    assertThat(Zone.values()).extracting(Zone::best).containsExactly(24, 18, 15, 4);
  }

  @Test
  void dipsAndComesBack() {
    List<Recovery.Session> one = List.of(new Recovery.Session(0, 1));
    // f(0) = -d, f(T) = 0, f(2T) = d·e^-2
    assertThat(Recovery.at(0, one, 5)).isEqualTo(-1);
    assertThat(Recovery.at(5, one, 5)).isCloseTo(0, within(1e-12));
    assertThat(Recovery.at(10, one, 5)).isCloseTo(Math.exp(-2), within(1e-12));
    assertThat(Recovery.at(-1, one, 5)).isZero();
    assertThat(Recovery.at(3, List.of(one.get(0), new Recovery.Session(2, 0.5)), 5)).as("sessions add")
        .isCloseTo(Recovery.at(3, one, 5) + Recovery.at(3, List.of(new Recovery.Session(2, 0.5)), 5), within(1e-12));
    assertThat(new Recovery.Session(0, 9).depth()).isEqualTo(1.5);
    assertThat(new Recovery.Session(0, 0.01).depth()).isEqualTo(0.3);
  }

  @Test
  void takesLongerForSomeThanForOthers() {
    assertThat(Recovery.days(Quality.FORCE, Movement.DEADLIFT, Set.of())).isCloseTo(6.5, within(1e-12));
    assertThat(Recovery.days(Quality.MUSCLE, Movement.BENCH, EnumSet.of(Modifier.OLDER))).isCloseTo(2.5 * 0.7 * 1.1, within(1e-12));
    assertThat(Recovery.days(Quality.TECHNIQUE, Movement.SQUAT, EnumSet.of(Modifier.LIGHTER, Modifier.SHORTER)))
        .isCloseTo(0.81, within(1e-12));
    // the product stays within 0.6 and 1.6
    EnumSet<Modifier> all = EnumSet.of(Modifier.HEAVIER, Modifier.TALLER, Modifier.STRONGER, Modifier.ADVANCED, Modifier.OLDER,
        Modifier.LOW_BAR, Modifier.PEAKING);
    assertThat(Recovery.days(Quality.FORCE, Movement.SQUAT, all)).isCloseTo(8, within(1e-12));
    assertThat(Modifier.of(kg("60"), 1600, 45, org.yarbel.core.lift.Level.BEGINNER, false, true, "front-squat"))
        .containsExactlyInAnyOrder(Modifier.LIGHTER, Modifier.SHORTER, Modifier.OLDER, Modifier.NEWER, Modifier.PEAKING, Modifier.FRONT);
    assertThat(Modifier.of(null, null, null, null, true, false, "row")).containsExactly(Modifier.STRONGER);
    assertThat(Recovery.median(new double[] {3, 1, 2})).isEqualTo(2);
    assertThat(Recovery.median(new double[] {4, 1, 2, 3})).isEqualTo(2.5);
    assertThat(Recovery.median(new double[] {})).isZero();
  }
}

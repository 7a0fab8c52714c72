package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.yarbel.core.plan.cycle.Plans.MONDAY;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;

/** The long plan at its limits: week by week, and a little beside each. Lengths are our own, from common practice. */
class CycleLimitsTest {
  private static String plain(Macrocycle plan) {
    return Plans.text(plan).replace(" easy", "");
  }

  // taper: one week under 6, two under 12, else by level; singles: 1 from 3 weeks, 2 from 7, 3 from 10; volume where 5
  // weeks or more are left
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "INTERMEDIATE | 1  | taper 1",
      "INTERMEDIATE | 2  | strength 1, taper 1",
      "INTERMEDIATE | 3  | strength 1, peak 1, taper 1",
      "INTERMEDIATE | 5  | strength 3, peak 1, taper 1",
      "INTERMEDIATE | 6  | strength 3, peak 1, taper 2",
      "INTERMEDIATE | 7  | strength 3, peak 2, taper 2",
      "INTERMEDIATE | 8  | strength 4, peak 2, taper 2",
      "INTERMEDIATE | 9  | volume 3, strength 2, peak 2, taper 2",
      "INTERMEDIATE | 10 | volume 3, strength 2, peak 3, taper 2",
      "INTERMEDIATE | 11 | volume 3, strength 3, peak 3, taper 2",
      "INTERMEDIATE | 12 | volume 4, strength 3, peak 3, taper 2",
      "INTERMEDIATE | 16 | volume 6, strength 5, peak 3, taper 2",
      "INTERMEDIATE | 17 | volume 3, strength 3, volume 3, strength 3, peak 3, taper 2",
      "ADVANCED     | 5  | strength 3, peak 1, taper 1",
      "ADVANCED     | 9  | volume 2, strength 3, peak 2, taper 2",
      "ADVANCED     | 11 | volume 3, strength 3, peak 3, taper 2",
      "ADVANCED     | 12 | volume 3, strength 3, peak 3, taper 3",
      "ADVANCED     | 13 | volume 3, strength 4, peak 3, taper 3",
      "BEGINNER     | 1  | taper 1",
      "BEGINNER     | 5  | practice 4, taper 1",
      "BEGINNER     | 6  | practice 4, peak 1, taper 1",
      "BEGINNER     | 13 | practice 11, peak 1, taper 1",
      "BEGINNER     | 16 | practice 12, practice 2, peak 1, taper 1",
  })
  void aProposalHasTheseBlocks(Level level, int weeks, String blocks) {
    assertThat(plain(Plans.proposed(level, weeks, 3).plan())).isEqualTo(blocks + ", off 1");
  }

  @Test
  void aProposalSaysWhatTheTimeIsFor() {
    assertThat(Plans.proposed(Level.INTERMEDIATE, 1, 3).reasons()).contains("There is no time to get stronger: openers, and rest.",
        "1 week to the contest, its own week included. The last one is the taper: less volume with the loads kept pays over "
            + "about two weeks (Bosquet et al. 2007); new lifters and short ways need less.");
    assertThat(Plans.proposed(Level.INTERMEDIATE, 8, 3).reasons())
        .contains("The 4 weeks before go to strength: there is no time for volume that pays on the day.",
        "Before it 2 weeks of singles over 90 %, so that they are practised when they count.");
    assertThat(Plans.proposed(Level.INTERMEDIATE, 17, 3).reasons())
        .contains("The 12 weeks before go to volume first and strength second, twice over: what is furthest from the platform "
            + "is least like it.");
    assertThat(Plans.proposed(Level.BEGINNER, 12, 3).reasons())
        .contains("The 10 weeks before go to practice: at this level loads grow by the session.");
    assertThat(Plans.proposed(Level.ADVANCED, 16, 3).reasons()).anyMatch(reason -> reason.endsWith(", a third for an advanced lifter."));
    assertThat(Plans.proposed(Level.INTERMEDIATE, 12, 1).reasons()).contains("One day a week: all lifts on it.");
    assertThat(Plans.proposed(Level.INTERMEDIATE, 12, 3).reasons())
        .contains("On 3 days a week the bench press comes twice, the rest once; further days of a lift are lighter.");
  }

  @ParameterizedTest
  @CsvSource({"52,true", "53,false"})
  void aYearIsPlannedAhead(int weeks, boolean planned) {
    if (planned) {
      assertThat(Plans.proposed(Level.INTERMEDIATE, weeks, 3).plan().over()).isZero();
    } else {
      assertThatThrownBy(() -> Plans.proposed(Level.INTERMEDIATE, weeks, 3)).isInstanceOf(Refused.class)
          .hasMessageContaining("more than a year away");
    }
  }

  // in ten weeks 7 % or 16 kg, whichever is less: of 200 kg 14 kg
  @ParameterizedTest
  @CsvSource({"214,true", "214.01,false", "200.5,true", "200,false", "190,false"})
  void singlesAreOfAGoalThatCanBeBelieved(String goal, boolean believed) {
    Proposal.Request like = Plans.request(Level.INTERMEDIATE, 10, 3);
    Proposal proposal = Proposal.of(new Proposal.Request(like.level(), like.lifts(), like.events(), like.free(), like.contest(),
        like.from(), false, like.deload(), like.unit(),
        List.of(new Proposal.Aim(Plans.lift("squat"), Mass.of("200", MassUnit.KG), Mass.of(goal, MassUnit.KG)))));
    Block peak = proposal.plan().blocks().stream().filter(block -> block.purpose() == Purpose.PEAK).findFirst().orElseThrow();
    assertThat(peak.uses()).filteredOn(use -> use.lift().equals("squat")).singleElement()
        .satisfies(use -> assertThat(use.settings().containsKey("basis")).isEqualTo(believed));
  }

  /** No lift stands on two days in a row, a press three times at the most and the others twice; each stands at least once. */
  @Test
  void theDaysOfALiftAreApart() {
    List<Lift> three = List.of(Plans.lift("squat"), Plans.lift("bench"), Plans.lift("deadlift"));
    for (int chosen = 1; chosen < 128; chosen++) {
      int mask = chosen;
      EnumSet<DayOfWeek> free = EnumSet.noneOf(DayOfWeek.class);
      Arrays.stream(DayOfWeek.values()).filter(day -> (mask >> day.ordinal() & 1) == 1).forEach(free::add);
      Map<Lift, Set<DayOfWeek>> split = DaySplit.of(three, List.of(), free);
      assertThat(split.keySet()).as("%s", free).containsExactlyElementsOf(three);
      split.forEach((lift, days) -> {
        assertThat(days).as("%s of %s", lift.key(), free).isNotEmpty().isSubsetOf(free)
            .hasSizeLessThanOrEqualTo(lift.key().equals("bench") ? 3 : 2);
        if (free.size() > 2) {
          assertThat(days).as("%s of %s", lift.key(), free).noneMatch(day -> days.contains(day.plus(1)));
        }
      });
      long used = split.values().stream().flatMap(Set::stream).distinct().count();
      assertThat(used).as("days used of %s", free).isBetween(1L, 5L).isGreaterThanOrEqualTo(Math.min(3, free.size()));
    }
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "MONDAY                           | squat MON, bench MON, deadlift MON",
      "MONDAY TUESDAY                   | squat MON, bench MON, deadlift TUE",
      "MONDAY THURSDAY                  | squat MON, bench MON THU, deadlift THU",
      "MONDAY WEDNESDAY FRIDAY          | squat MON, bench WED FRI, deadlift FRI",
      "MONDAY TUESDAY WEDNESDAY         | squat MON, bench TUE, deadlift WED",
      "MONDAY TUESDAY THURSDAY SATURDAY | squat MON SAT, bench TUE SAT, deadlift THU",
      "MONDAY TUESDAY THURSDAY FRIDAY   | squat MON FRI, bench TUE FRI, deadlift THU",
  })
  void whoHasTheseDaysLiftsSo(String free, String split) {
    Map<Lift, Set<DayOfWeek>> days = DaySplit.of(List.of(Plans.lift("squat"), Plans.lift("bench"), Plans.lift("deadlift")), List.of(),
        Arrays.stream(free.split(" ")).map(DayOfWeek::valueOf).collect(Collectors.toCollection(() -> EnumSet.noneOf(DayOfWeek.class))));
    Map<Lift, Set<DayOfWeek>> shown = new LinkedHashMap<>(days);
    assertThat(shown.entrySet().stream().map(of -> of.getKey().key() + " " + of.getValue().stream()
        .map(day -> day.name().substring(0, 3)).collect(Collectors.joining(" ")))
        .collect(Collectors.joining(", "))).isEqualTo(split);
  }

  @Test
  void eventsTakeTheSaturdayElseTheLastDay() {
    Lift yoke = Plans.lift("yoke-walk");
    List<Lift> lifts = List.of(Plans.lift("squat"), Plans.lift("log-press"));
    assertThat(DaySplit.of(lifts, List.of(yoke), EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.SATURDAY, DayOfWeek.SUNDAY)).get(yoke))
        .containsExactly(DayOfWeek.SATURDAY);
    assertThat(DaySplit.of(lifts, List.of(yoke), EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY)).get(yoke))
        .containsExactly(DayOfWeek.FRIDAY);
    assertThat(DaySplit.of(lifts, List.of(yoke), EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.FRIDAY)).get(lifts.get(0)))
        .containsExactly(DayOfWeek.MONDAY);
    assertThat(DaySplit.of(lifts, List.of(yoke), EnumSet.of(DayOfWeek.TUESDAY)))
        .allSatisfy((lift, days) -> assertThat(days).containsExactly(DayOfWeek.TUESDAY));
  }

  private static Block block(Purpose purpose, int weeks, int every) {
    return new Block(1, purpose, weeks, every, Deload.HALF_LOAD, null,
        List.of(new Use("squat", Method.RISING, Map.of("from", "65", "to", "75"), Set.of(DayOfWeek.MONDAY))));
  }

  @Test
  void aBlockHasOneToTwentySixWeeks() {
    assertThatCode(() -> block(Purpose.VOLUME, 26, 26)).doesNotThrowAnyException();
    for (int[] wrong : new int[][] {{0, 0}, {27, 0}, {4, -1}, {4, 27}}) {
      assertThatThrownBy(() -> block(Purpose.VOLUME, wrong[0], wrong[1])).isInstanceOf(Refused.class);
    }
    assertThat(IntStream.range(0, 9).filter(week -> block(Purpose.VOLUME, 9, 3).easy(week))).containsExactly(3, 7);
    assertThat(block(Purpose.VOLUME, 9, 3).training()).isEqualTo(7);
    assertThat(block(Purpose.VOLUME, 9, 0).training()).isEqualTo(9);
    assertThat(block(Purpose.VOLUME, 1, 1).training()).isEqualTo(1);
  }

  // a block that ends easy still does from four weeks on; one of five or more gets an easy end where it had none; a peak never has one
  @ParameterizedTest
  @CsvSource({"VOLUME,5,4,4,3", "VOLUME,5,4,3,0", "VOLUME,5,4,6,5", "VOLUME,3,0,4,0", "VOLUME,3,0,5,4", "VOLUME,3,0,3,0",
      "PEAK,3,0,5,0", "HOLD,3,0,5,0", "OFF,3,0,5,0", "VOLUME,9,3,8,3", "VOLUME,4,3,8,7"})
  void aBlockIsStretchedWithItsEasyWeek(Purpose purpose, int weeks, int every, int other, int then) {
    Block stretched = block(purpose, weeks, every).withWeeks(other);
    assertThat(stretched.weeks()).isEqualTo(other);
    assertThat(stretched.every()).isEqualTo(then);
  }

  @Test
  void whatRisesInABlockRisesOnInItsParts() {
    // 65 to 75 in five training weeks are 2.5 a week: 65 67.5 70 | 72.5 75, the easy week last
    List<Block> parts = block(Purpose.VOLUME, 6, 5).split(3, 9);
    assertThat(parts).extracting(Block::weeks).containsExactly(3, 3);
    assertThat(parts).extracting(Block::no).containsExactly(1, 9);
    assertThat(parts).extracting(Block::every).containsExactly(0, 2);
    assertThat(parts.get(0).uses().get(0).settings()).containsAllEntriesOf(Map.of("from", "65", "to", "70"));
    assertThat(parts.get(1).uses().get(0).settings()).containsAllEntriesOf(Map.of("from", "72.5", "to", "75"));
    Block whole = parts.get(0).merged(parts.get(1));
    assertThat(whole.weeks()).isEqualTo(6);
    assertThat(whole.every()).isEqualTo(5);
    assertThat(whole.uses().get(0).settings()).containsAllEntriesOf(Map.of("from", "65", "to", "75"));
    assertThat(block(Purpose.VOLUME, 9, 3).split(5, 2)).as("easy weeks in the fourth and eighth").extracting(Block::every)
        .containsExactly(3, 2);
    assertThat(block(Purpose.VOLUME, 20, 0).merged(block(Purpose.VOLUME, 20, 0)).weeks()).as("no more than a block may have").isEqualTo(26);
    assertThat(block(Purpose.VOLUME, 4, 0).merged(block(Purpose.VOLUME, 4, 0)).every()).isZero();
    assertThat(block(Purpose.VOLUME, 4, 3).merged(block(Purpose.VOLUME, 4, 0)).every()).isEqualTo(3);
    Block other = new Block(2, Purpose.VOLUME, 4, 0, Deload.HALF_LOAD, null,
        List.of(new Use("bench", Method.RISING, Map.of("from", "70", "to", "90"), Set.of(DayOfWeek.MONDAY))));
    assertThat(block(Purpose.VOLUME, 4, 0).merged(other).uses().get(0).settings()).as("another lift's").containsEntry("to", "75");
    assertThat(block(Purpose.VOLUME, 2, 1).split(1, 2)).as("one training week is no rise")
        .allSatisfy(part -> assertThat(part.uses().get(0).settings()).containsEntry("from", "65"));
  }

  @Test
  void weeksAndBasisFollowFromTheBlock() {
    assertThat(Block.derives(Method.RISING, "weeks")).isTrue();
    assertThat(Block.derives(Method.PEAK, "weeks")).isTrue();
    assertThat(Block.derives(Method.RISING, "from")).isFalse();
    assertThat(Block.derives(Method.RPE_WEEKS, "weeks")).isFalse();
    Block of = new Block(1, Purpose.VOLUME, 6, 5, Deload.HALF_LOAD, Basis.GOAL, List.of());
    assertThat(of.settings(new Use("squat", Method.RISING, Map.of(), Set.of(DayOfWeek.MONDAY))))
        .containsAllEntriesOf(Map.of("weeks", "5", "basis", "goal"));
    assertThat(of.settings(new Use("squat", Method.RPE_WEEKS, Map.of("basis", "tested"), Set.of(DayOfWeek.MONDAY))))
        .containsEntry("basis", "tested").doesNotContainKey("weeks");
    assertThat(new Block(1, Purpose.VOLUME, 6, 5, Deload.HALF_LOAD, Basis.TODAY, List.of())
        .settings(new Use("squat", Method.RISING, Map.of(), Set.of(DayOfWeek.MONDAY))))
        .doesNotContainKey("basis");
  }

  private static Macrocycle.Week week(String blocks, int at) {
    return Plans.plan(0, blocks).allWeeks().get(at);
  }

  @Test
  void aWeekIsChangedWhereOtherWorkIsDoneOrAnotherWeekOfIt() {
    Macrocycle.Week first = week("volume 4", 0);
    assertThat(new Refit.Pair(MONDAY, first, week("volume 4", 0)).changed()).isFalse();
    assertThat(new Refit.Pair(MONDAY, null, null).changed()).isFalse();
    assertThat(new Refit.Pair(MONDAY, null, first).changed()).isTrue();
    assertThat(new Refit.Pair(MONDAY, first, null).changed()).isTrue();
    assertThat(new Refit.Pair(MONDAY, first, week("strength 4", 0)).changed()).as("another purpose").isTrue();
    assertThat(new Refit.Pair(MONDAY, first, week("volume 4", 1)).changed()).as("another week").isTrue();
    assertThat(new Refit.Pair(MONDAY, first, week("volume 5", 0)).changed()).as("it rises slower").isTrue();
    // the fourth of four is easy; of five with an easy end it is not, and both have four weeks of training behind them or ahead
    assertThat(new Refit.Pair(MONDAY, week("volume 4 easy", 3), week("volume 4", 3)).changed()).as("easy or not").isTrue();
  }

  @Test
  void aPlanKnowsItsBlocksByTheirNumbers() {
    Macrocycle plan = Plans.plan(0, "volume 4, strength 3");
    assertThat(plan.block(2)).hasValueSatisfying(placed -> {
      assertThat(placed.monday()).isEqualTo(MONDAY.plusWeeks(4));
      assertThat(placed.block().purpose()).isEqualTo(Purpose.STRENGTH);
    });
    assertThat(plan.block(3)).isEmpty();
    assertThat(plan.lastBefore()).isEqualTo(2);
    assertThat(Plans.plan(8, "strength 5, taper 2, off 1, off 2").lastBefore()).isEqualTo(2);
  }

  @ParameterizedTest
  @EnumSource(Purpose.class)
  void eachPurposeSaysWhatItIs(Purpose purpose) {
    assertThat(purpose.meaning()).hasSizeGreaterThan(15).endsWith(".");
    assertThat(purpose.least()).isPositive().isLessThanOrEqualTo(purpose.most());
    assertThat(List.of(Reasons.longer(purpose), Reasons.out(purpose), Reasons.in(purpose)))
        .allSatisfy(reason -> assertThat(reason).hasSizeGreaterThan(10).endsWith("."));
  }

  @Test
  void aTaperOfAnyShapeLeavesTheSameDaysOfTheWeek() {
    LocalDate contest = MONDAY.plusWeeks(8);
    Map<LocalDate, Double> loads = new TreeMap<>();
    for (LocalDate day = MONDAY; day.isBefore(contest); day = day.plusWeeks(1)) {
      loads.put(day, 10.0 + loads.size());
    }
    for (TaperShape shape : TaperShape.values()) {
      assertThat(shape.words()).isNotBlank();
      Map<LocalDate, Double> other = shape.applied(loads, contest, MONDAY);
      assertThat(other.keySet()).as("%s", shape).allMatch(day -> day.getDayOfWeek() == DayOfWeek.MONDAY);
      assertThat(other.get(MONDAY.plusWeeks(4))).as("before it nothing changes").isEqualTo(14.0);
      // 12, 13 and 14 before the last three weeks: 13 on average
      assertThat(other.getOrDefault(MONDAY.plusWeeks(7), 0.0)).isBetween(0.0, 13.0);
    }
  }

  private static Meets.Meet meet(long id, String name, LocalDate day, boolean marked) {
    return new Meets.Meet(id, name, day, marked);
  }

  @Test
  void ofTwoOnOneDayTheLaterWrittenIsThePeak() {
    List<Meets.Role> roles = Meets.roles(List.of(meet(2, "Second", MONDAY, false), meet(1, "First", MONDAY, false)));
    assertThat(roles).filteredOn(Meets.Role::peak).extracting(role -> role.meet().name()).containsExactly("Second");
    assertThat(Meets.roles(List.of(meet(2, "Second", MONDAY, false), meet(1, "First", MONDAY, true)))).filteredOn(Meets.Role::peak)
        .extracting(role -> role.meet().name())
        .as("unless one is marked").containsExactly("First");
    assertThat(Meets.roles(List.of(meet(1, "First", MONDAY, true), meet(2, "Second", MONDAY.plusWeeks(3), true))))
        .filteredOn(Meets.Role::peak).extracting(role -> role.meet().name())
        .as("of two marked the later").containsExactly("Second");
  }

  private static Leading leading(Macrocycle plan, @Nullable Long contest, Meets.Meet... meets) {
    return new Leading(plan, contest, Meets.roles(List.of(meets)), MONDAY, day -> MONDAY);
  }

  @Test
  void aPlanThatLeadsElsewhereSaysWhy() {
    LocalDate saturday = Plans.saturday(12);
    Macrocycle plan = Plans.plan(12, "volume 4, strength 3, peak 3, taper 2");
    // the same day, but of another contest: only where it leads is new
    Leading.Due same = leading(plan, 7L, meet(8, "Autumn cup", saturday, false))
        .due(new Leading.Led(Leading.Standing.CANCELLED, saturday)).orElseThrow();
    assertThat(same.contestId()).isEqualTo(8);
    assertThat(same.refit().now()).isEqualTo(plan);
    assertThat(same.refit().changes()).containsExactly(new Changed("It leads to Autumn cup", "It is the next contest that is peaked for."));
    // a marked one two weeks later beats the one it led to, which becomes a training day with its reason, said once
    Leading.Due later = leading(plan, 7L, meet(7, "Spring cup", saturday, false), meet(8, "Autumn cup", saturday.plusWeeks(2), true))
        .due(new Leading.Led(Leading.Standing.PLANNED, saturday)).orElseThrow();
    assertThat(later.refit().now().contest()).isEqualTo(saturday.plusWeeks(2));
    assertThat(later.refit().now().trainingDays()).containsExactly(saturday);
    assertThat(later.refit().changes()).extracting(Changed::what)
        .startsWith("Spring cup as a training day", "It leads to Autumn cup").doesNotHaveDuplicates();
    // one it never led to is told of as well
    Leading.Due third = leading(plan, 7L, meet(7, "Spring cup", saturday, false),
        meet(9, "Club day", saturday.minusWeeks(2), false), meet(8, "Autumn cup", saturday.plusWeeks(2), true))
        .due(new Leading.Led(Leading.Standing.PLANNED, saturday)).orElseThrow();
    assertThat(third.refit().now().trainingDays()).containsExactly(saturday.minusWeeks(2), saturday);
    assertThat(third.refit().changes()).extracting(Changed::what).contains("Club day as a training day", "Spring cup as a training day");
  }

  @Test
  void aContestBehindTheOneThatIsPeakedForIsNoTrainingDayOfItsWay() {
    LocalDate saturday = Plans.saturday(12);
    Macrocycle plan = Plans.plan(12, "volume 4, strength 3, peak 3, taper 2");
    assertThat(leading(plan, 7L, meet(7, "Spring cup", saturday, true), meet(8, "Club day", saturday.plusWeeks(2), false))
        .due(new Leading.Led(Leading.Standing.PLANNED, saturday)))
        .isEmpty();
  }

  @Test
  void anEditCannotMakeABlockShorterThanWhatIsDoneOfIt() {
    Macrocycle plan = Plans.plan(0, "volume 5, strength 4, test 1");
    Editing editing = new Editing(plan, MONDAY.plusWeeks(3));
    assertThat(Plans.text(editing.stretch(1, -2).now())).isEqualTo("volume 3, strength 4, test 1");
    assertThatThrownBy(() -> editing.stretch(1, -3)).isInstanceOf(Refused.class);
    assertThat(Plans.text(new Editing(plan, MONDAY).stretch(1, 21).now())).startsWith("volume 26");
    assertThatThrownBy(() -> new Editing(plan, MONDAY).stretch(1, 22)).isInstanceOf(Refused.class);
    assertThat(editing.change(plan.blocks().get(0).withWeeks(3)).now().blocks().get(0).weeks()).isEqualTo(3);
    assertThatThrownBy(() -> editing.change(plan.blocks().get(0).withWeeks(2))).isInstanceOf(Refused.class)
        .hasMessageContaining("3 weeks of it are done");
    assertThat(Plans.text(new Editing(plan, MONDAY).move(2, -1).now())).startsWith("strength 4, volume 5");
    assertThatThrownBy(() -> new Editing(plan, MONDAY).move(1, -1)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Editing(plan, MONDAY).move(3, 1)).isInstanceOf(Refused.class);
  }
}

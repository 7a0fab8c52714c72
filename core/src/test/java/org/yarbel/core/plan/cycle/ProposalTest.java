package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.yarbel.core.plan.cycle.Plans.MONDAY;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.LastHeavy;
import org.yarbel.core.plan.progress.Method;

/** Lengths are our own, from common practice; the taper of about two weeks is Bosquet et al. 2007, from memory. */
class ProposalTest {
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "INTERMEDIATE | 16 | volume 6 easy, strength 5 easy, peak 3, taper 2, off 1",
      "ADVANCED     | 16 | volume 5 easy, strength 5 easy, peak 3, taper 3, off 1",
      "BEGINNER     | 12 | practice 10 easy, peak 1, taper 1, off 1",
      "INTERMEDIATE | 8  | strength 4, peak 2, taper 2, off 1",
      "INTERMEDIATE | 4  | strength 2, peak 1, taper 1, off 1",
      "INTERMEDIATE | 1  | taper 1, off 1",
      "INTERMEDIATE | 0  | volume 5 easy, strength 5 easy, test 1",
      "BEGINNER     | 0  | practice 8 easy, test 1",
      "ADVANCED     | 30 | volume 4 easy, strength 4 easy, volume 4 easy, strength 4 easy, volume 4 easy, strength 4 easy, peak "
          + "3, taper 3, off 1",
  })
  void fillsTheWeeksThereAre(Level level, int weeks, String plan) {
    assertThat(Plans.text(Plans.proposed(level, weeks, 4).plan())).isEqualTo(plan);
  }

  // Worked by hand; that half of the days must be ahead is our own default
  @ParameterizedTest
  @CsvSource({
      "0, MONDAY WEDNESDAY FRIDAY, false, 0", "2, MONDAY WEDNESDAY FRIDAY, false, 0", "3, MONDAY WEDNESDAY FRIDAY, false, 1",
      "2, MONDAY WEDNESDAY FRIDAY, true, 1", "5, MONDAY WEDNESDAY FRIDAY, false, 1", "5, SATURDAY SUNDAY, false, 0",
      "6, SATURDAY, false, 1"})
  void beginsWhereHalfOfTheDaysAreStillAhead(int after, String free, boolean begun, int weeks) {
    Set<DayOfWeek> days = Stream.of(free.split(" ")).map(DayOfWeek::valueOf)
        .collect(Collectors.toCollection(() -> EnumSet.noneOf(DayOfWeek.class)));
    assertThat(Proposal.begins(MONDAY.plusDays(after), days, begun)).isEqualTo(MONDAY.plusWeeks(weeks));
  }

  @Test
  void ofManyFreeDaysNoThreeFollowOneAnother() {
    List<DayOfWeek> all = List.of(DayOfWeek.values());
    List<DayOfWeek> spread = DaySplit.spread(all);
    assertThat(spread).as("two on, one off, the week taken as a ring").hasSize(4);
    assertThat(spread).noneMatch(day -> spread.contains(day.plus(1)) && spread.contains(day.plus(2)));
    assertThat(DaySplit.spread(List.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY)))
        .as("who has only these takes them").hasSize(3);
  }

  @Test
  void saysWhy() {
    assertThat(Plans.proposed(Level.INTERMEDIATE, 16, 4).reasons()).containsExactly(
        "16 weeks to the contest, its own week included. The last 2 are the taper: less volume with the loads kept pays over "
            + "about two weeks (Bosquet et al. 2007).",
        "Before it 3 weeks of singles over 90 %, so that they are practised when they count.",
        "The 11 weeks before go to volume first and strength second: what is furthest from the platform is least like it.",
        "On 4 days a week the squat comes twice, the bench press comes twice, the rest once; further days of a lift are lighter.",
        "An easy week ends a block whenever one is due: every 5–6 weeks at this level and in this life.");
  }

  @ParameterizedTest
  @EnumSource(Level.class)
  void leadsToThePlatformFromAnyDistance(Level level) {
    for (int weeks = 1; weeks <= 52; weeks++) {
      for (int days = 1; days <= 7; days++) {
        Macrocycle plan = Plans.proposed(level, weeks, days).plan();
        String what = weeks + " weeks, " + days + " days: " + Plans.text(plan);
        assertThat(plan.over()).as(what).isZero();
        assertThat(plan.blocks()).as(what).allSatisfy(block -> assertThat(block.uses()).extracting(Use::lift).doesNotHaveDuplicates());
        assertThat(plan.allWeeks().stream().filter(week -> week.block().purpose().peaking()).noneMatch(Macrocycle.Week::easy))
            .as(what).isTrue();
      }
    }
  }

  /**
   * Last heavy deadlift 10–14 days out, squat 7–10, bench 5–7: common practice, no source; a week's days may force
   * another day, which is said.
   */
  @ParameterizedTest
  @CsvSource({"3", "4", "5", "6"})
  void hasTheLastHeavyDayInItsWindowOrSaysSo(int days) {
    List<Written> openers = Plans.written(Plans.proposed(Level.INTERMEDIATE, 12, days).plan()).stream()
        .filter(line -> line.mark() == Exposure.Mark.OPENER).toList();
    assertThat(openers).extracting(Written::lift).containsExactlyInAnyOrder("squat", "bench", "deadlift");
    assertThat(openers).allSatisfy(line -> {
      LastHeavy window = LastHeavy.of(Plans.lift(line.lift()));
      long out = ChronoUnit.DAYS.between(line.day(), Plans.saturday(12));
      assertThat(out).isGreaterThanOrEqualTo(window.nearest());
      assertThat(line.remarks().get(0).contains("Usual is")).isEqualTo(out > window.furthest());
    });
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "1 | MON: squat bench deadlift",
      "2 | MON: squat bench; WED: bench deadlift",
      "3 | MON: squat; WED: bench; FRI: bench deadlift",
      "4 | MON: squat; WED: bench; FRI: deadlift; SAT: squat bench",
      "7 | MON: squat; TUE: bench; THU: deadlift; FRI: squat bench",
  })
  void dealsTheLiftsToTheDays(int days, String split) {
    Map<DayOfWeek, List<String>> byDay = Plans.proposed(Level.INTERMEDIATE, 12, days).plan().blocks().get(0).uses().stream()
        .flatMap(use -> use.days().stream().map(day -> Map.entry(day, use.lift())))
        .collect(Collectors.groupingBy(Map.Entry::getKey, TreeMap::new, Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
    assertThat(byDay.entrySet().stream().map(of -> of.getKey().name().substring(0, 3) + ": " + String.join(" ", of.getValue()))
        .collect(Collectors.joining("; ")))
        .isEqualTo(split);
  }

  @Test
  void strongmanHasItsEventsInTheOrderOfTheContestOnADayOfTheirOwn() {
    List<Proposal.Event> events = List.of(new Proposal.Event(Plans.lift("yoke-walk"), "carry 1x20m 300kg in 60s"),
        new Proposal.Event(Plans.lift("farmers-walk"), "carry 1x40m 120kg turns 1"),
        new Proposal.Event(Plans.lift("stone-load"), "series 100/120/140kg"));
    Proposal proposal = Proposal.of(new Proposal.Request(Level.INTERMEDIATE, List.of(Plans.lift("log-press"), Plans.lift("squat")), events,
        EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY), Plans.saturday(12), MONDAY, false,
        Deload.LESS_VOLUME, MassUnit.KG, List.of()));
    List<Use> uses = proposal.plan().blocks().get(0).uses();
    assertThat(uses).filteredOn(use -> use.method() == Method.EVENT_WEEKS).extracting(Use::lift)
        .containsExactly("yoke-walk", "farmers-walk", "stone-load");
    assertThat(uses).filteredOn(use -> use.method() == Method.EVENT_WEEKS)
        .allSatisfy(use -> assertThat(use.days()).isEqualTo(Set.of(DayOfWeek.SATURDAY)));
    List<Written> written = Plans.written(proposal.plan());
    assertThat(written).filteredOn(line -> line.mark() == Exposure.Mark.LAST_HEAVY)
        .extracting(line -> line.day() + " " + line.work()).containsExactly(
        Plans.saturday(10) + " carry 1x20m 300kg in 60s", Plans.saturday(10) + " carry 1x40m 120kg in 60s", Plans.saturday(10)
        + " series 97.5/120/140kg in 60s");
    assertThat(written).filteredOn(line -> line.mark() == Exposure.Mark.REHEARSAL && line.lift().equals("yoke-walk")).isNotEmpty()
        .allSatisfy(line -> assertThat(line.work()).contains("300kg"));
  }

  @Test
  void aBelievableGoalIsWhatTheSinglesAreOfAndAnotherIsSaid() {
    Proposal.Request request = Plans.request(Level.INTERMEDIATE, 12, 4);
    Proposal proposal = Proposal.of(new Proposal.Request(request.level(), request.lifts(), List.of(), request.free(),
        request.contest(), MONDAY, false,
        Deload.HALF_LOAD, MassUnit.KG, List.of(new Proposal.Aim(Plans.lift("squat"), Mass.of("200", MassUnit.KG),
            Mass.of("210", MassUnit.KG)),
            new Proposal.Aim(Plans.lift("bench"), Mass.of("100", MassUnit.KG), Mass.of("125", MassUnit.KG)))));
    assertThat(proposal.reasons()).contains(
        "The goal of 210 kg in the squat is 5.0 % over today's max, which can be believed in: the singles of the peak are "
            + "shares of it, 87.5 to 92.5 %.",
        "The goal of 125 kg in the bench press is 25.0 % over today's max; about 8.4 % is believable by then, so everything is "
            + "planned from the numbers of today.");
    Map<String, Use> peak = proposal.plan().blocks().stream().filter(block -> block.purpose() == Purpose.PEAK)
        .flatMap(block -> block.uses().stream())
        .collect(Collectors.toMap(Use::lift, use -> use));
    assertThat(peak.get("squat").settings()).containsEntry("basis", "goal");
    assertThat(peak.get("bench").settings()).doesNotContainKey("basis");
  }

  @Test
  void anEventIsMeasuredInTheLiftersOwnUnit() {
    Use use = Proposal.event(new Proposal.Event(Plans.lift("yoke-walk"), "carry 1x50ft 600lb"), EnumSet.of(DayOfWeek.SATURDAY),
        Purpose.PEAK, MassUnit.KG);
    assertThat(use.settings()).containsEntry("mass", "272.16").containsEntry("metres", "15").containsEntry("every", "2");
  }

  @Test
  void refusesWhatCannotBePlanned() {
    Proposal.Request noDay = Plans.request(Level.INTERMEDIATE, 12, 1);
    assertThatThrownBy(() -> Proposal.of(new Proposal.Request(null, noDay.lifts(), List.of(), Set.of(), noDay.contest(), MONDAY,
        false, Deload.HALF_LOAD, MassUnit.KG, List.of())))
        .hasMessageStartingWith("No day of the week is free");
    assertThatThrownBy(() -> Proposal.of(new Proposal.Request(null, List.of(), List.of(), noDay.free(), noDay.contest(), MONDAY,
        false, Deload.HALF_LOAD, MassUnit.KG, List.of())))
        .hasMessageStartingWith("There is no lift to plan");
    assertThatThrownBy(() -> Proposal.of(Plans.request(Level.ADVANCED, 53, 3))).hasMessageContaining("more than a year away");
    assertThatThrownBy(() -> Proposal.of(Plans.request(Level.ADVANCED, -3, 3))).hasMessageContaining("is behind");
  }

  /** Handbook, deloads: every 5 to 6 weeks of most, 4 to 6 of the advanced and the strained, 8 to 12 of the new. */
  @ParameterizedTest
  @EnumSource(Level.class)
  void easyWeeksAreNeitherTooNearNorTooFarApart(Level level) {
    for (boolean strained : new boolean[] {false, true}) {
      Deload.Interval interval = Deload.Interval.of(level, strained);
      for (int weeks = 0; weeks <= 52; weeks++) {
        Proposal.Request like = Plans.request(level, weeks, 4);
        Macrocycle plan = Proposal.of(new Proposal.Request(like.level(), like.lifts(), like.events(), like.free(), like.contest(),
            like.from(), strained, like.deload(), like.unit(), like.aims())).plan();
        LocalDate last = plan.startsOn().minusWeeks(1);
        for (LocalDate easy : plan.easyWeeks().keySet()) {
          assertThat(ChronoUnit.WEEKS.between(last, easy)).as("%s, strained %s, %s weeks: %s, %s", level, strained, weeks,
              Plans.text(plan), easy)
              .isBetween(interval.least() - 1L, interval.most() + 1L);
          last = easy;
        }
      }
    }
  }
}

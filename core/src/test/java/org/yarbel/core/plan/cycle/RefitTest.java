package org.yarbel.core.plan.cycle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.yarbel.core.plan.cycle.Plans.MONDAY;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Level;

/** What gives and what grows when a contest moves; our own order, from common practice. */
class RefitTest {
  private static final String SIXTEEN = "volume 6 easy, strength 5 easy, peak 3, taper 2, off 1";

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      // weeks to the contest now | weeks done | the plan then; sixteen weeks before
      "15 | 0 | volume 5 easy, strength 5 easy, peak 3, taper 2, off 1",
      "12 | 0 | volume 2, strength 5 easy, peak 3, taper 2, off 1",
      "10 | 0 | volume 2, strength 3, peak 3, taper 2, off 1",
      "8  | 0 | strength 3, peak 3, taper 2, off 1",
      "5  | 0 | peak 3, taper 2, off 1",
      "3  | 0 | peak 1, taper 2, off 1",
      "2  | 0 | peak 1, taper 1, off 1",
      "1  | 0 | taper 1, off 1",
      "12 | 4 | volume 4 easy, strength 3, peak 3, taper 2, off 1",
      "17 | 0 | volume 6 easy, strength 6 easy, peak 3, taper 2, off 1",
      "21 | 0 | volume 6 easy, strength 5 easy, volume 5 easy, peak 3, taper 2, off 1",
      "16 | 9 | volume 6 easy, strength 5 easy, peak 3, taper 2, off 1",
  })
  void fitsToAnotherDate(int weeks, int done, String then) {
    Refit refit = Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(weeks), MONDAY.plusWeeks(done));
    assertThat(Plans.text(refit.now())).isEqualTo(then);
    assertThat(refit.now().over()).isZero();
  }

  @Test
  void givesAReasonForEveryChange() {
    Refit refit = Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(8), MONDAY);
    assertThat(refit.changes()).containsExactly(
        new Changed("Volume, 6 weeks: out", "The contest is 8 weeks earlier. There are too few weeks for it, and volume gives first."),
        new Changed("Strength: 5 → 3 weeks", "The contest is 8 weeks earlier. After the volume the strength block gives: "
            + "singles and taper need their weeks."));
    assertThat(Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(16).plusDays(1), MONDAY).changes()).singleElement()
        .satisfies(change -> assertThat(change.why()).startsWith("The contest is on another day of its week."));
    assertThat(Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(16), MONDAY).changes()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      // the contest moved this many weeks on | in a week of the peak or taper | what follows what is done
      "2 | 13 | volume 6 easy, strength 5 easy, peak 4, taper 3",
      "4 | 13 | volume 6 easy, strength 5 easy, peak 2, strength 2, peak 3, taper 2",
      "8 | 13 | volume 6 easy, strength 5 easy, peak 2, strength 6 easy, peak 3, taper 2",
      "1 | 15 | volume 6 easy, strength 5 easy, peak 3, taper 1, peak 1, taper 1",
      "4 | 15 | volume 6 easy, strength 5 easy, peak 3, taper 1, peak 3, taper 2",
  })
  void aPeakThatHasBegunIsBuiltAnewForALaterDate(int later, int done, String then) {
    Refit refit = Refit.toDate(Plans.plan(16, "volume 6 easy, strength 5 easy, peak 3, taper 2"), Plans.saturday(16 + later),
        MONDAY.plusWeeks(done));
    assertThat(Plans.text(refit.now())).isEqualTo(then);
    assertThat(refit.now().over()).isZero();
  }

  @Test
  void postponedWithoutADateHoldsAndParksThePeak() {
    Refit hold = Refit.postponed(Plans.plan(16, SIXTEEN), MONDAY.plusWeeks(8));
    assertThat(Plans.text(hold.now())).isEqualTo("volume 6 easy, strength 5 easy, hold 3");
    assertThat(hold.now().contest()).isNull();
    assertThat(Plans.text(hold.now().parked())).isEqualTo("peak 3, taper 2");
    assertThat(hold.changes()).extracting(Changed::what).containsExactly("Peak, 3 weeks: parked", "Taper, 2 weeks: parked",
        "Off, 1 week: out", "Hold, 3 weeks: new");
    // five weeks of the hold are behind when a date comes, ten weeks on
    Refit back = Refit.toDate(hold.now(), Plans.saturday(26), MONDAY.plusWeeks(16));
    assertThat(Plans.text(back.now())).isEqualTo("volume 6 easy, strength 5 easy, hold 5, volume 5 easy, peak 3, taper 2");
    assertThat(back.now().parked()).isEmpty();
    assertThat(back.now().over()).isZero();
  }

  @Test
  void postponedInTheMiddleOfAPeakEndsItThere() {
    Refit hold = Refit.postponed(Plans.plan(16, "volume 6, strength 5, peak 3, taper 2"), MONDAY.plusWeeks(12));
    assertThat(Plans.text(hold.now())).isEqualTo("volume 6, strength 5, peak 1, hold 3");
    assertThat(Plans.text(hold.now().parked())).isEqualTo("peak 3, taper 2");
  }

  @Test
  void cancelledKeepsTheWorkAndTestsIt() {
    Refit gone = Refit.cancelled(Plans.plan(16, SIXTEEN), MONDAY.plusWeeks(3));
    assertThat(Plans.text(gone.now())).isEqualTo("volume 6 easy, strength 5 easy, test 1");
    assertThat(gone.now().contest()).isNull();
    assertThat(gone.changes()).extracting(Changed::why).allMatch(why -> why.startsWith("The contest is cancelled."));
    assertThat(Plans.written(gone.now()).stream().filter(line -> line.work().equals("max 1")).map(Written::day).distinct()).hasSize(1);
  }

  @Test
  void standsOldBesideNew() {
    Refit refit = Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(15), MONDAY.plusWeeks(4));
    assertThat(refit.pairs().get(0).monday()).isEqualTo(MONDAY.plusWeeks(4));
    assertThat(refit.pairs().get(0).changed()).isTrue();
    assertThat(refit.pairs()).hasSize(13).last().satisfies(pair -> assertThat(pair.now()).isNull());
  }

  @Test
  void aContestInAWeekThatHasBegunChangesNothing() {
    assertThatThrownBy(() -> Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(2), MONDAY.plusWeeks(2)))
        .isInstanceOf(IllegalArgumentException.class).hasMessageContaining("falls into a week that is begun or behind");
  }

  @Test
  void aContestMoreThanAYearAwayIsNotPlannedFor() {
    assertThatThrownBy(() -> Refit.toDate(Plans.plan(16, SIXTEEN), Plans.saturday(60), MONDAY))
        .hasMessageContaining("is more than a year away: plan open-ended");
  }

  /** Whatever moves, what is done stays, the contest is in the last week, and it ends with the taper. */
  @Test
  void keepsWhatIsDoneHoweverTheDateMoves() {
    SplittableRandom random = new SplittableRandom(20260302);
    for (int i = 0; i < 600; i++) {
      Macrocycle plan = Plans.proposed(Level.values()[random.nextInt(3)], random.nextInt(1, 40), random.nextInt(1, 8)).plan();
      for (int moves = 0; moves < 3; moves++) {
        int done = random.nextInt(0, 41);
        int weeks = done + random.nextInt(1, 30);
        Macrocycle was = plan;
        Refit refit = random.nextInt(5) == 0 ? Refit.postponed(plan, MONDAY.plusWeeks(done))
            : Refit.toDate(plan, Plans.saturday(weeks), MONDAY.plusWeeks(done));
        plan = refit.now();
        String what = Plans.text(was) + " to " + plan.contest() + " after " + done + ": " + Plans.text(plan);
        int behind = Refit.done(was, MONDAY.plusWeeks(done));
        if (!was.holds()) {
          assertThat(plan.allWeeks().stream().limit(behind).map(week -> week.block().purpose()).toList()).as(what)
              .isEqualTo(was.allWeeks().stream().limit(behind).map(week -> week.block().purpose()).toList());
        }
        assertThat(plan.blocks()).as(what).extracting(Block::no).doesNotHaveDuplicates();
        if (plan.contest() != null) {
          assertThat(plan.over()).as(what).isZero();
          assertThat(Plans.written(plan)).as(what).allSatisfy(line -> assertThat(line.work()).isNotEmpty());
        }
      }
    }
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      // cancelled after so many weeks | what is done of the peak stays, the rest of peak and taper goes, and what came of it is tested
      "11 | volume 6 easy, strength 5 easy, test 1",
      "12 | volume 6 easy, strength 5 easy, peak 1, test 1",
      "13 | volume 6 easy, strength 5 easy, peak 2, test 1",
      "14 | volume 6 easy, strength 5 easy, peak 3, test 1",
      "15 | volume 6 easy, strength 5 easy, peak 3, taper 1, test 1",
      "0  | volume 6 easy, strength 5 easy, test 1",
      "8  | volume 6 easy, strength 5 easy, test 1",
  })
  void cancelledInAPeakEndsItThere(int done, String then) {
    Refit gone = Refit.cancelled(Plans.plan(16, "volume 6 easy, strength 5 easy, peak 3, taper 2"), MONDAY.plusWeeks(done));
    assertThat(Plans.text(gone.now())).isEqualTo(then);
    assertThat(gone.now().contest()).isNull();
    assertThat(gone.now().parked()).isEmpty();
  }

  @Test
  void cancelledKeepsTheBlocksOfWorkBehindAPeakAndNoWeekOff() {
    Refit gone = Refit.cancelled(Plans.plan(16, "peak 3, taper 2, off 1, volume 6 easy, strength 4"), MONDAY.plusWeeks(1));
    assertThat(Plans.text(gone.now())).isEqualTo("peak 1, volume 6 easy, strength 4, test 1");
  }
}

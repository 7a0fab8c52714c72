package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.contest.NextAttempt.Choice;
import org.yarbel.core.contest.NextAttempt.Why;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** The choices after an attempt, held against trying every load and against the trade's rules. */
class NextAttemptTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 14);
  private static final RuleSet RULES = RuleSet.usual();
  private static final DayOdds BEFORE = DayOdds.of(new Tracker(Level.ADVANCED, new TestedMax(kg("200"), DAY.minusDays(10)))
      .run(List.of(), MassUnit.KG).standing().on(DAY), DayOdds.USUAL_RATIO);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static LiftDay after(Object... attempts) {
    List<Attempt> all = new ArrayList<>();
    for (int at = 0; at < attempts.length; at += 2) {
      all.add(Attempt.of(all.size() + 1, kg((String) attempts[at]), (Verdict) attempts[at + 1]));
    }
    return new LiftDay("squat", all);
  }

  private static List<Choice> choices(LiftDay day) {
    return NextAttempt.of(day, RULES, BEFORE.after(day.attempts()));
  }

  private static Choice why(List<Choice> choices, Why why) {
    return choices.stream().filter(choice -> choice.why().contains(why)).findFirst().orElseThrow();
  }

  @Test
  void aGoodOpenerLeadsToASafeOneTheMostOnAverageAndAnEvenOne() {
    List<Choice> choices = choices(after("180", Verdict.good(Verdict.Look.RIGHT)));
    assertThat(choices).extracting(Choice::load).isSorted().doesNotHaveDuplicates();
    assertThat(why(choices, Why.SAFE).chance()).isBetween(0.9, 0.97);
    assertThat(why(choices, Why.EVEN).chance()).isEqualTo(0.5, within(0.1));
    // common practice, no source: the second is 95 to 97 % of the expected third
    Mass third = BEFORE.after(after("180", Verdict.good(Verdict.Look.RIGHT)).attempts()).load(0.5, MassUnit.KG);
    assertThat(why(choices, Why.MOST).load().ratioTo(third)).isBetween(0.94, 0.985);
  }

  @Test
  void theLookMovesTheChoices() {
    Mass easy = why(choices(after("180", Verdict.good(Verdict.Look.EASY))), Why.EVEN).load();
    Mass right = why(choices(after("180", Verdict.good(Verdict.Look.RIGHT))), Why.EVEN).load();
    Mass limit = why(choices(after("180", Verdict.good(Verdict.Look.LIMIT))), Why.EVEN).load();
    assertThat(easy).isGreaterThan(right);
    assertThat(right).isGreaterThan(limit);
  }

  @Test
  void theMostOnAverageOfTheLastAttemptIsTheBestOfAllLoads() {
    LiftDay day = after("180", Verdict.good(Verdict.Look.EASY), "190", Verdict.good(Verdict.Look.RIGHT));
    DayOdds odds = BEFORE.after(day.attempts());
    Mass best = kg("192.5");
    for (Mass load = best; load.compareTo(kg("260")) < 0; load = load.plus(kg("2.5"))) {
      if (gain(odds, load) > gain(odds, best)) {
        best = load;
      }
    }
    assertThat(why(choices(day), Why.MOST).load()).isEqualTo(best);
  }

  private static double gain(DayOdds odds, Mass load) {
    return odds.chance(load) * load.minus(kg("190")).nanograms();
  }

  @Test
  void afterAMissTheSameStandsAgainWithOddsThatKnowIt() {
    LiftDay missed = after("180", Verdict.good(null), "192.5", Verdict.not(Verdict.Reason.STRENGTH));
    Choice again = why(choices(missed), Why.AGAIN);
    assertThat(again.load()).isEqualTo(kg("192.5"));
    double before = BEFORE.after(after("180", Verdict.good(null)).attempts()).chance(kg("192.5"));
    assertThat(again.chance()).isLessThan(before - 0.1);
    LiftDay turnedDown = after("180", Verdict.good(null), "192.5", Verdict.not(Verdict.Reason.COMMAND));
    assertThat(why(choices(turnedDown), Why.AGAIN).chance()).as("for a command the strength was there").isGreaterThanOrEqualTo(before);
  }

  @Test
  void afterTwoMissesOfTheOpenerOnlyThatKeepsOneIn() {
    List<Choice> choices = choices(after("185", Verdict.not(Verdict.Reason.DEPTH), "185", Verdict.not(Verdict.Reason.DEPTH)));
    assertThat(choices).singleElement().satisfies(choice -> {
      assertThat(choice.load()).isEqualTo(kg("185"));
      assertThat(choice.why()).containsExactlyInAnyOrder(Why.AGAIN, Why.STAY);
    });
  }

  @Test
  void allChoicesMayBeHandedIn() {
    for (Verdict verdict : List.of(Verdict.good(Verdict.Look.EASY), Verdict.good(Verdict.Look.LIMIT),
        Verdict.not(Verdict.Reason.STRENGTH))) {
      for (int load = 150; load <= 225; load += 5) {
        LiftDay day = after(load + "", verdict);
        choices(day).forEach(choice -> day.check(RULES, choice.load(), false));
      }
    }
    assertThat(choices(after("180", Verdict.good(null), "190", Verdict.good(null), "195", Verdict.good(null)))).isEmpty();
  }

  @Test
  void aContestLiftedAsATrainingDayIsHeldToALoad() {
    LiftDay day = after("170", Verdict.good(Verdict.Look.EASY));
    List<Choice> held = NextAttempt.of(day, RULES, BEFORE.after(day.attempts()), kg("181"));
    assertThat(held).isNotEmpty().allSatisfy(choice -> assertThat(choice.load()).isLessThanOrEqualTo(kg("180")));
    assertThat(why(held, Why.HELD).load()).isEqualTo(kg("180"));
    assertThat(NextAttempt.of(after("180", Verdict.good(null)), RULES, BEFORE, kg("181"))).as("nothing heavier is allowed").isEmpty();
  }
}

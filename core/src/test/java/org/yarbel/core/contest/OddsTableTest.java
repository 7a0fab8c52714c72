package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** What a phone looks up is what the server would say. */
class OddsTableTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 14);
  private static final RuleSet RULES = RuleSet.usual();
  private static final DayOdds BEFORE = DayOdds.of(new Tracker(Level.ADVANCED, new TestedMax(kg("200"), DAY.minusDays(10)))
      .run(List.of(), MassUnit.KG).standing().on(DAY), DayOdds.USUAL_RATIO);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  @Test
  void everyBranchSaysWhatIsWorkedOutThen() {
    OddsTable table = OddsTable.of(new LiftDay("squat", List.of()), RULES, BEFORE, kg("180"));
    assertThat(table.odds()).extracting(OddsTable.Odd::load).containsExactly(kg("175"), kg("177.5"), kg("180"), kg("182.5"), kg("185"));
    int looked = 0;
    for (OddsTable.Branch first : table.branches()) {
      for (OddsTable.Branch second : first.then().branches()) {
        LiftDay day = new LiftDay("squat", List.of(Attempt.of(1, first.load(), first.seen().verdict()), Attempt.of(2, second.load(),
            second.seen().verdict())));
        DayOdds odds = BEFORE.after(day.attempts());
        assertThat(second.then().choices()).isEqualTo(NextAttempt.of(day, RULES, odds));
        assertThat(second.then().odds()).allSatisfy(odd -> assertThat(odd.chance()).isEqualTo(odds.chance(odd.load())));
        assertThat(second.then().branches()).isEmpty();
        looked++;
      }
    }
    assertThat(looked).isBetween(1000, 4000);
  }

  @Test
  void whatIsHandedInIsAmongTheLoadsAlsoWhenItMayNotBeChanged() {
    LiftDay day = new LiftDay("squat", List.of(Attempt.of(1, kg("180"), Verdict.good(null)), new Attempt(2, kg("190"), 0, null)));
    OddsTable table = OddsTable.of(day, RULES, BEFORE, null);
    assertThat(table.odds()).extracting(OddsTable.Odd::load).containsExactly(kg("190"));
    assertThat(table.after(kg("190"), Verdict.not(Verdict.Reason.HITCH))).isPresent().get()
        .satisfies(then -> assertThat(then.choices().get(0).load()).isEqualTo(kg("190")));
    assertThat(table.after(kg("200"), Verdict.good(null))).isEmpty();
  }
}

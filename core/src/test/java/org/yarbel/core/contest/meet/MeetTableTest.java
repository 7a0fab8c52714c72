package org.yarbel.core.contest.meet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Tables worked out by hand, and passing held against trying every step. */
class MeetTableTest {
  private static final MeetTable.Counting DOTS = new MeetTable.Counting(PointsFormula.DOTS, PointsFormula.Gear.CLASSIC,
      PointsFormula.Event.FULL);
  private static final RuleSet RULES = RuleSet.usual();

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  /** Attempts as they are called out: {@code 200 210x 210?}, x for a miss, ? for one to come. */
  private static LiftDay lift(String key, String attempts) {
    List<Attempt> all = new ArrayList<>();
    for (String one : attempts.isEmpty() ? new String[0] : attempts.split(" ")) {
      Verdict verdict = one.endsWith("?") ? null : one.endsWith("x") ? Verdict.not(Verdict.Reason.STRENGTH) : Verdict.good(null);
      all.add(new Attempt(all.size() + 1, kg(one.replaceAll("[x?]", "")), 0, verdict));
    }
    return new LiftDay(key, all);
  }

  private static Entrant entrant(long id, @Nullable String bodyMass, String squat, String bench, String deadlift) {
    return new Entrant(id, "93", Sex.MALE, bodyMass == null ? null : kg(bodyMass), List.of(lift("squat", squat), lift("bench", bench),
        lift("deadlift", deadlift)));
  }

  @Test
  void theHeavierSumLeadsAndOfEqualOnesTheLighterBodyMass() {
    MeetTable table = MeetTable.of(List.of(entrant(1, "92.4", "200 210 220x", "140 145x 145x", "240 250 260"),
        entrant(2, "91.8", "200 210 215", "140 145 150x", "230 240 255"), entrant(3, "90", "250x 250x 250x", "150 155", "260"),
        entrant(4, "92", "230 235", "", "")), RULES, DOTS);
    assertThat(table.lines()).extracting(line -> line.entrant().id() + ":" + line.place().number() + ":" + line.sum().number())
        .containsExactly("2:1:615", "1:2:610", "4:3:235", "3:0:415");
    assertThat(table.of(3).out()).isTrue();
    assertThat(table.of(3).byPoints()).isZero();
    assertThat(table.of(4).entrant().total()).isEmpty();
    MeetTable level = MeetTable.of(List.of(entrant(1, "92.4", "200", "100", "200"), entrant(2, "91.8", "200", "100", "200")), RULES, DOTS);
    assertThat(level.of(2).place()).isEqualTo(new MeetTable.Place(1, false));
    assertThat(level.of(1).place()).isEqualTo(new MeetTable.Place(2, false));
  }

  @Test
  void whoWasNotWeighedDecidesNoTieAndSharesThePlace() {
    MeetTable table = MeetTable.of(List.of(entrant(1, "92.4", "200", "100", "200"), entrant(2, null, "200", "100", "200"),
        entrant(3, "80", "200", "100", "200"), entrant(4, "80", "200", "100", "190")), RULES, DOTS);
    assertThat(List.of(table.of(1), table.of(2), table.of(3))).extracting(MeetTable.Line::place).containsOnly(new MeetTable.Place(1, true));
    assertThat(table.of(4).place()).isEqualTo(new MeetTable.Place(4, false));
    assertThat(table.of(2).points()).isEmpty();
  }

  @Test
  void whatIsHandedInCountsForWhatIsPossible() {
    MeetTable.Line line = MeetTable.of(List.of(entrant(1, "92.4", "200 210", "140 145x 145?", "240?")), RULES, DOTS).of(1);
    assertThat(line.sum()).isEqualTo(kg("350"));
    assertThat(line.possible()).isEqualTo(kg("595"));
  }

  @Test
  void toPassTakesTheSameWhereLighterAndAStepMoreElse() {
    Entrant mine = entrant(1, "91", "200", "140", "240");
    Entrant heavier = entrant(2, "92", "210", "142.5", "250");
    Passing passing = new Passing(RULES, "deadlift");
    // 602.5 against 340 and the deadlift: 262.5 ties and the lighter leads
    assertThat(passing.needed(mine, heavier, heavier.sum())).contains(kg("262.5"));
    assertThat(passing.needed(heavier, mine, mine.sum())).as("ahead already").isEmpty();
    assertThat(passing.needed(entrant(1, "93", "200", "140", "240"), heavier, heavier.sum())).contains(kg("265"));
    assertThat(passing.needed(entrant(1, null, "200", "140", "240"), heavier, heavier.sum())).as("not weighed").contains(kg("265"));
    assertThat(passing.needed(entrant(1, "91", "200", "140", "240 250x 250x"), heavier, heavier.sum())).as("no attempt left").isEmpty();
    assertThat(passing.needed(entrant(1, "91", "200", "140", "240 270x"), heavier, heavier.sum())).as("never down").contains(kg("270"));
  }

  @Test
  void passingIsTheFirstOfAllStepsThatLeads() {
    Random random = new Random(5);
    Passing passing = new Passing(RULES, "deadlift");
    for (int i = 0; i < 2000; i++) {
      Entrant one = some(random, 1);
      Entrant other = some(random, 2);
      Optional<Mass> tried = Optional.empty();
      if (!passing.ahead(one, one.sum(), other, other.sum())) {
        Mass load = kg("25");
        LiftDay day = one.lift("deadlift");
        while (!allowed(day, load) || !passing.ahead(one, one.sumWithout("deadlift").plus(load), other, other.sum())) {
          load = load.plus(kg("2.5"));
        }
        tried = Optional.of(load);
      }
      assertThat(passing.needed(one, other, other.sum())).isEqualTo(tried);
    }
  }

  private static boolean allowed(LiftDay day, Mass load) {
    try {
      day.check(RULES, load, false);
      return true;
    } catch (org.yarbel.core.mass.Refused refused) {
      return false;
    }
  }

  private static Entrant some(Random random, long id) {
    String body = random.nextInt(5) == 0 ? null : String.valueOf(88 + random.nextInt(3));
    double pull = 180 + 2.5 * random.nextInt(12);
    String pulls = switch (random.nextInt(3)) {
      case 0 -> "";
      case 1 -> pull + "";
      default -> pull + " " + (pull + 10) + "x";
    };
    return entrant(id, body, String.valueOf(180 + 2.5 * random.nextInt(12)), String.valueOf(120 + 2.5 * random.nextInt(8)), pulls);
  }
}

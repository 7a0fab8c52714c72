package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** What a phone looks up is what the tracker says, row for row. */
class TodayTableTest {
  private static final LocalDate TESTED = LocalDate.of(2026, 3, 2);
  private static final LocalDate DAY = TESTED.plusDays(3);
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Tracker TRACKER = new Tracker(Level.INTERMEDIATE, new TestedMax(kg("200"), TESTED));
  private static final Standing STANDING = TRACKER.run(List.of(), MassUnit.KG).standing();

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Resolver.Request request(String line) {
    return new Resolver.Request(WorkLine.parse(line), Basis.ESTIMATED, new MaxNumbers(null, kg("201.4"), null, null), Map.of(), kg("92"),
        KG, MassUnit.KG, EffortChart.HOUSE, Movement.SQUAT, false, List.of(), WarmUp.SHRINKING, null);
  }

  private static Optional<TodayTable> table(String line, LocalDate day) {
    Resolver.Request request = request(line);
    return TodayTable.of(request, BackOffTable.of(request), STANDING, day);
  }

  private static TodayTable.Row row(TodayTable table, String load, String rated) {
    return table.rows().stream().filter(row -> row.load().equals(kg(load)) && row.rated().equals(rated)).findFirst().orElseThrow();
  }

  // 201.4 of 93 % is 187.3, loaded 187.5: 6 % about it are 177.5 to 197.5, nine loads; easier, nine ratings, none, missed
  @Test
  void hasEveryLoadAboutThePlannedOneAndEveryWayToRateIt() {
    TodayTable table = table("1x1 @8; 4x4 -15%", DAY).orElseThrow();
    assertThat(table.place()).isEqualTo(new LoggedSet.Place(1, 1));
    assertThat(table.reps()).isEqualTo(1);
    assertThat(table.rows()).hasSize(9 * 12);
    assertThat(table.rows().get(0).load()).isEqualTo(kg("177.5"));
    assertThat(table.rows().get(table.rows().size() - 1).load()).isEqualTo(kg("197.5"));
  }

  // the worked example of the tracker: 185 x 1 @8 three days after a tested 200 leaves 199.603299 for the day
  @Test
  void saysWhatTheTrackerSays() {
    TodayTable table = table("1x1 @8; 4x4 -15%", DAY).orElseThrow();
    assertThat(row(table, "185", "8").today().nanograms() / 1e12).isCloseTo(199.603299, within(1e-6));
    Observation easier = Observation.of(DAY, kg("187.5"), 1, null, Observation.Trait.EASIER);
    Outlook outlook = TRACKER.run(List.of(easier), MassUnit.KG).on(DAY);
    assertThat(row(table, "187.5", "easier").today()).isEqualTo(outlook.today(MassUnit.KG).max());
    assertThat(row(table, "187.5", "").today()).isGreaterThan(row(table, "187.5", "missed").today());
  }

  @Test
  void offersTheBackOffsThatACardWithSignalOffers() {
    TodayTable table = table("1x1 @8; 4x4 -15%", DAY).orElseThrow();
    Resolver.Request request = request("1x1 @8; 4x4 -15%");
    for (double rated : new double[] {7, 8, 10}) {
      Observation single = Observation.of(DAY, kg("187.5"), 1, Rpe.of(rated));
      TodaysMax today = TodaysMax.of(TRACKER.run(List.of(single), MassUnit.KG).on(DAY), MassUnit.KG);
      LoggedSet logged = new LoggedSet(1, 1, kg("187.5"), 1, Rpe.of(rated));
      assertThat(row(table, "187.5", Rpe.of(rated).toString()).beside()).as("rated %s", rated)
          .isEqualTo(FromToday.of(request.withLogged(List.of(logged)), today));
    }
    assertThat(row(table, "187.5", "10").beside()).containsOnlyKeys(2);
    assertThat(row(table, "187.5", "8").beside()).as("as planned").isEmpty();
    assertThat(row(table, "187.5", "missed").beside()).as("after a miss there are other ways").isEmpty();
  }

  @Test
  void isThereOnlyWhereSomethingHangsOnATopSetOfADayToCome() {
    assertThat(table("5x5 75%", DAY)).isEmpty();
    assertThat(table("1xAMRAP 80%; 4x4 -15%", DAY)).as("nobody knows how many reps").isEmpty();
    assertThat(table("1x1 @8; 4x4 -15%", TESTED)).as("of the day it stands at").isEmpty();
  }
}

package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** What a load comes from, as the handbook defines the loads; the sums are worked out by hand. */
class LoadSourceTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final LocalDate TESTED = LocalDate.of(2025, 12, 6);
  private static final LocalDate SEEN = LocalDate.of(2026, 3, 2);
  private static final MaxNumbers NUMBERS = new MaxNumbers(kg("195"), kg("200"), kg("180"), kg("210"),
      new MaxNumbers.Origins(TESTED, SEEN, null, null), null);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static List<ResolvedSet> sets(String work) {
    return Resolver.resolve(Resolver.Request.of(WorkLine.parse(work), Basis.ESTIMATED, NUMBERS, KG)).sets();
  }

  private static LoadSource source(String work) {
    List<ResolvedSet> sets = sets(work);
    return sets.get(sets.size() - 1).source();
  }

  private static LoadSource.Set ofPart(int part, int set) {
    return new LoadSource.Set(new LoggedSet.Place(part, set), false);
  }

  @Test
  void aPercentageIsAShareOfTheNumberItNamesWithItsDay() {
    assertThat(source("3x5 75%")).isEqualTo(new LoadSource.Share(new LoadSource.Number(null, Basis.ESTIMATED, kg("200"), SEEN,
        null), new BigDecimal("75"), null, LoadSource.Hung.NOTHING));
    assertThat(source("3x5 75-80% tested")).isEqualTo(new LoadSource.Share(new LoadSource.Number(null, Basis.TESTED, kg("195"),
        TESTED, null), new BigDecimal("75"), new BigDecimal("80"), LoadSource.Hung.NOTHING));
    assertThat(((LoadSource.Share) source("3x5 75% tm")).of().on()).as("a training max follows the estimate").isEqualTo(SEEN);
    assertThat(((LoadSource.Share) source("3x5 75% goal")).of().on()).as("nobody said when").isNull();
  }

  @Test
  void anEffortIsTakenFromTheChart() {
    assertThat(source("1x5 @8")).as("5 reps with 2 in reserve")
        .isEqualTo(new LoadSource.ByChart(new LoadSource.Number(null, Basis.ESTIMATED, kg("200"), SEEN, null), 7, 1,
        LoadSource.Hung.NOTHING));
    assertThat(sets("build 3 @8").stream().map(set -> ((LoadSource.ByChart) set.source()).share()))
        .as("shares of a build-up, our own default").containsExactly(0.85, 0.9, 0.95, 1.0);
  }

  @Test
  void dropsNameTheSetTheyFollow() {
    assertThat(source("1x1 90%; 3x5 -10%")).isEqualTo(new LoadSource.Drop(ofPart(1, 1), new BigDecimal("10"), null));
    assertThat(source("1x1 90%; 3x5 -20kg")).isEqualTo(new LoadSource.Drop(ofPart(1, 1), null, kg("20")));
    assertThat(source("1x1 90%; 3x5 -5% each")).as("the third falls from the second").isEqualTo(new LoadSource.Drop(
        new LoadSource.Set(new LoggedSet.Place(2, 2), true), new BigDecimal("5"), null));
    assertThat(source("1x1 90%; 3x5 80% top")).isEqualTo(new LoadSource.ShareOfSet(ofPart(1, 1), new BigDecimal("80"), null));
  }

  @Test
  void whatIsWrittenOrPickedSaysSo() {
    assertThat(source("3x5 100kg")).isEqualTo(new LoadSource.Written());
    assertThat(source("3x5")).isEqualTo(new LoadSource.Picked());
    assertThat(sets("3x5 100kg").get(0).rounding()).isEqualTo(LoadSource.Rounding.NONE);
  }

  @Test
  void whatHangsOnTheBarIsTold() {
    assertThat(((LoadSource.Share) source("3x3 60% chains 20kg at top")).hung().less()).isEqualTo(kg("20"));
    assertThat(((LoadSource.Share) source("3x3 60% chains 20kg")).hung().nothing()).as("the bar itself is meant").isTrue();
  }

  @Test
  void aMissThatCostsTheSetRoundsDown() {
    assertThat(sets("max 1").get(0).rounding()).isEqualTo(LoadSource.Rounding.DOWN);
    assertThat(sets("3x5 75%").get(0).rounding()).isEqualTo(LoadSource.Rounding.NEAREST);
  }

  @Test
  void aNumberByTheRatioNamesTheLiftItIsFrom() {
    MaxNumbers derived = MaxNumbers.NONE.withEstimate(kg("160"), "squat");
    LoadSource source = Resolver.resolve(Resolver.Request.of(WorkLine.parse("3x5 70%"), Basis.ESTIMATED, derived, KG)).sets().get(0)
        .source();
    assertThat(((LoadSource.Share) source).of().ratioOf()).isEqualTo("squat");
  }

  @Test
  void aLoggedSetStillSaysWhereItsPlannedLoadCameFrom() {
    ResolvedLine line = Resolver.resolve(Resolver.Request.of(WorkLine.parse("1x1 90%; 1x5 -10%"), Basis.ESTIMATED, NUMBERS, KG)
        .withLogged(List.of(new LoggedSet(1, 1, kg("170"), 1, null))));
    assertThat(line.sets().get(0).source()).isInstanceOf(LoadSource.Share.class);
    assertThat(line.sets().get(1).load()).as("170 less a tenth is 153, and 152.5 loads").isEqualTo(kg("152.5"));
  }
}

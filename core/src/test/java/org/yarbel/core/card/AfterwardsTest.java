package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** What is asked, offered and ended once a set is typed. */
class AfterwardsTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Catalogue LIFTS = Catalogue.standard();

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Resolver.Request request(String line, LoggedSet... logged) {
    return new Resolver.Request(WorkLine.parse(line), Basis.ESTIMATED, new MaxNumbers(null, kg("195"), null, null), Map.of(),
        kg("92"), KG, MassUnit.KG, EffortChart.HOUSE, Movement.SQUAT, false, List.of(logged), WarmUp.SHRINKING, null);
  }

  private static LoggedSet done(int part, int set, String load, int reps, Double rpe) {
    return new LoggedSet(part, set, kg(load), reps, rpe == null ? null : Rpe.of(rpe));
  }

  private static Optional<EntryDoubt.Doubt> about(String line, boolean first, boolean leads, String load, int reps, Double rpe) {
    ResolvedSet asked = Resolver.resolve(request(line)).sets().get(0);
    return EntryCheck.about(new EntryCheck.Typed(kg(load), reps, rpe == null ? null : Rpe.of(rpe), false, false),
        new EntryCheck.Expected(asked, kg("20"), kg("195"), EffortChart.HOUSE, leads, first));
  }

  // Handbook, evidence: the ratios 2.2 and 0.45, the bar, a day's estimate over 8 % off, a single over 5 %; 15 % is our own default
  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "-", value = {
      "1x5 167.5kg | 267.5 | 5 | - | Is that right? 267.5 kg was typed, 167.5 kg was planned. | 167.5",
      "1x5 137.5kg | 35    | 5 | - | Is that right? 35 kg was typed, 137.5 kg was planned.    | 137.5",
      "1x5 167.5kg | 16.75 | 5 | - | Is that right? 16.75 kg was typed, 167.5 kg was planned. | 167.5",
      "1x5 137.5kg | 0     | 5 | - | Was there nothing to lift? 0 kg was typed, 137.5 kg was planned. | 137.5",
      // 302.5 lb are 137.2 kg, the planned load but for the rounding; 310 lb are 140.6
      "1x5 137.5kg | 302.5 | 5 | - | Is it kg or lb? 302.5 kg was typed, 137.5 kg was planned. | 137.5",
      "1x5 137.5kg | 310   | 5 | - | Is it kg or lb? 310 kg was typed, 137.5 kg was planned. | 140.6",
      "1x5 137.5kg | 117.5 | 5 | - | Is it with the bar? 117.5 kg was typed, 137.5 kg was planned. | 137.5",
      "1x5 137.5kg | 137.5 | 100 | - | Is that right? 100 reps were typed, 5 were asked. | -",
      "1xAMRAP 60% | 117.5 | 31 | - | Is that right? 31 reps were typed, as many as possible were asked. | -",
      // 5 reps at RPE 10 are 87 %: 145 / 0.87 = 166.7, 15 % under 195
      "1x5 75%     | 145   | 5 | 10 | Is that right? It speaks for a max of 167 kg, 15 % under the 195 expected. | -",
      "1x5 137.5kg | 137.5 | 5 | - | - | -",
      "1x5 137.5kg | 140   | 5 | - | - | -",
      // 15 % of 137.5 is 20.6: 22.5 over it is asked about, 17.5 is not
      "1x5 137.5kg | 155   | 5 | - | - | -",
      "1x5 137.5kg | 160   | 5 | - | Is that right? 160 kg was typed, 137.5 kg was planned. | 137.5",
      "1x8 20kg    | 22.5  | 8 | - | - | -",
      "1x5 75%     | 145   | 5 | 7 | - | -",
  })
  void asksAboutWhatIsFarOff(String line, String load, int reps, Double rpe, String question, String instead) {
    Optional<EntryDoubt.Doubt> doubt = about(line, true, false, load, reps, rpe);
    assertThat(doubt.map(EntryDoubt.Doubt::question).orElse(null)).isEqualTo(question);
    assertThat(doubt.map(EntryDoubt.Doubt::instead).map(Mass::number).orElse(null)).isEqualTo(instead);
  }

  @Test
  void asksBeforeTheBackOffsOfASingleFivePercentOff() {
    // 182.5 at RPE 10 is all there was: 6 % under 195
    assertThat(about("1x1 @8; 4x4 -15%", true, true, "182.5", 1, 10.0)).map(EntryDoubt.Doubt::question).hasValue(
        "Is that right? It speaks for a max of 182 kg, 6 % under the 195 expected. The back-offs follow it.");
    assertThat(about("1x1 @8; 4x4 -15%", true, false, "182.5", 1, 10.0)).as("where nothing hangs on it, eight").isEmpty();
    // 182.5 / 0.955 = 191.1 at RPE 9: 2 %
    assertThat(about("1x1 @8; 4x4 -15%", true, true, "182.5", 1, 9.0)).isEmpty();
    assertThat(about("1x5 75%", false, false, "145", 5, 10.0)).as("a later set may be low because the lifter is tired").isEmpty();
  }

  @Test
  void aBuildUpEndsAtItsRpeAndSoDoesWorkUntilOne() {
    WorkLine build = WorkLine.parse("build 4 @8; 3x4 -15%").line();
    assertThat(Ended.needless(build, List.of(done(1, 1, "140", 4, 6.0), done(1, 2, "150", 4, 7.5)))).isEmpty();
    assertThat(Ended.needless(build, List.of(done(1, 1, "140", 4, 6.0), done(1, 2, "160", 4, 8.0)))).containsExactlyInAnyOrder(
        new LoggedSet.Place(1, 3), new LoggedSet.Place(1, 4));
    assertThat(Ended.needless(WorkLine.parse("5x3 80% until @9").line(),
        List.of(done(1, 1, "155", 3, 8.0), done(1, 2, "155", 3, 9.0)))).hasSize(3);
    assertThat(Ended.needless(WorkLine.parse("5x3 80% @8").line(), List.of(done(1, 1, "155", 3, 9.5))))
        .as("an RPE to aim at ends nothing").isEmpty();
  }

  private static String loads(Map<?, Mass> loads) {
    return loads.values().stream().map(Mass::number).distinct().collect(Collectors.joining(" "));
  }

  @Test
  void afterAMissALighterTopAndLighterBackOffsStandBeside() {
    Resolver.Request missed = request("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 0, null));
    AfterMiss ways = AfterMiss.of(missed).orElseThrow();
    assertThat(ways.due(Resolver.resolve(missed))).isTrue();
    // 182.5 x 0.95 = 173.4, down to what loads; 155 x 0.9 = 139.5
    assertThat(ways.attempt().load()).isEqualTo(kg("172.5"));
    assertThat(ways.attempt().set()).as("behind the planned one, so that the miss stays").isEqualTo(2);
    assertThat(loads(ways.cut().entrySet().stream().collect(Collectors.toMap(Map.Entry::getKey, way -> way.getValue().total()))))
        .isEqualTo("140");
    assertThat(ways.cut()).hasSize(4);

    Resolver.Request again = request("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 0, null), done(1, 2, "172.5", 1, 8.5));
    assertThat(AfterMiss.of(again).orElseThrow().due(Resolver.resolve(again))).isFalse();
    ResolvedLine line = Resolver.resolve(again);
    assertThat(line.sets()).as("the miss, the lighter top, the back-offs").hasSize(6);
    assertThat(line.sets().get(0).reps()).isZero();
    // 172.5 x 0.85 = 146.6
    assertThat(line.sets().subList(2, 6)).allSatisfy(set -> assertThat(set.load()).isEqualTo(kg("147.5")));
    assertThat(AfterMiss.of(request("3x5 75%", done(1, 1, "145", 0, null)))).as("nothing hangs on it").isEmpty();
  }

  @Test
  void threeFurtherAttemptsAreOfferedAndNoneOnceTheBackOffsAreBegun() {
    List<LoggedSet> tried = new ArrayList<>(List.of(done(1, 1, "182.5", 0, null)));
    for (String load : List.of("172.5", "162.5", "152.5")) {
      AfterMiss ways = AfterMiss.of(request("1x1 @8; 4x4 -15%", tried.toArray(LoggedSet[]::new))).orElseThrow();
      assertThat(ways.attempt().load()).as("5 % under the last, down to what loads").isEqualTo(kg(load));
      tried.add(done(1, tried.size() + 1, load, 0, null));
    }
    AfterMiss enough = AfterMiss.of(request("1x1 @8; 4x4 -15%", tried.toArray(LoggedSet[]::new))).orElseThrow();
    assertThat(enough.attempt()).isNull();
    assertThat(enough.cut()).as("but the back-offs can be cut").hasSize(4);
    assertThat(AfterMiss.of(request("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 0, null), done(2, 1, "140", 4, null))).orElseThrow()
        .attempt()).isNull();
  }

  @Test
  void aWarmUpThatWasMadeHidesNoMiss() {
    Resolver.Request request = request("warm 1x5 60kg; 1x1 @8; 4x4 -15%", done(1, 1, "60", 5, null), done(2, 1, "182.5", 0, null));
    assertThat(AfterMiss.of(request).orElseThrow().due(Resolver.resolve(request))).isTrue();
  }

  private static boolean due(Resolver.Request request) {
    return AfterMiss.of(request).filter(ways -> ways.due(Resolver.resolve(request))).isPresent();
  }

  @Test
  void aMissedSingleThatNothingHangsOnIsTriedAgainAsASetOfItsOwn() {
    assertThat(due(request("3x1 90%"))).as("nothing is tried yet").isFalse();
    assertThat(due(request("3x1 90%", done(1, 1, "175", 1, null)))).as("it was made").isFalse();
    Resolver.Request missed = request("3x1 90%", done(1, 1, "175", 1, null), done(1, 2, "175", 0, null));
    AfterMiss ways = AfterMiss.of(missed).orElseThrow();
    assertThat(ways.due(Resolver.resolve(missed))).isTrue();
    assertThat(ways.cut()).isEmpty();
    assertThat(ways.attempt().set()).as("behind the three").isEqualTo(4);
    assertThat(ways.attempt().load()).as("175 x 0.95 = 166.25, down to what loads").isEqualTo(kg("165"));
    assertThat(due(request("3x1 90%; 3x3 80%", done(1, 1, "175", 0, null), done(2, 1, "155", 3, null)))).as("gone on").isFalse();
  }

  @Test
  void aMaxThatWasMadeMayBeFollowedByAHeavierOneUpToNine() {
    Resolver.Request made = request("max 1", done(1, 1, "195", 1, null));
    AfterMiss ways = AfterMiss.of(made).orElseThrow();
    assertThat(ways.due(Resolver.resolve(made))).isTrue();
    assertThat(ways.heavier()).as("it is offered and comes before nothing").isTrue();
    assertThat(ways.attempt().load()).as("195 x 1.025 = 199.9").isEqualTo(kg("200"));
    List<LoggedSet> tried = new ArrayList<>();
    for (int set = 1; set <= 9; set++) {
      tried.add(done(1, set, "195", 1, null));
    }
    assertThat(AfterMiss.of(request("max 1", tried.toArray(LoggedSet[]::new))).orElseThrow().attempt().set()).isEqualTo(10);
    tried.add(done(1, 10, "195", 1, null));
    assertThat(due(request("max 1", tried.toArray(LoggedSet[]::new)))).as("ten in all").isFalse();
  }

  private static TodaysMax today(String rested, String now) {
    return new TodaysMax(kg(rested), kg(now));
  }

  /** A day as expected but for a set that was lifted. */
  private static Map<Integer, Loading> beside(String line, LoggedSet... logged) {
    return FromToday.of(request(line, logged), today("193", "191"));
  }

  @Test
  void aTopSetAPointOffPutsTheBackOffsOfTodaysMaxBeside() {
    assertThat(beside("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 1, 8.5))).isEmpty();
    // the planned 155 x 191 / 195 = 151.8
    Map<Integer, Mass> beside = beside("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 1, 9.5)).entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, load -> load.getValue().total()));
    assertThat(beside).isEqualTo(Map.of(2, kg("152.5")));
    assertThat(beside("1x1 182.5kg; 4x4 -15%", done(1, 1, "182.5", 1, 9.5))).as("no RPE was asked").isEmpty();
    assertThat(FromToday.of(request("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 1, 9.5)), null)).as("nothing is tracked").isEmpty();
  }

  // 2 % of 195 is 3.9: our own default
  @ParameterizedTest
  @CsvSource({"191.2,false", "191,true", "198.8,false", "199,true"})
  void aDayThatIsAnotherThanExpectedPutsThemBesideWhateverWasAsked(String rested, boolean beside) {
    Resolver.Request request = request("1x1 182.5kg; 4x4 -15%", done(1, 1, "182.5", 1, null));
    assertThat(FromToday.of(request, today(rested, rested.startsWith("19") && rested.compareTo("195") < 0 ? "190" : "200")).isEmpty())
        .isEqualTo(!beside);
  }

  // under 6 five reps leave four at the least: nine to failure, 76.8 % on the chart; 8 % over the 195 expected is 161.8
  @ParameterizedTest
  @CsvSource({"140,false", "160,false", "162.5,true"})
  void easierThanSixSpeaksForTheLeastTheMaxCanBe(String load, boolean asked) {
    ResolvedSet five = Resolver.resolve(request("1x5 " + load + "kg")).sets().get(0);
    Optional<EntryDoubt.Doubt> doubt = EntryCheck.about(new EntryCheck.Typed(kg(load), 5, null, true, false),
        new EntryCheck.Expected(five, kg("20"), kg("195"), EffortChart.HOUSE, false, true));
    assertThat(doubt.isPresent()).isEqualTo(asked);
    doubt.ifPresent(said -> assertThat(said.question()).contains("a max of over 211 kg"));
  }

  // Handbook, cautions: common practice, no source
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "bench | negative 1x6 125%     | true",
      "squat | 3x3 110% reverse 40kg | true",
      "squat | 1x1 @8; negative 1x4 110% | true",
      "squat | 5x5 75%               | false",
  })
  void aBeginnersNegativeWaitsForTheCoach(String key, String work, boolean waits) {
    Lift lift = LIFTS.ofKey(key).orElseThrow();
    assertThat(CoachWord.neededFor(lift, WorkLine.parse(work).line(), Level.BEGINNER).isPresent()).isEqualTo(waits);
    assertThat(CoachWord.neededFor(lift, WorkLine.parse(work).line(), Level.INTERMEDIATE)).isEmpty();
    assertThat(CoachWord.neededFor(lift, WorkLine.parse(work).line(), null)).isEmpty();
  }

  private static List<String> rows(String line, int table) {
    return BackOffTable.of(request(line)).get(table).rows().stream()
        .map(row -> row.reference().number() + ">" + row.then().total().number()).toList();
  }

  @Test
  void theTableHasEachLoadWithinAFifthOfTheTopAndEachWarmUp() {
    // 195 x 0.93 = 181.4, loaded 182.5: a fifth under it is 146, over it 219
    List<String> rows = rows("1x1 @8; 4x4 -15%", 0);
    assertThat(rows).contains("182.5>155", "217.5>185", "147.5>125").doesNotContain("220>187.5").doesNotHaveDuplicates();
    assertThat(rows.get(0)).as("the bare bar of the ramp may be declared the top set").isEqualTo("20>20");
    assertThat(BackOffTable.of(request("1x1 @8; 4x4 -15%")).get(0).each()).isFalse();
    assertThat(BackOffTable.of(request("1x1 @8; 4x4 70%"))).as("nothing hangs on the top set").isEmpty();
    assertThat(BackOffTable.of(request("1x1 @8; 2x4 -10%; 2x8 80% top"))).extracting(BackOffTable::part).containsExactly(2, 3);
  }

  @Test
  void theTableIsOfTheHeaviestThatIsNoWarmUp() {
    // of 140 and 182.5 the second leads; a written warm-up leads nothing
    assertThat(rows("1x3 140kg; 1x1 182.5kg; 4x4 -10kg", 0)).contains("182.5>172.5").doesNotContain("130>120");
    assertThat(rows("1x1 182.5kg; 1x3 140kg; 4x4 -10kg", 0)).contains("182.5>172.5");
    assertThat(rows("warm 1x5 190kg; 1x1 140kg; 4x4 -10kg", 0)).contains("140>130").doesNotContain("190>180");
  }

  @Test
  void fallingFromEachTheTableReachesUnderTheLastOfThem() {
    // 182.5, 170, 157.5, 145: a fifth under the last is 116
    List<String> rows = rows("1x1 182.5kg; 3x4 -7.5% each", 0);
    assertThat(rows).contains("117.5>107.5").doesNotContain("112.5>105");
    assertThat(BackOffTable.of(request("1x1 182.5kg; 3x4 -7.5% each")).get(0).each()).isTrue();
    Resolver.Request bare = new Resolver.Request(WorkLine.parse("1x1 182.5kg; 3x4 -10kg"), Basis.ESTIMATED, MaxNumbers.NONE,
        Map.of(), null, null, MassUnit.KG, EffortChart.HOUSE, Movement.SQUAT, false, List.of(), null, null);
    assertThat(BackOffTable.of(bare)).as("on no bar").isEmpty();
  }

  // asked 8: a point off is 7 or 9
  @ParameterizedTest
  @CsvSource({"9,true", "8.5,false", "7,true", "7.5,false"})
  void aPointOffIsOff(double rated, boolean off) {
    assertThat(beside("1x1 @8; 4x4 -15%", done(1, 1, "182.5", 1, rated)).isEmpty()).isEqualTo(!off);
  }

  @Test
  void todaysMaxMovesOnlyWhatHangsOnTheTopAndIsStillToDo() {
    LoggedSet top = done(1, 1, "182.5", 1, 10.0);
    assertThat(beside("1x1 @8; 2x4 -15%; 2x8 60%", top)).containsOnlyKeys(2);
    assertThat(beside("1x1 @8; 1x4 -15%", top, done(2, 1, "155", 4, null))).as("all lifted").isEmpty();
    assertThat(beside("1x1 @8; 2x4 -15%", top, done(2, 1, "155", 4, null))).as("one is left").containsOnlyKeys(2);
    assertThat(beside("1x1 @8; 3x4 -7.5% each", top)).as("each falls from the one before it").isEmpty();
    assertThat(beside("1x1 @8; 2x4 -15%", done(1, 1, "182.5", 0, null))).as("no rep, no rating").isEmpty();
    assertThat(beside("1x1 @8; 2x4 -15%", done(3, 1, "182.5", 1, 10.0))).as("a part that is not there").isEmpty();
  }

  @Test
  void theLighterAttemptIsOfTheHeaviestAndTheCutOfAllThatHangsOnIt() {
    AfterMiss ways = AfterMiss.of(request("warm 1x3 190kg; 1x1 182.5kg; 1x2 170kg; 2x4 -15%; 3x8", done(2, 1, "182.5", 0, null)))
        .orElseThrow();
    assertThat(ways.attempt().part()).isEqualTo(2);
    assertThat(ways.attempt().load()).isEqualTo(kg("172.5"));
    assertThat(ways.cut().keySet()).containsExactlyInAnyOrder(new LoggedSet.Place(4, 1), new LoggedSet.Place(4, 2));
    AfterMiss second = AfterMiss.of(request("1x1 170kg; 1x1 182.5kg; 2x4 -15%; 2x4 120kg")).orElseThrow();
    assertThat(second.attempt().part()).isEqualTo(2);
    assertThat(second.cut()).as("a written load is not cut").hasSize(2);
  }

  // a single that back-offs hang on: five percent off is asked about, of others eight
  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "-", value = {
      // 10 of 195: 204.75 is 5 % over
      "1x1 205kg | true  | 204.7 | 10 | false", "1x1 205kg | true | 204.8 | 10 | true", "1x1 205kg | false | 205 | 10 | false",
      "1x1 210kg | false | 210.5  | 10 | false", "1x1 210kg | false | 211 | 10 | true",
      "1x1 180kg | false | 179.4  | 10 | false", "1x1 180kg | false | 179 | 10 | true",
      // rated 6, as easy as the scale goes, it says what there is at the least
      "1x1 150kg | true  | 150 | 6 | false", "1x1 150kg | true | 150 | 6.5 | true", "1x1 150kg | true | 150 | - | false",
  })
  void aMaxOffIsAskedAboutFromItsLimitOn(String line, boolean leads, String load, Double rpe, boolean asked) {
    ResolvedSet planned = Resolver.resolve(request(line)).sets().get(0);
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg(load), 1, rpe == null ? null : Rpe.of(rpe), false, false),
        new EntryCheck.Expected(planned, kg("20"), kg("195"), EffortChart.HOUSE, leads, true)).isPresent()).isEqualTo(asked);
  }

  @ParameterizedTest
  @CsvSource({"1x5 137.5kg,15,false", "1x5 137.5kg,16,true", "1x4-6 137.5kg,17,false", "1x4-6 137.5kg,18,true",
      "1xAMRAP 60%,30,false", "timed 1x60s 60kg,30,false", "timed 1x60s 60kg,31,true"})
  void moreRepsThanTwiceAndFiveAreAskedAbout(String line, int reps, boolean asked) {
    ResolvedSet planned = Resolver.resolve(request(line)).sets().get(0);
    assertThat(EntryCheck.about(new EntryCheck.Typed(planned.load(), reps, null, false, false),
        new EntryCheck.Expected(planned, kg("20"), null, EffortChart.HOUSE, false, true))
        .isPresent()).isEqualTo(asked);
  }

  @Test
  void aMaxSaysNothingBeyondTenRepsNorOfWorkThatTellsNothing() {
    ResolvedSet straight = Resolver.resolve(request("1x11 80kg")).sets().get(0);
    EntryCheck.Expected expected = new EntryCheck.Expected(straight, kg("20"), kg("195"), EffortChart.HOUSE, false, true);
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg("80"), 10, Rpe.of(10), false, false), expected)).isPresent();
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg("80"), 11, Rpe.of(10), false, false), expected)).isEmpty();
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg("80"), 10, Rpe.of(10), false, true), expected))
        .as("something was off: low is no wonder").isEmpty();
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg("80"), 10, Rpe.of(10), false, false),
        new EntryCheck.Expected(straight, kg("20"), kg("195"), EffortChart.HOUSE, false, false)))
        .as("later sets may be low").isEmpty();
    assertThat(EntryCheck.about(new EntryCheck.Typed(kg("80"), 10, Rpe.of(10), false, false),
        new EntryCheck.Expected(straight, kg("20"), kg("0"), EffortChart.HOUSE, false, true))).isEmpty();
  }

  @Test
  void whatWasTriedIsLookedBackOnAsItWasAsked() {
    ResolvedLine line = Resolver.resolve(request("2x5 145kg; 3x8"));
    ResolvedLine tried = line.onlyTried(List.of(done(1, 2, "150", 3, null), done(2, 1, "60", 8, null)));
    assertThat(tried.sets()).extracting(ResolvedSet::place).containsExactly("1.2", "2.1");
    assertThat(tried.sets().get(0).load()).as("as asked").isEqualTo(kg("145"));
    assertThat(tried.sets().get(0).logged()).isFalse();
    assertThat(tried.sets().get(1).load()).as("the lifter picked").isEqualTo(kg("60"));
  }

  @Test
  void dropsAreFromTheFirstOfEquallyHeavySetsWithARepMade() {
    ResolvedLine line = Resolver.resolve(request("2x1 182.5kg; 1x4 -10kg", done(1, 1, "180", 0, null), done(1, 2, "175", 1, 8.0)));
    assertThat(line.sets().get(2).load()).as("a miss leads nothing").isEqualTo(kg("165"));
    assertThat(Resolver.resolve(request("2x1 182.5kg; 1x4 -10kg", done(1, 1, "180", 1, 9.0), done(1, 2, "180", 1, 7.0))).today())
        .as("what the first speaks for")
        .isEqualTo(Resolver.resolve(request("2x1 182.5kg; 1x4 -10kg", done(1, 1, "180", 1, 9.0))).today());
  }
}

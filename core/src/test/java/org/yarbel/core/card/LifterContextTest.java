package org.yarbel.core.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.Band;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** What a lifter's lines are worked out with, from a kit with two bars, one of them kept for the squat. */
class LifterContextTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final PlaceKit KIT = new PlaceKit(MassUnit.KG,
      List.of(new Bar("Bar", kg("20"), List.of(), true, true), new Bar("Squat bar", kg("25"), List.of("squat"), true, true)),
      kg("0"), PlateStock.standard(MassUnit.KG).plates(), false, List.of(), List.of(), List.of(), List.of());
  private final List<PlaceKit.Loaded> searched = new ArrayList<>();
  private final LifterContext.Loads loads = LifterContext.Loads.of(KIT, LIFTS, MassUnit.KG, loaded -> {
    searched.add(loaded);
    return loaded.search();
  });

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static LifterContext.Known known(@Nullable String estimated, Basis basis, @Nullable Level level) {
    return new LifterContext.Known(new MaxNumbers(kg("100"), estimated == null ? null : kg(estimated), null, null), basis, null,
        new EffortChart(EffortChart.HOUSE.curve(), 1.1), level);
  }

  private LifterContext context(Map<String, LifterContext.Known> known) {
    return new LifterContext(MassUnit.KG, kg("90"), known, RampStyle.SHRINKING, LIFTS, loads);
  }

  private static Lift lift(String key) {
    return LIFTS.ofKey(key).orElseThrow();
  }

  @Test
  void aLiftHasTheBarThatIsKeptForItElseTheFirst() {
    assertThat(loads.bar(lift("squat"), null)).hasValueSatisfying(bar -> assertThat(bar.name()).isEqualTo("Squat bar"));
    assertThat(loads.bar(lift("bench"), null)).hasValueSatisfying(bar -> assertThat(bar.name()).isEqualTo("Bar"));
    assertThat(loads.bar(lift("bench"), "Squat bar")).hasValueSatisfying(bar -> assertThat(bar.mass()).isEqualTo(kg("25")));
    assertThat(loads.bar(lift("bench"), "no such bar")).isEmpty();
    assertThat(loads.bar(lift("plank"), "Bar")).as("no bar for what takes none").isEmpty();
    assertThat(loads.bars()).containsExactly("Bar", "Squat bar");
    assertThat(loads.bandsWithoutPartner()).isEmpty();
  }

  @Test
  void whatLoadsALiftIsSearchedByWhomItIsKeptBy() {
    PlaceKit.Loaded loaded = loads.of(lift("squat"), null).orElseThrow();
    assertThat(loads.search(loaded).lightest().total()).isEqualTo(kg("25"));
    assertThat(searched).containsExactly(loaded);
    assertThat(loads.of(lift("squat"), "Bar").orElseThrow().search().lightest().total()).isEqualTo(kg("20"));
  }

  @Test
  void aLiftLoweredWithHelpHasTheNumbersOfTheLiftAsSuch() {
    LifterContext context = context(Map.of("bench", known("140", Basis.TESTED, Level.ADVANCED), "bench-negative",
        known("160", Basis.ESTIMATED, Level.BEGINNER)));
    Lift negative = lift("bench-negative");
    assertThat(context.unaided(negative)).isEqualTo(lift("bench"));
    assertThat(context.unaided(lift("squat"))).isEqualTo(lift("squat"));
    assertThat(context.numbers(negative).estimated()).isEqualTo(kg("140"));
    assertThat(context.basis(negative)).isEqualTo(Basis.TESTED);
    assertThat(context.basisMax(negative)).isEqualTo(kg("100"));
    assertThat(context.chart(negative).stretch()).isEqualTo(1.1);
  }

  @Test
  void ofWhatNobodyKnowsThereAreTheDefaults() {
    LifterContext context = context(Map.of());
    assertThat(context.numbers(lift("squat"))).isEqualTo(MaxNumbers.NONE);
    assertThat(context.basis(lift("squat"))).isEqualTo(Basis.ESTIMATED);
    assertThat(context.basisMax(lift("squat"))).isNull();
    assertThat(context.chart(lift("squat"))).isEqualTo(EffortChart.HOUSE);
    assertThat(context.level(lift("front-squat"))).isNull();
  }

  @Test
  void aPartialIsDrawnAgainstTheWholeLift() {
    List<Lift> partials = LIFTS.all().stream().filter(lift -> lift.variation().partial()).toList();
    assertThat(partials).isNotEmpty();
    for (Lift partial : partials) {
      Lift whole = partial;
      while (whole.variation().partial()) {
        whole = LIFTS.parent(whole).orElseThrow();
      }
      LifterContext context = context(Map.of(whole.key(), known("200", Basis.ESTIMATED, null), partial.key(),
          known("230", Basis.ESTIMATED, null)));
      assertThat(context.drawnAgainst(partial)).as(partial.key()).isEqualTo(kg("200"));
      assertThat(context.drawnAgainst(whole)).isEqualTo(kg("200"));
    }
    assertThat(context(Map.of()).drawnAgainst(lift("squat"))).isNull();
  }

  @Test
  void aLineHasTheNumbersOfEveryLiftItAsksFor() {
    LifterContext context = context(Map.of("squat", known("200", Basis.ESTIMATED, null), "deadlift", known(null, Basis.ESTIMATED, null)));
    Map<String, Mass> asked = context.numbersFor(lift("bench"), WorkLine.parse("3x5 60% of front-squat; 3x5 60% of overhead-press"))
        .entrySet().stream()
        .filter(entry -> entry.getValue().estimated() != null)
        .collect(Collectors.toMap(Map.Entry::getKey, entry -> entry.getValue().estimated()));
    assertThat(asked).as("the front squat's by its ratio; of the press nothing is known").containsOnlyKeys("squat", "front-squat");
    assertThat(asked.get("front-squat")).isLessThan(kg("200"));
    assertThat(context.numbersFor(lift("bench"), WorkLine.parse("3x5 60kg"))).containsOnlyKeys("squat", "deadlift", "bench")
        .containsEntry("bench", MaxNumbers.NONE);
  }

  @Test
  void bandsThatMakeNoPairAreToldWhereBandsAreUsed() {
    PlaceKit odd = new PlaceKit(MassUnit.KG, KIT.bars(), kg("0"), KIT.plates(), false, List.of(),
        List.of(new Band("Red", "Made up", null, List.of(new Band.Pull(50, kg("10")), new Band.Pull(90, kg("30"))))), List.of(), List.of());
    LifterContext.Loads there = LifterContext.Loads.of(odd, LIFTS, MassUnit.KG, PlaceKit.Loaded::search);
    assertThat(there.bandsWithoutPartner()).hasSize(1);
    LifterContext context = new LifterContext(MassUnit.KG, kg("90"),
        Map.of("squat", known("200", Basis.ESTIMATED, Level.ADVANCED)), RampStyle.SHRINKING, LIFTS, there);
    for (Map.Entry<String, Boolean> line : Map.of("3x3 60% bands 10>30kg", true, "3x3 100% reverse 30kg", true,
        "3x3 80%; 3x3 60% bands 10>30kg", true, "3x3 80%", false, "3x3 60% chains 20kg", false).entrySet()) {
      assertThat(new SessionResolver(context).alone(PlannedLine.of(lift("squat"), line.getKey())).line().cautions().stream()
          .anyMatch(caution -> caution.code().equals("bands-differ"))).as(line.getKey()).isEqualTo(line.getValue());
    }
  }

  @Test
  void aDayToComeIsJudgedByTheMaxToExpectThen() {
    LocalDate today = LocalDate.of(2026, 3, 16);
    Tracker tracker = new Tracker(Level.INTERMEDIATE, new TestedMax(kg("200"), today.minusDays(14)));
    Standing standing = Objects.requireNonNull(tracker.run(List.of(), MassUnit.KG).standing());
    LifterContext.Known tracked = new LifterContext.Known(new MaxNumbers(null, kg("202"), null, null), Basis.ESTIMATED, null,
        EffortChart.HOUSE, Level.INTERMEDIATE, new LifterContext.Tracked(standing, today));
    LifterContext context = context(Map.of("squat", tracked, "bench", known("140", Basis.ESTIMATED, null)));
    assertThat(context.expected(lift("squat"), today)).as("today, as it is known").isEqualTo(kg("202"));
    assertThat(context.expected(lift("squat"), today.minusDays(1))).isEqualTo(kg("202"));
    Mass later = context.expected(lift("squat"), today.plusWeeks(8));
    // 201.2 with 70 days of 0.00035
    assertThat(later.nanograms() / 1e12).isCloseTo(201.2007 * Math.exp(70 * 0.00035), within(0.1));
    assertThat(context.expected(lift("bench"), today.plusWeeks(8))).as("nothing is tracked").isEqualTo(kg("140"));
    assertThat(context.expected(lift("deadlift"), today)).isNull();
    assertThat(context.tracked(lift("squat"))).isPresent();

    CountedLine written = counted(context, today.plusWeeks(8), "3x5 150kg");
    assertThat(written.topPercent()).as("what was written is a share of what is to be expected").isCloseTo(100 * 150 / 206.2, within(0.1));
    assertThat(counted(context, today, "3x5 150kg").topPercent()).isCloseTo(100 * 150 / 202.0, within(0.01));
    for (String follows : List.of("3x5 75%", "3x5 @8", "1x1 @8; 3x4 -15%", "1x1 @8; 3x4 80% top")) {
      assertThat(counted(context, today.plusWeeks(8), follows).topPercent()).as("%s follows the estimate", follows)
          .isEqualTo(counted(context, today, follows).topPercent());
    }
    CountedLine hangs = counted(context, today.plusWeeks(8), "1x1 180kg; 3x4 -15%");
    assertThat(hangs.sets().get(1).percent()).as("hangs on what was written").isCloseTo(100 * 152.5 / 206.2, within(0.2));
  }

  /** Rows that nobody rates have a max of ± 10 %: whether eight of them are hard is not read from it. */
  @Test
  void aMaxThatIsHardlyKnownJudgesNothing() {
    LocalDate today = LocalDate.of(2026, 3, 16);
    Observation unrated = Observation.of(today.minusDays(3), kg("70"), 8, null);
    for (Observation set : List.of(unrated, Observation.of(today.minusDays(3), kg("70"), 8, Rpe.of(8)))) {
      Standing standing = Objects.requireNonNull(new Tracker(Level.INTERMEDIATE, List.of()).run(List.of(set), MassUnit.KG).standing());
      Mass max = standing.on(today).max(MassUnit.KG).max();
      LifterContext context = context(Map.of("row", new LifterContext.Known(new MaxNumbers(null, max, null, null), Basis.ESTIMATED, null,
          EffortChart.HOUSE, Level.INTERMEDIATE, new LifterContext.Tracked(standing, today))));
      assertThat(context.expected(lift("row"), today) == null).as("%s", set).isEqualTo(set == unrated);
      assertThat(context.expected(lift("row"), today.plusWeeks(2)) == null).isEqualTo(set == unrated);
      assertThat(context.numbers(lift("row")).best()).as("shares of it are worked out all the same").isEqualTo(max);
    }
  }

  private static CountedLine counted(LifterContext context, LocalDate day, String work) {
    ResolvedLine line = new SessionResolver(context).alone(PlannedLine.of(lift("squat"), work)).line();
    return CountedLine.of(1, day, SlotKind.MAIN, lift("squat"), Objects.requireNonNull(line), context);
  }
}

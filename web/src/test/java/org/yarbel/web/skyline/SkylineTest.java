package org.yarbel.web.skyline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

class SkylineTest {
  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  private static ResolvedLine line(String work, LoggedSet... done) {
    return Resolver.resolve(Resolver.Request.of(WorkLine.parse(work), Basis.ESTIMATED,
        new MaxNumbers(null, MAX, null, null), KG).withLogged(List.of(done)));
  }

  private static List<Skyline.Bar> work(Skyline sky) {
    return sky.bars().stream().filter(bar -> !bar.role().equals("warm")).toList();
  }

  @Test
  void standsAsHighAsItsShareOfTheMax() {
    Skyline sky = Skyline.of(line("1x1 100%; 2x5 -20%"), MAX, 300, 112);
    List<Skyline.Bar> bars = work(sky);
    assertThat(bars.get(0).height()).as("100 of 112 %").isCloseTo(100, within(0.1));
    assertThat(bars.get(1).height()).as("80 %").isCloseTo(80, within(0.1));
    assertThat(sky.rules()).extracting(Skyline.Rule::y).containsExactly(42.0, 32.0, 22.0, 12.0);
    assertThat(sky.rules()).extracting(Skyline.Rule::full).containsExactly(false, false, false, true);
  }

  @Test
  void growsWiderWithTheRepsAndStaysInsideThePicture() {
    Skyline sky = Skyline.of(line("1x1 90%; 4x8 60%"), MAX, 236, 44);
    List<Skyline.Bar> bars = work(sky);
    assertThat(bars.get(1).width()).isGreaterThan(2 * bars.get(0).width());
    assertThat(sky.bars()).allSatisfy(bar -> {
      assertThat(bar.x()).isGreaterThanOrEqualTo(0);
      assertThat(bar.right()).isLessThanOrEqualTo(236.3);
      assertThat(bar.y()).isBetween(0.0, 44.0);
    });
    assertThat(Skyline.of(line("50x100 60%"), MAX, 236, 44).bars()).last()
        .satisfies(bar -> assertThat(bar.right()).isLessThanOrEqualTo(236.5));
  }

  @Test
  void drawsEachRoleInItsOwnWay() {
    assertThat(work(Skyline.of(line("1x1 90%; 1x5 -20%; 1xAMRAP 70%"), MAX, 236, 44))).extracting(Skyline.Bar::role)
        .containsExactly("top", "backoff", "open");
    assertThat(work(Skyline.of(line("2x5+ 80%"), MAX, 236, 44))).extracting(Skyline.Bar::role)
        .containsExactly("straight", "plus");
    assertThat(work(Skyline.of(line("3x8"), MAX, 236, 44))).extracting(Skyline.Bar::role).containsOnly("unknown");
  }

  @Test
  void ticksWhatWasDoneWhereItWasLiftedAndKeepsThePlan() {
    List<Skyline.Bar> bars = work(Skyline.of(
        line("2x1 90%", new LoggedSet(1, 1, Mass.of("190", MassUnit.KG), 1, null), new LoggedSet(1, 2, Mass.of("190", MassUnit.KG),
            0, null)),
        MAX, 236, 112));
    assertThat(bars.get(0).height()).as("planned at 90 %").isCloseTo(90, within(0.1));
    assertThat(bars.get(0).doneY()).as("done at 95 %").isCloseTo(112 - 95, within(0.1));
    assertThat(bars.get(0).missed()).isFalse();
    assertThat(bars.get(1).missed()).isTrue();
  }

  @Test
  void showsStepsWithoutAMaxButNoRules() {
    Skyline sky = Skyline.of(line("1x5 100kg; 1x5 80% top"), null, 236, 44);
    assertThat(sky.rules()).isEmpty();
    assertThat(work(sky).get(0).height()).isGreaterThan(work(sky).get(1).height());
  }

  @Test
  void saysInWordsWhatItShows() {
    assertThat(Skyline.of(line("1x1 90%; 2x5 -20%"), MAX, 236, 44).text())
        .startsWith("Warm-up 20 × 10, ")
        .endsWith("; top 180 × 1, back-off 145 × 5, back-off 145 × 5");
  }

  @Test
  void leadsFromABarToItsSet() {
    Skyline sky = Skyline.of(List.of(new Skyline.SkylineLine(line("2x5 70%"), MAX, "17")), 358, 56);
    assertThat(work(sky)).extracting(Skyline.Bar::target).containsExactly("17-1-1", "17-1-2");
  }

  @Test
  void drawsPlatesByTheirSizeAndNamesThem() {
    PlatePicture picture = PlatePicture.of(KG.exact(Mass.of("182.5", MassUnit.KG)).orElseThrow().perSide(), MassUnit.KG);
    assertThat(picture.discs()).extracting(PlatePicture.Disc::label).containsExactly("25", "25", "25", "5", "1.25");
    assertThat(picture.discs().get(0).height()).isGreaterThan(picture.discs().get(3).height());
    assertThat(picture.discs().get(3).height()).isGreaterThan(picture.discs().get(4).height());
    assertThat(picture.discs()).allSatisfy(disc -> assertThat(disc.x() + disc.width()).isLessThan(picture.width()));
    assertThat(picture.text()).isEqualTo("25 25 25 5 1.25 a side");
    assertThat(PlatePicture.of(List.of(), MassUnit.KG).text()).isEqualTo("no plates");
  }

  @Test
  void aSparklineNeedsTwoValuesAndStaysInside() {
    assertThat(Sparkline.of(List.of(100.0), 84, 24).empty()).isTrue();
    Sparkline line = Sparkline.of(List.of(100.0, 110.0, 105.0), 84, 24);
    assertThat(line.points()).isEqualTo("2.0,21.0 41.0,3.0 80.0,12.0");
    assertThat(line.lastX()).isEqualTo(80);
    assertThat(Sparkline.of(List.of(100.0, 100.0), 84, 24).points()).as("no change is a level line").isEqualTo("2.0,21.0 80.0,21.0");
  }

  @Test
  void partialsRiseAboveTheLineOfTheMaxAndTheRulesMakeRoom() {
    Skyline sky = Skyline.of(line("1x3 130% reverse 60kg; 1x1 100%"), MAX, 300, 135);
    double full = sky.rules().get(3).y();
    assertThat(work(sky).get(0).y()).as("130 % stands over the rule of 100").isLessThan(full);
    assertThat(work(sky).get(1).y()).isCloseTo(full, within(0.1));
    assertThat(sky.bars()).allSatisfy(bar -> assertThat(bar.y()).isGreaterThanOrEqualTo(0));
    assertThat(work(Skyline.of(line("1x3 150% reverse 60kg"), MAX, 300, 135)).get(0).y()).as("as high as there is room").isEqualTo(0);
  }

  @Test
  void holdsAndCarriesLieInALaneAsLongAsTheyTakeOrGo() {
    Skyline sky = Skyline.of(line("hold 1x30s 60kg; hold 1x60s 60kg; carry 1x20m 100kg; 1x5 80%"), MAX, 300, 60);
    assertThat(sky.lane()).isNotNull();
    List<Skyline.Bar> bars = work(sky);
    assertThat(bars).extracting(Skyline.Bar::role).containsExactly("hold", "hold", "carry", "straight");
    assertThat(bars.subList(0, 3)).allSatisfy(bar -> {
      assertThat(bar.y()).as("below the others").isGreaterThanOrEqualTo(sky.lane());
      assertThat(bar.y() + bar.height()).isCloseTo(60, within(0.1));
    });
    assertThat(bars.get(1).width()).as("twice the time").isGreaterThan(1.4 * bars.get(0).width());
    assertThat(bars.get(3).y() + bars.get(3).height()).isCloseTo(47, within(0.1));
    assertThat(Skyline.of(line("5x5 75%"), MAX, 300, 60).lane()).isNull();
  }

  @Test
  void tellsEveryRoleApartAndSaysItInWords() {
    Skyline sky = Skyline.of(line("build 3 @8; max 1; cluster 1x4 85% gap 20s; density 5 80% in 5:00; emom 2x2 70%; negative "
        + "1x3 110%; timed 1x30s 60kg; series 100/120kg"),
        MAX, 300, 60);
    assertThat(work(sky)).extracting(Skyline.Bar::role).containsExactly("build", "build", "build", "build", "max", "cluster",
        "density", "emom", "emom", "negative", "timed", "series", "series");
    assertThat(sky.text()).contains("best of the day 200 × 1").contains("on time 60, 30 s").contains("on the minute 140 × 2")
        .contains("lowered 220 × 3");
    assertThat(Skyline.of(line("carry 1x20.5m 100kg"), MAX, 300, 60).text()).contains("carry 100, 20.5 m");
  }
}

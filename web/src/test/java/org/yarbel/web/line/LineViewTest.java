package org.yarbel.web.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

class LineViewTest {
  private static final PlaceKit KIT = PlaceKit.of(Kit.standard(MassUnit.KG));
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final LifterContext.Loads LOADS = new LifterContext.Loads() {
    @Override
    public Optional<PlaceKit.Loaded> of(Lift lift, String bar) {
      return KIT.loaded(lift, LIFTS, MassUnit.KG, bar);
    }

    @Override
    public List<String> bars() {
      return List.of();
    }

    @Override
    public Loadables search(PlaceKit.Loaded loaded) {
      return loaded.search();
    }
  };
  private static final LifterContext CONTEXT = new LifterContext(MassUnit.KG, null,
      Map.of("squat", LifterContext.Known.of(new MaxNumbers(null, Mass.of("200", MassUnit.KG), null, null), Basis.ESTIMATED),
          "deadlift", LifterContext.Known.of(
              new MaxNumbers(null, Mass.of("240", MassUnit.KG), null, Mass.of("260", MassUnit.KG)), Basis.GOAL)),
      RampStyle.SHRINKING, LIFTS, LOADS);

  private static LineView line(String lift, String work) {
    return LineView.of(CONTEXT, CONTEXT.lift(lift), work);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "squat | 5x5 75% | 150 ×5",
    "squat | 1x1 90%; 3x3 -20% | 180 · 145 ×3",
    "squat | 3x5+ 75% | 150 ×3+",
    "squat | 2xAMRAP 70% | 140+ ×2",
    "squat | 1x1 90%; 3x3 -5% each | 180 · 170 162.5 155",
    "squat | 3x8 | lifter picks ×3",
    "deadlift | 1x2 90% | 235", // of the goal, the plan's basis: 234
    "deadlift | 1x2 90% est | 215", // 216
    "squat | 1x5 60% of deadlift | 145", // 144
    "back-extension | 3x12 20kg | 20 ×3", // goes on no bar: as written
    "paused-squat | 1x3 75% | 137.5", // of 92 % of the squat: 138
    "zercher-squat | 1x3 75% | 110", // of 90 % of 82 % of the squat: 110.7
    "squat | 1x3 50% of front-squat | 82.5", // 82
  })
  void saysWhatALineComesTo(String lift, String work, String loads) {
    assertThat(String.join(" · ", line(lift, work).loads())).isEqualTo(loads);
  }

  @Test
  void cutsTheTextAtWhatIsWrong() {
    assertThat(line("squat", "5x; 3x3 @11").marks()).containsExactly(
        new LineView.Mark("5x", false), new LineView.Mark("‸", true), new LineView.Mark("; 3x3 ", false),
        new LineView.Mark("@11", true), new LineView.Mark("", false));
    assertThat(line("squat", "5x; 3x3 @11").problems()).hasSize(2);
  }

  @Test
  void marksWhatOnlyThisLifterLacks() {
    LineView view = line("bench", "3x5 75%");
    assertThat(view.wrong()).isTrue();
    assertThat(view.problems()).containsExactly(
        "The estimated max is not known: write it down, or name another (tested, est, tm, goal).");
    assertThat(view.marks()).contains(new LineView.Mark("75%", true));
  }

  @Test
  void saysWhenANumberComesByARatio() {
    assertThat(line("paused-squat", "1x3 75%").cautions()).extracting(LineView.Minded::text).containsExactly(
        "No number of its own yet: worked out as 92 % (± 5) of the squat. Plan the first exposure @7.");
    assertThat(line("paused-squat", "1x3 100kg").cautions()).as("a load needs no number").isEmpty();
    assertThat(line("squat", "1x3 75%").cautions()).isEmpty();
  }

  @Test
  void showsTheCautionsOfTheCore() {
    assertThat(line("squat", "1x1 105%").cautions()).singleElement().asString().contains("spotters");
  }

  @Test
  void readsTheLineOutAndSaysWhatIsMovedAtBothEnds() {
    assertThat(line("squat", "1x1 90%; 3x3 -20%").words()).isEqualTo("A single at 90 %. 3 sets of 3 at 20 % under the single.");
    assertThat(line("squat", "3x3 60% bands 10>40kg").loads()).containsExactly("120 ×3 (130 to 160)");
    assertThat(line("squat", "5x5 @11").words()).as("what cannot be read is not read out").isEmpty();
  }

  @Test
  void offersWhatCanComeNextAtTheCaretOnly() {
    LineView typed = line("squat", "5x5 75% re; 3x3");
    assertThat(typed.next()).as("nobody is typing").isEmpty();
    assertThat(typed.typing("5x5 75% re; 3x3", 10).next()).first().isEqualTo(
        new LineView.Next("5x5 75% rest 2:00; 3x3", "rest 2:00", "after each set"));
    assertThat(typed.typing("5x5 75%", 7).next()).as("in the middle of a figure").isEmpty();
    assertThat(typed.typing("", 0).next()).isNotEmpty();
    assertThat(typed.typing("5x5 ", 400).next()).as("a caret beyond the end").isNotEmpty();
  }

  @Test
  void aPartialIsDrawnAgainstTheMaxOfTheWholeLift() {
    LineView partial = line("block-pull", "1x1 112kg");
    LineView whole = line("deadlift", "1x1 112kg");
    assertThat(partial.skyline().bars().get(partial.skyline().bars().size() - 1).y())
        .isEqualTo(whole.skyline().bars().get(whole.skyline().bars().size() - 1).y());
    assertThat(CONTEXT.drawnAgainst(CONTEXT.lift("block-pull"))).isEqualTo(CONTEXT.basisMax(CONTEXT.lift("deadlift")));
  }

  @Test
  void cautionsCarryTheirReasonAndWhetherSomebodyMayBeHurt() {
    assertThat(line("squat", "1x1 105%").cautions()).singleElement().satisfies(caution -> {
      assertThat(caution.hurts()).isTrue();
      assertThat(caution.reason()).startsWith("Nobody knows yet that it goes.");
    });
    assertThat(line("squat", "1x5 2%").cautions()).singleElement().satisfies(caution -> assertThat(caution.hurts()).isFalse());
  }
}

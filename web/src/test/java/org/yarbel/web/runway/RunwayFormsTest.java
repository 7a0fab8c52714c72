package org.yarbel.web.runway;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.Use;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.form.Typed;

class RunwayFormsTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final Block STORED = new Block(3, Purpose.STRENGTH, 5, 4, Deload.HALF_LOAD, null,
      List.of(new Use("squat", Method.RISING, Map.of("sets", "5", "reps", "4"), EnumSet.of(DayOfWeek.MONDAY))));

  private static Map<String, String> typed() {
    return new HashMap<>(Map.of("purpose", "STRENGTH", "weeks", "5", "every", "", "easy", "LESS_VOLUME", "basis", "", "lift-0",
        "Squat", "method-0", "RISING", "was-0", "RISING", "p-0-sets", "6"));
  }

  private static RunwayForms.BlockRead read(Map<String, String> typed) {
    return RunwayForms.read(STORED, new Typed(typed), Map.of(0, Set.of(DayOfWeek.TUESDAY), 2, Set.of(DayOfWeek.FRIDAY)), LIFTS);
  }

  @Test
  void showsWhatCanBeSetAndLeavesOutWhatFollowsFromTheBlock() {
    RunwayForms.BlockForm form = RunwayForms.of(STORED, LIFTS);
    assertThat(form.title()).isEqualTo("Strength, 5 weeks");
    assertThat(form.every()).isEqualTo("4");
    assertThat(form.uses()).singleElement().satisfies(use -> {
      assertThat(use.fields()).extracting(RunwayForms.BlockField::key).contains("sets", "reps", "from", "to").doesNotContain("weeks");
      assertThat(use.fields()).filteredOn(field -> field.key().equals("sets")).extracting(RunwayForms.BlockField::value)
          .containsExactly("5");
      assertThat(use.days()).filteredOn(RunwayForms.BlockDay::ticked).extracting(RunwayForms.BlockDay::word).containsExactly("Mon");
    });
  }

  @Test
  void readsABlockAndKeepsOnlyWhatDiffersFromTheDefaults() {
    Map<String, String> typed = typed();
    typed.put("basis", "TRAINING");
    Block block = read(typed).block().orElseThrow();
    assertThat(block.every()).isZero();
    assertThat(block.easy()).isEqualTo(Deload.LESS_VOLUME);
    assertThat(block.basis()).isEqualTo(Basis.TRAINING);
    assertThat(block.uses()).containsExactly(new Use("squat", Method.RISING, Map.of("sets", "6"), EnumSet.of(DayOfWeek.TUESDAY)));
  }

  @Test
  void anotherMethodStartsFromItsOwnFiguresAndAFurtherLiftComesIn() {
    Map<String, String> typed = typed();
    typed.putAll(Map.of("method-0", "RPE_WEEKS", "lift-2", "bench", "method-2", "PEAK"));
    assertThat(read(typed).block().orElseThrow().uses())
        .containsExactly(new Use("squat", Method.RPE_WEEKS, Map.of(), EnumSet.of(DayOfWeek.TUESDAY)),
        new Use("bench", Method.PEAK, Map.of(), EnumSet.of(DayOfWeek.FRIDAY)));
  }

  @Test
  void saysWhatIsWrongBesideTheLiftItIsOf() {
    Map<String, String> typed = typed();
    typed.putAll(Map.of("weeks", "0", "p-0-sets", "many", "lift-1", "Moonwalk", "method-1", "RISING"));
    RunwayForms.BlockRead read = read(typed);
    assertThat(read.block()).isEmpty();
    assertThat(read.form().title()).as("the block as it stands").isEqualTo("Strength, 5 weeks");
    assertThat(read.form().error("weeks")).isEqualTo("The weeks must be a whole number from 1 to 26 but was 0.");
    assertThat(read.form().uses().get(0).fields()).filteredOn(field -> field.error() != null).singleElement().satisfies(field -> {
      assertThat(field.value()).isEqualTo("many");
      assertThat(field.error()).isEqualTo("'sets' must be a whole number from 1 to 12 but was many.");
    });
    assertThat(read.form().uses().get(1).error()).startsWith("There is no lift");
    typed.put("lift-1", "Bench press");
    assertThat(read(typed).form().uses().get(1).error()).isEqualTo("Tick at least one day for the bench press.");
  }
}

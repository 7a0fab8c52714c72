package org.yarbel.core.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

class MarkTest {
  private static Lift lift(String key) {
    return Catalogue.standard().ofKey(key).orElseThrow();
  }

  private static Mass kg(String kg) {
    return Mass.of(kg, MassUnit.KG);
  }

  @ParameterizedTest
  @CsvSource({"squat,SQUAT", "front-squat,SQUAT", "bench,BENCH", "deadlift,PULL", "overhead-press,PRESS", "yoke-walk,EVENT", "row,ASSISTANCE"})
  void eachMovementHasItsList(String key, MarkList list) {
    assertThat(MarkList.of(lift(key))).isEqualTo(list);
  }

  @ParameterizedTest
  @EnumSource(MarkList.class)
  void everyListEndsWithOneForAllElse(MarkList list) {
    assertThat(list.marks()).doesNotHaveDuplicates().endsWith(TechniqueMark.OTHER);
  }

  @Test
  void aLowerBackIsACaution() {
    assertThat(TechniqueMark.LOWER_BACK.caution()).contains("A lower back that rounds under load: stop, and go lighter.");
    assertThat(TechniqueMark.DEPTH.caution()).isEmpty();
    assertThat(MarkList.PULL.marks()).contains(TechniqueMark.LOWER_BACK);
  }

  @Test
  void aMarkIsOnARepThatWasTried() {
    assertThatCode(() -> new Mark(TechniqueMark.KNEES_IN, 5).check(5, false)).doesNotThrowAnyException();
    assertThatThrownBy(() -> new Mark(TechniqueMark.KNEES_IN, 9).check(5, false)).isInstanceOf(Refused.class)
        .hasMessage("The mark 'knees in' is on rep 9, but 5 were tried");
    assertThatCode(() -> new Mark(TechniqueMark.HITCH, 6).check(5, true)).as("the one that was missed").doesNotThrowAnyException();
    assertThatThrownBy(() -> new Mark(TechniqueMark.HITCH, 6).check(5, false)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Mark(TechniqueMark.HITCH, 0).check(5, false)).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Mark(TechniqueMark.DEPTH, 2).check(0, true)).hasMessage("The mark 'depth' is on rep 2, but 1 was tried");
    assertThatCode(() -> new Mark(TechniqueMark.DEPTH, null).check(0, true)).as("of the whole set").doesNotThrowAnyException();
    assertThat(new Mark(TechniqueMark.KNEES_IN, 3).words()).isEqualTo("knees in, rep 3");
    assertThat(new Mark(TechniqueMark.KNEES_IN, null).words()).isEqualTo("knees in");
  }

  @Test
  void gearGoesOnFromALoadOfItsFamily() {
    NormalGear normal = new NormalGear(Set.of(Gear.BELT, Gear.KNEE_SLEEVES, Gear.STRAPS),
        List.of(new NormalGear.From(Gear.BELT, Movement.SQUAT, kg("140")), new NormalGear.From(Gear.BELT, Movement.DEADLIFT, kg("180"))));
    List<WornFrom> squat = normal.of(lift("squat"));
    assertThat(squat).containsExactly(new WornFrom(Gear.BELT, kg("140")), new WornFrom(Gear.KNEE_SLEEVES, null));
    assertThat(WornFrom.at(squat, kg("139.5"))).containsExactly(Gear.KNEE_SLEEVES);
    assertThat(WornFrom.at(squat, kg("140"))).containsExactly(Gear.BELT, Gear.KNEE_SLEEVES);
    assertThat(WornFrom.at(squat, null)).as("nobody knows the load yet").containsExactly(Gear.KNEE_SLEEVES);
    assertThat(normal.of(lift("bench"))).as("nothing of it is worn to bench").isEmpty();
    assertThat(normal.of(lift("front-squat"))).as("the family's load").contains(new WornFrom(Gear.BELT, kg("140")));
    assertThat(normal.of(lift("overhead-press"))).containsExactly(new WornFrom(Gear.BELT, null));
    assertThat(NormalGear.NONE.of(lift("squat"))).isEmpty();
    assertThat(new NormalGear(Set.of(Gear.HOOK_GRIP), List.of()).of(lift("deadlift"))).as("how the bar is held, too")
        .containsExactly(new WornFrom(Gear.HOOK_GRIP, null));
    assertThat(new NormalGear(Set.of(Gear.HOOK_GRIP), List.of()).of(lift("squat"))).isEmpty();
  }

  @Test
  void aBeltThatGoesOnAndIsLeftOffIsMissing() {
    List<WornFrom> normal = List.of(new WornFrom(Gear.BELT, kg("140")));
    assertThat(state(normal, "140", Set.of(Gear.KNEE_SLEEVES), Context.ILL)).containsExactly(Context.NO_BELT, Context.ILL);
    assertThat(state(normal, "137.5", Set.of())).as("it does not go on yet").isEmpty();
    assertThat(state(normal, "140", Set.of(Gear.BELT), Context.NO_BELT)).as("it was worn after all").isEmpty();
    assertThat(state(normal, "137.5", Set.of(), Context.NO_BELT)).as("where none goes on, what was said stays").containsExactly(Context.NO_BELT);
    assertThat(state(List.of(), "140", Set.of())).as("somebody who wears none").isEmpty();
  }

  private static Set<Context> state(List<WornFrom> normal, String load, Set<Gear> worn, Context... said) {
    return WornFrom.contexts(normal, kg(load), worn, Set.of(said));
  }

  @ParameterizedTest
  @EnumSource(Gear.class)
  void everyPieceServesSomething(Gear piece) {
    assertThat(Catalogue.standard().all()).anyMatch(piece::serves).anyMatch(lift -> !piece.serves(lift));
  }

  @Test
  void speedsAreReadInMetresASecond() {
    assertThat(RepSpeeds.parse(" 0.48  0,45;.4 ").millimetres()).containsExactly(480, 450, 400);
    assertThat(RepSpeeds.parse("0.4567").millimetres()).containsExactly(457);
    RepSpeeds speeds = RepSpeeds.parse("0.48 0.455 0.41");
    assertThat(speeds.words()).isEqualTo("0.48 0.455 0.41 m/s");
    assertThat(RepSpeeds.parse(speeds.text())).isEqualTo(speeds);
    assertThat(speeds.best()).isEqualTo(480);
  }

  @ParameterizedTest
  @ValueSource(strings = {"12", "3.01", "0", "0.009", "fast", "-0.4", "0.4 fast", "1e3", "", ".", "99999"})
  void refusesSpeedsThatNoBarHas(String typed) {
    assertThatThrownBy(() -> RepSpeeds.parse(typed)).isInstanceOf(Refused.class);
  }

  @Test
  void saysWhyASpeedIsRefused() {
    assertThatThrownBy(() -> RepSpeeds.parse("12")).hasMessage("The bar speed must be from 0.01 to 3 m/s but was 12");
    assertThat(RepSpeeds.parse("3").millimetres()).containsExactly(3000);
    assertThat(RepSpeeds.millimetres(new BigDecimal("0.01"))).isEqualTo(10);
    assertThatThrownBy(() -> RepSpeeds.parse("0.4 0.4 0.4 0.4").check(3, false)).hasMessage("There are speeds of 4 reps, but the set had 3");
    assertThatCode(() -> RepSpeeds.parse("0.4 0.4 0.4 0.1").check(3, true)).as("the missed one was measured").doesNotThrowAnyException();
    assertThatCode(() -> RepSpeeds.parse("0.4").check(5, false)).as("the best of five").doesNotThrowAnyException();
    assertThatThrownBy(() -> RepSpeeds.parse("0.4 ".repeat(101))).hasMessage("The speeds must be of 1 to 100 reps but are of 101");
  }
}

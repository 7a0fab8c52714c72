package org.yarbel.core.notation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

class ParsedLineTest {
  @Test
  void keepsThePlacesOfTheTypedTextBesideTheTree() {
    ParsedLine parsed = WorkLine.parse(" 5 x 5  75 %  @ 8 ;1x1 @9");
    assertThat(parsed.line().toString()).isEqualTo("5x5 75% @8; 1x1 @9");
    assertThat(parsed.places().get(0)).isEqualTo(new ParsedLine.Places(new Span(1, 17), new Span(8, 12), new Span(14, 17)));
    assertThat(parsed.places().get(1)).isEqualTo(new ParsedLine.Places(new Span(19, 25), null, new Span(23, 25)));
  }

  @Test
  void equalLinesAreEqualHoweverTheyWereTyped() {
    assertThat(WorkLine.parse("5X5   75%").line()).isEqualTo(WorkLine.parse("5x5 75.0%").line());
    assertThat(WorkLine.parse("1x1 100kg").line()).as("the unit stays as written").isNotEqualTo(WorkLine.parse("1x1 100lb").line());
  }

  @Test
  void putsOptionsInTheOrderOfTheNormalForm() {
    Part part = WorkLine.parse("3x5 cap @9 tempo 3-1-X-0 rest 90s 70%").line().parts().get(0);
    assertThat(part.options()).extracting(Option::kind).containsExactly(Option.Kind.REST, Option.Kind.TEMPO, Option.Kind.CAP);
    assertThat(part.option(Option.Rest.class)).contains(new Option.Rest(90));
    assertThat(part.option(Option.Cap.class)).contains(new Option.Cap(Rpe.of(9)));
    assertThat(part.option(Option.Tempo.class).orElseThrow().figures()).containsExactly(3, 1, null, 0);
    assertThat(part.toString()).isEqualTo("3x5 70% rest 90s tempo 3-1-X-0 cap @9");
  }

  @Test
  void writesTimesUnderTwoMinutesInSeconds() {
    assertThat(new Option.Rest(1)).hasToString("rest 1s");
    assertThat(new Option.Rest(119)).hasToString("rest 119s");
    assertThat(new Option.Rest(120)).hasToString("rest 2:00");
    assertThat(new Option.Rest(3600)).hasToString("rest 60:00");
  }

  @Test
  void aDropIsEitherAShareOrAMass() {
    Mass top = Mass.of("182.5", MassUnit.KG);
    assertThat(new Load.Drop(new BigDecimal("15"), null, false).from(top).number()).isEqualTo("155.12");
    assertThat(new Load.Drop(null, Mass.of("10", MassUnit.KG), true).from(top).number()).isEqualTo("172.5");
    assertThat(new Load.Drop(null, Mass.of("200", MassUnit.KG), false).from(top).isZero()).as("never below nothing").isTrue();
    assertThatThrownBy(() -> new Load.Drop(null, null, false)).hasMessage("The drop must be either a percentage or a mass");
  }

  @Test
  void repsSayWhatIsAskedAndWhatALoadIsWorkedOutFor() {
    Reps range = new Reps.Between(4, 7);
    assertThat(range.least()).isEqualTo(4);
    assertThat(range.most()).isEqualTo(7);
    assertThat(range.middle()).hasValue(5.5);
    assertThat(new Reps.Open().least()).isNull();
    assertThat(new Reps.Open().middle()).isEmpty();
    assertThat(new RpeTarget(Rpe.of(7), Rpe.of(8.5)).middle()).isEqualTo(7.75);
  }

  @Test
  void aProblemOfSeveralPartsIsToldInTheirOrder() {
    assertThatThrownBy(() -> WorkLine.parse("x5; 5x; 5x5"))
        .isInstanceOfSatisfying(NotationException.class, wrong -> assertThat(wrong.problems()).extracting(Problem::from)
            .isEqualTo(List.of(0, 6)))
        .hasMessageStartingWith("The number of sets is missing");
  }
}

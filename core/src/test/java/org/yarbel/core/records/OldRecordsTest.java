package org.yarbel.core.records;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.mass.MassUnit;

class OldRecordsTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  private static List<String> row(String... cells) {
    return List.of(cells);
  }

  private static Guess guess(String head, String... rows) {
    return Guess.of(List.of(head.split(";")), Arrays.stream(rows).map(row -> List.of(row.split(";", -1))).toList(), MassUnit.KG);
  }

  private static List<String> read(Layout layout, String... rows) {
    RowReader reader = new RowReader(layout, TODAY);
    List<String> said = new ArrayList<>();
    for (String row : rows) {
      try {
        reader.read(List.of(row.split(";", -1))).forEach(set -> said.add(set.day() + " " + set.lift() + " " + set.load().text() + " "
            + set.sets() + "x" + set.reps() + (set.rpe() == null ? "" : " @" + set.rpe()) + (set.easier() ? " easier" : "")
            + (set.note().isEmpty() ? "" : " " + set.note())));
      } catch (Unreadable wrong) {
        said.add("! " + wrong.reason());
      }
    }
    return said;
  }

  /** The same day as tables of several countries and programs write it. */
  @ParameterizedTest
  @CsvSource({"DAY_FIRST, 5.3.2024", "DAY_FIRST, 05/03/24", "DAY_FIRST, 05.03.2024 17:30", "MONTH_FIRST, 3/5/2024", "MONTH_FIRST, 03-05-24",
      "DAY_FIRST, 2024-03-05", "MONTH_FIRST, 2024/3/5", "DAY_FIRST, 20240305", "MONTH_FIRST, 5 Mar 2024", "DAY_FIRST, 'Mar 5, 2024'",
      "DAY_FIRST, 5. März 2024", "DAY_FIRST, 'Tue 5 March 2024'", "YEAR_FIRST, 2024-03-05T18:00:00Z", "DAY_FIRST, 45356", "DAY_FIRST, 5 mars 2024",
      "YEAR_FIRST, 24-03-05"})
  void oneDayInManyWays(DayOrder order, String written) {
    // 45356 is what spreadsheets hold for that day: =DATE(2024,3,5)
    assertThat(order.read(written)).contains(LocalDate.of(2024, 3, 5));
  }

  @ParameterizedTest
  @CsvSource({"DAY_FIRST, 31.2.2024", "MONTH_FIRST, 13/5/2024", "DAY_FIRST, squat", "DAY_FIRST, 5.3.", "DAY_FIRST, ''", "DAY_FIRST, 5 foo 2024"})
  void whatIsNoDayIsNone(DayOrder order, String written) {
    assertThat(order.read(written)).isEmpty();
  }

  @Test
  void theHeadSaysWhatTheColumnsAre() {
    Guess guess = guess("Date;Exercise;Weight (kg);Reps;RPE;Notes", "13/05/2024;Squat;102.5;5;8;felt good");
    assertThat(guess.layout().columns()).containsExactly(Meaning.DAY, Meaning.LIFT, Meaning.LOAD, Meaning.REPS, Meaning.RPE, Meaning.NOTE);
    assertThat(guess.layout().order()).isEqualTo(DayOrder.DAY_FIRST);
    assertThat(guess.layout().unit()).isEqualTo(MassUnit.KG);
    assertThat(guess.unclear()).isEmpty();
    Guess german = guess("Datum;Übung;Gewicht;Sätze;Wdh;Bemerkung", "13.05.2024;Kniebeuge;102,5;3;5;");
    assertThat(german.layout().columns()).containsExactly(Meaning.DAY, Meaning.LIFT, Meaning.LOAD, Meaning.SETS, Meaning.REPS, Meaning.NOTE);
    assertThat(german.layout().commas()).isTrue();
    assertThat(german.unclear()).containsExactly(Guess.Question.UNIT);
  }

  @Test
  void whatTheTableDoesNotSayIsAsked() {
    assertThat(guess("Date;Lift;Load;Reps", "3/5/2024;Squat;100;5").unclear())
        .containsExactlyInAnyOrder(Guess.Question.DAY_ORDER, Guess.Question.UNIT);
    assertThat(guess("Date;Lift;Load lb;Reps", "3/15/2024;Squat;225;5").unclear()).isEmpty();
    assertThat(guess("Date;Lift;Load lb;Reps", "3/15/2024;Squat;225;5").layout().order()).isEqualTo(DayOrder.MONTH_FIRST);
    assertThat(guess("Date;Lift;Load kg;Reps", "2024-03-15;Pull;1,250;5").unclear()).containsExactly(Guess.Question.COMMAS);
  }

  @Test
  void aRowADayHasAColumnALift() {
    Guess guess = guess("Day;Squat;Bench press;Remarks", "15.3.2024;3x5 100 kg;80x5x3;slept badly", "17.3.2024;;5x80;");
    assertThat(guess.layout().columns()).containsExactly(Meaning.DAY, Meaning.OF_A_LIFT, Meaning.OF_A_LIFT, Meaning.NOTE);
    assertThat(read(guess.layout(), "15.3.2024;3x5 100 kg;80x5x3 @8;slept badly", "17.3.2024;;5x80;", "18.3.2024;3x5;;")).containsExactly(
        "2024-03-15 Squat 100 kg 3x5 slept badly", "2024-03-15 Bench press 80 kg 3x5 @8 slept badly", "2024-03-17 Bench press 80 kg 1x5",
        "! “3x5” of Squat has no load, such as 3x5 100.");
  }

  @Test
  void daysAndLiftsAboveCountForTheRowsBelow() {
    Layout layout = guess("Date;Lift;Load kg;Reps;RIR", "15.3.2024;Squat;100;5;2").layout();
    assertThat(read(layout, "15.3.2024;Squat;100;5;2", ";;110;3;1", ";Bench;80;5;", "16.3.2024;;;;", ";Row;60;10;5")).containsExactly(
        "2024-03-15 Squat 100 kg 1x5 @8", "2024-03-15 Squat 110 kg 1x3 @9", "2024-03-15 Bench 80 kg 1x5", "2024-03-16 Row 60 kg 1x10 easier");
  }

  /** What real tables hold that no set is. */
  @Test
  void whatCannotBeReadSaysWhy() {
    Layout layout = guess("Date;Lift;Load kg;Reps;RPE", "15.3.2024;Squat;100;5;8").layout();
    assertThat(read(layout, "3.3.2026;Squat;100;5;", "15.3.1912;Squat;100;5;", "15.3.2024;Squat;900;5;", ";Squat;100;5;8", "15.3.2024;Squat;100;500;",
        "15.3.2024;Squat;heavy;5;", "15.3.2024;Squat;100;;", "15.3.2024;Squat;100;5;11", "15.3.2024;;100;5;", "sometime;Squat;100;5;",
        "15.3.2024;=cmd();100;5;8")).containsExactly(
        "! The day 2026-03-03 is still to come.", "! The day 1912-03-15 is before 1950.", "! 900 kg is more than anybody has lifted.",
        "2024-03-15 Squat 100 kg 1x5 @8", "! “500” is no number of reps from 0 to 100.", "! “heavy” is no load, such as 102.5.",
        "! No reps stand in this row.", "! “11” is no RPE from 1 to 10.", "2024-03-15 Squat 100 kg 1x5",
        "! “sometime” is no day, such as 5.3.2024.", "2024-03-15 =cmd() 100 kg 1x5 @8");
  }

  /** Worked by hand: 225 lb are 102.05828325 kg (1 lb = 0.45359237 kg, exactly). */
  @Test
  void unitsAndCommasAreRead() throws Unreadable {
    Layout commas = new Layout(List.of(Meaning.DAY, Meaning.LIFT, Meaning.LOAD, Meaning.REPS, Meaning.UNIT), List.of("", "", "", "", ""),
        DayOrder.DAY_FIRST, true, MassUnit.KG);
    assertThat(read(commas, "1.3.2024;Squat;102,5;5;", "1.3.2024;Squat;1.025,5;5;", "1.3.2024;Squat;225 lb;5;", "1.3.2024;Squat;225;5;lbs",
        "1.3.2024;Chin-up;BW;8;", "1.3.2024;Squat;100;5;stone")).containsExactly("2024-03-01 Squat 102.5 kg 1x5",
            "! 1025.5 kg is more than anybody has lifted.", "2024-03-01 Squat 225 lb 1x5", "2024-03-01 Squat 225 lb 1x5",
            "2024-03-01 Chin-up 0 kg 1x8", "! “stone” is no unit: write kg or lb.");
    assertThat(new RowReader(commas, TODAY).read(row("1.3.2024", "Squat", "225 lb", "5", "")).get(0).load().nanograms())
        .isEqualTo(102_058_283_250_000L);
  }

  @ParameterizedTest
  @CsvSource({"3x5 100, 100 kg 3x5", "3x5@100kg, 100 kg 3x5", "3 x 5 @ 102.5, 102.5 kg 3x5", "100x5x3, 100 kg 3x5", "100x5, 100 kg 1x5",
      "5x100, 100 kg 1x5", "3x5 20 kg, 20 kg 3x5", "1×1 180 @8, 180 kg 1x1 @8", "100x5 RPE 8.5, 100 kg 1x5 @8.5", "100x5 2 RIR, 100 kg 1x5 @8",
      "225 lb x 5, 225 lb 1x5"})
  void setsAndRepsInOneCell(String cell, String said) {
    Layout layout = new Layout(List.of(Meaning.DAY, Meaning.OF_A_LIFT), List.of("", "Squat"), DayOrder.YEAR_FIRST, false, MassUnit.KG);
    assertThat(read(layout, "2024-03-01;" + cell)).containsExactly("2024-03-01 Squat " + said);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"20x20|has no load", "100x100|not clear", "3x5x10|not clear which number is the load", "lots|is no sets and reps",
      "99x5 100|no number of sets", "3x500 100|no number of reps"})
  void whatIsNotClearIsNotGuessed(String cell, String reason) {
    Layout layout = new Layout(List.of(Meaning.DAY, Meaning.OF_A_LIFT), List.of("", "Squat"), DayOrder.YEAR_FIRST, false, MassUnit.KG);
    assertThat(read(layout, "2024-03-01;" + cell)).singleElement().asString().startsWith("! ").contains(reason);
  }

  /** Whatever stands in a table, it is read or told; nothing else comes out. */
  @Test
  void nothingElseThanASetOrAReasonComesOut() {
    RandomGenerator random = RandomGenerator.of("L64X128MixRandom");
    String signs = "0123456789xX@.,;-+/ kglbRPEBW=\u0000é–'\"\n\t€";
    Layout layout = new Layout(List.of(Meaning.values()), Arrays.stream(Meaning.values()).map(Enum::name).toList(), DayOrder.DAY_FIRST, true,
        MassUnit.LB);
    Layout narrow = new Layout(Arrays.stream(Meaning.values()).filter(one -> one != Meaning.OF_A_LIFT).toList(), List.of(), DayOrder.MONTH_FIRST,
        false, MassUnit.KG);
    int told = 0;
    for (int i = 0; i < 20_000; i++) {
      List<String> cells = new ArrayList<>();
      for (int c = 0; c < 12; c++) {
        StringBuilder cell = new StringBuilder();
        for (int s = random.nextInt(9); s > 0; s--) {
          cell.append(signs.charAt(random.nextInt(signs.length())));
        }
        cells.add(c == 0 && random.nextBoolean() ? "1.3.2024" : cell.toString());
      }
      Unreadable wrong = catchThrowableOfType(Unreadable.class, () -> new RowReader(random.nextBoolean() ? layout : narrow, TODAY).read(cells));
      told += wrong == null ? 0 : 1;
      if (wrong != null) {
        assertThat(wrong.reason()).isNotBlank().hasSizeLessThan(200);
      }
    }
    assertThat(told).isGreaterThan(5_000);
    assertThat(Guess.of(List.of("a"), List.of(List.of("\u0000")), MassUnit.KG).layout().columns()).containsExactly(Meaning.NOTHING);
  }
}

package org.yarbel.web.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.edit.NewLine;

class SheetTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

  private static Sheet.SheetRead read(String rows) {
    return Sheet.read(rows.replace("\\t", "\t").replace("\\n", "\n"), MONDAY, Catalogue.standard());
  }

  @Test
  void readsDaysByNameAndDate() {
    Sheet.SheetRead read = read("Day\\tPart\\tLift\\tWork\\nwed\\tMain\\tFront squat\\t3x5 "
        + "@8\\n\\n2026-03-20\\tcool-down\\tbike\\t1x10\\tmore\\n");
    assertThat(read.problems()).isEmpty();
    assertThat(read.lines()).extracting(NewLine::day).containsExactly(MONDAY.plusDays(2), LocalDate.of(2026, 3, 20));
    assertThat(read.lines()).extracting(NewLine::kind).containsExactly(SlotKind.MAIN, SlotKind.COOL_DOWN);
    assertThat(read.lines()).extracting(NewLine::lift).containsExactly("front-squat", "bike");
  }

  /** RFC 4180: a quotation mark in a quoted cell is doubled, and a cell may have line breaks. */
  @Test
  void readsQuotedCells() {
    Sheet.SheetRead read = read("Mon\\tmain\\t\"Bench press\"\\t\"1x1 @8; 4x4 -15%\"\\t\"a note\\nof two lines, "
        + "\"\"so\"\"\"\\nTue\\tmain\\tsquat\\t3x5 @8\\r\\n".replace("\\r", "\r"));
    assertThat(read.problems()).isEmpty();
    assertThat(read.lines()).extracting(NewLine::work).containsExactly("1x1 @8; 4x4 -15%", "3x5 @8");
    assertThat(read("Mon\\tmain\\tsquat\\t\"3x5").problems())
        .containsExactly("A cell begins with a quotation mark and never ends: take the mark out, or end the cell with one.");
    assertThat(read("\\n\\nMon\\tmain\\tsquat").problems()).as("blank rows count").first().asString().startsWith("Row 3 has 3 columns");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "Mon\\tmain\\tsquat             | Row 1 has 3 columns, but four are needed, with tabs between: day, part, lift, work.",
      "squat 3x5                      | Row 1 has 1 column, but four are needed, with tabs between: day, part, lift, work.",
      "soon\\tmain\\tsquat\\t3x5       | Row 1: the day 'soon' is neither a weekday of this week, such as Mon, nor a date such "
          + "as 2026-03-02.",
      "Mon\\tbig\\tsquat\\t3x5         | Row 1: the part 'big' is none of prepare, main, second, assistance, conditioning, cool-down.",
      "Mon\\tmain\\tsquash\\t3x5       | Row 1: There is no lift 'squash'. Maybe squat?",
      "Mon\\tmain\\tsquat\\t3x5 @11    | Row 1, work '3x5 @11': RPE must be from 6 to 10 inclusive but was 11.",
      "Day\\tPart                      | There is no row to take: paste rows with four columns: day, part, lift, work.",
  })
  void saysWhatIsWrongWithARow(String rows, String sentence) {
    assertThat(read(rows).problems()).containsExactly(sentence);
    assertThat(read(rows).lines()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"=HYPERLINK(\"http://x\")", "+1", "-1", "@SUM(A1)", "\tx"})
  void whatASpreadsheetWouldRunStandsBehindAnApostrophe(String name) {
    assertThat(Sheet.cell(name)).isEqualTo("'" + name);
    assertThat(Sheet.cell("Squat, 5x5")).isEqualTo("Squat, 5x5");
  }
}

package org.yarbel.web.grid;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.plan.Slot;

class GridTest {
  private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
  private static final List<Grid.GridHead> HEADS = List.of(new Grid.GridHead("one", null, List.of()),
      new Grid.GridHead("two", null, List.of()), new Grid.GridHead("three", null, List.of()));

  private final List<Grid.PlacedCell> placed = new ArrayList<>();

  private void put(int column, int day, SlotKind kind, String lift, String work) {
    Slot slot = new Slot(1, placed.size(), kind, lift, work);
    Grid.Cell cell = new Grid.Cell(placed.size(), 0, work, "", false, false, false, lift, null, List.of(), 0);
    placed.add(new Grid.PlacedCell(column, MONDAY.plusWeeks(column).plusDays(day), slot, cell));
  }

  private Grid grid() {
    return Grid.of(HEADS, placed);
  }

  @Test
  void putsALiftOfAWeekdayIntoOneRow() {
    put(0, 0, SlotKind.MAIN, "squat", "3x5 @7");
    put(2, 0, SlotKind.MAIN, "squat", "3x5 @9");
    put(1, 3, SlotKind.MAIN, "squat", "3x5 @8");
    assertThat(grid().days()).extracting(Grid.DayRows::name).containsExactly("Monday", "Thursday");
    Grid.GridRow monday = grid().days().get(0).rows().get(0);
    assertThat(monday.cells()).hasSize(3);
    assertThat(monday.cells().get(1)).isNull();
    assertThat(monday.cells().get(2).work()).isEqualTo("3x5 @9");
  }

  @Test
  void keepsTheSameLiftTwiceADayApart() {
    put(0, 0, SlotKind.MAIN, "squat", "1x1 @8");
    put(0, 0, SlotKind.MAIN, "squat", "5x5 70%");
    put(1, 0, SlotKind.MAIN, "squat", "1x1 @9");
    put(1, 0, SlotKind.ASSISTANCE, "squat", "3x10 50%");
    List<Grid.GridRow> rows = grid().days().get(0).rows();
    assertThat(rows).hasSize(3);
    assertThat(rows.get(0).cells()).extracting(cell -> cell == null ? "" : cell.work()).containsExactly("1x1 @8", "1x1 @9", "");
    assertThat(rows.get(1).cells()).extracting(cell -> cell == null ? "" : cell.work()).containsExactly("5x5 70%", "", "");
    assertThat(rows.get(2).kind()).isEqualTo("assistance");
  }

  @Test
  void putsMainWorkBeforeAssistance() {
    put(0, 0, SlotKind.ASSISTANCE, "row", "3x8");
    put(0, 0, SlotKind.SECOND, "front-squat", "3x5");
    put(1, 0, SlotKind.MAIN, "squat", "3x5");
    assertThat(grid().days().get(0).rows()).extracting(Grid.GridRow::key).containsExactly("squat", "front-squat", "row");
  }

  @Test
  void sharesWhatSeveralHaveWrittenTheSame() {
    put(0, 0, SlotKind.MAIN, "squat", "3x5 80%");
    put(1, 0, SlotKind.MAIN, "squat", "3x5 80%");
    put(0, 1, SlotKind.MAIN, "bench", "3x5 80%");
    put(1, 1, SlotKind.MAIN, "bench", "3x5 82%");
    put(0, 2, SlotKind.MAIN, "row", "3x8");
    assertThat(grid().days().get(0).rows().get(0).shared()).isEqualTo("3x5 80%");
    assertThat(grid().days().get(1).rows().get(0).shared()).as("it differs").isNull();
    assertThat(grid().days().get(2).rows().get(0).shared()).as("one alone").isNull();
  }

  @Test
  void saysWhatIsWrongWithACellAndKeepsWhatWasTyped() {
    Grid.Cell cell = new Grid.Cell(5, 2, "3x5", "100 ×3", true, true, false, "Squat", null, List.of(), 1);
    Grid.Cell wrong = cell.saying("Not saved yet.", "3x", List.of("How many reps?"));
    assertThat(wrong.wrong()).isTrue();
    assertThat(wrong.work()).isEqualTo("3x");
    assertThat(wrong.loads()).isEmpty();
    assertThat(wrong.version()).isEqualTo(2);
    assertThat(cell.saying("Saved.", "3x5", List.of()).loads()).isEqualTo("100 ×3");
  }
}

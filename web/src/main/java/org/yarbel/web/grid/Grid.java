package org.yarbel.web.grid;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.line.LineView;
import org.yarbel.web.plan.Slot;

/**
 * Lines of several weeks or several lifters side by side: a row for each line of a weekday, a column for each week or lifter.
 *
 * @param heads of the columns
 * @param days in order, those with any line
 */
public record Grid(List<GridHead> heads, List<DayRows> days) {
  /**
   * A column.
   *
   * @param lines below its title
   */
  record GridHead(String title, @Nullable String href, List<String> lines) {}

  /** A weekday with its rows. */
  record DayRows(int weekday, String name, List<GridRow> rows) {}

  /**
   * A lift of a day.
   *
   * @param shared what is written the same in every column that has it; null where it differs
   * @param cells one a column; null where it has none
   */
  record GridRow(String kind, String lift, String key, @Nullable String shared, List<@Nullable Cell> cells) {}

  /** A line in its column. */
  record Cell(long id, int version, String work, String loads, boolean forecast, boolean edited, boolean begun, String lift,
      @Nullable String note, List<String> problems, int minded) {
    static Cell of(Slot slot, String lift, LineView view, boolean begun) {
      return new Cell(slot.id(), slot.version(), slot.work(), String.join(" · ", view.loads()), slot.forecast(), slot.edited(), begun, lift,
          null, view.problems(),
          (int) view.cautions().stream().filter(LineView.Minded::hurts).count());
    }

    Cell saying(@Nullable String text, String typed, List<String> wrong) {
      return new Cell(id, version, typed, wrong.isEmpty() ? loads : "", forecast, edited, begun, lift, text, wrong, minded);
    }

    public boolean wrong() {
      return !problems.isEmpty();
    }
  }

  /** A line with its column and place. */
  record PlacedCell(int column, LocalDate day, Slot slot, Cell cell) {}

  /** Lays lines out: those of one weekday, lift and kind stand in one row, several of them in several. */
  static Grid of(List<GridHead> heads, List<PlacedCell> all) {
    Map<Integer, Map<String, List<@Nullable PlacedCell>>> days = new TreeMap<>();
    Map<String, Integer> seen = new HashMap<>();
    for (PlacedCell placed : all) {
      int weekday = placed.day().getDayOfWeek().getValue();
      String base = placed.slot().kind().ordinal() + "/" + placed.slot().lift();
      int nth = seen.merge(placed.column() + "/" + weekday + "/" + base, 1, Integer::sum);
      List<@Nullable PlacedCell> row = days.computeIfAbsent(weekday, w -> new LinkedHashMap<>())
          .computeIfAbsent(base + "/" + nth, key -> blank(heads.size()));
      row.set(placed.column(), placed);
    }
    List<DayRows> rows = new ArrayList<>();
    days.forEach((weekday, lines) -> rows.add(new DayRows(weekday, DayOfWeek.of(weekday).getDisplayName(TextStyle.FULL, Locale.ENGLISH),
        lines.values().stream().sorted(Comparator.comparingInt(Grid::kind)).map(Grid::row).toList())));
    return new Grid(heads, rows);
  }

  private static List<@Nullable PlacedCell> blank(int columns) {
    List<@Nullable PlacedCell> cells = new ArrayList<>();
    for (int i = 0; i < columns; i++) {
      cells.add(null);
    }
    return cells;
  }

  private static PlacedCell first(List<@Nullable PlacedCell> row) {
    return row.stream().filter(Objects::nonNull).findFirst().orElseThrow();
  }

  private static int kind(List<@Nullable PlacedCell> row) {
    return first(row).slot().kind().ordinal();
  }

  private static GridRow row(List<@Nullable PlacedCell> row) {
    PlacedCell first = first(row);
    boolean same = row.stream().filter(Objects::nonNull).count() > 1 && row.stream().allMatch(placed -> placed == null || placed.slot()
        .work().equals(first.slot().work()));
    List<@Nullable Cell> cells = new ArrayList<>();
    row.forEach(placed -> cells.add(placed == null ? null : placed.cell()));
    return new GridRow(first.slot().kind().word(), first.cell().lift(), first.slot().lift(), same ? first.slot().work() : null, cells);
  }
}

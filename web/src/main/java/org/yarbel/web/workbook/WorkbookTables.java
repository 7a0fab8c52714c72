package org.yarbel.web.workbook;

import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/** The sheets that formulas look up: the numbers of each lift, shares of the max by reps to failure, and what loads. */
final class WorkbookTables implements LoadFormula.Sheets {
  static final String NUMBERS = "Numbers";
  static final String CHART = "Chart";
  static final int FIRST_NUMBER = 4;
  static final int NUMBER_COLUMN = 2;

  private static final String LOADS = "Loads";
  private static final double QUARTER = 0.25;
  private static final int FIRST_SHARE = 2;
  private static final String BODY_MASS = "body mass";

  private final MassUnit unit;
  private final WorkbookCells cells;
  private final Consumer<WorkbookRecord.Note> record;
  private final Sheet numbers;
  private final Sheet chart;
  private final Sheet loads;
  private final Map<String, Integer> numberRows = new LinkedHashMap<>();
  private final Map<EffortChart, Integer> charts = new HashMap<>();
  private final Map<Loadables, String> ladders = new IdentityHashMap<>();

  /**
   * Makes the sheets.
   *
   * @param record notes every number that is written
   */
  WorkbookTables(XSSFWorkbook book, MassUnit unit, WorkbookCells cells, Consumer<WorkbookRecord.Note> record) {
    this.unit = unit;
    this.cells = cells;
    this.record = record;
    numbers = book.createSheet(NUMBERS);
    chart = book.createSheet(CHART);
    loads = book.createSheet(LOADS);
    WorkbookCells.texts(numbers, 0, cells.head(), List.of("Lift", "Number", unit.symbol()));
    WorkbookCells.text(numbers, 1, 0, "Change a training or goal max to see other loads; it comes back in as an edit. The rest "
        + "comes from the log and the Lifter page.",
        cells.plain());
    numbers.setColumnWidth(0, 28 * 256);
    numbers.setColumnWidth(1, 16 * 256);
    WorkbookCells.texts(chart, 0, cells.head(), List.of("Reps to failure", "Share of the max"));
    int row = FIRST_SHARE;
    for (double reps = 1; reps <= RepMaxCurve.MAX_REPS_TO_FAILURE; reps += QUARTER) {
      WorkbookCells.row(chart, row++).createCell(0).setCellValue(reps);
    }
  }

  /** The first of all numbers. */
  void weighing(Mass bodyMass) {
    number("", BODY_MASS, bodyMass);
  }

  /** A mass in the lifter's unit. */
  double value(Mass mass) {
    return mass.nanograms() / (double) unit.nanograms();
  }

  @Override
  public String number(String lift, Basis basis, Mass value) {
    return number(lift, basis.key(), value);
  }

  private String number(String lift, String kind, Mass value) {
    // a training max of its own that a line was written for stands beside the lifter's
    int at = numberRows.computeIfAbsent(lift + "/" + kind + "/" + value.nanograms(), key -> {
      int row = FIRST_NUMBER + numberRows.size();
      boolean again = numberRows.keySet().stream().anyMatch(other -> other.startsWith(lift + "/" + kind + "/"));
      boolean open = !again && (kind.equals(Basis.TRAINING.key()) || kind.equals(Basis.GOAL.key()));
      WorkbookCells.text(numbers, row, 0, lift, cells.plain());
      WorkbookCells.text(numbers, row, 1, kind, cells.plain());
      Cell cell = WorkbookCells.row(numbers, row).createCell(NUMBER_COLUMN);
      cell.setCellValue(value(value));
      cell.setCellStyle(open ? cells.load() : cells.exact());
      record.accept(new WorkbookRecord.NumberNote(NUMBERS, row, lift, kind, Double.toString(value(value)), open));
      return row;
    });
    return NUMBERS + "!$C$" + (at + 1);
  }

  @Override
  public String bodyMass() {
    return NUMBERS + "!$C$" + (FIRST_NUMBER + 1);
  }

  @Override
  public LoadFormula.ChartColumns chart(EffortChart of) {
    String letter = WorkbookCells.letter(charts.computeIfAbsent(of, this::shares));
    int last = FIRST_SHARE + (int) ((RepMaxCurve.MAX_REPS_TO_FAILURE - 1) / QUARTER) + 1;
    return new LoadFormula.ChartColumns(CHART + "!$A$3:$A$" + last, CHART + "!$" + letter + "$3:$" + letter + "$" + last);
  }

  private int shares(EffortChart of) {
    int column = charts.size() + 1;
    WorkbookCells.text(chart, 1, column, of.equals(EffortChart.HOUSE) ? "house chart" : "own chart", cells.plain());
    int row = FIRST_SHARE;
    for (double reps = 1; reps <= RepMaxCurve.MAX_REPS_TO_FAILURE; reps += QUARTER) {
      OptionalDouble share = of.fraction(reps, 10);
      if (share.isPresent()) {
        WorkbookCells.row(chart, row).createCell(column).setCellValue(share.getAsDouble());
      }
      row++;
    }
    return column;
  }

  @Override
  public String load(int row) {
    return "G" + (row + 1);
  }

  /** The column of all totals that load, rising; each kit once. */
  String ladder(Loadables loadables) {
    return ladders.computeIfAbsent(loadables, key -> {
      int column = ladders.size();
      WorkbookCells.text(loads, 0, column, "What loads, " + unit.symbol(), cells.head());
      for (int rung = 0; rung < loadables.rungs(); rung++) {
        WorkbookCells.row(loads, rung + 1).createCell(column).setCellValue(loadables.totalAt(rung) / (double) unit.nanograms());
      }
      String letter = WorkbookCells.letter(column);
      return LOADS + "!$" + letter + "$2:$" + letter + "$" + (loadables.rungs() + 1);
    });
  }
}

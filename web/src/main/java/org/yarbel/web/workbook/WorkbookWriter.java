package org.yarbel.web.workbook;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.SheetVisibility;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoadSource;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Writes a workbook: how to use it, the numbers, a sheet a week, and the tables the formulas look up. */
final class WorkbookWriter {
  static final List<String> HEADINGS = List.of("Day", "Lift", "Work", "Sets", "Reps", "RPE", "Load", "Before rounding", "Step");
  static final int LIFT = 1;
  static final int WORK = 2;
  static final int SETS = 3;
  static final int REPS = 4;
  static final int RPE = 5;
  static final int LOAD = 6;
  static final int BEFORE = 7;
  static final int STEP = 8;
  static final int FIRST_ROW = 3;

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int[] WIDTHS = {12, 26, 44, 6, 8, 8, 11, 15};
  /** A column's width is counted in 256ths of a letter. */
  private static final int LETTER = 256;
  private static final double GRAM = 0.001;

  private final XSSFWorkbook book = new XSSFWorkbook();
  private final WorkbookCells cells = new WorkbookCells(book);
  private final MassUnit unit;
  private final WorkbookTables tables;
  private final Sheet record;
  private int notes;

  /** Whose weeks they are. */
  record Cover(UUID lifter, String name, MassUnit unit, @Nullable Mass bodyMass, String weeks) {}

  private WorkbookWriter(Cover cover) {
    this.unit = cover.unit();
    Sheet about = book.createSheet("About");
    this.record = book.createSheet(WorkbookRecord.NAME);
    note(WorkbookRecord.head(cover.lifter(), unit));
    this.tables = new WorkbookTables(book, unit, cells, note -> note(note.cells()));
    about(about, cover);
    if (cover.bodyMass() != null) {
      tables.weighing(cover.bodyMass());
    }
  }

  private void note(List<String> of) {
    WorkbookCells.texts(record, notes++, cells.plain(), of);
  }

  private void about(Sheet sheet, Cover cover) {
    List<String> lines = List.of(cover.name() + ", " + cover.weeks(), "",
        "A sheet a week. Loads are formulas: a number from the sheet Numbers, times a share, rounded to what can be",
        "loaded where " + cover.name() + " trains. Change a number, and every load follows.", "",
        "What can be changed and comes back in: the work of a line (column Work, in the notation of the week board), a load (column Load:",
        "write a number in place of the formula), a training or goal max on the sheet Numbers. Days behind, and lines begun, stay.",
        "Rows and columns stay where they are: add and take out lines on the week board.");
    for (int i = 0; i < lines.size(); i++) {
      WorkbookCells.text(sheet, i, 0, lines.get(i), i == 0 ? cells.head() : cells.plain());
    }
    sheet.setColumnWidth(0, 110 * LETTER);
  }

  /** Writes the weeks. */
  static byte[] write(Cover cover, List<SheetLine.OfWeek> all) {
    WorkbookWriter writer = new WorkbookWriter(cover);
    int number = 1;
    for (SheetLine.OfWeek week : all) {
      writer.week(week, "Week " + number++);
    }
    return writer.bytes();
  }

  private void week(SheetLine.OfWeek week, String name) {
    Sheet sheet = book.createSheet(name);
    book.setSheetOrder(name, book.getSheetIndex(WorkbookTables.CHART));
    WorkbookCells.text(sheet, 0, 0, week.title(), cells.head());
    WorkbookCells.texts(sheet, FIRST_ROW - 1, cells.head(), HEADINGS);
    WorkbookCells.text(sheet, FIRST_ROW - 1, LOAD, "Load, " + unit.symbol(), cells.head());
    int row = FIRST_ROW;
    LocalDate day = null;
    for (SheetLine line : week.lines()) {
      row = line(sheet, line, row, !line.day().equals(day));
      day = line.day();
    }
    note(new WorkbookRecord.EndNote(name, row).cells());
    for (int i = 0; i < WIDTHS.length; i++) {
      sheet.setColumnWidth(i, WIDTHS[i] * LETTER);
    }
    sheet.setColumnHidden(STEP, true);
    sheet.createFreezePane(0, FIRST_ROW);
    sheet.getPrintSetup().setLandscape(true);
    sheet.setFitToPage(true);
    sheet.getPrintSetup().setFitHeight((short) 0);
  }

  /** Writes a line, and tells the row behind it. */
  private int line(Sheet sheet, SheetLine line, int first, boolean newDay) {
    WorkbookCells.text(sheet, first, 0, newDay ? DAY.format(line.day()) : "", cells.plain());
    WorkbookCells.text(sheet, first, LIFT, line.lift().name(), cells.plain());
    WorkbookCells.text(sheet, first, WORK, line.work(), line.known().fixed() ? cells.plain() : cells.input());
    if (line.request() == null || line.resolved() == null) {
      noteLine(sheet, first, line, 0);
      return first + 1;
    }
    List<LoadFormula.LoadRow> rows = LoadFormula.rows(line.request(), line.resolved(), line.lift().key(), tables, first);
    for (int i = 0; i < rows.size(); i++) {
      LoadFormula.LoadRow of = rows.get(i);
      if (i == 0) {
        noteLine(sheet, first, line, of.part());
      } else {
        note(new WorkbookRecord.MoreNote(sheet.getSheetName(), first + i, of.part()).cells());
      }
      sets(sheet, first + i, of);
      load(WorkbookCells.row(sheet, first + i), of, line.request().loadables());
    }
    return first + rows.size();
  }

  private void noteLine(Sheet sheet, int at, SheetLine line, int part) {
    SheetLine.Known known = line.known();
    note(new WorkbookRecord.LineNote(sheet.getSheetName(), at, known.ref(), part, known.fixed(), line.lift().name(), line.work(),
        line.day()).cells());
  }

  private void sets(Sheet sheet, int at, LoadFormula.LoadRow of) {
    WorkbookCells.row(sheet, at).createCell(SETS).setCellValue(of.sets());
    WorkbookCells.text(sheet, at, REPS, reps(of.set()), cells.plain());
    WorkbookCells.text(sheet, at, RPE, rpe(of.set()), cells.plain());
  }

  private static String rpe(ResolvedSet set) {
    if (set.rpe() == null) {
      return "";
    }
    return set.rpeTo() == null ? set.rpe().toString() : set.rpe() + "–" + set.rpeTo();
  }

  private static String reps(ResolvedSet set) {
    if (set.reps() != null) {
      return set.reps() + (set.repsTo() == null ? "" : "–" + set.repsTo()) + (set.role() == Role.PLUS ? "+" : "");
    }
    if (set.clock() != null && set.clock().seconds() != null) {
      return set.clock().seconds() + " s";
    }
    return set.distance() == null ? "open" : set.distance().metres().stripTrailingZeros().toPlainString() + " m";
  }

  private void load(Row row, LoadFormula.LoadRow of, @Nullable Loadables loadables) {
    Cell cell = row.createCell(LOAD);
    cell.setCellStyle(cells.load());
    String noted = "";
    if (of.literal() != null) {
      cell.setCellValue(tables.value(of.literal()));
      noted = plain(tables.value(of.literal()));
    } else if (of.before() != null) {
      Cell before = row.createCell(BEFORE);
      before.setCellFormula(of.before());
      before.setCellStyle(cells.exact());
      noted = of.rounding() == LoadSource.Rounding.NONE || loadables == null ? "H" + (row.getRowNum() + 1)
          : rounded(row, of.rounding(), tables.ladder(loadables));
      cell.setCellFormula(noted);
    }
    note(new WorkbookRecord.LoadNote(row.getSheet().getSheetName(), row.getRowNum(), noted).cells());
  }

  /** The step of the ladder is looked up once in a column of its own: the last total that is not a gram or more above. */
  private String rounded(Row row, LoadSource.Rounding rounding, String ladder) {
    int at = row.getRowNum() + 1;
    String gram = plain(GRAM * MassUnit.KG.nanograms() / unit.nanograms());
    row.createCell(STEP).setCellFormula("IF(H" + at + "+" + gram + "*0.999999<INDEX(" + ladder + ",1),0,MATCH(H" + at + "+" + gram
        + "*0.999999," + ladder + ",1))");
    String below = "INDEX(" + ladder + ",MAX(I" + at + ",1))";
    if (rounding == LoadSource.Rounding.DOWN) {
      return below;
    }
    String above = "INDEX(" + ladder + ",I" + at + "+1)";
    return "IF(OR(I" + at + "=0,I" + at + "=ROWS(" + ladder + "))," + below + ",IF(H" + at + "-" + below + "<" + above + "-H" + at
        + "+" + gram + "," + below + "," + above + "))";
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value).setScale(9, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }

  private byte[] bytes() {
    book.setSheetVisibility(book.getSheetIndex(WorkbookRecord.NAME), SheetVisibility.VERY_HIDDEN);
    book.setSheetOrder(WorkbookRecord.NAME, book.getNumberOfSheets() - 1);
    book.setActiveSheet(Math.max(0, book.getSheetIndex("Week 1")));
    book.setForceFormulaRecalculation(true);
    try (ByteArrayOutputStream out = new ByteArrayOutputStream(); book) {
      book.write(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}

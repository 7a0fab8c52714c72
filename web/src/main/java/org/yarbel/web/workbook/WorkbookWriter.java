package org.yarbel.web.workbook;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import org.apache.catalina.connector.Request;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.FillPatternType;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.IndexedColors;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.SheetVisibility;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoadSource;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/** Writes a workbook: how to use it, the numbers, a sheet a week, and the tables the formulas look up. */
final class WorkbookWriter implements LoadFormula.Sheets {
  static final String NUMBERS = "Numbers";
  static final String RECORD = "Yarbel";
  static final String FORMAT = "yarbel-workbook 1";
  static final List<String> HEADINGS = List.of("Day", "Lift", "Work", "Sets", "Reps", "RPE", "Load", "Before rounding", "Step");
  static final int WORK = 2;
  static final int LOAD = 6;
  static final int BEFORE = 7;
  static final int STEP = 8;
  static final int FIRST_ROW = 3;
  static final int FIRST_NUMBER = 4;
  static final int NUMBER_COLUMN = 2;

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final String LOADS = "Loads";
  private static final String CHART = "Chart";
  private static final double QUARTER = 0.25;

  private final XSSFWorkbook book = new XSSFWorkbook();
  private final MassUnit unit;
  private final Sheet numbers;
  private final Sheet chart;
  private final Sheet loads;
  private final Sheet record;
  private final CellStyle plain;
  private final CellStyle head;
  private final CellStyle input;
  private final CellStyle load;
  private final CellStyle exact;
  private final Map<String, Integer> numberRows = new LinkedHashMap<>();
  private final Map<EffortChart, Integer> charts = new HashMap<>();
  private final Map<Loadables, String> ladders = new IdentityHashMap<>();
  private int recordRow;

  /**
   * A line to write.
   *
   * @param slot its id; null for one that is not written into a day yet
   * @param version of the line
   * @param fixed whether nothing of it can be changed any more, or yet
   * @param name of the lift
   */
  record Line(LocalDate day, @Nullable Long slot, int version, boolean fixed, String lift, String name, String work, Resolver.@Nullable Request request,
      @Nullable ResolvedLine resolved) {}

  /** A week. */
  record Week(LocalDate monday, String title, List<Line> lines) {}

  private WorkbookWriter(String lifter, long lifterId, MassUnit unit, String weeks, @Nullable Mass bodyMass) {
    this.unit = unit;
    Font bold = book.createFont();
    bold.setBold(true);
    plain = book.createCellStyle();
    head = book.createCellStyle();
    head.setFont(bold);
    head.setFillForegroundColor(IndexedColors.GREY_25_PERCENT.getIndex());
    head.setFillPattern(FillPatternType.SOLID_FOREGROUND);
    input = book.createCellStyle();
    input.setFillForegroundColor(IndexedColors.LEMON_CHIFFON.getIndex());
    input.setFillPattern(FillPatternType.SOLID_FOREGROUND);
    load = format("0.0##", bold);
    load.setFillForegroundColor(IndexedColors.LEMON_CHIFFON.getIndex());
    load.setFillPattern(FillPatternType.SOLID_FOREGROUND);
    exact = format("0.00", null);
    Sheet about = book.createSheet("About");
    numbers = book.createSheet(NUMBERS);
    chart = book.createSheet(CHART);
    loads = book.createSheet(LOADS);
    record = book.createSheet(RECORD);
    note("format", FORMAT, Long.toString(lifterId), unit.name());
    about(about, lifter, weeks);
    texts(numbers, 0, head, "Lift", "Number", unit.symbol());
    text(numbers, 1, 0, "Change a training or goal max to see other loads; it comes back in as an edit. The rest comes from the log and the Lifter page.", plain);
    numbers.setColumnWidth(0, 28 * 256);
    numbers.setColumnWidth(1, 16 * 256);
    if (bodyMass != null) {
      number("", "body mass", bodyMass);
    }
    texts(chart, 0, head, "Reps to failure", "Share of the max");
    int row = 2;
    for (double reps = 1; reps <= RepMaxCurve.MAX_REPS_TO_FAILURE; reps += QUARTER) {
      row(chart, row++).createCell(0).setCellValue(reps);
    }
  }

  private CellStyle format(String format, @Nullable Font font) {
    CellStyle style = book.createCellStyle();
    style.setDataFormat(book.createDataFormat().getFormat(format));
    if (font != null) {
      style.setFont(font);
    }
    return style;
  }

  private void about(Sheet sheet, String lifter, String weeks) {
    List<String> lines = List.of(lifter + ", " + weeks, "", "A sheet a week. Loads are formulas: a number from the sheet Numbers, times a share, rounded to what can be",
        "loaded where " + lifter + " trains. Change a number, and every load follows.", "",
        "What can be changed and comes back in: the work of a line (column Work, in the notation of the week board), a load (column Load:",
        "write a number in place of the formula), a training or goal max on the sheet Numbers. Days behind, and lines begun, stay.",
        "Rows and columns stay where they are: add and take out lines on the week board.");
    for (int i = 0; i < lines.size(); i++) {
      text(sheet, i, 0, lines.get(i), i == 0 ? head : plain);
    }
    sheet.setColumnWidth(0, 110 * 256);
  }

  /**
   * Writes the weeks.
   *
   * @param bodyMass null when it is not known
   */
  static byte[] write(String lifter, long lifterId, MassUnit unit, String weeks, @Nullable Mass bodyMass, List<Week> all) {
    WorkbookWriter writer = new WorkbookWriter(lifter, lifterId, unit, weeks, bodyMass);
    int number = 1;
    for (Week week : all) {
      writer.week(week, "Week " + number++);
    }
    return writer.bytes();
  }

  private void week(Week week, String name) {
    Sheet sheet = book.createSheet(name);
    book.setSheetOrder(name, book.getSheetIndex(CHART));
    text(sheet, 0, 0, week.title(), head);
    texts(sheet, FIRST_ROW - 1, head, HEADINGS.toArray(String[]::new));
    text(sheet, FIRST_ROW - 1, LOAD, "Load, " + unit.symbol(), head);
    int row = FIRST_ROW;
    LocalDate day = null;
    for (Line line : week.lines()) {
      row = line(sheet, line, row, !line.day().equals(day));
      day = line.day();
    }
    note("end", name, Integer.toString(row));
    int[] widths = {12, 26, 44, 6, 8, 8, 11, 15};
    for (int i = 0; i < widths.length; i++) {
      sheet.setColumnWidth(i, widths[i] * 256);
    }
    sheet.setColumnHidden(STEP, true);
    sheet.createFreezePane(0, FIRST_ROW);
    sheet.getPrintSetup().setLandscape(true);
    sheet.setFitToPage(true);
    sheet.getPrintSetup().setFitHeight((short) 0);
  }

  /** Writes a line, and tells the row behind it. */
  private int line(Sheet sheet, Line line, int first, boolean newDay) {
    String day = DAY.format(line.day());
    if (line.request() == null || line.resolved() == null) {
      head(sheet, first, line, day, newDay);
      noteLine(sheet, first, line, day, 0);
      return first + 1;
    }
    List<LoadFormula.Row> rows = LoadFormula.rows(line.request(), line.resolved(), line.lift(), this, first);
    for (int i = 0; i < rows.size(); i++) {
      int at = first + i;
      LoadFormula.Row of = rows.get(i);
      if (i == 0) {
        head(sheet, at, line, day, newDay);
        noteLine(sheet, at, line, day, of.part());
      } else {
        note("row", sheet.getSheetName(), Integer.toString(at), line.slot() == null ? "" : Long.toString(line.slot()), Integer.toString(of.part()));
      }
      Row row = row(sheet, at);
      row.createCell(3).setCellValue(of.sets());
      text(sheet, at, 4, reps(of.set()), plain);
      text(sheet, at, 5, of.set().rpe() == null ? "" : of.set().rpe() + (of.set().rpeTo() == null ? "" : "–" + of.set().rpeTo()), plain);
      load(row, of, line.request().loadables());
    }
    return first + rows.size();
  }

  private void head(Sheet sheet, int at, Line line, String day, boolean newDay) {
    text(sheet, at, 0, newDay ? day : "", plain);
    text(sheet, at, 1, line.name(), plain);
    text(sheet, at, WORK, line.work(), line.fixed() ? plain : input);
  }

  private void noteLine(Sheet sheet, int at, Line line, String day, int part) {
    note("line", sheet.getSheetName(), Integer.toString(at), line.slot() == null ? "" : Long.toString(line.slot()), Integer.toString(part), Integer.toString(line
        .version()), line.fixed() ? "fixed" : "open", line.name(), line.work(), line.day().toString());
  }

  private static String reps(ResolvedSet set) {
    if (set.reps() == null) {
      return set.clock() != null && set.clock().seconds() != null ? set.clock().seconds() + " s" : set.distance() != null ? set.distance().metres()
          .stripTrailingZeros().toPlainString() + " m" : "open";
    }
    return set.reps() + (set.repsTo() == null ? "" : "–" + set.repsTo()) + (set.role() == Role.PLUS ? "+" : "");
  }

  private void load(Row row, LoadFormula.Row of, @Nullable Loadables loadables) {
    Cell cell = row.createCell(LOAD);
    cell.setCellStyle(load);
    String formula = "";
    if (of.literal() != null) {
      cell.setCellValue(value(of.literal()));
    } else if (of.before() != null) {
      int at = row.getRowNum() + 1;
      Cell before = row.createCell(BEFORE);
      before.setCellFormula(of.before());
      before.setCellStyle(exact);
      formula = "H" + at;
      if (of.rounding() != LoadSource.Rounding.NONE && loadables != null) {
        String ladder = ladder(loadables);
        String gram = plain(0.001 * MassUnit.KG.nanograms() / unit.nanograms());
        // the last total that is not a gram or more above
        row.createCell(STEP).setCellFormula("IF(H" + at + "+" + gram + "*0.999999<INDEX(" + ladder + ",1),0,MATCH(H" + at + "+" + gram + "*0.999999," + ladder + ",1))");
        String below = "INDEX(" + ladder + ",MAX(I" + at + ",1))";
        formula = of.rounding() == LoadSource.Rounding.DOWN ? below : "IF(OR(I" + at + "=0,I" + at + "=ROWS(" + ladder + "))," + below + ",IF(H" + at + "-" + below
            + "<INDEX(" + ladder + ",I" + at + "+1)-H" + at + "+" + gram + "," + below + ",INDEX(" + ladder + ",I" + at + "+1)))";
      }
      cell.setCellFormula(formula);
    }
    note("load", row.getSheet().getSheetName(), Integer.toString(row.getRowNum()), of.literal() == null ? formula : plain(value(of.literal())));
  }

  private double value(Mass mass) {
    return mass.nanograms() / (double) unit.nanograms();
  }

  private static String plain(double value) {
    return BigDecimal.valueOf(value).setScale(9, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }

  /** The column of all totals that load, rising; each kit once. */
  private String ladder(Loadables loadables) {
    return ladders.computeIfAbsent(loadables, key -> {
      int column = ladders.size();
      text(loads, 0, column, "What loads, " + unit.symbol(), head);
      for (int rung = 0; rung < loadables.rungs(); rung++) {
        row(loads, rung + 1).createCell(column).setCellValue(loadables.totalAt(rung) / (double) unit.nanograms());
      }
      String letter = letter(column);
      return LOADS + "!$" + letter + "$2:$" + letter + "$" + (loadables.rungs() + 1);
    });
  }

  private static String letter(int column) {
    return CellReference.convertNumToColString(column);
  }

  @Override
  public String number(String lift, Basis basis, Mass value) {
    return number(lift, basis.key(), value);
  }

  private String number(String lift, String kind, Mass value) {
    // a training max of its own that a line was written for stands beside the lifter's
    String key = lift + "/" + kind + "/" + value.nanograms();
    int at = numberRows.computeIfAbsent(key, k -> {
      int row = FIRST_NUMBER + numberRows.size();
      boolean again = numberRows.keySet().stream().anyMatch(other -> other.startsWith(lift + "/" + kind + "/"));
      boolean open = !again && (kind.equals(Basis.TRAINING.key()) || kind.equals(Basis.GOAL.key()));
      text(numbers, row, 0, lift, plain);
      text(numbers, row, 1, kind, plain);
      Cell cell = row(numbers, row).createCell(NUMBER_COLUMN);
      cell.setCellValue(value(value));
      cell.setCellStyle(open ? load : exact);
      note("number", Integer.toString(row), lift, kind, Double.toString(value(value)), open ? "open" : "fixed");
      return row;
    });
    return NUMBERS + "!$C$" + (at + 1);
  }

  @Override
  public String bodyMass() {
    return NUMBERS + "!$C$" + (FIRST_NUMBER + 1);
  }

  @Override
  public LoadFormula.Chart chart(EffortChart of) {
    int column = charts.computeIfAbsent(of, key -> {
      int at = charts.size() + 1;
      text(chart, 1, at, of.equals(EffortChart.HOUSE) ? "house chart" : "own chart", plain);
      int row = 2;
      for (double reps = 1; reps <= RepMaxCurve.MAX_REPS_TO_FAILURE; reps += QUARTER) {
        OptionalDouble share = of.fraction(reps, 10);
        if (share.isPresent()) {
          row(chart, row).createCell(at).setCellValue(share.getAsDouble());
        }
        row++;
      }
      return at;
    });
    int last = 2 + (int) ((RepMaxCurve.MAX_REPS_TO_FAILURE - 1) / QUARTER) + 1;
    return new LoadFormula.Chart(CHART + "!$A$3:$A$" + last, CHART + "!$" + letter(column) + "$3:$" + letter(column) + "$" + last);
  }

  @Override
  public String load(int row) {
    return "G" + (row + 1);
  }

  private void note(String... cells) {
    texts(record, recordRow++, plain, cells);
  }

  private static Row row(Sheet sheet, int at) {
    Row row = sheet.getRow(at);
    return row == null ? sheet.createRow(at) : row;
  }

  private static void text(Sheet sheet, int at, int column, String text, CellStyle style) {
    Cell cell = row(sheet, at).createCell(column);
    cell.setCellValue(text);
    cell.setCellStyle(style);
  }

  private static void texts(Sheet sheet, int at, CellStyle style, String... texts) {
    for (int i = 0; i < texts.length; i++) {
      text(sheet, at, i, texts[i], style);
    }
  }

  private byte[] bytes() {
    book.setSheetVisibility(book.getSheetIndex(RECORD), SheetVisibility.VERY_HIDDEN);
    book.setActiveSheet(book.getSheetIndex("Week 1") < 0 ? 0 : book.getSheetIndex("Week 1"));
    book.setForceFormulaRecalculation(true);
    try (ByteArrayOutputStream out = new ByteArrayOutputStream(); book) {
      book.write(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}

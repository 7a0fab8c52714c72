package org.yarbel.web.workbook;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Decimal;
import org.yarbel.web.edge.PlainText;
import org.yarbel.web.form.DayReader;

/** Reads a workbook of ours that comes back: what was changed, and what cannot be taken, each with its place. */
final class WorkbookReader {
  private static final int MOST_PROBLEMS = 30;
  private static final double NEAR = 1e-6;
  private static final DayReader DAYS = new DayReader();
  /** Its rows are looked for by number. */
  private static final int MOST_NOTES = 20_000;
  /** A workbook is built up in memory while it is read. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final ReentrantLock ONE_AT_A_TIME = new ReentrantLock();

  private final List<Edit> edits = new ArrayList<>();
  private final List<String> problems = new ArrayList<>();

  /** A change that was made in a cell. */
  interface Edit {
    /** Where: {@code Week 2!C7}. */
    String place();
  }

  /** Other work for a line. */
  record WorkEdit(String place, long slot, int version, String was, String now, LocalDate day) implements Edit {}

  /** Another load for a part of a line, in the lifter's unit. */
  record LoadEdit(String place, long slot, int version, String was, int part, BigDecimal load, boolean alone, LocalDate day) implements Edit {}

  /** Another number of a lift. */
  record NumberEdit(String place, String lift, String kind, BigDecimal value) implements Edit {}

  /**
   * What was read.
   *
   * @param lifterId whose workbook it is; 0 where nothing could be read
   * @param problems a sentence each, with its place
   */
  record Read(long lifterId, List<Edit> edits, List<String> problems) {}

  /** Reads a file. */
  static Read read(byte[] file) {
    if (!WorkbookBounds.kept(file)) {
      return new Read(0, List.of(), List.of("The file is much larger than a workbook of ours: export the weeks anew and change that file."));
    }
    ZipSecureFile.setMaxEntrySize(WorkbookBounds.MOST_BYTES);
    if (!inTurn()) {
      return new Read(0, List.of(), List.of("Other workbooks are being taken in at this moment: send it again in a minute."));
    }
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
      return new WorkbookReader().read(book);
    } catch (IOException | POIXMLException | IllegalArgumentException | IllegalStateException | DateTimeException | IndexOutOfBoundsException notOne) {
      return new Read(0, List.of(), List.of("The file is no XLSX workbook that can be read: save it as .xlsx and send it again."));
    } finally {
      ONE_AT_A_TIME.unlock();
    }
  }

  private static boolean inTurn() {
    try {
      return ONE_AT_A_TIME.tryLock(PATIENCE.toSeconds(), TimeUnit.SECONDS);
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  private Read read(XSSFWorkbook book) {
    Sheet record = book.getSheet(WorkbookWriter.RECORD);
    if (record == null || !text(record.getRow(0), 1).equals(WorkbookWriter.FORMAT)) {
      return new Read(0, List.of(), List.of("The file is no workbook of Yarbel's, or its hidden sheet is gone: export the weeks anew and change that file."));
    }
    long lifterId = number(text(record.getRow(0), 2));
    List<List<String>> notes = new ArrayList<>();
    for (int at = 1; at <= Math.min(record.getLastRowNum(), MOST_NOTES); at++) {
      List<String> note = new ArrayList<>();
      for (int column = 0; column < 10; column++) {
        note.add(text(record.getRow(at), column));
      }
      notes.add(note);
    }
    Map<String, List<String>> lines = new HashMap<>();
    String line = "";
    Map<String, String> lineOf = new HashMap<>();
    Map<String, Integer> rowsOfPart = new HashMap<>();
    for (List<String> note : notes) {
      if (note.get(0).equals("line")) {
        line = note.get(1) + "/" + note.get(2);
        lines.put(line, note);
      }
      if (note.get(0).equals("line") || note.get(0).equals("row")) {
        lineOf.put(note.get(1) + "/" + note.get(2), line);
        rowsOfPart.merge(line + "/" + note.get(4), 1, Integer::sum);
      }
    }
    Map<String, String> parts = new HashMap<>();
    notes.stream().filter(note -> note.get(0).equals("line") || note.get(0).equals("row")).forEach(note -> parts.put(note.get(1) + "/" + note.get(2), note.get(4)));
    for (List<String> note : notes) {
      Sheet sheet = note.get(0).equals("number") ? book.getSheet(WorkbookWriter.NUMBERS) : book.getSheet(note.get(1));
      if (sheet == null) {
        problem("The sheet '" + (note.get(0).equals("number") ? WorkbookWriter.NUMBERS : note.get(1)) + "' is gone.");
        break;
      }
      switch (note.get(0)) {
        case "number" -> numberRow(sheet, note);
        case "line" -> lineRow(sheet, note);
        case "row" -> moreRow(sheet, note);
        case "load" -> {
          String place = note.get(1) + "/" + note.get(2);
          List<String> of = lines.get(lineOf.getOrDefault(place, ""));
          if (of != null) {
            String part = parts.getOrDefault(place, "");
            loadCell(sheet, note, of, (int) number(part), rowsOfPart.getOrDefault(lineOf.get(place) + "/" + part, 1) == 1);
          }
        }
        case "end" -> behind(sheet, (int) number(note.get(2)));
        default -> { }
      }
      if (problems.size() >= MOST_PROBLEMS) {
        break;
      }
    }
    // a line whose work was written anew says its loads itself
    List<Edit> kept = edits.stream().filter(edit -> !(edit instanceof LoadEdit load) || edits.stream().noneMatch(other -> other instanceof WorkEdit work
        && work.slot() == load.slot())).toList();
    return new Read(lifterId, kept, problems);
  }

  private void problem(String sentence) {
    if (!problems.contains(sentence)) {
      problems.add(sentence);
    }
  }

  private static LocalDate day(String text) {
    return Objects.requireNonNull(DAYS.convert(text.isBlank() ? "none" : text));
  }

  private static long number(String text) {
    return text.matches("\\d{1,18}") ? Long.parseLong(text) : 0;
  }

  private static String place(Sheet sheet, int row, int column) {
    return sheet.getSheetName() + "!" + CellReference.convertNumToColString(column) + (row + 1);
  }

  private static String text(@Nullable Row row, int column) {
    Cell cell = row == null ? null : row.getCell(column);
    if (cell == null) {
      return "";
    }
    return switch (cell.getCellType()) {
      case STRING -> PlainText.of(cell.getStringCellValue());
      case NUMERIC -> BigDecimal.valueOf(cell.getNumericCellValue()).stripTrailingZeros().toPlainString();
      case BOOLEAN -> Boolean.toString(cell.getBooleanCellValue());
      default -> "";
    };
  }

  /** Whether a row is still the one it was: its lift stands where it stood. */
  private boolean stands(Sheet sheet, int row, String name, String work) {
    if (text(sheet.getRow(row), 1).strip().equals(name)) {
      return true;
    }
    problem(place(sheet, row, 1) + ": here stood '" + name + " " + work + "', now '" + text(sheet.getRow(row), 1) + "'. Rows cannot be taken out, added or moved "
        + "in the workbook: do that on the week board, and export anew.");
    return false;
  }

  private void lineRow(Sheet sheet, List<String> note) {
    int row = (int) number(note.get(2));
    if (!stands(sheet, row, note.get(7), note.get(8))) {
      return;
    }
    String now = text(sheet.getRow(row), WorkbookWriter.WORK).strip();
    if (now.equals(note.get(8))) {
      return;
    }
    String place = place(sheet, row, WorkbookWriter.WORK);
    if (now.isEmpty()) {
      problem(place + ": the work is gone. Write what is done, or take the line out on the week board.");
    } else if (note.get(6).equals("fixed")) {
      problem(place + ": this line can not be changed here: " + (note.get(3).isEmpty() ? "its week is not written yet." : "its day is behind, or sets of it are logged."));
    } else {
      edits.add(new WorkEdit(place, number(note.get(3)), (int) number(note.get(5)), note.get(8), now, day(note.get(9))));
    }
  }

  private void moreRow(Sheet sheet, List<String> note) {
    int row = (int) number(note.get(2));
    String name = text(sheet.getRow(row), 1);
    String work = text(sheet.getRow(row), WorkbookWriter.WORK);
    if (!name.isEmpty() || !work.isEmpty()) {
      problem(place(sheet, row, 1) + ": here were further sets of the line above, now stands '" + (name + " " + work).strip() + "'. Rows cannot be taken out, "
          + "added or moved in the workbook.");
    }
  }

  private void loadCell(Sheet sheet, List<String> note, List<String> line, int part, boolean alone) {
    int row = (int) number(note.get(2));
    Cell cell = sheet.getRow(row) == null ? null : sheet.getRow(row).getCell(WorkbookWriter.LOAD);
    String place = place(sheet, row, WorkbookWriter.LOAD);
    String was = note.get(3);
    boolean formula = !was.isEmpty() && !was.matches("[0-9.]+");
    if (cell == null || cell.getCellType() == CellType.BLANK) {
      if (!was.isEmpty()) {
        problem(place + ": the load is gone. Write a number, or leave the formula.");
      }
      return;
    }
    if (cell.getCellType() == CellType.FORMULA) {
      if (!formula || !same(cell.getCellFormula(), was)) {
        problem(place + ": another formula stands here, and formulas are not taken in: write a number, or change the work.");
      }
      return;
    }
    if (cell.getCellType() != CellType.NUMERIC) {
      if (!text(sheet.getRow(row), WorkbookWriter.LOAD).isBlank()) {
        problem(place + ": '" + text(sheet.getRow(row), WorkbookWriter.LOAD) + "' is no number. Write the load as one, such as 142.5.");
      }
      return;
    }
    double now = cell.getNumericCellValue();
    if (!formula && !was.isEmpty() && Math.abs(Double.parseDouble(was) - now) < NEAR) {
      return;
    }
    if (line.get(6).equals("fixed")) {
      problem(place + ": this line can not be changed here: " + (line.get(3).isEmpty() ? "its week is not written yet." : "its day is behind, or sets of it are logged."));
    } else if (!(now > 0 && now <= 2300)) {
      problem(place + ": a load must be over 0 and at most 1000 kg, but was " + text(sheet.getRow(row), WorkbookWriter.LOAD) + ".");
    } else if (!alone) {
      problem(place + ": the sets of this part weigh differently; write them in the column Work, such as '3x5 100kg'.");
    } else {
      edits.add(new LoadEdit(place, number(line.get(3)), (int) number(line.get(5)), line.get(8), part, BigDecimal.valueOf(now).setScale(2, RoundingMode.HALF_UP)
          .stripTrailingZeros(), true, day(line.get(9))));
    }
  }

  /** Another program may write the same formula with other blanks, capitals and quotes. */
  private static boolean same(String one, String other) {
    return bare(one).equals(bare(other));
  }

  private static String bare(String formula) {
    return formula.replaceAll("[\\s'$]", "").replace(".0*", "*").toUpperCase(Locale.ROOT);
  }

  private void numberRow(Sheet sheet, List<String> note) {
    int row = (int) number(note.get(1));
    Row there = sheet.getRow(row);
    if (!text(there, 0).equals(note.get(2)) || !text(there, 1).equals(note.get(3))) {
      problem(place(sheet, row, 0) + ": here stood the " + note.get(3) + (note.get(2).isEmpty() ? "" : " max of " + note.get(2))
          + ". Rows cannot be taken out, added or moved in the workbook.");
      return;
    }
    Cell cell = there.getCell(WorkbookWriter.NUMBER_COLUMN);
    String place = place(sheet, row, WorkbookWriter.NUMBER_COLUMN);
    if (cell == null || cell.getCellType() != CellType.NUMERIC) {
      problem(place + ": '" + text(there, WorkbookWriter.NUMBER_COLUMN) + "' is no number. Write the " + note.get(3) + " max as one.");
      return;
    }
    double now = cell.getNumericCellValue();
    if (Math.abs(now - Optional.of(note.get(4)).map(Double::parseDouble).orElse(0.0)) < NEAR) {
      return;
    }
    if (note.get(5).equals("open")) {
      edits.add(new NumberEdit(place, note.get(2), note.get(3), BigDecimal.valueOf(now).setScale(2, RoundingMode.HALF_UP).stripTrailingZeros()));
    } else {
      problem(place + ": the " + note.get(3) + " comes from the log or the Lifter page and can only be tried out here. Put " + text4(note.get(4)) + " back, or export anew.");
    }
  }

  private static String text4(String number) {
    return Decimal.parse(number).setScale(4, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
  }

  /** Nothing stands behind the last line. */
  private void behind(Sheet sheet, int from) {
    for (int row = from; row <= sheet.getLastRowNum(); row++) {
      for (int column = 0; column < WorkbookWriter.HEADINGS.size(); column++) {
        if (!text(sheet.getRow(row), column).isBlank()) {
          problem(place(sheet, row, column) + ": lines cannot be added in the workbook ('" + text(sheet.getRow(row), column) + "'): write them on the week board.");
          return;
        }
      }
    }
  }
}

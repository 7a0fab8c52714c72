package org.yarbel.web.workbook;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.Collectors;
import org.apache.poi.ooxml.POIXMLException;
import org.apache.poi.openxml4j.util.ZipSecureFile;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Decimal;

/** Reads a workbook of ours that comes back: what was changed, and what cannot be taken, each with its place. */
final class WorkbookReader {
  private static final int MOST_PROBLEMS = 30;
  private static final double NEAR = 1e-6;
  /** Of either unit: so much is more than anybody has lifted. */
  private static final double MOST_LOAD = 2300;
  /** A workbook is built up in memory while it is read. */
  private static final Duration PATIENCE = Duration.ofSeconds(10);
  private static final ReentrantLock ONE_AT_A_TIME = new ReentrantLock();

  private final XSSFWorkbook book;
  private final List<CellEdit> edits = new ArrayList<>();
  private final List<String> problems = new ArrayList<>();

  private WorkbookReader(XSSFWorkbook book) {
    this.book = book;
  }

  /** A change that was made in a cell. */
  sealed interface CellEdit {
    /** Where: {@code Week 2!C7}. */
    String place();
  }

  /** A change of a line. */
  sealed interface LineEdit extends CellEdit {
    UUID line();

    /** The work it was exported with. */
    String was();
  }

  /** Other work for a line. */
  record WorkEdit(String place, UUID line, String was, String now) implements LineEdit {}

  /** Another load for a part of a line, in the lifter's unit. */
  record LoadEdit(String place, UUID line, String was, int part, BigDecimal load) implements LineEdit {}

  /** Another number of a lift. */
  record NumberEdit(String place, String lift, String kind, BigDecimal value) implements CellEdit {}

  /**
   * What was read.
   *
   * @param lifter whose workbook it is; null where nothing could be read
   * @param problems a sentence each, with its place
   */
  record WorkbookRead(@Nullable UUID lifter, List<CellEdit> edits, List<String> problems) {
    static WorkbookRead not(String why) {
      return new WorkbookRead(null, List.of(), List.of(why));
    }
  }

  /** Reads a file. */
  static WorkbookRead read(byte[] file) {
    if (!WorkbookBounds.kept(file)) {
      return WorkbookRead.not("The file is much larger than a workbook of ours: export the weeks anew and change that file.");
    }
    ZipSecureFile.setMaxEntrySize(WorkbookBounds.MOST_BYTES);
    if (!inTurn()) {
      return WorkbookRead.not("Other workbooks are being taken in at this moment: send it again in a minute.");
    }
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file))) {
      return WorkbookRecord.read(book.getSheet(WorkbookRecord.NAME)).map(record -> new WorkbookReader(book).read(record))
          .orElse(WorkbookRead.not("The file is no workbook of Yarbel's, or its hidden sheet is gone: export the weeks anew and "
              + "change that file."));
    } catch (IOException | POIXMLException | IllegalArgumentException | IllegalStateException | DateTimeException
        | IndexOutOfBoundsException notOne) {
      return WorkbookRead.not("The file is no XLSX workbook that can be read: save it as .xlsx and send it again.");
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

  private WorkbookRead read(WorkbookRecord.RecordRead record) {
    LineRows lines = new LineRows(record.notes());
    for (WorkbookRecord.Note note : record.notes()) {
      Sheet sheet = book.getSheet(note.sheet());
      if (sheet == null) {
        problem("The sheet '" + note.sheet() + "' is gone.");
        break;
      }
      look(sheet, note, lines);
      if (problems.size() >= MOST_PROBLEMS) {
        break;
      }
    }
    // a line whose work was written anew says its loads itself
    Set<UUID> anew = edits.stream().filter(WorkEdit.class::isInstance).map(edit -> ((WorkEdit) edit).line()).collect(Collectors.toSet());
    return new WorkbookRead(record.lifter(),
        edits.stream().filter(edit -> !(edit instanceof LoadEdit load && anew.contains(load.line()))).toList(), problems);
  }

  private void look(Sheet sheet, WorkbookRecord.Note note, LineRows lines) {
    if (note instanceof WorkbookRecord.LineNote line) {
      work(sheet, line);
    } else if (note instanceof WorkbookRecord.MoreNote) {
      more(sheet, note.row());
    } else if (note instanceof WorkbookRecord.LoadNote load) {
      lines.of(load).ifPresent(placed -> load(sheet, load, placed));
    } else if (note instanceof WorkbookRecord.NumberNote number) {
      number(sheet, number);
    } else if (note instanceof WorkbookRecord.EndNote) {
      behind(sheet, note.row());
    }
  }

  private void problem(String sentence) {
    if (!problems.contains(sentence)) {
      problems.add(sentence);
    }
  }

  private void work(Sheet sheet, WorkbookRecord.LineNote line) {
    Row row = sheet.getRow(line.row());
    String name = WorkbookCells.read(row, WorkbookWriter.LIFT);
    if (!name.strip().equals(line.name())) {
      problem(WorkbookCells.place(sheet, line.row(), WorkbookWriter.LIFT) + ": here stood '" + line.name() + " " + line.work()
          + "', now '" + name
          + "'. Rows cannot be taken out, added or moved in the workbook: do that on the week board, and export anew.");
      return;
    }
    String now = WorkbookCells.read(row, WorkbookWriter.WORK).strip();
    String place = WorkbookCells.place(sheet, line.row(), WorkbookWriter.WORK);
    if (now.equals(line.work())) {
      return;
    }
    if (now.isEmpty()) {
      problem(place + ": the work is gone. Write what is done, or take the line out on the week board.");
    } else if (line.fixed() || line.ref() == null) {
      problem(fixed(place, line));
    } else {
      edits.add(new WorkEdit(place, line.ref(), line.work(), now));
    }
  }

  private static String fixed(String place, WorkbookRecord.LineNote line) {
    return place + ": this line can not be changed here: " + (line.ref() == null ? "its week is not written yet."
        : "its day is behind, or sets of it are logged.");
  }

  private void more(Sheet sheet, int row) {
    String name = WorkbookCells.read(sheet.getRow(row), WorkbookWriter.LIFT);
    String work = WorkbookCells.read(sheet.getRow(row), WorkbookWriter.WORK);
    if (!name.isEmpty() || !work.isEmpty()) {
      problem(WorkbookCells.place(sheet, row, WorkbookWriter.LIFT) + ": here were further sets of the line above, now stands '"
          + (name + " " + work).strip()
          + "'. Rows cannot be taken out, added or moved in the workbook.");
    }
  }

  private void load(Sheet sheet, WorkbookRecord.LoadNote note, LineRows.Placed placed) {
    Row row = sheet.getRow(note.row());
    Cell cell = row == null ? null : row.getCell(WorkbookWriter.LOAD);
    String place = WorkbookCells.place(sheet, note.row(), WorkbookWriter.LOAD);
    CellType type = cell == null ? CellType.BLANK : cell.getCellType();
    switch (type) {
      case BLANK -> {
        if (!note.was().isEmpty()) {
          problem(place + ": the load is gone. Write a number, or leave the formula.");
        }
      }
      case FORMULA -> {
        if (!note.formula() || !same(cell.getCellFormula(), note.was())) {
          problem(place + ": another formula stands here, and formulas are not taken in: write a number, or change the work.");
        }
      }
      case NUMERIC -> number(place, note, placed, cell.getNumericCellValue());
      default -> {
        String text = WorkbookCells.read(row, WorkbookWriter.LOAD);
        if (!text.isBlank()) {
          problem(place + ": '" + text + "' is no number. Write the load as one, such as 142.5.");
        }
      }
    }
  }

  private void number(String place, WorkbookRecord.LoadNote note, LineRows.Placed placed, double now) {
    if (!note.formula() && !note.was().isEmpty() && Math.abs(Double.parseDouble(note.was()) - now) < NEAR) {
      return;
    }
    WorkbookRecord.LineNote line = placed.line();
    if (line.fixed() || line.ref() == null) {
      problem(fixed(place, line));
    } else if (!(now > 0 && now <= MOST_LOAD)) {
      problem(place + ": a load must be over 0 and at most 1000 kg, but was " + BigDecimal.valueOf(now).stripTrailingZeros()
          .toPlainString() + ".");
    } else if (!placed.alone()) {
      problem(place + ": the sets of this part weigh differently; write them in the column Work, such as '3x5 100kg'.");
    } else {
      edits.add(new LoadEdit(place, line.ref(), line.work(), placed.part(), hundredths(now)));
    }
  }

  private static BigDecimal hundredths(double value) {
    return BigDecimal.valueOf(value).setScale(2, RoundingMode.HALF_UP).stripTrailingZeros();
  }

  /** Another program may write the same formula with other blanks, capitals and quotes. */
  private static boolean same(String one, String other) {
    return bare(one).equals(bare(other));
  }

  private static String bare(String formula) {
    return formula.replaceAll("[\\s'$]", "").replace(".0*", "*").toUpperCase(Locale.ROOT);
  }

  private void number(Sheet sheet, WorkbookRecord.NumberNote note) {
    Row there = sheet.getRow(note.row());
    if (!WorkbookCells.read(there, 0).equals(note.lift()) || !WorkbookCells.read(there, 1).equals(note.kind())) {
      problem(WorkbookCells.place(sheet, note.row(), 0) + ": here stood the " + note.kind() + (note.lift().isEmpty() ? ""
          : " max of " + note.lift())
          + ". Rows cannot be taken out, added or moved in the workbook.");
      return;
    }
    Cell cell = there.getCell(WorkbookTables.NUMBER_COLUMN);
    String place = WorkbookCells.place(sheet, note.row(), WorkbookTables.NUMBER_COLUMN);
    if (cell == null || cell.getCellType() != CellType.NUMERIC) {
      problem(place + ": '" + WorkbookCells.read(there, WorkbookTables.NUMBER_COLUMN) + "' is no number. Write the " + note.kind()
          + " max as one.");
      return;
    }
    double now = cell.getNumericCellValue();
    if (Math.abs(now - Double.parseDouble(note.value())) < NEAR) {
      return;
    }
    if (note.open()) {
      edits.add(new NumberEdit(place, note.lift(), note.kind(), hundredths(now)));
    } else {
      String was = Decimal.parse(note.value()).setScale(4, RoundingMode.HALF_UP).stripTrailingZeros().toPlainString();
      problem(place + ": the " + note.kind() + " comes from the log or the Lifter page and can only be tried out here. Put " + was
          + " back, or export anew.");
    }
  }

  /** Nothing stands behind the last line. */
  private void behind(Sheet sheet, int from) {
    for (int row = from; row <= sheet.getLastRowNum(); row++) {
      for (int column = 0; column < WorkbookWriter.HEADINGS.size(); column++) {
        String text = WorkbookCells.read(sheet.getRow(row), column);
        if (!text.isBlank()) {
          problem(WorkbookCells.place(sheet, row, column) + ": lines cannot be added in the workbook ('" + text
              + "'): write them on the week board.");
          return;
        }
      }
    }
  }
}

package org.yarbel.web.workbook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.apache.poi.ss.usermodel.Sheet;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.form.DayReader;

/**
 * The hidden sheet of a workbook: what was written where, so that what comes back can be told from it. A row a note: its kind, the
 * sheet, the row, and what stood there.
 */
final class WorkbookRecord {
  static final String NAME = "Yarbel";
  static final String FORMAT = "yarbel-workbook 2";
  /** The column of a line's note that its day stands in. */
  static final int DAY = 8;

  /** Its rows are looked for by number. */
  private static final int MOST_NOTES = 20_000;
  private static final int COLUMNS = 9;
  private static final DayReader DAYS = new DayReader();
  private static final String FIXED = "fixed";
  private static final String OPEN = "open";

  private WorkbookRecord() {}

  /** What was written somewhere. */
  sealed interface Note {
    String sheet();

    int row();

    /** As it stands in the record. */
    List<String> cells();
  }

  /**
   * The first row of a line.
   *
   * @param ref of the line; null for one that is not written into a day yet
   * @param part of the line its loads are of; 0 where there are none
   */
  record LineNote(String sheet, int row, @Nullable UUID ref, int part, boolean fixed, String name, String work, LocalDate day)
      implements Note {
    @Override
    public List<String> cells() {
      return List.of("line", sheet, whole(row), ref == null ? "" : ref.toString(), whole(part), fixed ? FIXED
          : OPEN, name, work, day.toString());
    }
  }

  /** A further row of the line above. */
  record MoreNote(String sheet, int row, int part) implements Note {
    @Override
    public List<String> cells() {
      return List.of("row", sheet, whole(row), "", whole(part));
    }
  }

  /** A load: a formula, a number, or nothing. */
  record LoadNote(String sheet, int row, String was) implements Note {
    @Override
    public List<String> cells() {
      return List.of("load", sheet, whole(row), was);
    }

    boolean formula() {
      return !was.isEmpty() && !was.matches("[0-9.]+");
    }
  }

  /** A number of a lift; the lift is empty for the body mass. */
  record NumberNote(String sheet, int row, String lift, String kind, String value, boolean open) implements Note {
    @Override
    public List<String> cells() {
      return List.of("number", sheet, whole(row), lift, kind, value, open ? OPEN : FIXED);
    }
  }

  /** The row behind the last of a sheet. */
  record EndNote(String sheet, int row) implements Note {
    @Override
    public List<String> cells() {
      return List.of("end", sheet, whole(row));
    }
  }

  /** What a record says: whose workbook it is, and all that was written. */
  record RecordRead(UUID lifter, List<Note> notes) {}

  /** The first row. */
  static List<String> head(UUID lifter, MassUnit unit) {
    return List.of("format", FORMAT, lifter.toString(), unit.name());
  }

  /** Reads it; empty where it is no record of ours. */
  static Optional<RecordRead> read(@Nullable Sheet record) {
    if (record == null || !WorkbookCells.read(record.getRow(0), 1).equals(FORMAT)) {
      return Optional.empty();
    }
    List<Note> notes = new ArrayList<>();
    for (int at = 1; at <= Math.min(record.getLastRowNum(), MOST_NOTES); at++) {
      List<String> cells = new ArrayList<>();
      for (int column = 0; column < COLUMNS; column++) {
        cells.add(WorkbookCells.read(record.getRow(at), column));
      }
      note(cells).ifPresent(notes::add);
    }
    return Optional.of(new RecordRead(UUID.fromString(WorkbookCells.read(record.getRow(0), 2)), notes));
  }

  private static Optional<Note> note(List<String> cells) {
    String sheet = cells.get(1);
    int row = whole(cells.get(2));
    return Optional.ofNullable(switch (cells.get(0)) {
      case "line" -> new LineNote(sheet, row, cells.get(3).isEmpty() ? null : UUID.fromString(cells.get(3)), whole(cells.get(4)),
          cells.get(5).equals(FIXED), cells.get(6), cells.get(7), day(cells.get(DAY)));
      case "row" -> new MoreNote(sheet, row, whole(cells.get(4)));
      case "load" -> new LoadNote(sheet, row, cells.get(3));
      case "number" -> new NumberNote(sheet, row, cells.get(3), cells.get(4), cells.get(5), cells.get(6).equals(OPEN));
      case "end" -> new EndNote(sheet, row);
      default -> null;
    });
  }

  private static LocalDate day(String text) {
    return Objects.requireNonNull(DAYS.convert(text.isBlank() ? "none" : text));
  }

  private static String whole(int number) {
    return Integer.toString(number);
  }

  private static int whole(String text) {
    return text.matches("\\d{1,9}") ? Integer.parseInt(text) : 0;
  }
}

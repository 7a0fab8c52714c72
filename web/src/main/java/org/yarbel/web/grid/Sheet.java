package org.yarbel.web.grid;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.edit.NewLine;
import org.yarbel.web.form.DayReader;

/** A week as a table with tabs between its columns, as spreadsheets copy and paste it. */
final class Sheet {
  private static final List<String> HEAD = List.of("Day", "Part", "Lift", "Work", "Loads");
  private static final CSVFormat TABLE = CSVFormat.TDF.builder().setRecordSeparator("\n").setIgnoreSurroundingSpaces(false)
      .setIgnoreEmptyLines(false).get();
  private static final int NEEDED = 4;
  private static final int MOST_ROWS = 280;
  private static final int MOST_PROBLEMS = 12;
  private static final DayReader DAYS = new DayReader();

  private Sheet() {}

  /** What rows come to; either has something in it. */
  record SheetRead(List<NewLine> lines, List<String> problems) {}

  /** The week as a table. */
  static String write(List<Grid.PlacedCell> week) {
    StringBuilder table = new StringBuilder();
    try (CSVPrinter rows = new CSVPrinter(table, TABLE)) {
      rows.printRecord(HEAD);
      for (Grid.PlacedCell line : week) {
        if (line.slot().linkOf() == null) {
          rows.printRecord(line.day(), line.slot().kind().word(), cell(line.cell().lift()), cell(line.slot().work()), line.cell().loads());
        }
      }
    } catch (IOException never) {
      throw new UncheckedIOException(never);
    }
    return table.toString();
  }

  /** What a spreadsheet would take for a formula stands behind an apostrophe, which it takes for "this is text". */
  static String cell(String text) {
    return text.isEmpty() || "=+-@\t\r".indexOf(text.charAt(0)) < 0 ? text : "'" + text;
  }

  /** Tells whether the week was changed since it was shown. */
  static String stamp(List<Grid.PlacedCell> week) {
    StringBuilder all = new StringBuilder();
    week.forEach(line -> all.append(line.slot().id()).append(':').append(line.slot().version()).append(' '));
    return Integer.toHexString(all.toString().hashCode());
  }

  /** Reads rows; each that cannot be read is a problem with its number. */
  static SheetRead read(String text, LocalDate monday, Catalogue lifts) {
    List<NewLine> lines = new ArrayList<>();
    List<String> problems = new ArrayList<>();
    try (CSVParser rows = TABLE.parse(new StringReader(text))) {
      for (CSVRecord row : rows) {
        boolean head = row.getRecordNumber() == 1 && row.get(0).strip().equalsIgnoreCase("day");
        if (!head && row.stream().anyMatch(cell -> !cell.isBlank()) && problems.size() < MOST_PROBLEMS) {
          row(rows.getCurrentLineNumber(), row.stream().map(Sheet::plain).toList(), monday, lifts, lines, problems);
        }
      }
    } catch (IOException | UncheckedIOException openQuote) {
      problems.add("A cell begins with a quotation mark and never ends: take the mark out, or end the cell with one.");
    }
    if (lines.isEmpty() && problems.isEmpty()) {
      problems.add("There is no row to take: paste rows with four columns: day, part, lift, work.");
    }
    if (lines.size() > MOST_ROWS) {
      problems.add("These are " + lines.size() + " rows: at most " + MOST_ROWS + " at a time.");
    }
    return new SheetRead(lines, problems);
  }

  private static void row(long number, List<String> cells, LocalDate monday, Catalogue lifts, List<NewLine> lines, List<String> problems) {
    if (cells.size() < NEEDED) {
      problems.add("Row " + number + " has " + Count.of(cells.size(), "column")
          + ", but four are needed, with tabs between: day, part, lift, work.");
      return;
    }
    Optional<LocalDate> day = day(cells.get(0), monday);
    Optional<SlotKind> kind = SlotKind.of(cells.get(1));
    Optional<Lift> lift = lifts.named(cells.get(2));
    if (day.isEmpty()) {
      problems.add("Row " + number + ": the day '" + cells.get(0) + "' is neither a weekday of this week, such as Mon, nor a date such as "
          + monday + ".");
    } else if (kind.isEmpty()) {
      problems.add("Row " + number + ": the part '" + cells.get(1)
          + "' is none of prepare, main, second, assistance, conditioning, cool-down.");
    } else if (lift.isEmpty()) {
      problems.add("Row " + number + ": " + lifts.unknown(cells.get(2)));
    } else {
      try {
        lines.add(NewLine.of(day.get(), kind.get(), lift.get().key(), WorkLine.parse(cells.get(3)).line().toString()));
      } catch (NotationException wrong) {
        problems.add("Row " + number + ", work '" + cells.get(3) + "': " + wrong.problems().get(0).message());
      }
    }
  }

  private static Optional<LocalDate> day(String text, LocalDate monday) {
    String small = text.toLowerCase(Locale.ROOT);
    for (DayOfWeek day : DayOfWeek.values()) {
      if (small.length() >= 3 && day.name().toLowerCase(Locale.ROOT).startsWith(small)) {
        return Optional.of(monday.plusDays(day.getValue() - 1L));
      }
    }
    try {
      return Optional.ofNullable(DAYS.convert(text));
    } catch (DateTimeParseException noDay) {
      return Optional.empty();
    }
  }

  /** An apostrophe before a text says to a spreadsheet that it is one, and is no part of it. */
  private static String plain(String cell) {
    String text = cell.strip();
    return text.startsWith("'") ? text.substring(1) : text;
  }
}

package org.yarbel.web.workbook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.support.TestApp;

/**
 * The formulas of the workbook, recalculated by a program that is not ours (LibreOffice, headless), against the core: every
 * load of eight weeks of every lifter of the demo's club. Skipped where LibreOffice is not installed.
 */
@ExtendWith(TestApp.class)
class RecalculatedTest {
  private static final int WEEKS = 9;
  private static final LocalDate FROM = TestApp.TODAY.minusWeeks(4);

  @TempDir Path folder;

  @Test
  void anotherProgramComesToTheSameLoadsAsTheCore(TestApp app) throws Exception {
    Path program = Path.of("/usr/bin/soffice");
    Assumptions.assumeTrue(Files.isExecutable(program),
        "LibreOffice is not on this machine (Debian: libreoffice-calc-nogui): its word on the formulas is not asked");
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    Map<String, List<SheetLine.OfWeek>> expected = new HashMap<>();
    Map<String, MassUnit> units = new HashMap<>();
    app.bean(CurrentClub.class).within(club, () -> {
      Workbooks workbooks = app.bean(Workbooks.class);
      for (Lifter lifter : app.bean(LifterRepository.class).findAll().stream()
          .filter(l -> app.jdbc().sql("select count(*) from account where lifter_id = :l").param("l", l
          .id()).query(Long.class).single() > 0).toList()) {
        String file = lifter.id() + ".xlsx";
        write(folder.resolve(file), workbooks.write(lifter, FROM, WEEKS));
        expected.put(file, workbooks.weeks(lifter, app.bean(LifterContexts.class).of(lifter, null), FROM, WEEKS));
        units.put(file, lifter.unit());
      }
      return 0;
    });
    assertThat(expected).hasSizeGreaterThanOrEqualTo(12);
    Path out = Files.createDirectory(folder.resolve("out"));
    convert(program, out);
    int loads = 0;
    for (Map.Entry<String, List<SheetLine.OfWeek>> file : expected.entrySet()) {
      loads += check(out.resolve(file.getKey()), file.getValue(), Objects.requireNonNull(units.get(file.getKey())));
      // what that program has written anew comes back in as nothing changed
      WorkbookReader.WorkbookRead back = WorkbookReader.read(Files.readAllBytes(out.resolve(file.getKey())));
      assertThat(back.problems()).as(file.getKey()).isEmpty();
      assertThat(back.edits()).as(file.getKey()).isEmpty();
    }
    assertThat(loads).as("loads held against the core").isGreaterThan(1200);
  }

  private static void write(Path file, byte[] bytes) {
    try {
      Files.write(file, bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void convert(Path program, Path out) throws Exception {
    List<String> command = new ArrayList<>(List.of(program.toString(), "-env:UserInstallation=file://" + folder.resolve("profile"),
        "--headless", "--norestore", "--convert-to", "xlsx", "--outdir", out.toString()));
    try (var files = Files.list(folder)) {
      files.filter(file -> file.toString().endsWith(".xlsx")).sorted().forEach(file -> command.add(file.toString()));
    }
    Process process = new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(folder.resolve("log").toFile()).start();
    assertThat(process.waitFor(4, TimeUnit.MINUTES)).as("LibreOffice has ended").isTrue();
    assertThat(process.exitValue()).as(Files.readString(folder.resolve("log"))).isZero();
  }

  /** Holds every row against the sets of its line, in their order; none has an error in it. */
  private static int check(Path file, List<SheetLine.OfWeek> weeks, MassUnit unit) throws IOException {
    int loads = 0;
    try (InputStream in = Files.newInputStream(file); XSSFWorkbook book = new XSSFWorkbook(in)) {
      for (int week = 0; week < weeks.size(); week++) {
        Sheet sheet = book.getSheet("Week " + (week + 1));
        int at = WorkbookWriter.FIRST_ROW;
        for (SheetLine line : weeks.get(week).lines()) {
          assertThat(sheet.getRow(at).getCell(WorkbookWriter.WORK).getStringCellValue()).isEqualTo(line.work());
          List<ResolvedSet> sets = line.resolved() == null ? List.of() : line.resolved().sets();
          if (sets.isEmpty()) {
            at++;
          }
          for (int set = 0; set < sets.size(); at++) {
            Row row = sheet.getRow(at);
            int together = (int) row.getCell(3).getNumericCellValue();
            for (int i = 0; i < together; i++, set++) {
              loads += load(row, sets.get(set), unit, file.getFileName() + ", " + sheet.getSheetName() + " row " + (at + 1) + ": "
                  + line.work());
            }
          }
        }
      }
    }
    return loads;
  }

  private static int load(Row row, ResolvedSet set, MassUnit unit, String what) {
    Cell cell = row.getCell(WorkbookWriter.LOAD);
    if (set.load() == null) {
      assertThat(cell == null || cell.getCellType() == CellType.BLANK).as(what).isTrue();
      return 0;
    }
    assertThat(cell.getCellType() == CellType.FORMULA ? cell.getCachedFormulaResultType() : cell.getCellType()).as(what)
        .isEqualTo(CellType.NUMERIC);
    assertThat(cell.getNumericCellValue()).as(what).isCloseTo(set.load().nanograms() / (double) unit.nanograms(), within(1e-6));
    return 1;
  }
}

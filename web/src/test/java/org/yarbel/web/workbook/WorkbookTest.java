package org.yarbel.web.workbook;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class WorkbookTest {
  private static final LocalDate WEDNESDAY = TestApp.TODAY.plusDays(2);

  private Someone someone;

  @BeforeEach
  void aWeekOfThreeLines(TestApp app) {
    someone = Someone.called(app, "Perrin Ledger", Map.of("squat", "200", "bench", "140"));
    someone.add(WEDNESDAY, "MAIN", "squat", "1x1 @8; 4x4 -15%");
    someone.add(WEDNESDAY, "SECOND", "bench", "5x5 75%");
    someone.add(WEDNESDAY, "ASSISTANCE", "row", "4x8");
  }

  private byte[] file() {
    return someone.within(() -> someone.app().bean(Workbooks.class).write(someone.lifter(), TestApp.TODAY, 1));
  }

  private Workbooks.Taken take(Consumer<XSSFWorkbook> change) {
    byte[] changed = changed(file(), change);
    return someone.within(() -> someone.app().bean(Workbooks.class).take(someone.lifter(), changed, someone.who()));
  }

  private static byte[] changed(byte[] file, Consumer<XSSFWorkbook> change) {
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file)); ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      change.accept(book);
      book.write(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Cell cell(XSSFWorkbook book, String sheet, int row, int column) {
    Row at = book.getSheet(sheet).getRow(row - 1) == null ? book.getSheet(sheet).createRow(row - 1) : book.getSheet(sheet).getRow(row - 1);
    return at.getCell(column) == null ? at.createCell(column) : at.getCell(column);
  }

  @Test
  void hasAFormulaInEveryLoadThatComesFromANumber() throws IOException {
    try (XSSFWorkbook book = new XSSFWorkbook(new ByteArrayInputStream(file()))) {
      Sheet week = book.getSheet("Week 1");
      assertThat(week.getRow(3).getCell(7).getCellFormula()).startsWith("Numbers!$C$").contains("INDEX(Chart!$B$3");
      assertThat(week.getRow(4).getCell(7).getCellFormula()).isEqualTo("G4*(1-15/100)");
      assertThat(week.getRow(5).getCell(7).getCellFormula()).matches("Numbers!\\$C\\$\\d+\\*75/100");
      assertThat(week.getRow(5).getCell(6).getCellFormula()).contains("Loads!$A$2");
      assertThat(week.getRow(6).getCell(6).getCellType()).as("the lifter picks").isEqualTo(CellType.BLANK);
    }
  }

  @Test
  void nothingChangedIsNothing() {
    Workbooks.Taken taken = take(book -> { });
    assertThat(taken.problems()).isEmpty();
    assertThat(taken.edits()).isEmpty();
    assertThat(taken.change()).isEmpty();
  }

  @Test
  void otherWorkAndAnotherLoadAreEditsThatCanBeUndone(TestApp app) {
    Workbooks.Taken taken = take(book -> {
      cell(book, "Week 1", 4, 2).setCellValue("1x1 @9; 3x4 -12%");
      cell(book, "Week 1", 6, 6).removeFormula();
      cell(book, "Week 1", 6, 6).setCellValue(102.5);
    });
    assertThat(taken.problems()).isEmpty();
    assertThat(taken.edits()).containsExactly("Week 1!C4: Squat on 4 Mar 2026, 1x1 @8; 4x4 -15% → 1x1 @9; 3x4 -12%",
        "Week 1!G6: Bench press on 4 Mar 2026, 5x5 75% → 5x5 102.5kg");
    assertThat(someone.on(WEDNESDAY)).containsExactly("squat 1x1 @9; 3x4 -12%", "bench 5x5 102.5kg", "row 4x8");
    someone.within(() -> app.bean(Undo.class).change(taken.change().orElseThrow()));
    assertThat(someone.on(WEDNESDAY)).containsExactly("squat 1x1 @8; 4x4 -15%", "bench 5x5 75%", "row 4x8");
  }

  @Test
  void anythingElseIsRefusedWithItsPlaceAndNothingIsTaken() {
    Workbooks.Taken taken = take(book -> {
      cell(book, "Week 1", 4, 2).setCellValue("5x");
      cell(book, "Week 1", 6, 6).removeFormula();
      cell(book, "Week 1", 6, 6).setCellValue("heavy");
      cell(book, "Week 1", 12, 1).setCellValue("Curl");
    });
    assertThat(taken.problems()).containsExactly("Week 1!G6: 'heavy' is no number. Write the load as one, such as 142.5.",
        "Week 1!B12: lines cannot be added in the workbook ('Curl'): write them on the week board.");
    assertThat(taken.edits()).isEmpty();
    assertThat(take(book -> cell(book, "Week 1", 4, 2).setCellValue("5x")).problems()).singleElement().asString()
        .startsWith("Week 1!C4: '5x': ");
    assertThat(someone.on(WEDNESDAY)).contains("squat 1x1 @8; 4x4 -15%");
  }

  @Test
  void deletedRowsAreNoticedWhereTheyWere() {
    assertThat(take(book -> book.getSheet("Week 1").shiftRows(5, 6, -1)).problems()).first().asString()
        .startsWith("Week 1!B5: here were further sets of the line above, now stands 'Bench press 5x5 75%'.");
    assertThat(take(book -> book.getSheet("Week 1").removeRow(book.getSheet("Week 1").getRow(5))).problems()).first().asString()
        .startsWith("Week 1!B6: here stood 'Bench press 5x5 75%', now ''. Rows cannot be taken out, added or moved in the workbook");
    assertThat(take(book -> book.removeSheetAt(book.getSheetIndex("Week 1"))).problems()).containsExactly("The sheet 'Week 1' is gone.");
    assertThat(take(book -> book.removeSheetAt(book.getSheetIndex("Yarbel"))).problems()).first().asString()
        .contains("its hidden sheet is gone");
  }

  @Test
  void anotherFormulaAndAnEstimateAreNotTaken() {
    assertThat(take(book -> cell(book, "Week 1", 6, 6).setCellFormula("H6+5")).problems()).containsExactly(
        "Week 1!G6: another formula stands here, and formulas are not taken in: write a number, or change the work.");
    assertThat(take(book -> {
      for (Row row : book.getSheet("Numbers")) {
        if (row.getCell(1) != null && row.getCell(1).getStringCellValue().equals("estimated")) {
          row.getCell(2).setCellValue(250);
        }
      }
    }).problems()).isNotEmpty().allSatisfy(problem -> assertThat(problem).contains("comes from the log or the Lifter page"));
  }

  @Test
  void whatWasChangedOnTheBoardMeanwhileStays() {
    byte[] file = changed(file(), book -> cell(book, "Week 1", 6, 2).setCellValue("3x5 80%"));
    long slot = someone.slot(WEDNESDAY, "bench");
    someone.coach().post("/slots/" + slot, Map.of("kind", "SECOND", "lift", "bench", "work", "6x3 80%", "version",
        Integer.toString(someone.version(slot))));
    Workbooks.Taken taken = someone.within(() -> someone.app().bean(Workbooks.class).take(someone.lifter(), file, someone.who()));
    assertThat(taken.problems()).containsExactly("Week 1!C6: meanwhile the line was changed on the board to '6x3 80%'. Export "
        + "the weeks anew.");
  }

  @Test
  void linesThatAreBegunAndAnotherLiftersWorkbookStay(TestApp app) {
    someone.add(TestApp.TODAY, "MAIN", "squat", "3x5 70%");
    someone.lift(TestApp.TODAY, "squat", 5);
    assertThat(take(book -> cell(book, "Week 1", 4, 2).setCellValue("3x3 70%")).problems()).containsExactly(
        "Week 1!C4: this line can not be changed here: its day is behind, or sets of it are logged.");
    byte[] file = file();
    Someone other = Someone.called(app, "Quill Ledger", Map.of("squat", "100"));
    assertThat(other.<Workbooks.Taken>within(() -> app.bean(Workbooks.class).take(other.lifter(), file, other.who())).problems())
        .containsExactly("This workbook is another lifter's: send it in on their page.");
  }

  @Test
  void aFileThatIsNoWorkbookGetsASentence() {
    assertThat(WorkbookReader.read("no workbook".getBytes()).problems()).containsExactly(
        "The file is no XLSX workbook that can be read: save it as .xlsx and send it again.");
    assertThat(WorkbookReader.read(new byte[0]).problems()).hasSize(1);
  }

  @Test
  void thePageOffersAndSendsIt(TestApp app) {
    assertThat(someone.coach().get(someone.at("/runway/workbook")).body()).contains("four weeks from this one")
        .contains("Take the changes in");
    var answer = someone.coach().get(someone.at("/runway/workbook.xlsx?from=" + TestApp.TODAY));
    assertThat(answer.headers().firstValue("Content-Type")).hasValueSatisfying(type -> assertThat(type).contains("spreadsheetml.sheet"));
    assertThat(answer.headers().firstValue("Content-Disposition")).hasValue("attachment; filename=\"perrin-ledger-2026-03-02.xlsx\"");
    assertThat(Client.of(app, "maren").get(someone.at("/runway/workbook.xlsx?from=" + TestApp.TODAY)).statusCode()).isEqualTo(403);
  }

  /** Sets the number of a lift on the sheet of numbers. */
  private static void number(XSSFWorkbook book, String lift, String kind, double value) {
    for (Row row : book.getSheet("Numbers")) {
      if (row.getCell(0).getStringCellValue().equals(lift) && row.getCell(1) != null && row.getCell(1).getStringCellValue().equals(kind)) {
        row.getCell(2).setCellValue(value);
      }
    }
  }

  @Test
  void aTrainingMaxComesBackInAsAnEdit(TestApp app) {
    someone.add(WEDNESDAY.plusDays(1), "MAIN", "squat", "3x5 80% tm");
    Workbooks.Taken taken = take(book -> number(book, "squat", "training", 172.5));
    assertThat(taken.problems()).isEmpty();
    assertThat(taken.edits()).singleElement().asString().endsWith("training max of squat 172.5 kg");
    assertThat(app.jdbc().sql("select training_ng from lift_numbers where lifter_id = :l and lift = 'squat'")
        .param("l", someone.id()).query(Long.class).single())
        .isEqualTo(172_500_000_000_000L);
    assertThat(take(book -> number(book, "squat", "training", 196)).problems()).singleElement().asString()
        .contains("a training max is at most 95 % of the estimated one, 191");
    assertThat(take(book -> number(book, "squat", "training", 0.5)).problems()).singleElement().asString()
        .contains("a max must be from 1 to 2200 but was 0.5.");
  }

  @Test
  void aGoalComesBackInWhenItCanBeMeant(TestApp app) {
    someone.post(someone.at("/runway/goal"), Map.of("lift", "squat", "goal", "210", "on", "2026-06-06"));
    app.jdbc().sql("update lift_numbers set goal_ng = 210000000000000, goal_unit = 'KG', goal_on = '2026-06-06' where lifter_id "
        + "= :l and lift = 'squat'").param("l", someone.id()).update();
    someone.add(WEDNESDAY.plusDays(1), "MAIN", "squat", "1x2 90% goal");
    assertThat(take(book -> number(book, "squat", "goal", 212.5)).edits()).singleElement().asString()
        .endsWith("goal max of squat 212.5 kg");
    assertThat(take(book -> number(book, "squat", "goal", 190)).problems()).singleElement().asString()
        .contains("is not over the max of 200 kg");
  }

  @Test
  void partsWhoseSetsWeighDifferentlyAreWrittenAsWork() {
    someone.add(WEDNESDAY.plusDays(2), "MAIN", "squat", "1x1 90%; 3x5 -5% each");
    int row = 9;
    assertThat(take(book -> {
      cell(book, "Week 1", row, 6).removeFormula();
      cell(book, "Week 1", row, 6).setCellValue(150);
    }).problems()).singleElement().asString()
        .startsWith("Week 1!G9: the sets of this part weigh differently; write them in the column Work");
    assertThat(take(book -> {
      cell(book, "Week 1", 8, 6).removeFormula();
      cell(book, "Week 1", 8, 6).setCellValue(-3);
    }).problems()).singleElement().asString().startsWith("Week 1!G8: a load must be over 0 and at most 1000 kg, but was -3");
  }

  @Test
  void aFileThatIsTooLargeGetsASentenceToo() {
    byte[] large = new byte[5_000_000];
    Arrays.fill(large, (byte) 'x');
    String boundary = "----yarbel";
    String head = "--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.xlsx\"\r\n\r\n";
    someone.coach().get(someone.at("/runway/workbook"));
    var answer = someone.coach().postBody(someone.at("/runway/workbook"), "multipart/form-data; boundary=" + boundary,
        head + new String(large) + "\r\n--" + boundary + "--\r\n");
    assertThat(answer.statusCode()).isEqualTo(413);
    assertThat(answer.body()).contains("That file is too large");
  }

  private static byte[] zip(Map<String, Consumer<OutputStream>> files) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, Consumer<OutputStream>> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        file.getValue().accept(zip);
      }
    }
    return out.toByteArray();
  }

  private static Consumer<OutputStream> many(String head, String piece, int times) {
    return out -> {
      try {
        out.write(head.getBytes(StandardCharsets.US_ASCII));
        byte[] block = piece.repeat(1000).getBytes(StandardCharsets.US_ASCII);
        for (int i = 0; i < times; i += 1000) {
          out.write(block);
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    };
  }

  /** Sheets that unpack to hundreds of times their size: they are left before anything is built up of them. */
  @Test
  void aFileThatUnpacksToMuchMoreThanAnyOfOursIsRefusedWhileItIsUnpacked() throws IOException {
    List<byte[]> bombs = List.of(
        zip(Map.of("xl/worksheets/sheet1.xml", many("<worksheet><sheetData>", "<row><c/></row>", 3_000_000))),
        zip(Map.of("xl/sharedStrings.xml", many("<sst>", "<si><t>aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa</t></si>", 300_000))),
        zip(Map.of("xl/media/image.bin", many("", "0000000000", 5_000_000))),
        zip(Map.of("xl/workbook.xml", many("", "<a>", 20_000))));
    for (byte[] bomb : bombs) {
      assertThat(bomb.length).as("as it comes").isLessThan(4 << 20);
      assertThat(WorkbookReader.read(bomb).problems()).containsExactly(
          "The file is much larger than a workbook of ours: export the weeks anew and change that file.");
    }
  }

  @Test
  void ourOwnOfTwentySixWeeksKeepsWellToTheBounds() {
    long maren = someone.app().lifter("Maren");
    byte[] own = someone.within(() -> someone.app().bean(Workbooks.class).write(someone.app().bean(LifterRepository.class)
        .findById(maren).orElseThrow(), TestApp.TODAY.minusWeeks(13), Workbooks.MOST_WEEKS));
    assertThat(WorkbookBounds.size(own)).as("bytes, of %s", WorkbookBounds.MOST_BYTES).isBetween(100_000L, WorkbookBounds.MOST_BYTES / 3);
    assertThat(WorkbookBounds.kept(own)).isTrue();
  }

  @Test
  void aDayThatIsNoneInTheRecordIsAWordAndNoFault() {
    assertThat(take(book -> {
      for (Row row : book.getSheet(WorkbookRecord.NAME)) {
        if (row.getCell(WorkbookRecord.DAY) != null) {
          row.getCell(WorkbookRecord.DAY).setCellValue("+999999999-12-31");
        }
      }
      cell(book, "Week 1", 6, WorkbookWriter.WORK).setCellValue("5x5 70%");
    }).problems()).isNotEmpty();
  }
}

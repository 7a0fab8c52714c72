package org.yarbel.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFSheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.House;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Training that was kept elsewhere comes in, and goes out again. */
@ExtendWith(TestApp.class)
class RecordsTest {
  private static final AtomicInteger NUMBER = new AtomicInteger();
  private static final Duration PATIENCE = Duration.ofMinutes(3);

  private Someone someone;

  @BeforeEach
  void aLifterOfItsOwn(TestApp app) {
    someone = Someone.called(app, "Archived " + NUMBER.incrementAndGet(), Map.of());
    someone.coach().get(someone.at("/records"));
  }

  private HttpResponse<String> choose(String name, byte[] file) {
    someone.coach().get(someone.at("/records"));
    return someone.coach().postFile("/records/files", Map.of("lifter", Long.toString(someone.id())), name, file);
  }

  private long chosen(String name, byte[] file) {
    HttpResponse<String> answer = choose(name, file);
    assertThat(answer.statusCode()).as(answer.body().replaceAll("(?s).*field-error[^>]*>([^<]*)<.*", "$1")).isEqualTo(302);
    return Long.parseLong(answer.headers().firstValue("Location").orElseThrow().replaceAll(".*/records/(\\d+).*", "$1"));
  }

  private long chosen(String text) {
    return chosen("log.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  private HttpResponse<String> decide(long id, Map<String, String> form) {
    someone.coach().get("/records/" + id);
    return someone.coach().post("/records/" + id, form);
  }

  private void take(long id) {
    someone.coach().get("/records/" + id);
    assertThat(someone.coach().post("/records/" + id + "/take", Map.of()).statusCode()).isEqualTo(302);
    await(id, "IN");
  }

  private void await(long id, String state) {
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (!someone.app().jdbc().sql("select state from old_records where id = :id").param("id", id).query(String.class).single().equals(state)
        || someone.app().jdbc().sql("select count(*) from job where ended is null and club_id = :c").param("c", someone.clubId())
            .query(Integer.class).single() > 0) {
      assertThat(System.nanoTime()).as("not " + state + " in time").isLessThan(until);
      LockSupport.parkNanos(Duration.ofMillis(50).toNanos());
    }
  }

  private List<String> log() {
    return someone.app().jdbc().sql("select day || ' ' || lift || ' ' || trim_scale(load_ng / 1000000000000.0) || 'x' || reps || "
        + "coalesce(' @' || trim_scale(rpe_halves / 2.0), '') from logged_set where lifter_id = :l order by day, id").param("l", someone.id())
        .query(String.class).list();
  }

  @Test
  void aTableIsDecidedAboutTakenInAndTakenOutAsOne() {
    long id = chosen("Date;Exercise;Weight;Sets;Reps;RPE;Notes\n13.05.2024;Kniebeuge;102,5;2;5;8;gut\n;;110;1;3;8,5;\n14.05.2024;Bankdrücken;80;;5;;\n"
        + "15.05.2024;Kniebeuge;900;1;1;;\n;Kniebeuge;schwer;1;1;;\n");
    String page = someone.coach().get("/records/" + id).body();
    assertThat(page).contains("say which").contains("900 kg is more than anybody has lifted").contains("“schwer” is no load")
        .contains("kniebeuge").contains("bankdrücken");
    someone.coach().post("/records/" + id + "/take", Map.of());
    assertThat(log()).as("nothing before it is said").isEmpty();
    assertThat(decide(id, Map.of("unit", "KG", "called.0", "kniebeuge", "lift.0", "no such lift")).body()).contains("no such lift");
    assertThat(decide(id, Map.of("unit", "KG", "called.0", "kniebeuge", "lift.0", "Squat", "called.1", "bankdrücken", "lift.1", "Bench press"))
        .statusCode()).isEqualTo(302);
    assertThat(someone.coach().get("/records/" + id).body()).contains("4 sets").contains("2 rows cannot be read");
    take(id);
    assertThat(log()).containsExactly("2024-05-13 squat 102.5x5 @8", "2024-05-13 squat 102.5x5 @8", "2024-05-13 squat 110x3 @8.5",
        "2024-05-14 bench 80x5");
    assertThat(someone.coach().get("/records/" + id).body()).contains("4 sets taken in, 0 there already, 2 rows refused");
    // the rows that were refused come back with the reason; row 5 of the file is its fifth line
    assertThat(someone.coach().get("/records/" + id + "/refused.csv").body().lines().toList()).containsExactly(
        "Row,Why,Date,Exercise,Weight,Sets,Reps,RPE,Notes", "5,900 kg is more than anybody has lifted.,15.05.2024,Kniebeuge,900,1,1,,",
        "6,\"“schwer” is no load, such as 102.5.\",,Kniebeuge,schwer,1,1,,");
    assertThat(estimate("squat")).as("the max is tracked over it").isPositive();
    assertThat(someone.coach().get(someone.at("/ledger")).body()).contains("102.5");
    // once more: known by name, and nothing is doubled
    long again = chosen("Datum;Lift;kg;Reps\n13.05.2024;kniebeuge;102.5;5\n13.05.2024;kniebeuge;102.5;5\n13.05.2024;kniebeuge;102.5;5\n");
    take(again);
    assertThat(someone.coach().get("/records/" + again).body()).contains("1 set taken in, 2 there already");
    assertThat(log()).hasSize(5);
    someone.coach().post("/records/" + again + "/undo", Map.of());
    await(again, "UNDONE");
    assertThat(log()).hasSize(4);
    someone.coach().post("/records/" + id + "/undo", Map.of());
    await(id, "UNDONE");
    assertThat(log()).isEmpty();
    assertThat(someone.coach().get("/records/" + id).body()).contains("taken out again");
  }

  private double estimate(String lift) {
    return someone.app().jdbc().sql("select coalesce(max(estimate_ng), 0) / 1e12 from tracked_point where lifter_id = :l and lift = :lift")
        .param("l", someone.id()).param("lift", lift).query(Double.class).single();
  }

  @Test
  void anAmericanTableAsksInWhichOrderItsDaysAre() {
    long id = chosen("Date,Lift,Weight lb,Reps\n3/5/2024,Squat,225,5\n");
    assertThat(someone.coach().get("/records/" + id).body()).contains("say which");
    decide(id, Map.of("order", "MONTH_FIRST"));
    take(id);
    // 225 lb are 102.05828325 kg exactly
    assertThat(log()).containsExactly("2024-03-05 squat 102.05828325x5");
  }

  @Test
  void aWorkbookIsReadByItsCells() throws IOException {
    byte[] book;
    try (XSSFWorkbook made = new XSSFWorkbook(); ByteArrayOutputStream out = new ByteArrayOutputStream()) {
      made.createSheet("Read me").createRow(0).createCell(0).setCellValue("nothing here");
      XSSFSheet sheet = made.createSheet("Log");
      CellStyle day = made.createCellStyle();
      day.setDataFormat(made.createDataFormat().getFormat("d.m.yy"));
      Row head = sheet.createRow(0);
      List.of("Day", "Squat", "Bench press", "Comment").forEach(name -> head.createCell(head.getPhysicalNumberOfCells()).setCellValue(name));
      Row row = sheet.createRow(1);
      row.createCell(0).setCellValue(LocalDate.of(2024, 3, 5));
      row.getCell(0).setCellStyle(day);
      row.createCell(1).setCellValue("3x5 100 kg");
      row.createCell(3).setCellFormula("\"=\" & \"cmd\"");
      Row next = sheet.createRow(2);
      next.createCell(0).setCellValue(LocalDate.of(2024, 3, 7));
      next.getCell(0).setCellStyle(day);
      next.createCell(2).setCellValue("80x5x2 @8");
      made.write(out);
      book = out.toByteArray();
    }
    long id = chosen("log.xlsx", book);
    decide(id, Map.of("unit", "KG"));
    take(id);
    assertThat(log()).containsExactly("2024-03-05 squat 100x5", "2024-03-05 squat 100x5", "2024-03-05 squat 100x5", "2024-03-07 bench 80x5 @8",
        "2024-03-07 bench 80x5 @8");
  }

  @Test
  void ourOwnExportComesIn() throws IOException {
    House house = House.called(someone.app(), "Carried" + NUMBER.get());
    byte[] zip = house.coach().bytes("/lifters/" + house.lifters().get(0) + "/data.zip").body();
    byte[] json = new byte[0];
    try (java.util.zip.ZipInputStream in = new java.util.zip.ZipInputStream(new java.io.ByteArrayInputStream(zip))) {
      for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
        json = entry.getName().equals("lifter.json") ? in.readAllBytes() : json;
      }
    }
    long id = chosen("lifter.json", json);
    take(id);
    assertThat(log()).contains("2026-02-21 squat 140x3 @8");
  }

  /** What older programs write, and what begins with a mark. */
  @ParameterizedTest
  @CsvSource({"windows-1252", "UTF-8", "UTF-16LE", "UTF-16BE"})
  void lettersAreReadAsTheyWereWritten(String charset) {
    String text = "\uFEFFDatum\tÜbung\tkg\tWdh\n2024-05-13\tBankdrücken\t80\t5\n";
    byte[] bytes = (charset.startsWith("UTF") ? text : text.substring(1)).getBytes(Charset.forName(charset));
    long id = chosen("log.txt", bytes);
    assertThat(someone.coach().get("/records/" + id).body()).contains("bankdrücken").contains("Übung");
  }

  @Test
  void whatIsNoTableIsToldAndLeavesNothing() throws IOException {
    Map<String, byte[]> bad = new LinkedHashMap<>();
    bad.put("Choose a file, or paste a table", new byte[0]);
    bad.put("neither text with commas", new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, 0, 0, 1, 2, 3});
    bad.put("begins like JSON and is none", "{ not json".getBytes(StandardCharsets.UTF_8));
    bad.put("not ours", "{\"format\": \"other\"}".getBytes(StandardCharsets.UTF_8));
    bad.put("more than 200 columns", ("a,".repeat(1_000_000) + "\n1").getBytes(StandardCharsets.UTF_8));
    bad.put("The table is empty", "Date,Lift,Load,Reps\n".getBytes(StandardCharsets.UTF_8));
    bad.put("packed like a workbook", zip("readme.txt", "hello"));
    bad.put("is none, or is cut short", java.util.Arrays.copyOf(zip("xl/workbook.xml", "<workbook/>"), 60));
    int rows = someone.app().jdbc().sql("select count(*) from old_row").query(Integer.class).single();
    bad.forEach((words, file) -> {
      HttpResponse<String> answer = choose("file", file);
      assertThat(answer.statusCode()).as(words).isEqualTo(422);
      assertThat(answer.body()).contains(words);
    });
    HttpResponse<String> long200 = choose("rows.csv", ("Date,Lift,Load,Reps\n" + "2024-03-05,Squat,100,5\n".repeat(200_001))
        .getBytes(StandardCharsets.UTF_8));
    assertThat(long200.body()).contains("more than 200000 rows");
    assertThat(someone.app().jdbc().sql("select count(*) from old_row").query(Integer.class).single()).isEqualTo(rows);
    assertThat(someone.app().jdbc().sql("select count(*) from old_records where lifter_id = :l").param("l", someone.id()).query(Integer.class)
        .single()).isZero();
  }

  private static byte[] zip(String name, String text) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      zip.putNextEntry(new ZipEntry(name));
      zip.write(text.getBytes(StandardCharsets.UTF_8));
    }
    return out.toByteArray();
  }

  /** The server's own answer when its disk is full, SQLSTATE 53100 (PostgreSQL 17 documentation, appendix A), given by a trigger. */
  private void noRoomFor(String table, String rows) {
    JdbcClient owner = JdbcClient.create(someone.app().owner());
    owner.sql("create or replace function no_room() returns trigger language plpgsql as $$ begin raise exception 'could "
        + "not extend file: No space left on device' using errcode = '53100'; end $$").update();
    owner.sql("create trigger no_room before insert on " + table + " for each row when (" + rows
        + ") execute function no_room()").update();
  }

  private void room(String table) {
    JdbcClient.create(someone.app().owner()).sql("drop trigger no_room on " + table).update();
  }

  @Test
  void aDiskThatFillsIsToldAndNothingIsHalfIn() {
    byte[] table = "Date,Lift,Load kg,Reps\n2024-03-05,Squat,100,5\n2024-03-06,Squat,brimful,5\n".getBytes(StandardCharsets.UTF_8);
    noRoomFor("old_row", "new.cells::text like '%brimful%'");
    try {
      HttpResponse<String> answer = choose("log.csv", table);
      assertThat(answer.statusCode()).isEqualTo(507);
      assertThat(answer.body()).contains("There is no room left on the disk").contains("go back, it is still in the page");
    } finally {
      room("old_row");
    }
    assertThat(someone.app().jdbc().sql("select count(*) from old_records where lifter_id = :l").param("l", someone.id()).query(Integer.class)
        .single()).isZero();
    long id = chosen("log.csv", table);
    noRoomFor("logged_set", "new.lifter_id = " + someone.id());
    try {
      someone.coach().get("/records/" + id);
      someone.coach().post("/records/" + id + "/take", Map.of());
      await(id, "RUNNING");
    } finally {
      room("logged_set");
    }
    assertThat(log()).isEmpty();
    assertThat(someone.coach().get("/records/" + id).body()).contains("There is no room left on the disk of the machine")
        .contains("nothing of it is in the log").contains("Decide once more");
    assertThat(someone.coach().post("/records/" + id + "/again", Map.of()).statusCode()).isEqualTo(302);
    take(id);
    assertThat(log()).containsExactly("2024-03-05 squat 100x5");
    assertThat(someone.coach().get("/records/" + id).body()).contains("1 set taken in, 0 there already, 1 row refused");
  }

  @Test
  void anothersTableIsNotThere() {
    long id = chosen("Date,Lift,Load kg,Reps\n2024-03-05,Squat,100,5\n");
    House house = House.called(someone.app(), "Elsewhere" + NUMBER.get());
    Client other = house.coach();
    other.get("/");
    for (String path : List.of("/records/" + id, "/records/" + id + "/refused.csv", someone.at("/records"))) {
      assertThat(other.get(path).statusCode()).as(path).isEqualTo(404);
    }
    for (String path : List.of("", "/take", "/undo", "/drop")) {
      assertThat(other.post("/records/" + id + path, Map.of()).statusCode()).as(path).isEqualTo(404);
    }
    assertThat(house.lifter().get("/records/" + id).statusCode()).isEqualTo(403);
    someone.coach().get("/records/" + id);
    assertThat(someone.coach().post("/records/" + id + "/drop", Map.of()).statusCode()).isEqualTo(302);
    assertThat(someone.coach().get("/records/" + id).statusCode()).isEqualTo(404);
  }

  /** A day that is written once for six thousand rows counts for all of them, whichever part they are read in. */
  @Test
  void partsAreReadAsOneTable() {
    StringBuilder text = new StringBuilder("Date,Lift,Load kg,Reps\n2019-03-05,Squat,100,5\n");
    for (int i = 0; i < 12_000; i++) {
      text.append(",,").append(60 + i % 80).append(',').append(1 + i % 7).append('\n');
    }
    long id = chosen(text.toString());
    take(id);
    assertThat(someone.app().jdbc().sql("select count(*) from logged_set where lifter_id = :l and day = '2019-03-05' and lift = 'squat'")
        .param("l", someone.id()).query(Integer.class).single()).isEqualTo(12_001);
    assertThat(someone.coach().get("/records/" + id).body()).contains("12001 sets taken in, 0 there already, 0 rows refused");
  }
}

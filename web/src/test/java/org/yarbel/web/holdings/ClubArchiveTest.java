package org.yarbel.web.holdings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.yarbel.web.support.Background;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.House;
import org.yarbel.web.support.TestApp;

/** All of a club goes out and comes in again. */
@ExtendWith(TestApp.class)
class ClubArchiveTest {
  @TempDir private Path folder;

  private Path written(TestApp app, long club, String name) throws IOException {
    Background.quiet(app);
    Path file = folder.resolve(name);
    try (OutputStream out = Files.newOutputStream(file)) {
      app.bean(ClubArchive.class).write(club, out);
    }
    return file;
  }

  /** What stands in a ZIP, by name, in its order. */
  private static Map<String, byte[]> files(Path zip) throws IOException {
    Map<String, byte[]> files = new LinkedHashMap<>();
    try (ZipFile file = new ZipFile(zip.toFile())) {
      for (ZipEntry entry : Collections.list(file.entries())) {
        try (InputStream in = file.getInputStream(entry)) {
          files.put(entry.getName(), in.readAllBytes());
        }
      }
    }
    return files;
  }

  private static void same(Path one, Path other) throws IOException {
    Map<String, byte[]> first = files(one);
    Map<String, byte[]> second = files(other);
    assertThat(new ArrayList<>(first.keySet())).isEqualTo(new ArrayList<>(second.keySet()));
    first.forEach((name, bytes) -> {
      if (name.equals(ClubArchive.MANIFEST)) {
        assertThat(undated(bytes)).isEqualTo(undated(second.get(name)));
      } else {
        assertThat(new String(second.get(name), StandardCharsets.UTF_8)).as(name).isEqualTo(new String(bytes, StandardCharsets.UTF_8));
      }
    });
    assertThat(Files.size(one)).isEqualTo(Files.size(other));
  }

  private static String undated(byte[] manifest) {
    return new String(manifest, StandardCharsets.UTF_8).replaceAll("\"made\" : \"[^\"]*\"", "");
  }

  /** A new table is carried or is not; it is nobody's to forget. */
  @Test
  void everyTableOfAClubIsNamed(TestApp app) {
    List<String> there = app.jdbc().sql("select table_name from information_schema.columns where table_schema = 'public' and column_name = "
        + "'club_id' union select 'club'").query(String.class).list();
    TreeSet<String> named = new TreeSet<>(Stream.concat(Tables.ALL.stream(), Tables.STAYING.stream()).map(Tables.Table::name).toList());
    assertThat(named).isEqualTo(new TreeSet<>(there));
    for (String table : there) {
      List<String> plain = app.jdbc().sql("select column_name from information_schema.columns where table_schema = 'public' and table_name = "
          + ":t and data_type = 'bigint'").param("t", table).query(String.class).list();
      assertThat(plain.stream().filter(name -> !Tables.names(name) && !name.endsWith("_ng")).toList()).as("whole numbers of " + table)
          .isSubsetOf("revision", "bytes", "received", "asked_by", "confirmed_by", "made_by");
    }
  }

  @Test
  void whatComesInGoesOutAgainByteForByte(TestApp app) throws IOException {
    House house = House.called(app, "Moving");
    Path out = written(app, house.clubId(), "one.zip");
    same(out, written(app, house.clubId(), "same.zip"));
    Map<String, String> before = House.tables(app, null);
    ClubArrival.Arrived arrived = app.bean(ClubArrival.class).take(out);
    assertThat(arrived.name()).isEqualTo("Moving");
    assertThat(arrived.owner()).isEqualTo("moving@coach.example");
    assertThat(arrived.clips()).isEqualTo(1);
    assertThat(House.tables(app, arrived.club())).as("nobody else is touched").isEqualTo(before);
    same(out, written(app, arrived.club(), "two.zip"));
    // and it is lived in: its owner signs in by a link, and sees what there was
    app.jdbc().sql("update person set password_hash = (select p.password_hash from person p join account a on a.person_id = p.id where "
        + "a.club_id = :old and a.role = 'OWNER'), email = 'arrived@coach.example' where id = (select person_id from account where club_id = "
        + ":club and role = 'OWNER')").param("old", house.clubId()).param("club", arrived.club()).update();
    Client owner = Client.signIn(app, "arrived@coach.example");
    assertThat(owner.get("/").body()).contains("Moving", "One of Moving", "Two of Moving");
    long lifter = app.jdbc().sql("select id from lifter where club_id = :c and name = 'One of Moving'").param("c", arrived.club())
        .query(Long.class).single();
    for (String page : List.of("/week", "/runway", "/ledger", "/look", "", "/ratings")) {
      assertThat(owner.get("/lifters/" + lifter + page).statusCode()).as(page).isEqualTo(200);
    }
    assertThat(owner.get("/lifters/" + house.lifters().get(0) + "/week").statusCode()).isEqualTo(404);
  }

  @Test
  void theDemoClubMovesInUnderTwentySeconds(TestApp app) throws IOException {
    long demo = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    Path out = written(app, demo, "demo.zip");
    ClubArrival.Arrived arrived = app.bean(ClubArrival.class).take(out);
    assertThat(arrived.rows()).isGreaterThan(10_000);
    same(out, written(app, arrived.club(), "demo2.zip"));
    // other tests know what is in the demo by its name
    for (String table : List.of("lifter", "template", "contest", "lifter_group", "place", "account")) {
      app.jdbc().sql("update " + table + " set name = 'Moved ' || name where club_id = :c").param("c", arrived.club()).update();
    }
    app.jdbc().sql("update account set disabled = true where club_id = :c").param("c", arrived.club()).update();
  }

  /** Every line is what the schema beside it says, checked by another library. */
  @Test
  void linesAreWhatTheirSchemasSay(TestApp app) throws IOException {
    House house = House.called(app, "Schematic");
    Map<String, byte[]> files = files(written(app, house.clubId(), "schema.zip"));
    SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
    int lines = 0;
    for (Tables.Table table : Tables.ALL) {
      Schema schema = registry.getSchema(new String(files.get("schemas/" + table.name() + ".schema.json"), StandardCharsets.UTF_8),
          InputFormat.JSON);
      for (String line : new String(files.get("tables/" + table.name() + ".jsonl"), StandardCharsets.UTF_8).lines().toList()) {
        assertThat(schema.validate(line, InputFormat.JSON)).as(table.name() + ": " + line).isEmpty();
        lines++;
      }
    }
    assertThat(lines).isGreaterThan(50);
  }

  private static Path changed(Path zip, Path to, BiFunction<String, byte[], byte[]> change, String... more) throws IOException {
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(to))) {
      for (Map.Entry<String, byte[]> file : files(zip).entrySet()) {
        byte[] bytes = change.apply(file.getKey(), file.getValue());
        if (bytes != null) {
          out.putNextEntry(new ZipEntry(file.getKey()));
          out.write(bytes);
        }
      }
      for (String name : more) {
        out.putNextEntry(new ZipEntry(name));
        out.write("out of the box".getBytes(StandardCharsets.UTF_8));
      }
    }
    return to;
  }

  private static BiFunction<String, byte[], byte[]> in(String file, String from, String to) {
    return (name, bytes) -> name.equals(file) ? new String(bytes, StandardCharsets.UTF_8).replaceFirst(from, to).getBytes(StandardCharsets.UTF_8)
        : bytes;
  }

  @Test
  void whatIsNoArchiveIsToldAndLeavesNothing(TestApp app) throws IOException {
    House house = House.called(app, "Untrusted");
    Path good = written(app, house.clubId(), "good.zip");
    byte[] whole = Files.readAllBytes(good);
    Map<String, Path> bad = new LinkedHashMap<>();
    bad.put("cut short", Files.write(folder.resolve("cut.zip"), java.util.Arrays.copyOf(whole, whole.length / 2)));
    bad.put("no ZIP", Files.writeString(folder.resolve("text.zip"), "name,load\n=cmd(),100"));
    bad.put("holds a file that no", changed(good, folder.resolve("climb.zip"), (name, bytes) -> bytes, "../../climbed"));
    bad.put("it has no manifest", changed(good, folder.resolve("bare.zip"), (name, bytes) -> name.equals("manifest.json") ? null : bytes));
    bad.put("made by a newer version", changed(good, folder.resolve("newer.zip"), in("manifest.json", "\"schema\" : \\d+", "\"schema\" : 99999")));
    bad.put("its sum is another one", changed(good, folder.resolve("sum.zip"), in("tables/lifter.jsonl", "One of", "Own of")));
    bad.put("has columns this version does not know", changed(good, folder.resolve("column.zip"),
        in("tables/lifter.jsonl", "\\{", "{\"x\":1,")));
    bad.put("cannot be one of ours", changed(good, folder.resolve("type.zip"), in("tables/lifter.jsonl", "\"unit\":\"KG\"", "\"unit\":\"STONE\"")));
    bad.put("is no row", changed(good, folder.resolve("row.zip"), in("tables/lifter.jsonl", "(?s)^.*$", "[1,2]\n")));
    bad.put("is not what its name says", changed(good, folder.resolve("clip.zip"), (name, bytes) -> name.startsWith("clips/")
        ? new byte[] {1, 2, 3} : bytes));
    Map<String, String> before = House.tables(app, null);
    int people = app.jdbc().sql("select count(*) from person").query(Integer.class).single();
    bad.forEach((words, file) -> assertThat(catchThrowableOfType(ArchiveRefused.class, () -> app.bean(ClubArrival.class).take(file)))
        .as(words).satisfies(refused -> assertThat(refused.sentence()).contains(words)));
    assertThat(House.tables(app, null)).isEqualTo(before);
    assertThat(app.jdbc().sql("select count(*) from person").query(Integer.class).single()).isEqualTo(people);
    assertThat(folder.resolveSibling("climbed")).doesNotExist();
  }

  /** 3 GB of one letter are 3 MB in a ZIP. */
  @Test
  void aBombIsPutOut(TestApp app) throws IOException {
    House house = House.called(app, "Bombed");
    Path good = written(app, house.clubId(), "whole.zip");
    Path bomb = folder.resolve("bomb.zip");
    byte[] block = "x".repeat(1 << 20).getBytes(StandardCharsets.US_ASCII);
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(bomb))) {
      for (Map.Entry<String, byte[]> file : files(good).entrySet()) {
        out.putNextEntry(new ZipEntry(file.getKey()));
        if (file.getKey().equals("tables/lifter.jsonl")) {
          for (int i = 0; i < 64; i++) {
            out.write(block);
          }
        } else {
          out.write(file.getValue());
        }
      }
    }
    assertThat(Files.size(bomb)).isLessThan(1 << 20);
    assertThat(catchThrowableOfType(ArchiveRefused.class, () -> app.bean(ClubArrival.class).take(bomb)).sentence())
        .contains("longer than any of ours");
  }
}

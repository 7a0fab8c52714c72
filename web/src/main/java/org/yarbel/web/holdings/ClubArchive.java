package org.yarbel.web.holdings;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.clip.ClipStore;
import org.yarbel.web.club.CurrentClub;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * All of a club as an open ZIP: a file of JSON lines for each table, a schema beside it, the clips, and a manifest with sums of all. The
 * same club gives the same bytes but for the date in the manifest: rows are numbered by their order, files are dated 1980.
 */
@Service
class ClubArchive {
  /** What the manifest calls it. */
  static final String FORMAT = "yarbel-club";
  static final int VERSION = 1;
  static final String MANIFEST = "manifest.json";

  private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

  private final Rows rows;
  private final ClipStore clips;
  private final JdbcClient jdbc;
  private final CurrentClub current;
  private final TransactionTemplate moment;

  ClubArchive(Rows rows, ClipStore clips, JdbcClient jdbc, CurrentClub current, PlatformTransactionManager transactions) {
    this.rows = rows;
    this.clips = clips;
    this.jdbc = jdbc;
    this.current = current;
    this.moment = new TransactionTemplate(transactions);
    moment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    moment.setReadOnly(true);
  }

  /** Writes one, as the club is at one moment. */
  void write(long club, OutputStream out) {
    current.within(club, () -> moment.executeWithoutResult(status -> {
      jdbc.sql("set local timezone to 'UTC'").update();
      try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
        all(club, zip);
      } catch (IOException wrong) {
        throw new UncheckedIOException(wrong);
      }
    }));
  }

  private void all(long club, ZipOutputStream zip) throws IOException {
    Rows.Whose whose = Rows.Whose.club(club);
    LongUnaryOperator number = Numbers.going(rows.numbers(Tables.ALL, whose));
    ObjectNode manifest = rows.json().createObjectNode();
    manifest.put("format", FORMAT);
    manifest.put("version", VERSION);
    manifest.put("made", Instant.now().truncatedTo(ChronoUnit.SECONDS).toString());
    manifest.put("schema", schema(jdbc));
    ArrayNode tables = manifest.putArray("tables");
    Set<String> films = new TreeSet<>();
    for (Tables.Table table : Tables.ALL) {
      begin(zip, "tables/" + table.name() + ".jsonl");
      MessageDigest sum = sha256();
      long[] count = {0};
      rows.each(table, whose, number, row -> {
        put(zip, sum, rows.line(row) + "\n");
        count[0]++;
        if (table.name().equals("clip")) {
          films.add(row.get("sha256").stringValue());
        }
      });
      zip.closeEntry();
      tables.addObject().put("name", table.name()).put("rows", count[0]).put("sha256", HexFormat.of().formatHex(sum.digest()));
    }
    for (Tables.Table table : Tables.ALL) {
      begin(zip, "schemas/" + table.name() + ".schema.json");
      List<Columns.Column> columns = new ArrayList<>(rows.columns(table));
      if (table.name().equals("account")) {
        columns.add(new Columns.Column("email", "text", false));
      }
      zip.write(bytes(rows.json().writerWithDefaultPrettyPrinter().writeValueAsString(Schemas.of(rows.json(), table.name(), columns))
          + "\n"));
      zip.closeEntry();
    }
    ArrayNode kept = manifest.putArray("clips");
    // films are packed already
    zip.setLevel(Deflater.NO_COMPRESSION);
    for (String film : films) {
      Path file = clips.kept(club, film);
      if (Files.isRegularFile(file)) {
        begin(zip, "clips/" + film);
        Files.copy(file, zip);
        zip.closeEntry();
        kept.add(film);
      }
    }
    begin(zip, MANIFEST);
    zip.write(bytes(rows.json().writerWithDefaultPrettyPrinter().writeValueAsString(manifest) + "\n"));
    zip.closeEntry();
  }

  /** The version of the tables. */
  static int schema(JdbcClient jdbc) {
    return jdbc.sql("select coalesce(max(version::int), 0) from flyway_schema_history where success and version is not null")
        .query(Integer.class).single();
  }

  static void begin(ZipOutputStream zip, String name) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(NO_TIME);
    zip.putNextEntry(entry);
  }

  private static void put(ZipOutputStream zip, MessageDigest sum, String line) {
    byte[] bytes = bytes(line);
    sum.update(bytes);
    try {
      zip.write(bytes);
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException(never);
    }
  }
}

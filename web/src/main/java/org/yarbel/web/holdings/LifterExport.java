package org.yarbel.web.holdings;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.LongUnaryOperator;
import java.util.zip.Deflater;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.clip.ClipStore;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything that is held about a lifter as a ZIP they can open: {@code lifter.json} with its schema, each table once more as CSV for a
 * spreadsheet, with masses in kilograms, and the clips.
 */
@Service
class LifterExport {
  static final String FORMAT = "yarbel-lifter";
  private static final int VERSION = 1;
  private static final int NG_PLACES = 12;

  private final Rows rows;
  private final ClipStore clips;
  private final JdbcClient jdbc;
  private final TransactionTemplate moment;

  LifterExport(Rows rows, ClipStore clips, JdbcClient jdbc, PlatformTransactionManager transactions) {
    this.rows = rows;
    this.clips = clips;
    this.jdbc = jdbc;
    this.moment = new TransactionTemplate(transactions);
    moment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    moment.setReadOnly(true);
  }

  /** The tables somebody has rows in. */
  private static List<Tables.Table> tables() {
    return Tables.ALL.stream().filter(table -> !table.ofLifter().isEmpty()).toList();
  }

  /** Writes it. */
  void write(long club, long lifter, OutputStream out) {
    moment.executeWithoutResult(status -> {
      jdbc.sql("set local timezone to 'UTC'").update();
      try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
        all(new Rows.Whose(club, lifter), zip);
      } catch (IOException wrong) {
        throw new UncheckedIOException(wrong);
      }
    });
  }

  private void all(Rows.Whose whose, ZipOutputStream zip) throws IOException {
    LongUnaryOperator number = Numbers.going(rows.numbers(tables(), whose));
    ObjectNode document = rows.json().createObjectNode();
    document.put("format", FORMAT);
    document.put("version", VERSION);
    document.put("made", Instant.now().truncatedTo(ChronoUnit.SECONDS).toString());
    document.put("club", jdbc.sql("select name from club where id = :club").param("club", whose.club()).query(String.class).single());
    ObjectNode all = document.putObject("tables");
    ObjectNode schemas = rows.json().createObjectNode();
    Set<String> films = new TreeSet<>();
    for (Tables.Table table : tables()) {
      ArrayNode own = all.putArray(table.name());
      rows.each(table, whose, number, row -> {
        own.add(row);
        if (table.name().equals("clip")) {
          films.add(row.get("sha256").stringValue());
        }
      });
      schemas.set(table.name(), Schemas.of(rows.json(), table.name(), columns(table)));
    }
    text(zip, "lifter.json", rows.json().writerWithDefaultPrettyPrinter().writeValueAsString(document));
    text(zip, "lifter.schema.json", rows.json().writerWithDefaultPrettyPrinter().writeValueAsString(schema(schemas)));
    for (Tables.Table table : tables()) {
      ClubArchive.begin(zip, "csv/" + table.name() + ".csv");
      table(zip, columns(table), (ArrayNode) all.get(table.name()));
      zip.closeEntry();
    }
    zip.setLevel(Deflater.NO_COMPRESSION);
    for (String film : films) {
      Path file = clips.kept(whose.club(), film);
      if (Files.isRegularFile(file)) {
        ClubArchive.begin(zip, "clips/" + film);
        Files.copy(file, zip);
        zip.closeEntry();
      }
    }
  }

  private List<Columns.Column> columns(Tables.Table table) {
    List<Columns.Column> columns = new ArrayList<>(rows.columns(table));
    if (table.name().equals("account")) {
      columns.add(new Columns.Column("email", "text", false));
    }
    return columns;
  }

  private ObjectNode schema(ObjectNode tables) {
    ObjectNode schema = rows.json().createObjectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("title", "All that is held about a lifter");
    schema.put("type", "object");
    ObjectNode properties = schema.putObject("properties");
    properties.putObject("format").put("const", FORMAT);
    properties.putObject("version").put("const", VERSION);
    properties.putObject("made").put("type", "string").put("format", "date-time");
    properties.putObject("club").put("type", "string");
    ObjectNode all = properties.putObject("tables");
    all.put("type", "object");
    ObjectNode each = all.putObject("properties");
    tables.properties().forEach(table -> each.putObject(table.getKey()).put("type", "array").set("items", table.getValue()));
    schema.putArray("required").add("format").add("version").add("made").add("club").add("tables");
    return schema;
  }

  private static void text(ZipOutputStream zip, String name, String text) throws IOException {
    ClubArchive.begin(zip, name);
    zip.write((text + "\n").getBytes(StandardCharsets.UTF_8));
    zip.closeEntry();
  }

  /** A table for a spreadsheet: masses in kilograms to the last place, and nothing that one would run. */
  private static void table(ZipOutputStream zip, List<Columns.Column> columns, ArrayNode all) throws IOException {
    OutputStreamWriter text = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
    CSVPrinter csv = new CSVPrinter(text, CSVFormat.RFC4180);
    csv.printRecord(columns.stream().map(column -> column.mass() ? column.name().replaceFirst("_ng$", "_kg") : column.name()).toList());
    for (JsonNode row : all) {
      List<String> cells = new ArrayList<>();
      for (Columns.Column column : columns) {
        JsonNode value = row.path(column.name());
        cells.add(column.mass() && value.isNumber() ? BigDecimal.valueOf(value.longValue(), NG_PLACES).stripTrailingZeros().toPlainString()
            : cell(value));
      }
      csv.printRecord(cells);
    }
    text.flush();
  }

  private static String cell(JsonNode value) {
    if (value.isMissingNode() || value.isNull()) {
      return "";
    }
    String text = value.isString() ? value.stringValue() : value.toString();
    return value.isString() && text.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + text : text;
  }
}

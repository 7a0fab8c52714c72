package org.yarbel.web.holdings;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.LongUnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.clip.ClipStore;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.edge.Transient;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A club comes in from its archive, as a club of its own: all of it or nothing. Nothing of the archive is believed: names, sizes, sums,
 * columns and numbers are looked at before a row is written, and every row becomes the new club's.
 */
@Service
class ClubArrival {
  private static final Pattern NAMES = Pattern.compile("manifest\\.json|tables/[a-z_]{1,40}\\.jsonl|schemas/[a-z_]{1,40}\\.schema\\.json"
      + "|clips/[0-9a-f]{64}");
  private static final int MOST_ENTRIES = 100_000;
  private static final int MOST_NUMBERS = 20_000_000;
  private static final long MOST_TABLE = 2L << 30;
  private static final long MOST_CLIP = 200L << 20;
  private static final long MOST_MANIFEST = 16L << 20;
  private static final int MOST_LINE = 8 << 20;
  private static final int AT_ONCE = 400;
  private static final int AT_ONCE_BYTES = 4 << 20;

  private final Rows rows;
  private final ClipStore clips;
  private final JdbcClient jdbc;
  private final CurrentClub current;
  private final TransactionTemplate transaction;

  ClubArrival(Rows rows, ClipStore clips, JdbcClient jdbc, CurrentClub current, TransactionTemplate transaction) {
    this.rows = rows;
    this.clips = clips;
    this.jdbc = jdbc;
    this.current = current;
    this.transaction = transaction;
  }

  /**
   * A club that came in.
   *
   * @param owner the e-mail address of its first owner; empty where it has none
   */
  record Arrived(long club, String name, long rows, int clips, String owner) {}

  /**
   * Takes one in.
   *
   * @throws ArchiveRefused when it is not what it says, or cannot be read by this version
   */
  Arrived take(Path file) {
    long club = jdbc.sql("select nextval('yarbel_id')").query(Long.class).single();
    try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
      look(zip);
      JsonNode manifest = manifest(zip);
      return current.within(club, () -> transaction.execute(status -> all(club, zip, manifest)));
    } catch (ZipException none) {
      clips.dropAll(club);
      throw new ArchiveRefused("The file is no ZIP, or is cut short.");
    } catch (DataAccessException | JacksonException wrong) {
      clips.dropAll(club);
      if (Transient.away(wrong) || Transient.full(wrong)) {
        throw wrong;
      }
      throw new ArchiveRefused("A row in the archive cannot be one of ours: " + root(wrong));
    } catch (IOException wrong) {
      clips.dropAll(club);
      throw new UncheckedIOException(wrong);
    } catch (RuntimeException wrong) {
      clips.dropAll(club);
      throw wrong;
    }
  }

  private static String root(Throwable wrong) {
    Throwable root = wrong;
    while (root.getCause() != null) {
      root = root.getCause();
    }
    String said = String.valueOf(root.getMessage()).lines().findFirst().orElse("");
    return said.substring(0, Math.min(200, said.length()));
  }

  private static void look(ZipFile zip) {
    if (zip.size() > MOST_ENTRIES) {
      throw new ArchiveRefused("The archive has more than " + MOST_ENTRIES + " files.");
    }
    for (ZipEntry entry : Collections.list(zip.entries())) {
      if (!NAMES.matcher(entry.getName()).matches()) {
        throw new ArchiveRefused("The archive holds a file that no club's archive holds.");
      }
    }
  }

  private JsonNode manifest(ZipFile zip) throws IOException {
    ZipEntry entry = zip.getEntry(ClubArchive.MANIFEST);
    if (entry == null) {
      throw new ArchiveRefused("The file is no archive of a club: it has no manifest.");
    }
    JsonNode manifest;
    try (InputStream in = new Bounded(zip.getInputStream(entry), MOST_MANIFEST)) {
      manifest = rows.json().readTree(in);
    }
    if (!manifest.path("format").asString("").equals(ClubArchive.FORMAT)) {
      throw new ArchiveRefused("The file is no archive of a club.");
    }
    if (manifest.path("version").asInt(0) != ClubArchive.VERSION || manifest.path("schema").asInt(Integer.MAX_VALUE) > ClubArchive
        .schema(jdbc)) {
      throw new ArchiveRefused("The archive was made by a newer version of Yarbel. Take it in with that version.");
    }
    return manifest;
  }

  private Arrived all(long club, ZipFile zip, JsonNode manifest) {
    Map<String, JsonNode> told = new HashMap<>();
    manifest.path("tables").forEach(table -> told.put(table.path("name").asString(""), table));
    if (!told.keySet().equals(Tables.ALL.stream().map(Tables.Table::name).collect(Collectors.toSet()))
        && !Tables.ALL.stream().map(Tables.Table::name).collect(Collectors.toSet()).containsAll(told.keySet())) {
      throw new ArchiveRefused("The archive holds tables this version does not know.");
    }
    long[] most = {0};
    for (Tables.Table table : Tables.ALL) {
      each(zip, table, row -> rows.renumber(table.name(), row, number -> {
        most[0] = Math.max(most[0], number);
        return number;
      }));
    }
    if (most[0] > MOST_NUMBERS) {
      throw new ArchiveRefused("The archive names more than " + MOST_NUMBERS + " rows.");
    }
    LongUnaryOperator number = Numbers.coming(jdbc, (int) most[0]);
    Map<Long, Long> coaches = new HashMap<>();
    long count = 0;
    for (Tables.Table table : Tables.ALL) {
      Batch batch = new Batch(club, table, coaches);
      JsonNode said = told.get(table.name());
      String sum = each(zip, table, row -> {
        rows.renumber(table.name(), row, number);
        batch.add(row);
      });
      batch.flush();
      if (said != null && (!said.path("sha256").asString("").equals(sum) || said.path("rows").asLong(-1) != batch.written)) {
        throw new ArchiveRefused("The table " + table.name() + " is not what was written: its sum is another one.");
      }
      count += batch.written;
    }
    coaches.forEach((lifter, coach) -> jdbc.sql("update lifter set coach_id = :coach where club_id = :club and id = :lifter and exists "
        + "(select 1 from account where club_id = :club and id = :coach)").param("coach", coach).param("club", club).param("lifter", lifter)
        .update());
    int films = films(club, zip, manifest);
    String name = jdbc.sql("select name from club where id = :club").param("club", club).query(String.class).optional()
        .orElseThrow(() -> new ArchiveRefused("The archive holds no club."));
    String owner = jdbc.sql("select p.email from account a join person p on p.id = a.person_id where a.club_id = :club and a.role = "
        + "'OWNER' "
        + "and not a.disabled order by a.id limit 1").param("club", club).query(String.class).optional().orElse("");
    return new Arrived(club, name, count, films, owner);
  }

  private int films(long club, ZipFile zip, JsonNode manifest) {
    int taken = 0;
    for (JsonNode film : manifest.path("clips")) {
      String sha256 = film.asString("");
      ZipEntry entry = zip.getEntry("clips/" + sha256);
      if (entry == null || !NAMES.matcher("clips/" + sha256).matches()) {
        throw new ArchiveRefused("The archive has not all of its clips.");
      }
      try (InputStream in = new Bounded(zip.getInputStream(entry), MOST_CLIP)) {
        if (!clips.take(club, sha256, in)) {
          throw new ArchiveRefused("A clip in the archive is not what its name says.");
        }
        taken++;
      } catch (IOException wrong) {
        throw new UncheckedIOException(wrong);
      }
    }
    return taken;
  }

  /** Gives each row of a table; answers the sum of the file. */
  private String each(ZipFile zip, Tables.Table table, Consumer<ObjectNode> take) {
    ZipEntry entry = zip.getEntry("tables/" + table.name() + ".jsonl");
    MessageDigest sum = ClubArchive.sha256();
    if (entry == null) {
      return "";
    }
    try (InputStream in = new DigestInputStream(new Bounded(zip.getInputStream(entry), MOST_TABLE), sum);
        BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = line(lines); line != null; line = line(lines)) {
        if (!(rows.json().readTree(line) instanceof ObjectNode row)) {
          throw new ArchiveRefused("A line of the table " + table.name() + " is no row.");
        }
        take.accept(row);
      }
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
    return HexFormat.of().formatHex(sum.digest());
  }

  /** A line of bounded length. */
  private static String line(BufferedReader in) throws IOException {
    StringBuilder line = new StringBuilder();
    int sign = in.read();
    if (sign < 0) {
      return null;
    }
    while (sign >= 0 && sign != '\n') {
      if (line.length() >= MOST_LINE) {
        throw new ArchiveRefused("A line of the archive is longer than any of ours.");
      }
      line.append((char) sign);
      sign = in.read();
    }
    return line.toString();
  }

  /** Rows that are written together. */
  private final class Batch {
    private final long club;
    private final Tables.Table table;
    private final Map<Long, Long> coaches;
    private final Set<String> known;
    private final ArrayNode waiting = rows.json().createArrayNode();
    private List<String> columns = List.of();
    private int bytes;
    private long written;

    Batch(long club, Tables.Table table, Map<Long, Long> coaches) {
      this.club = club;
      this.table = table;
      this.coaches = coaches;
      this.known = rows.columns(table).stream().map(Columns.Column::name).collect(Collectors.toSet());
    }

    void add(ObjectNode row) {
      written++;
      if (table.name().equals("account")) {
        row.put("person_id", person(row.remove("email")));
      } else if (table.name().equals("club")) {
        if (written > 1) {
          throw new ArchiveRefused("The archive holds more than one club.");
        }
        row.put("id", club);
        row.put("revision", 0);
      } else if (table.name().equals("lifter") && row.path("coach_id").isNumber()) {
        // accounts name lifters, and come after them
        coaches.put(row.path("id").longValue(), row.path("coach_id").longValue());
        row.putNull("coach_id");
      }
      List<String> own = new ArrayList<>(row.propertyNames());
      if (columns.isEmpty()) {
        columns = own;
      }
      if (!own.equals(columns) || own.stream().anyMatch(name -> !known.contains(name) && !ours(name))) {
        throw new ArchiveRefused("A row of the table " + table.name() + " has columns this version does not know.");
      }
      waiting.add(row);
      bytes += row.size() * Long.BYTES + row.properties().stream().mapToInt(one -> one.getValue().isString() ? one.getValue().stringValue()
          .length() : Long.BYTES).sum();
      if (waiting.size() >= AT_ONCE || bytes >= AT_ONCE_BYTES) {
        flush();
      }
    }

    private boolean ours(String name) {
      return table.name().equals("account") && name.equals("person_id") || table.name().equals("club") && Set.of("id", "revision")
          .contains(name);
    }

    /** Whoever it was signs in elsewhere: here they choose a password by a link. */
    private long person(JsonNode email) {
      return jdbc.sql("insert into person (id, email) values (nextval('yarbel_id'), lower(:email)) returning id")
          .param("email", email == null ? "" : email.asString("")).query(Long.class).single();
    }

    void flush() {
      if (waiting.isEmpty()) {
        return;
      }
      String names = String.join(", ", columns);
      String tenant = table.name().equals("club") ? "" : "club_id, ";
      jdbc.sql("insert into " + table.name() + " (" + tenant + names + ") select " + (tenant.isEmpty() ? "" : club + ", ") + names
          + " from "
          + "json_populate_recordset(null::" + table.name() + ", cast(:rows as json))").param("rows", rows.line(waiting)).update();
      waiting.removeAll();
      bytes = 0;
    }
  }

  /** What comes out of a file, up to a length that no file of ours has. */
  private static final class Bounded extends FilterInputStream {
    private long left;

    Bounded(InputStream in, long most) {
      super(in);
      this.left = most;
    }

    private void count(long read) {
      left -= Math.max(read, 0);
      if (left < 0) {
        throw new ArchiveRefused("A file in the archive is larger than any of ours.");
      }
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      int read = super.read(into, from, length);
      count(read);
      return read;
    }
  }
}

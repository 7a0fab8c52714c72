package org.yarbel.web.records;

import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.records.Guess;
import org.yarbel.core.records.OldSet;
import org.yarbel.core.records.RowReader;
import org.yarbel.core.records.Unreadable;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Old records on their way in: kept row by row as they came, until they are in the log or dropped. */
@Service
class OldRecords {
  private static final int SAMPLE = 200;
  private static final int AT_ONCE = 1_000;
  private static final int SHOWN_FAULTS = 200;
  private static final int MOST_NAMES = 300;
  private static final int KEPT_DAYS = 14;
  private static final int MOST_DRAFTS = 20;

  private final JdbcClient jdbc;
  private final JdbcTemplate streaming;
  private final CurrentClub club;
  private final ClubClock clock;
  private final Lifts lifts;
  private final SecurityLog log;
  private final JsonMapper json = JsonMapper.builder().build();

  OldRecords(JdbcClient jdbc, JdbcTemplate template, CurrentClub club, ClubClock clock, Lifts lifts, SecurityLog log) {
    this.jdbc = jdbc;
    this.streaming = new JdbcTemplate(java.util.Objects.requireNonNull(template.getDataSource()));
    streaming.setFetchSize(AT_ONCE);
    this.club = club;
    this.clock = clock;
    this.lifts = lifts;
    this.log = log;
  }

  /** Where they stand. */
  enum State {
    DRAFT,
    RUNNING,
    IN,
    UNDOING,
    UNDONE
  }

  /** Some of them. */
  record Records(long id, long lifter, String name, int rows, State state, int taken, int doubled, int refused, Instant made,
      @Nullable Long job) {}

  private static final String SELECT = "select id, lifter_id, name, row_count, state, taken, doubled, refused, made_at, job_id from "
      + "old_records "
      + "where club_id = :club";

  private static List<Records> records(JdbcClient.StatementSpec asked) {
    return asked.query((row, n) -> new Records(row.getLong("id"), row.getLong("lifter_id"), row.getString("name"), row.getInt("row_count"),
        State.valueOf(row.getString("state")), row.getInt("taken"), row.getInt("doubled"), row.getInt("refused"),
        row.getObject("made_at", OffsetDateTime.class).toInstant(), row.getObject("job_id", Long.class))).list();
  }

  /** Those of a lifter, the newest first. */
  List<Records> of(long lifter) {
    return records(jdbc.sql(SELECT + " and lifter_id = :lifter order by id desc limit 50").param("club", club.id())
        .param("lifter", lifter));
  }

  Records one(long id) {
    return records(jdbc.sql(SELECT + " and id = :id").param("club", club.id()).param("id", id)).stream().findFirst()
        .orElseThrow(NotFound::new);
  }

  /** Takes the rows of a table as they are; answers their number. All of it or nothing. */
  @Transactional
  long take(long lifter, String name, Path file, MassUnit usual, SignedIn who) {
    return take(lifter, name, rows -> SheetReader.read(file, rows), usual, who);
  }

  /** The same of what somebody has pasted. */
  @Transactional
  long paste(long lifter, String text, MassUnit usual, SignedIn who) {
    return take(lifter, "pasted", rows -> SheetReader.pasted(text, rows), usual, who);
  }

  private long take(long lifter, String name, Consumer<Consumer<List<String>>> read, MassUnit usual, SignedIn who) {
    int drafts = jdbc.sql("select count(*) from old_records where club_id = :club and lifter_id = :lifter and state = 'DRAFT'")
        .param("club", club.id()).param("lifter", lifter).query(Integer.class).single();
    if (drafts >= MOST_DRAFTS) {
      throw new NoTable("There are " + MOST_DRAFTS + " tables here that are not decided about. Take them in or drop them first.");
    }
    long id = jdbc.sql("insert into old_records (id, club_id, lifter_id, name, heads, reading, row_count, state, made_by, made_at) values "
        + "(nextval('yarbel_id'), :club, :lifter, :name, '[]', '{}', 0, 'DRAFT', :by, now()) returning id").param("club", club.id())
        .param("lifter", lifter).param("name", name.substring(0, Math.min(120, name.length()))).param("by", who.accountId())
        .query(Long.class).single();
    Kept kept = new Kept(id);
    read.accept(kept);
    kept.flush();
    if (kept.heads == null || kept.count == 0) {
      throw new NoTable("The table is empty: a head and rows below it are needed.");
    }
    Reading reading = Reading.of(Guess.of(kept.heads, kept.sample, usual));
    jdbc.sql("update old_records set heads = :heads, reading = :reading, row_count = :rows where club_id = :club and id = :id")
        .param("heads", json.writeValueAsString(kept.heads)).param("reading", json.writeValueAsString(reading)).param("rows", kept.count)
        .param("club", club.id()).param("id", id).update();
    return id;
  }

  /** Rows as they are written down. */
  private final class Kept implements Consumer<List<String>> {
    private final long id;
    private @Nullable List<String> heads;
    private final List<List<String>> sample = new ArrayList<>();
    private final List<Integer> numbers = new ArrayList<>();
    private final List<String> waiting = new ArrayList<>();
    private int count;

    Kept(long id) {
      this.id = id;
    }

    @Override
    public void accept(List<String> cells) {
      if (heads == null) {
        heads = List.copyOf(cells);
        return;
      }
      count++;
      if (sample.size() < SAMPLE) {
        sample.add(List.copyOf(cells));
      }
      numbers.add(count);
      waiting.add(json.writeValueAsString(cells));
      if (waiting.size() >= AT_ONCE) {
        flush();
      }
    }

    void flush() {
      if (!waiting.isEmpty()) {
        jdbc.sql("insert into old_row (club_id, records_id, row_no, cells) select :club, :id, r.no, r.cells from unnest(:numbers, "
            + ":cells) r "
            + "(no, cells)").param("club", club.id()).param("id", id).param("numbers", numbers.toArray(Integer[]::new))
            .param("cells", waiting.toArray(String[]::new)).update();
        numbers.clear();
        waiting.clear();
      }
    }
  }

  /** How they are read, with what the club's own tables called lifts before. */
  Reading reading(long id) {
    Reading kept = json.readValue(jdbc.sql("select reading from old_records where club_id = :club and id = :id").param("club", club.id())
        .param("id", id).query(String.class).optional().orElseThrow(NotFound::new), Reading.class);
    Map<String, String> known = new HashMap<>();
    jdbc.sql("select typed, lift from lift_name where club_id = :club").param("club", club.id())
        .query((row, n) -> known.put(row.getString("typed"), row.getString("lift"))).list();
    known.putAll(kept.lifts());
    return kept.with(known);
  }

  /** Keeps how they are read, and what lifts are called for the tables to come. */
  @Transactional
  void decide(long id, Reading reading) {
    draft(id);
    jdbc.sql("update old_records set reading = :reading where club_id = :club and id = :id").param("reading",
        json.writeValueAsString(reading)).param("club", club.id()).param("id", id).update();
    reading.lifts().forEach((typed, lift) -> {
      if (!lift.equals(Reading.LEFT)) {
        jdbc.sql("insert into lift_name (club_id, typed, lift) values (:club, :typed, :lift) on conflict (club_id, typed) do update "
            + "set lift = "
            + ":lift").param("club", club.id()).param("typed", typed).param("lift", lift).update();
      }
    });
  }

  private void draft(long id) {
    if (one(id).state() != State.DRAFT) {
      throw new NotFound();
    }
  }

  /** Gives some rows, from a number on. */
  void rows(long id, int from, int to, Consumer<RawRow> take) {
    streaming.query("select row_no, cells from old_row where club_id = ? and records_id = ? and row_no >= ? and row_no < ? order by row_no",
        row -> {
          take.accept(new RawRow(row.getInt("row_no"), json.readValue(row.getString("cells"), new TypeReference<List<String>>() {})));
        }, club.id(), id, from, to);
  }

  /** A row as it came. */
  record RawRow(int number, List<String> cells) {}

  /** A doubt about a row. */
  record Fault(int row, String reason, String cells) {}

  /** A lift as the table calls it, how often, and what it is; empty while nobody has said. */
  record Called(String name, int sets, String lift) {}

  /**
   * What would come in.
   *
   * @param left rows whose lift is left out
   * @param faults the first of what cannot be read
   */
  record Preview(int sets, int rows, int refused, int left, @Nullable LocalDate first, @Nullable LocalDate last, List<Called> lifts,
      List<Fault> faults, List<OldSet> sample) {
    /** Whether every lift is known. */
    boolean named() {
      return lifts.stream().noneMatch(one -> one.lift().isEmpty());
    }
  }

  /** The lift a name stands for: as it was said, as the catalogue calls it; empty for neither. */
  String lift(Reading reading, String called) {
    String key = Reading.key(called);
    String said = reading.lifts().get(key);
    return said != null ? said : lifts.catalogue().named(called).or(() -> lifts.catalogue().ofKey(key)).map(lift -> lift.key()).orElse("");
  }

  /** Reads all of it and writes nothing. */
  @Transactional(readOnly = true)
  Preview preview(long id, Reading reading) {
    RowReader reader = new RowReader(reading.layout(), clock.today());
    Map<String, Integer> names = new LinkedHashMap<>();
    Map<String, String> known = new HashMap<>();
    List<Fault> faults = new ArrayList<>();
    List<OldSet> sample = new ArrayList<>();
    int[] counts = new int[4];
    LocalDate[] days = new LocalDate[2];
    rows(id, 1, Integer.MAX_VALUE, row -> {
      counts[1]++;
      try {
        for (OldSet set : reader.read(row.cells())) {
          String name = known.computeIfAbsent(set.lift(), Reading::key);
          names.merge(name, set.sets(), Integer::sum);
          counts[Reading.LEFT.equals(reading.lifts().get(name)) ? 3 : 0] += set.sets();
          days[0] = days[0] == null || set.day().isBefore(days[0]) ? set.day() : days[0];
          days[1] = days[1] == null || set.day().isAfter(days[1]) ? set.day() : days[1];
          if (sample.size() < 10) {
            sample.add(set);
          }
        }
      } catch (Unreadable wrong) {
        counts[2]++;
        if (faults.size() < SHOWN_FAULTS) {
          faults.add(new Fault(row.number(), wrong.reason(), String.join(" | ", row.cells())));
        }
      }
    });
    return new Preview(counts[0], counts[1], counts[2], counts[3], days[0], days[1], names.entrySet().stream().limit(MOST_NAMES)
        .map(name -> new Called(name.getKey(), name.getValue(), lift(reading, name.getKey()))).toList(), faults, sample);
  }

  /** Gives every row that was refused, once they are in. */
  void faults(long id, Consumer<Fault> take) {
    streaming.query("select row_no, reason, cells from old_fault where club_id = ? and records_id = ? order by row_no", row -> {
      take.accept(new Fault(row.getInt("row_no"), row.getString("reason"), row.getString("cells")));
    }, club.id(), id);
  }

  /** What stands above the columns. */
  List<String> heads(long id) {
    return json.readValue(jdbc.sql("select heads from old_records where club_id = :club and id = :id").param("club", club.id())
        .param("id", id).query(String.class).optional().orElseThrow(NotFound::new), new TypeReference<List<String>>() {});
  }

  List<String> cells(String text) {
    return json.readValue(text, new TypeReference<List<String>>() {});
  }

  /** Drops a table nobody has taken in; a step back is to choose the file again. */
  @Transactional
  void drop(long id) {
    draft(id);
    jdbc.sql("delete from old_records where club_id = :club and id = :id").param("club", club.id()).param("id", id).update();
  }

  /** Begins to take them in; false when somebody has begun already. */
  @Transactional
  boolean begin(long id, int chunks, SignedIn who) {
    boolean begun = jdbc.sql("update old_records set state = 'RUNNING', chunks = :chunks, chunks_done = 0 where club_id = :club and "
        + "id = :id "
        + "and state = 'DRAFT'").param("chunks", chunks).param("club", club.id()).param("id", id).update() > 0;
    if (begun) {
      log.note(Event.TAKEN_IN, who.clubId(), who.accountId(), "old records of lifter " + one(id).lifter());
    }
    return begun;
  }

  /** Begins to take them out of the log again. */
  @Transactional
  boolean beginUndo(long id) {
    return jdbc.sql("update old_records set state = 'UNDOING' where club_id = :club and id = :id and state = 'IN'").param("club", club.id())
        .param("id", id).update() > 0;
  }

  /** Decides anew about what could not be taken in: nothing of it is in the log. */
  @Transactional
  boolean again(long id) {
    boolean again = jdbc.sql("update old_records set state = 'DRAFT', chunks_done = 0, refused = 0, job_id = null where club_id = "
        + ":club and id "
        + "= :id and state = 'RUNNING' and not exists (select 1 from job j where j.club_id = old_records.club_id and j.id = "
        + "old_records.job_id and j.ended is null)").param("club", club.id()).param("id", id).update() > 0;
    if (again) {
      for (String table : List.of("old_set", "old_fault")) {
        jdbc.sql("delete from " + table + " where club_id = :club and records_id = :id").param("club", club.id()).param("id", id).update();
      }
    }
    return again;
  }

  void job(long id, long job) {
    jdbc.sql("update old_records set job_id = :job where club_id = :club and id = :id").param("job", job).param("club", club.id())
        .param("id", id).update();
  }

  /** Drops what nobody has decided about for long. */
  @Scheduled(initialDelay = 7, fixedDelay = 360, timeUnit = java.util.concurrent.TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from old_records where state = 'DRAFT' and made_at < now() - " + KEPT_DAYS + " * interval '1 day'").update();
  }
}

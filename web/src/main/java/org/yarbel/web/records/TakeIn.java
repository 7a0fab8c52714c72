package org.yarbel.web.records;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.yarbel.core.mass.Count;
import org.yarbel.core.records.OldSet;
import org.yarbel.core.records.RowReader;
import org.yarbel.core.records.Unreadable;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Turns;
import org.yarbel.web.job.JobWork;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.who.SignedIn;

/**
 * Reads rows a few thousand at a time, each in a transaction of its own, beside the log; whoever reads the last of them puts all of it into
 * the log at once. What is there already, the same day, lift, load and reps as often, is not put there twice.
 */
@Component
class TakeIn implements JobWork {
  static final String KIND = "old-records";
  static final int ROWS_A_CHUNK = 5_000;
  private static final int LOOKED_BACK = 100;

  private final OldRecords records;
  private final Turns turns;
  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final ClubClock clock;
  private final ObjectProvider<Jobs> jobs;

  TakeIn(OldRecords records, Turns turns, JdbcClient jdbc, CurrentClub club, ClubClock clock, ObjectProvider<Jobs> jobs) {
    this.records = records;
    this.turns = turns;
    this.jdbc = jdbc;
    this.club = club;
    this.clock = clock;
    this.jobs = jobs;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public boolean alone() {
    return true;
  }

  @Override
  public String noun() {
    return "part";
  }

  @Override
  public Screen screen(String key) {
    return new Screen("Records", "/records/" + key.substring(0, key.indexOf('-')));
  }

  /** The parts of some of them. */
  static List<Jobs.Item> parts(OldRecords.Records one) {
    int chunks = (one.rows() + ROWS_A_CHUNK - 1) / ROWS_A_CHUNK;
    return IntStream.range(0, chunks).mapToObj(chunk -> new Jobs.Item(one.id() + "-" + chunk, String.format("rows %06d to %06d", chunk
        * ROWS_A_CHUNK + 1, Math.min((chunk + 1) * ROWS_A_CHUNK, one.rows())))).toList();
  }

  @Override
  public String work(String key, String document, SignedIn who) {
    int dash = key.indexOf('-');
    long id = Long.parseLong(key.substring(0, dash));
    int chunk = Integer.parseInt(key.substring(dash + 1));
    Reading reading = records.reading(id);
    Written written = new Written(id, reading);
    int first = chunk * ROWS_A_CHUNK + 1;
    // a day or a lift that is not written again stands in a row of the part before
    RowReader reader = begun(id, first, reading);
    records.rows(id, first, first + ROWS_A_CHUNK, row -> written.take(reader, row));
    written.flush();
    int left = jdbc.sql("update old_records set chunks_done = chunks_done + 1, refused = refused + :refused where club_id = :club and "
        + "id = :id "
        + "returning chunks - chunks_done").param("refused", written.refused).param("club", club.id()).param("id", id).query(Integer.class)
        .single();
    if (left == 0) {
      merge(records.one(id), who);
    }
    return Count.of(written.sets, "set") + " read, " + Count.of(written.refused, "row") + " refused";
  }

  private RowReader begun(long id, int first, Reading reading) {
    RowReader reader = new RowReader(reading.layout(), clock.today());
    for (int back = LOOKED_BACK; first > 1; back *= LOOKED_BACK) {
      int from = Math.max(1, first - back);
      RowReader again = new RowReader(reading.layout(), clock.today());
      records.rows(id, from, first, row -> {
        try {
          again.read(row.cells());
        } catch (Unreadable told) {
          // its own part tells it
        }
      });
      if (again.begun() || from == 1) {
        return again;
      }
    }
    return reader;
  }

  /** What is read of a part. */
  private final class Written {
    private static final int AT_ONCE = 1_000;
    private final long id;
    private final Reading reading;
    private final List<Object[]> waiting = new ArrayList<>();
    private final java.util.Map<String, String> lifts = new java.util.HashMap<>();
    private int sets;
    private int refused;

    Written(long id, Reading reading) {
      this.id = id;
      this.reading = reading;
    }

    void take(RowReader reader, OldRecords.RawRow row) {
      try {
        int place = 0;
        for (OldSet set : reader.read(row.cells())) {
          String lift = lifts.computeIfAbsent(set.lift(), name -> records.lift(reading, name));
          if (lift.isEmpty()) {
            throw noLift(set.lift());
          }
          if (!lift.equals(Reading.LEFT)) {
            waiting.add(new Object[] {row.number(), place++, lift, set});
            sets += set.sets();
          }
        }
      } catch (Unreadable wrong) {
        fault(row, wrong.reason());
      } catch (NoTable wrong) {
        fault(row, wrong.sentence());
      }
      if (waiting.size() >= AT_ONCE) {
        flush();
      }
    }

    private NoTable noLift(String name) {
      return new NoTable("Nobody has said which lift “" + name + "” is.");
    }

    private void fault(OldRecords.RawRow row, String reason) {
      refused++;
      waiting.removeIf(one -> (int) one[0] == row.number());
      jdbc.sql("insert into old_fault (club_id, records_id, row_no, reason, cells) select :club, :id, :row, :reason, cells from "
          + "old_row where "
          + "club_id = :club and records_id = :id and row_no = :row").param("club", club.id()).param("id", id).param("row", row.number())
          .param("reason", reason).update();
    }

    void flush() {
      if (waiting.isEmpty()) {
        return;
      }
      jdbc.sql("insert into old_set (club_id, records_id, row_no, place, lift, day, load_ng, unit, reps, sets, rpe_halves, easier, "
          + "note) select "
          + ":club, :id, r.* from unnest(:rows, :places, :lifts, cast(:days as date[]), :loads, :units, :reps, :sets, :rpes, :easier, "
              + ":notes) r")
          .param("club", club.id()).param("id", id)
          .param("rows", column(one -> (Integer) one[0], Integer[]::new))
          .param("places", column(one -> (Integer) one[1], Integer[]::new))
          .param("lifts", column(one -> (String) one[2], String[]::new))
          .param("days", column(one -> set(one).day().toString(), String[]::new))
          .param("loads", column(one -> set(one).load().nanograms(), Long[]::new))
          .param("units", column(one -> set(one).load().unit().name(), String[]::new))
          .param("reps", column(one -> set(one).reps(), Integer[]::new))
          .param("sets", column(one -> set(one).sets(), Integer[]::new))
          .param("rpes", column(one -> halves(set(one)), Integer[]::new))
          .param("easier", column(one -> set(one).easier(), Boolean[]::new))
          .param("notes", column(one -> set(one).note(), String[]::new)).update();
      waiting.clear();
    }

    private static OldSet set(Object[] row) {
      return (OldSet) row[3];
    }

    private static @Nullable Integer halves(OldSet set) {
      return set.rpe() == null ? null : Integer.valueOf(set.rpe().halves());
    }

    private <T> T[] column(java.util.function.Function<Object[], T> of, java.util.function.IntFunction<T[]> array) {
      return waiting.stream().map(of).toArray(array);
    }
  }

  /** All of it into the log, at once. */
  private void merge(OldRecords.Records one, SignedIn who) {
    turns.ofLifter(one.lifter());
    jdbc.sql("set local statement_timeout = '180s'").update();
    int all = jdbc.sql("select coalesce(sum(sets), 0) from old_set where club_id = :club and records_id = :id").param("club", club.id())
        .param("id", one.id()).query(Integer.class).single();
    int taken = jdbc.sql("""
        insert into logged_set (id, club_id, lifter_id, records_id, lift, day, load_ng, unit, reps, rpe_halves, easier, context_words,
          issue_number, part, set_number, to_failure, flagged, entry_key, logged_at, version)
        select nextval('yarbel_id'), :club, :lifter, :id, n.lift, n.day, n.load_ng, n.unit, n.reps, n.rpe_halves, n.easier, n.note,
          0, 1, 1, false, false, gen_random_uuid(), now(), 0
        from (select s.*, row_number() over (partition by s.lift, s.day, s.load_ng, s.reps order by s.row_no, s.place, c.copy) as nth
          from old_set s cross join lateral generate_series(1, s.sets) c (copy) where s.club_id = :club and s.records_id = :id) n
        left join (select lift, day, load_ng, reps, count(*) as there from logged_set where club_id = :club and lifter_id = :lifter
          group by lift, day, load_ng, reps) e on e.lift = n.lift and e.day = n.day and e.load_ng = n.load_ng and e.reps = n.reps
        where n.nth > coalesce(e.there, 0)
        order by n.day, n.row_no, n.place""").param("club", club.id()).param("lifter", one.lifter()).param("id", one.id()).update();
    List<String> lifts = jdbc.sql("select distinct lift from old_set where club_id = :club and records_id = :id order by 1")
        .param("club", club.id()).param("id", one.id()).query(String.class).list();
    jdbc.sql("delete from old_set where club_id = :club and records_id = :id").param("club", club.id()).param("id", one.id()).update();
    jdbc.sql("delete from old_row where club_id = :club and records_id = :id").param("club", club.id()).param("id", one.id()).update();
    jdbc.sql("update old_records set state = 'IN', taken = :taken, doubled = :doubled where club_id = :club and id = :id")
        .param("taken", taken).param("doubled", all - taken).param("club", club.id()).param("id", one.id()).update();
    follow(one, lifts, who);
  }

  /** The maxes are worked out over all of it, a lift at a time. */
  private void follow(OldRecords.Records one, List<String> lifts, SignedIn who) {
    if (!lifts.isEmpty()) {
      records.job(one.id(), jobs.getObject().start(MaxesAnew.KIND, "Maxes worked out over the old records", Long.toString(one.lifter()),
          lifts.stream().map(lift -> new Jobs.Item(lift, lift)).toList(), who));
    }
  }

  /** Takes all of it out of the log again. */
  @Component
  static final class TakeOut implements JobWork {
    static final String KIND = "old-records-out";
    private final OldRecords records;
    private final TakeIn in;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final CurrentClub club;

    TakeOut(OldRecords records, TakeIn in, Turns turns, JdbcClient jdbc, CurrentClub club) {
      this.records = records;
      this.in = in;
      this.turns = turns;
      this.jdbc = jdbc;
      this.club = club;
    }

    @Override
    public String kind() {
      return KIND;
    }

    @Override
    public String noun() {
      return "table";
    }

    @Override
    public Screen screen(String key) {
      return new Screen("Records", "/records/" + key);
    }

    @Override
    public String work(String key, String document, SignedIn who) {
      OldRecords.Records one = records.one(Long.parseLong(key));
      turns.ofLifter(one.lifter());
      jdbc.sql("set local statement_timeout = '180s'").update();
      List<String> lifts = jdbc.sql("select distinct lift from logged_set where club_id = :club and records_id = :id order by 1")
          .param("club", club.id()).param("id", one.id()).query(String.class).list();
      int gone = jdbc.sql("delete from logged_set where club_id = :club and records_id = :id").param("club", club.id())
          .param("id", one.id())
          .update();
      jdbc.sql("update old_records set state = 'UNDONE' where club_id = :club and id = :id").param("club", club.id()).param("id", one.id())
          .update();
      in.follow(one, lifts, who);
      return Count.of(gone, "set") + " taken out";
    }
  }
}

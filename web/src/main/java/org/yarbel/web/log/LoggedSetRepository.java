package org.yarbel.web.log;

import jakarta.persistence.QueryHint;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.jpa.HibernateHints;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.jpa.repository.QueryHints;

/** The log. Every question to it is bounded by a session, a lift or a number of rows. */
public interface LoggedSetRepository extends JpaRepository<LoggedSetRow, Long> {
  @Query("select l from LoggedSetRow l where l.sessionId = :sessionId order by l.loggedAt, l.id")
  List<LoggedSetRow> ofSession(long sessionId);

  /** All sets of these sessions, in the order they were logged. */
  @Query("select l from LoggedSetRow l where l.sessionId in :ids order by l.loggedAt, l.id")
  List<LoggedSetRow> allOf(Collection<Long> ids);

  /** Made sets of a lifter that were written down in a stretch of time and not measured; the newest first. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.state.speeds is null and l.reps > 0 and l.sessionId is not null "
      + "and l.loggedAt >= :from and l.loggedAt <= :until order by l.loggedAt desc")
  List<LoggedSetRow> unmeasured(long lifterId, Instant from, Instant until, Limit limit);

  /** One set of a session by its place. */
  @Query("select l from LoggedSetRow l where l.sessionId = :sessionId and l.line = :line and l.part = :part and l.setNumber = :set")
  Optional<LoggedSetRow> at(long sessionId, UUID line, int part, int set);

  Optional<LoggedSetRow> findByEntryKey(UUID entryKey);

  @Query("select count(l) from LoggedSetRow l where l.line = :line")
  long countOfLine(UUID line);

  /** How many sets a lifter has logged of a day and later. */
  @Query("select count(l) from LoggedSetRow l where l.lifterId = :lifterId and l.day >= :from")
  long countSince(long lifterId, LocalDate from);

  /** The reps a lifter made from a day up to another, by day, lift and load. */
  @Query("select l.day as day, l.lift as lift, l.loadNg as loadNg, sum(l.reps) as reps from LoggedSetRow l "
      + "where l.lifterId = :lifterId and l.lift in :lifts and l.day >= :from and l.day < :until group by l.day, l.lift, l.loadNg")
  List<DayLoad> dayLoads(long lifterId, Collection<String> lifts, LocalDate from, LocalDate until);

  /** The sets of these lines, in the order they were asked. */
  @Query("select l from LoggedSetRow l where l.line in :lines order by l.line, l.part, l.setNumber")
  List<LoggedSetRow> ofLines(Collection<UUID> lines);

  /** The sets of these sessions, in the order they were asked. */
  @Query("select new org.yarbel.web.log.Lifted(l.sessionId, l.line, l.part, l.setNumber, l.loadNg, l.unit, l.reps, l.rpeHalves) "
      + "from LoggedSetRow l where l.sessionId in :ids order by l.sessionId, l.line, l.part, l.setNumber")
  List<Lifted> ofSessions(Collection<Long> ids);

  /** Which of these lines have sets logged. */
  @Query("select distinct l.line from LoggedSetRow l where l.line in :lines")
  List<UUID> begun(Collection<UUID> lines);

  /** All sets of some lifters from a day to another. */
  @Query("select l from LoggedSetRow l where l.lifterId in :lifterIds and l.lift in :lifts and l.day between :from and :to order "
      + "by l.day, l.id")
  List<LoggedSetRow> ofAllBetween(Collection<Long> lifterIds, Collection<String> lifts, LocalDate from, LocalDate to);

  /** All sets of a lifter from a day to another. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.lift in :lifts and l.day between :from and :to order "
      + "by l.day, l.id")
  List<LoggedSetRow> between(long lifterId, Collection<String> lifts, LocalDate from, LocalDate to);

  /** How many sets are logged of each of these sessions. */
  @Query("select l.sessionId as sessionId, count(l) as sets from LoggedSetRow l where l.sessionId in :ids group by l.sessionId")
  List<SessionCount> counts(Collection<Long> ids);

  /** All of one lift, for the tracker, which runs over all of it. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.lift = :lift order by l.day, l.id")
  List<LoggedSetRow> ofLift(long lifterId, String lift);

  /** The same one after the other, to be read alone: what is changed of them is not written. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.lift = :lift order by l.day, l.id")
  @QueryHints({@QueryHint(name = HibernateHints.HINT_READ_ONLY, value = "true"),
      @QueryHint(name = HibernateHints.HINT_FETCH_SIZE, value = "500")})
  Stream<LoggedSetRow> eachOfLift(long lifterId, String lift);

  /** The sets of one lift from a day on. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.lift = :lift and l.day >= :from order by l.day, l.id")
  List<LoggedSetRow> ofLiftSince(long lifterId, String lift, LocalDate from);

  /** Made sets of a lifter that were measured, the newest first. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.state.speeds is not null and l.reps > 0 and l.day >= :from "
      + "order by l.day desc, l.id desc")
  List<LoggedSetRow> measured(long lifterId, LocalDate from, Limit limit);

  /** The attempts of somebody's contest. */
  @Query("select l from LoggedSetRow l where l.athleteId = :athleteId order by l.id")
  List<LoggedSetRow> ofAthlete(long athleteId);

  /** The heaviest of some lifts that some lifters made before a day. */
  @Query("select l.lifterId as lifterId, l.lift as lift, max(l.loadNg) as ever, "
      + "max(case when l.contest = true then l.loadNg end) as contest from LoggedSetRow l "
      + "where l.lifterId in :lifterIds and l.lift in :lifts and l.day < :before and l.reps > 0 group by l.lifterId, l.lift")
  List<Heaviest> heaviestBefore(Collection<Long> lifterIds, Collection<String> lifts, LocalDate before);

  /** The heaviest of a lift, in nanograms: ever, and at contests. */
  interface Heaviest {
    long getLifterId();

    String getLift();

    long getEver();

    /** Null where none is from a contest. */
    @Nullable Long getContest();
  }

  /** Sets that were told, not lifted from a card; the newest first. */
  @Query("select l from LoggedSetRow l where l.lifterId = :lifterId and l.sessionId is null order by l.day desc, l.id desc")
  List<LoggedSetRow> told(long lifterId, Limit limit);

  /**
   * A page of one lift's sets before a day, newest first.
   *
   * @param club whose log it is: the query is written by hand
   * @param only what they must have: nothing, a kind, or the name of a context or a mark
   */
  @Query(nativeQuery = true, value = """
      select l.* from logged_set l where l.club_id = :club and l.lifter_id = :lifterId and l.lift = :lift and l.day < :before
      and case :only when '' then true when 'flagged' then l.flagged when 'missed' then l.reps = 0 or l.reps < l.asked_reps
        when 'gear' then l.gear is not null when 'speed' then l.speeds is not null when 'opinion' then l.opinion_halves is not null
        when 'beside' then l.extra or l.asked_lift is not null
        when 'marks' then exists (select 1 from set_mark m where m.club_id = l.club_id and m.set_id = l.id)
        else :only = any (string_to_array(l.contexts, ','))
          or exists (select 1 from set_mark m where m.club_id = l.club_id and m.set_id = l.id and m.what = :only) end
      order by l.day desc, l.id desc limit :most""")
  List<LoggedSetRow> ledger(long club, long lifterId, String lift, LocalDate before, String only, int most);

  /**
   * The most reps of a lift at each load, with the day they were made first; the heaviest load first.
   *
   * @param club whose log it is: the query is written by hand
   */
  @Query(nativeQuery = true, value = """
      select distinct on (l.load_ng) l.load_ng as "loadNg", l.reps as "reps", l.day as "day" from logged_set l
      where l.club_id = :club and l.lifter_id = :lifterId and l.lift = :lift and l.reps > 0 and l.tells_of_max
      order by l.load_ng desc, l.reps desc, l.day limit :most""")
  List<Best> best(long club, long lifterId, String lift, int most);

  /**
   * The newest day of each of these lifts before a day, with its heaviest load; found by two steps through an index for each,
   * however long the log is.
   *
   * @param club whose log it is: the query is written by hand
   * @param lifts their keys, with commas between
   */
  @Query(nativeQuery = true, value = """
      select v.lift as "lift", d.load_ng as "loadNg" from unnest(string_to_array(:lifts, ',')) v (lift)
      cross join lateral (select max(l.load_ng) as load_ng from logged_set l
        where l.club_id = :club and l.lifter_id = :lifterId and l.lift = v.lift and l.reps > 0 and l.day = (
          select max(m.day) from logged_set m
          where m.club_id = :club and m.lifter_id = :lifterId and m.lift = v.lift and m.day < :before and m.reps > 0)) d
      where d.load_ng is not null""")
  List<LastLoad> lastLoads(long club, long lifterId, String lifts, LocalDate before);

  /** The most reps of a lift at a load before a day; 0 where it was never lifted. */
  @Query("select coalesce(max(l.reps), 0) from LoggedSetRow l where l.lifterId = :lifterId and l.lift = :lift and l.loadNg = :loadNg "
      + "and l.day < :before")
  int mostRepsBefore(long lifterId, String lift, long loadNg, LocalDate before);

  /** A session and how many of its sets are logged. */
  interface SessionCount {
    long getSessionId();

    long getSets();
  }

  /** The reps of one load of a lift on a day. */
  interface DayLoad {
    LocalDate getDay();

    String getLift();

    long getLoadNg();

    long getReps();
  }

  /** A load and the most reps that were made at it. */
  interface Best {
    long getLoadNg();

    int getReps();

    LocalDate getDay();
  }

  /** A lift and the heaviest load of its last day. */
  interface LastLoad {
    String getLift();

    long getLoadNg();
  }
}

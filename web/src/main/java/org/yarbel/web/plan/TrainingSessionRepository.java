package org.yarbel.web.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Sessions of the club. */
public interface TrainingSessionRepository extends JpaRepository<TrainingSession, Long> {
  List<TrainingSession> findByDay(LocalDate day);

  /** Those of other days that were lifted on a day, or are. */
  @Query("select t from TrainingSession t, SessionLog s where s.sessionId = t.id and s.liftedOn = :day")
  List<TrainingSession> liftedOn(LocalDate day);

  List<TrainingSession> findByLifterIdAndDayBetweenOrderByDay(long lifterId, LocalDate from, LocalDate to);

  List<TrainingSession> findByLifterIdAndDayGreaterThanEqualOrderByDay(long lifterId, LocalDate from, Limit limit);

  Optional<TrainingSession> findByLifterIdAndDay(long lifterId, LocalDate day);

  List<TrainingSession> findByLifterIdAndDayIn(long lifterId, Collection<LocalDate> days);

  List<TrainingSession> findByLifterIdInAndDayBetween(Collection<Long> lifterIds, LocalDate from, LocalDate to);

  /** The days on which a lifter trained or, from today on, has lines to train; a session nobody lifted anything of is none. */
  @Query("""
      select t.day from TrainingSession t where t.lifterId = :lifterId and t.day between :from and :to
      and (t.day < :today and exists (select 1 from LoggedSetRow l where l.sessionId = t.id)
        or t.day >= :today and exists (select 1 from Slot s where s.sessionId = t.id))""")
  List<LocalDate> trainedDays(long lifterId, LocalDate from, LocalDate to, LocalDate today);

  /** The next day each of these lifters trains, from a day on; lifters without one are left out. */
  @Query("""
      select t.lifterId as lifterId, min(t.day) as day from TrainingSession t
      where t.lifterId in :lifterIds and t.day >= :from group by t.lifterId""")
  List<NextDay> nextDays(Collection<Long> lifterIds, LocalDate from);

  /** A lifter and a day. */
  interface NextDay {
    long getLifterId();

    LocalDate getDay();
  }
}

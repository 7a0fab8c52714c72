package org.yarbel.web.log;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Tracked points of the club's lifters. */
public interface TrackedPointRepository extends JpaRepository<TrackedPoint, Long> {
  List<TrackedPoint> findByLifterIdAndLiftOrderByDay(long lifterId, String lift);

  List<TrackedPoint> findByLifterIdAndLiftAndDayGreaterThanEqualOrderByDay(long lifterId, String lift, LocalDate from);

  /**
   * The points of a stretch of days, both ends with it; the newest of every so many days.
   *
   * @param club whose they are: the query is written by hand
   * @param days 1 for each of them
   */
  @Query(nativeQuery = true, value = """
      select distinct on (b.bucket) b.* from (
        select p.*, (p.day - cast(:from as date)) / :days as bucket from tracked_point p
        where p.club_id = :club and p.lifter_id = :lifterId and p.lift = :lift and p.day >= :from and p.day <= :until) b
      order by b.bucket, b.day desc""")
  List<TrackedPoint> stretch(long club, long lifterId, String lift, LocalDate from, LocalDate until, int days);

  /** The points of some lifts of these lifters from a day on, by day. */
  @Query("""
      select p from TrackedPoint p where p.lifterId in :lifterIds and p.lift in :lifts and p.day >= :from
      order by p.day""")
  List<TrackedPoint> since(Collection<Long> lifterIds, Collection<String> lifts, LocalDate from);
}

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

  /** The points of some lifts of these lifters from a day on, by day. */
  @Query("""
      select p from TrackedPoint p where p.lifterId in :lifterIds and p.lift in :lifts and p.day >= :from
      order by p.day""")
  List<TrackedPoint> since(Collection<Long> lifterIds, Collection<String> lifts, LocalDate from);
}

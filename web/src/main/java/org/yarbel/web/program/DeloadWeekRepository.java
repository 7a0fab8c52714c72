package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Easy weeks of the club's lifters. */
public interface DeloadWeekRepository extends JpaRepository<DeloadWeek, Long> {
  List<DeloadWeek> findByLifterIdAndMondayBetween(long lifterId, LocalDate from, LocalDate to);

  List<DeloadWeek> findByLifterIdInAndMonday(Collection<Long> lifterIds, LocalDate monday);

  Optional<DeloadWeek> findByLifterIdAndMonday(long lifterId, LocalDate monday);

  Optional<DeloadWeek> findFirstByLifterIdAndMondayLessThanOrderByMondayDesc(long lifterId, LocalDate before);
}

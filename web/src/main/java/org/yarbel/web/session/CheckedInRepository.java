package org.yarbel.web.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Check-ins of the club's lifters. */
public interface CheckedInRepository extends JpaRepository<CheckedIn, Long> {
  Optional<CheckedIn> findByLifterIdAndDay(long lifterId, LocalDate day);

  /** The newest of a lifter. */
  List<CheckedIn> findByLifterIdOrderByDayDesc(long lifterId, Limit limit);
}

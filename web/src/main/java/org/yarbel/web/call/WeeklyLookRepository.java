package org.yarbel.web.call;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Looks at the weeks of the club's lifters. */
interface WeeklyLookRepository extends JpaRepository<WeeklyLook, Long> {
  Optional<WeeklyLook> findByLifterIdAndMonday(long lifterId, LocalDate monday);

  Optional<WeeklyLook> findFirstByLifterIdOrderByMondayDesc(long lifterId);

  List<WeeklyLook> findByMonday(LocalDate monday);
}

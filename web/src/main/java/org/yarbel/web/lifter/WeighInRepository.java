package org.yarbel.web.lifter;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Body masses over time. */
public interface WeighInRepository extends JpaRepository<WeighIn, Long> {
  List<WeighIn> findByLifterIdOrderByDayDesc(long lifterId, Limit limit);

  Optional<WeighIn> findByLifterIdAndDay(long lifterId, LocalDate day);
}

package org.yarbel.web.lifter;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Body masses over time. */
public interface WeighInRepository extends JpaRepository<WeighIn, Long> {
  /** The newest of each of these lifters. */
  @Query("""
      select w from WeighIn w where w.lifterId in :lifterIds and w.day = (
        select max(m.day) from WeighIn m where m.lifterId = w.lifterId)""")
  List<WeighIn> newest(Collection<Long> lifterIds);

  List<WeighIn> findByLifterIdOrderByDayDesc(long lifterId, Limit limit);

  Optional<WeighIn> findByLifterIdAndDay(long lifterId, LocalDate day);
}

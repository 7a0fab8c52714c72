package org.yarbel.web.lifter;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Numbers of the club's lifters. */
public interface LiftNumbersRepository extends JpaRepository<LiftNumbers, Long> {
  /** Those that the tracker before said a max of. */
  List<LiftNumbers> findByBeforeNgIsNotNull(Limit limit);

  List<LiftNumbers> findByLifterIdIn(Collection<Long> lifterIds);

  Optional<LiftNumbers> findByLifterIdAndLift(long lifterId, String lift);
}

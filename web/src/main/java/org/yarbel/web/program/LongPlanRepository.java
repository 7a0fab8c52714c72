package org.yarbel.web.program;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** The long plans of the club's lifters. */
public interface LongPlanRepository extends JpaRepository<LongPlan, Long> {
  Optional<LongPlan> findByLifterId(long lifterId);

  List<LongPlan> findByLifterIdIn(Collection<Long> lifterIds);

  List<LongPlan> findByContestId(long contestId);
}

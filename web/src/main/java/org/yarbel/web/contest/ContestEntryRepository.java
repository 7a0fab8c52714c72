package org.yarbel.web.contest;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Who goes to the club's contests. */
public interface ContestEntryRepository extends JpaRepository<ContestEntry, Long> {
  List<ContestEntry> findByContestIdOrderById(long contestId);

  List<ContestEntry> findByContestIdIn(Collection<Long> contestIds);

  List<ContestEntry> findByLifterId(long lifterId);

  List<ContestEntry> findByLifterIdIn(Collection<Long> lifterIds);

  Optional<ContestEntry> findByContestIdAndLifterId(long contestId, long lifterId);
}

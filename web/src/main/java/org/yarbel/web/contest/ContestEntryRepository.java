package org.yarbel.web.contest;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Who goes to the club's contests. */
public interface ContestEntryRepository extends JpaRepository<ContestEntry, Long> {
  List<ContestEntry> findByContestIdOrderById(long contestId);

  List<ContestEntry> findByContestIdIn(Collection<Long> contestIds);

  List<ContestEntry> findByLifterId(long lifterId);

  List<ContestEntry> findByLifterIdIn(Collection<Long> lifterIds);

  Optional<ContestEntry> findByContestIdAndLifterId(long contestId, long lifterId);

  /** Who goes to these contests, by name. */
  @Query("select e as entry, l.name as name from ContestEntry e join Lifter l on l.id = e.lifterId "
      + "where e.contestId in :contestIds order by e.id")
  List<Named> named(Collection<Long> contestIds);

  /** A lifter who goes to a contest. */
  interface Named {
    ContestEntry getEntry();

    String getName();
  }
}

package org.yarbel.web.platform;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Results of the club's contests. */
interface ResultRows extends JpaRepository<ResultRow, Long> {
  @Query("select r from ResultRow r where r.athleteId in :athleteIds order by r.athleteId, r.event")
  List<ResultRow> of(Collection<Long> athleteIds);

  Optional<ResultRow> findByAthleteIdAndEvent(long athleteId, int event);
}

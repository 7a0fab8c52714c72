package org.yarbel.web.platform;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Attempts of the club's contests. */
interface AttemptRows extends JpaRepository<AttemptRow, Long> {
  @Query("select new org.yarbel.web.platform.AttemptSeen(a.athleteId, a.lift, a.number, a.loadNg, a.loadUnit, a.changed, a.good, a.whites, "
      + "a.reason, a.look) from AttemptRow a where a.athleteId in :athleteIds order by a.athleteId, a.lift, a.number")
  List<AttemptSeen> of(Collection<Long> athleteIds);

  Optional<AttemptRow> findByAthleteIdAndLiftAndNumber(long athleteId, String lift, int number);
}

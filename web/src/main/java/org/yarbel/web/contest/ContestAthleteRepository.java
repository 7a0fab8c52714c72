package org.yarbel.web.contest;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Who lifts in the club's contests. */
public interface ContestAthleteRepository extends JpaRepository<ContestAthlete, Long> {
  @Query("select a from ContestAthlete a where a.contestId = :contestId and a.gone = false order by a.id")
  List<ContestAthlete> ofContest(long contestId);

  /** Those of the class of one of them, that one with them. */
  @Query("select a from ContestAthlete a where a.contestId = :contestId and a.gone = false and a.category = (select b.category from "
      + "ContestAthlete b where b.id = :athleteId) order by a.id")
  List<ContestAthlete> ofClass(long contestId, long athleteId);

  @Query("select count(a) from ContestAthlete a where a.contestId = :contestId and a.gone = false")
  int countOf(long contestId);

  Optional<ContestAthlete> findByContestIdAndLifterId(long contestId, long lifterId);

  /** One of them, held until the transaction is over, so that two phones write one after the other. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select a from ContestAthlete a where a.id = :id")
  Optional<ContestAthlete> held(long id);

  /** The contests of these lifters that went into the log, the newest first. */
  @Query("select a from ContestAthlete a where a.lifterId in :lifterIds and a.loggedAt is not null order by a.id desc")
  List<ContestAthlete> logged(Collection<Long> lifterIds, Limit limit);
}

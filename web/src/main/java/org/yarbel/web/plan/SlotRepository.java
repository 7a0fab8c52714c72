package org.yarbel.web.plan;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Slots of the club's sessions. */
public interface SlotRepository extends JpaRepository<Slot, Long> {
  List<Slot> findBySessionIdInOrderByPositionAscIdAsc(Collection<Long> sessionIds);

  List<Slot> findBySessionIdOrderByPositionAscIdAsc(long sessionId);

  /** What a method has written so far. */
  List<Slot> findByProgressionId(long progressionId);

  Optional<Slot> findByRef(UUID ref);

  List<Slot> findByProgressionIdIn(Collection<Long> progressionIds);

  /** The last day that methods have written a line for; null when there is none. */
  @Query("select max(s.plannedOn) from Slot s where s.progressionId in :progressionIds")
  @Nullable LocalDate lastPlanned(Collection<Long> progressionIds);

  /** Of what methods of a lifter have written, the lines that were planned for a day or later, or stand on another day or later. */
  @Query("select s from Slot s join TrainingSession t on t.id = s.sessionId "
      + "where t.lifterId = :lifterId and s.progressionId in :progressionIds and (s.plannedOn >= :planned or t.day >= :stands)")
  List<Slot> writtenFrom(long lifterId, Collection<Long> progressionIds, LocalDate planned, LocalDate stands);
}

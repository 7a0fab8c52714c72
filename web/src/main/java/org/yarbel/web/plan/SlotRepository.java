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

  Optional<Slot> findByRef(UUID ref);

  List<Slot> findByProgressionIn(Collection<UUID> progressions);

  /** The last day that methods have written a line for; null when there is none. */
  @Query("select max(s.plannedOn) from Slot s where s.progression in :progressions")
  @Nullable LocalDate lastPlanned(Collection<UUID> progressions);

  /** Of what methods of a lifter have written, the lines that were planned for a day or later, or stand on another day or later. */
  @Query("select s from Slot s join TrainingSession t on t.id = s.sessionId "
      + "where t.lifterId = :lifterId and s.progression in :progressions and (s.plannedOn >= :planned or t.day >= :stands)")
  List<Slot> writtenFrom(long lifterId, Collection<UUID> progressions, LocalDate planned, LocalDate stands);
}

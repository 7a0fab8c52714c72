package org.yarbel.web.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Slots of the club's sessions. */
public interface SlotRepository extends JpaRepository<Slot, Long> {
  List<Slot> findBySessionIdInOrderByPositionAscIdAsc(Collection<Long> sessionIds);

  List<Slot> findBySessionIdOrderByPositionAscIdAsc(long sessionId);

  /** What a method has written so far. */
  List<Slot> findByProgressionId(long progressionId);

  List<Slot> findByProgressionIdIn(Collection<Long> progressionIds);
}

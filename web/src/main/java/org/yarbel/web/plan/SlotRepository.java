package org.yarbel.web.plan;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** Slots of the club's sessions. */
public interface SlotRepository extends JpaRepository<Slot, Long> {
  List<Slot> findBySessionIdInOrderByPositionAscIdAsc(Collection<Long> sessionIds);

  List<Slot> findBySessionIdOrderByPositionAscIdAsc(long sessionId);
}

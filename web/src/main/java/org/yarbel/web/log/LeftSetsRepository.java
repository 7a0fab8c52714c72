package org.yarbel.web.log;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was left of lines, at most one row a line. */
public interface LeftSetsRepository extends JpaRepository<LeftSets, Long> {
  List<LeftSets> findBySessionId(long sessionId);

  List<LeftSets> findBySessionIdIn(Collection<Long> sessionIds);

  List<LeftSets> findByLineIn(Collection<UUID> lines);
}

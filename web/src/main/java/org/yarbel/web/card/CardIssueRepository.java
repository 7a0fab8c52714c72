package org.yarbel.web.card;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CardIssueRepository extends JpaRepository<CardIssue, Long> {
  Optional<CardIssue> findFirstBySessionIdOrderByNumberDesc(long sessionId);

  /** Which of these sessions have a card that was issued. */
  @Query("select distinct c.sessionId from CardIssue c where c.sessionId in :ids")
  List<Long> issued(Collection<Long> ids);

  /** The newest card of each of these sessions. */
  @Query("""
      select c from CardIssue c where c.sessionId in :ids
      and c.number = (select max(d.number) from CardIssue d where d.sessionId = c.sessionId)""")
  List<CardIssue> newest(Collection<Long> ids);

  Optional<CardIssue> findBySessionIdAndNumber(long sessionId, int number);
}

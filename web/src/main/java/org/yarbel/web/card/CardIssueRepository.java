package org.yarbel.web.card;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CardIssueRepository extends JpaRepository<CardIssue, Long> {
  Optional<CardIssue> findFirstBySessionIdAndAheadFalseOrderByNumberDesc(long sessionId);

  /** The newest, whether issued or only kept on a phone. */
  Optional<CardIssue> findFirstBySessionIdOrderByNumberDesc(long sessionId);

  /** What phones keep of a session, the newest first. */
  List<CardIssue> findBySessionIdAndAheadTrueOrderByNumberDesc(long sessionId);

  /** Which of these sessions have a card that was issued. */
  @Query("select distinct c.sessionId from CardIssue c where c.sessionId in :ids and c.ahead = false")
  List<Long> issued(Collection<Long> ids);

  /** The newest card of each of these sessions. */
  @Query("""
      select c from CardIssue c where c.sessionId in :ids and c.ahead = false
      and c.number = (select max(d.number) from CardIssue d where d.sessionId = c.sessionId and d.ahead = false)""")
  List<CardIssue> newest(Collection<Long> ids);

  Optional<CardIssue> findBySessionIdAndNumber(long sessionId, int number);
}

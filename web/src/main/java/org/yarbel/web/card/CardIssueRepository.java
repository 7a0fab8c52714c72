package org.yarbel.web.card;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CardIssueRepository extends JpaRepository<CardIssue, Long> {
  Optional<CardIssue> findFirstBySessionIdOrderByNumberDesc(long sessionId);

  Optional<CardIssue> findBySessionIdAndNumber(long sessionId, int number);

  @Query("select count(c) from CardIssue c where c.sessionId = :sessionId")
  int countOfSession(long sessionId);

  @Query("select c from CardIssue c order by c.id")
  List<CardIssue> all();
}

package org.yarbel.web.card;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CardIssueRepository extends JpaRepository<CardIssue, Long> {
  Optional<CardIssue> findFirstBySessionIdOrderByNumberDesc(long sessionId);

  Optional<CardIssue> findBySessionIdAndNumber(long sessionId, int number);
}

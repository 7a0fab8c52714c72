package org.yarbel.web.club;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** Changes of the club. */
public interface ChangeRepository extends JpaRepository<Change, Long> {
  Optional<Change> findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(String subject, long subjectId);

  /** The newest change of a group that stands. */
  Optional<Change> findFirstByGroupIdAndUndoneFalseOrderByIdDesc(Long groupId);

  /** The oldest undone change of a group after another. */
  Optional<Change> findFirstByGroupIdAndUndoneTrueAndIdGreaterThanOrderByIdAsc(Long groupId, long id);

  /** What was made as one. */
  List<Change> findByBatchOrderById(UUID batch);

  /** The newest change of a lifter's plan that stands. */
  Optional<Change> findFirstByLifterIdAndSubjectInAndUndoneFalseOrderByIdDesc(Long lifterId, Collection<String> subjects);

  /** The oldest undone change of a lifter's plan after another. */
  Optional<Change> findFirstByLifterIdAndSubjectInAndUndoneTrueAndIdGreaterThanOrderByIdAsc(Long lifterId, Collection<String> subjects, long id);
}

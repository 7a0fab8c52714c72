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

  /** Of the changes of a group made after another the one undone last. */
  Optional<Change> findFirstByGroupIdAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(Long groupId, long id);

  /** What was made as one. */
  List<Change> findByBatchOrderById(UUID batch);

  /** The newest change of a lifter's plan that stands. */
  Optional<Change> findFirstByLifterIdAndSubjectInAndUndoneFalseOrderByIdDesc(Long lifterId, Collection<String> subjects);

  /** Of the changes of a lifter's plan made after another the one undone last. */
  Optional<Change> findFirstByLifterIdAndSubjectInAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(Long lifterId, Collection<String> subjects, long id);
}

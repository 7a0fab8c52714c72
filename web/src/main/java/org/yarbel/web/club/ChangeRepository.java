package org.yarbel.web.club;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was changed, newest last. */
public interface ChangeRepository extends JpaRepository<Change, Long> {
  Optional<Change> findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(String subject, long subjectId);
}

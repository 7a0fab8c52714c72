package org.yarbel.web.board;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ChangeRepository extends JpaRepository<Change, Long> {
  Optional<Change> findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(String subject, long subjectId);
}

package org.yarbel.web.board;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Groups of the club. */
interface LifterGroupRepository extends JpaRepository<LifterGroup, Long> {
  List<LifterGroup> findAllByOrderByName();

  Optional<LifterGroup> findByName(String name);
}

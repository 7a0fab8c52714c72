package org.yarbel.web.group;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Groups of the club. */
interface LifterGroupRepository extends JpaRepository<LifterGroup, Long> {
  List<LifterGroup> findAllByOrderByName();

  Optional<LifterGroup> findByName(String name);

  /** Those whose name contains a text given in small letters. */
  @Query("select e from LifterGroup e where lower(e.name) like concat('%', :part, '%') escape '!' order by e.name, e.id")
  List<LifterGroup> called(String part, Limit limit);
}

package org.yarbel.web.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Templates of the club. */
interface TemplateRepository extends JpaRepository<Template, Long> {
  List<Template> findAllByOrderByName();

  Optional<Template> findByName(String name);

  /** Those whose name contains a text given in small letters. */
  @Query("select e from Template e where lower(e.name) like concat('%', :part, '%') escape '!' and e.gone = false order by e.name, e.id")
  List<Template> called(String part, Limit limit);
}

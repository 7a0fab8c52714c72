package org.yarbel.web.library;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Templates of the club. */
interface TemplateRepository extends JpaRepository<Template, Long> {
  List<Template> findAllByOrderByName();

  Optional<Template> findByName(String name);
}

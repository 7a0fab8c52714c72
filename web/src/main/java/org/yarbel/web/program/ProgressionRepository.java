package org.yarbel.web.program;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The methods in use, of the club. */
public interface ProgressionRepository extends JpaRepository<Progression, Long> {
  List<Progression> findByLifterIdOrderById(long lifterId);

  List<Progression> findByLifterIdIn(Collection<Long> lifterIds);
}

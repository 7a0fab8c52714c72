package org.yarbel.web.program;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The methods in use, of the club. */
public interface ProgressionRepository extends JpaRepository<Progression, Long> {
  Optional<Progression> findByRef(UUID ref);

  List<Progression> findByLifterIdOrderById(long lifterId);

  List<Progression> findByLifterIdIn(Collection<Long> lifterIds);
}

package org.yarbel.web.watch;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

/** Silenced checks of the club's lifters. */
public interface SilenceRepository extends JpaRepository<Silence, Long> {
  List<Silence> findByLifterIdAndEndedIsNull(long lifterId);

  List<Silence> findByLifterIdOrderByIdDesc(long lifterId, Limit limit);
}

package org.yarbel.web.lifter;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The further places lifters train in. */
public interface LifterPlaceRepository extends JpaRepository<LifterPlace, Long> {
  List<LifterPlace> findByLifterIdOrderByPlaceId(long lifterId);
}

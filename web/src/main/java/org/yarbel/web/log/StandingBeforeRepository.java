package org.yarbel.web.log;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Where trackers stood before their newest day. */
interface StandingBeforeRepository extends JpaRepository<StandingBefore, Long> {
  Optional<StandingBefore> findByLifterIdAndLift(long lifterId, String lift);
}

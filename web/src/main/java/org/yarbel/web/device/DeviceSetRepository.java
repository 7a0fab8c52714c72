package org.yarbel.web.device;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** What devices told. */
interface DeviceSetRepository extends JpaRepository<DeviceSet, Long> {
  Optional<DeviceSet> findByDeviceIdAndStartedAt(long deviceId, Instant startedAt);

  /** What was told of a lifter and belongs to no set yet, ended in a stretch of time; the newest first. */
  @Query("select s from DeviceSet s where s.lifterId = :lifterId and s.setId is null and s.endedAt >= :from and s.endedAt <= :until "
      + "order by s.endedAt desc")
  List<DeviceSet> waiting(long lifterId, Instant from, Instant until, Limit limit);

  List<DeviceSet> findByLifterIdOrderByIdDesc(long lifterId, Limit limit);
}

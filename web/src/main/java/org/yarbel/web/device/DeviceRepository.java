package org.yarbel.web.device;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** The devices of a club. */
interface DeviceRepository extends JpaRepository<Device, Long> {
  List<Device> findByLifterIdOrderByIdDesc(long lifterId);
}

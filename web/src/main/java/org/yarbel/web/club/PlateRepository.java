package org.yarbel.web.club;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlateRepository extends JpaRepository<Plate, Long> {
  List<Plate> findByPlaceIdIn(Collection<Long> placeIds);
}

package org.yarbel.web.club;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Places of the club. */
public interface PlaceRepository extends JpaRepository<Place, Long> {
  @Query("select p from Place p order by p.id")
  List<Place> all();
}

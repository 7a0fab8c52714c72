package org.yarbel.web.club;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ClubLiftRepository extends JpaRepository<ClubLift, Long> {
  @Query("select l from ClubLift l order by l.name")
  List<ClubLift> all();

  Optional<ClubLift> findByLiftKey(String liftKey);
}

package org.yarbel.web.lifter;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Lifters of the club. */
public interface LifterRepository extends JpaRepository<Lifter, Long> {
  Optional<Lifter> findByRef(UUID ref);

  /** Lifters whose name contains a text given in small letters, by name. */
  @Query("select l from Lifter l where lower(l.name) like concat('%', :part, '%') escape '!' order by l.name, l.id")
  List<Lifter> named(String part, Limit limit);

  /** The same of a coach's own lifters and of nobody's; of all for 0. */
  @Query("select l from Lifter l where lower(l.name) like concat('%', :part, '%') escape '!' and (:coach = 0 or l.coachId = :coach or "
      + "l.coachId is null) order by l.name, l.id")
  List<Lifter> named(String part, long coach, Limit limit);
}

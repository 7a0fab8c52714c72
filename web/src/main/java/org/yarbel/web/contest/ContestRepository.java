package org.yarbel.web.contest;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Contests of the club. */
public interface ContestRepository extends JpaRepository<Contest, Long> {
  Optional<Contest> findByRef(UUID ref);

  /** Those in the list, the latest first; those without a date before them. */
  @Query("select c from Contest c where c.gone = false order by c.day desc nulls first, c.id")
  List<Contest> listed(Limit limit);

  /** Those whose name contains a text given in small letters, the latest first. */
  @Query("select c from Contest c where c.gone = false and lower(c.name) like concat('%', :part, '%') escape '!' order by c.day "
      + "desc nulls first, c.id")
  List<Contest> called(String part, Limit limit);
}

package org.yarbel.web.lifter;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Lifters of the club. */
public interface LifterRepository extends JpaRepository<Lifter, Long> {
  /** Lifters whose name contains a text given in small letters, by name. */
  @Query("select l from Lifter l where lower(l.name) like concat('%', :part, '%') escape '!' order by l.name, l.id")
  List<Lifter> named(String part, Limit limit);

  /**
   * A lifter, held until the transaction ends: whoever writes what stands on their plan, card or log comes one after the other.
   * Asked for before anything else of theirs is read.
   */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select l from Lifter l where l.id = :id")
  Optional<Lifter> locked(long id);
}

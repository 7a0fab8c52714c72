package org.yarbel.web.lifter;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Pain and constraints. */
public interface ComplaintRepository extends JpaRepository<Complaint, Long> {
  /** Those that are not over. */
  @Query("select c from Complaint c where c.lifterId = :lifterId and c.overOn is null order by c.since desc, c.id")
  List<Complaint> present(long lifterId, Limit limit);

  /** Those of a lifter, the present ones first. */
  @Query("select c from Complaint c where c.lifterId = :lifterId order by c.overOn desc nulls first, c.since desc, c.id")
  List<Complaint> of(long lifterId, Limit limit);
}

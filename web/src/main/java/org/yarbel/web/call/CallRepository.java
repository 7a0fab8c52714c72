package org.yarbel.web.call;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Calls of the club. */
interface CallRepository extends JpaRepository<CallRow, Long> {
  List<CallRow> findByLifterIdAndStateIn(long lifterId, Collection<CallRow.State> states);

  /** What was decided of a matter last. */
  Optional<CallRow> findFirstByLifterIdAndMatterAndStateInOrderByIdDesc(long lifterId, String matter, Collection<CallRow.State> states);

  /** Whether a matter was decided so. */
  boolean existsByLifterIdAndMatterAndStateIn(long lifterId, String matter, Collection<CallRow.State> states);

  /** The newest decided ones of a lifter. */
  List<CallRow> findByLifterIdAndStateInOrderByDecidedAtDesc(long lifterId, Collection<CallRow.State> states, Limit limit);

  /** Taken ones of a lifter that a coach said something of, the newest first. */
  @Query("select c from CallRow c where c.lifterId = :lifterId and c.state = org.yarbel.web.call.CallRow.State.TAKEN and c.word <> '' "
      + "and c.decidedAt >= :since order by c.decidedAt desc")
  List<CallRow> told(long lifterId, Instant since, Limit limit);

  /** Taken ones whose change was taken back otherwise. */
  @Query("select c from CallRow c join Change h on h.id = c.changeId where c.lifterId = :lifterId and c.state = "
      + "org.yarbel.web.call.CallRow.State.TAKEN and h.undone = true")
  List<CallRow> takenAndUndone(long lifterId);

  /** The open ones of the club, what is most urgent first; of one rule, or of all for an empty key; of a coach's lifters,
      or of all for 0. */
  @Query("select c as call, l.name as name from CallRow c join Lifter l on l.id = c.lifterId where c.state = "
      + "org.yarbel.web.call.CallRow.State.OPEN and (:all = true or c.lifterId in :lifters) and (:rule = '' or c.rule = :rule) and "
      + "(:safe = false or c.safe = true) and (:coach = 0 or l.coachId = :coach or l.coachId is null) order by c.urgency, "
          + "c.confidence desc, l.name, c.id")
  Slice<Named> open(boolean all, Collection<Long> lifters, String rule, boolean safe, long coach, Pageable page);

  /** How many wait of each lifter. */
  @Query("select c.lifterId as lifterId, count(c) as calls from CallRow c where c.state = "
      + "org.yarbel.web.call.CallRow.State.OPEN group by c.lifterId")
  List<Waiting> waiting();

  /** A call with the name of its lifter. */
  interface Named {
    CallRow getCall();

    String getName();
  }

  /** A lifter and how many calls wait. */
  interface Waiting {
    long getLifterId();

    long getCalls();
  }
}

package org.yarbel.web.clip;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.yarbel.web.log.LoggedSetRow;

/** The clips of a club. */
public interface ClipRepository extends JpaRepository<Clip, Long> {
  List<Clip> findBySessionIdOrderById(long sessionId);

  Optional<Clip> findByEntryKey(UUID entryKey);

  /** Those of these sessions that are there. */
  @Query("select c from Clip c where c.sessionId in :ids and c.goneAt is null order by c.id")
  List<Clip> there(Collection<Long> ids);

  /** What all of them take; one that was taken out takes it until it is gone for good. */
  @Query("select coalesce(sum(c.bytes), 0) from Clip c")
  long room();

  /** Those that go for good: added before a day, or taken out before another. */
  @Query("select c from Clip c where c.addedAt < :added or c.goneAt < :out order by c.id")
  List<Clip> toGo(Instant added, Instant out, Limit limit);

  /** Those that were added before a time and go because of their age, the oldest first. */
  @Query("select c as clip, l.name as name from Clip c join Lifter l on l.id = c.lifterId where c.goneAt is null and c.addedAt < :added "
      + "order by c.addedAt, c.id")
  List<Going> going(Instant added, Limit limit);

  /** How many were added before a time. */
  @Query("select count(c) from Clip c where c.goneAt is null and c.addedAt < :added")
  long older(Instant added);

  /** Clips that can stand beside one: those of its session and those of the same lift, the newest first. */
  @Query("select c as clip, r as row from Clip c left join LoggedSetRow r on r.sessionId = c.sessionId and r.line = c.line "
      + "and r.part = c.part and r.setNumber = c.setNumber where c.lifterId = :lifterId and c.goneAt is null and c.id <> :id "
      + "and (c.sessionId = :sessionId or r.lift = :lift) order by c.addedAt desc, c.id desc")
  List<OfSet> besides(long id, long lifterId, long sessionId, String lift, Limit limit);

  /** The newest of the club. */
  @Query("select c as clip, r as row, l.name as name from Clip c join Lifter l on l.id = c.lifterId left join LoggedSetRow r "
      + "on r.sessionId = c.sessionId and r.line = c.line and r.part = c.part and r.setNumber = c.setNumber where c.goneAt is null "
      + "order by c.addedAt desc, c.id desc")
  List<Newest> newest(Limit limit);

  /** A clip and the set it is of. */
  interface OfSet {
    Clip getClip();

    @Nullable LoggedSetRow getRow();
  }

  /** The same, and whose it is. */
  interface Newest extends OfSet {
    String getName();
  }

  /** A clip that goes, and whose it is. */
  interface Going {
    Clip getClip();

    String getName();
  }

  long countBySha256(String sha256);
}

package org.yarbel.web.clip;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** The clips of a club. */
public interface ClipRepository extends JpaRepository<Clip, Long> {
  List<Clip> findBySessionIdOrderById(long sessionId);

  Optional<Clip> findByEntryKey(UUID entryKey);

  /** The sessions of these that have clips, with how many. */
  @Query("select c.sessionId as sessionId, count(c) as clips from Clip c where c.sessionId in :ids and c.goneAt is null "
      + "group by c.sessionId")
  List<Count> counts(Collection<Long> ids);

  /** What all of them take; one that was taken out takes it until it is gone for good. */
  @Query("select coalesce(sum(c.bytes), 0) from Clip c")
  long room();

  /** Those that go for good: added before a day, or taken out before another. */
  @Query("select c from Clip c where c.addedAt < :added or c.goneAt < :out order by c.id")
  List<Clip> toGo(Instant added, Instant out, Limit limit);

  /** Those of a lifter that go before a day because of their age, the oldest first. */
  @Query("select c from Clip c where c.lifterId = :lifterId and c.goneAt is null and c.addedAt < :added order by c.addedAt")
  List<Clip> going(long lifterId, Instant added, Limit limit);

  long countBySha256(String sha256);

  /** A session and how many clips it has. */
  interface Count {
    long getSessionId();

    long getClips();
  }
}

package org.yarbel.web.clip;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

/** Clips on their way. */
interface ClipUploadRepository extends JpaRepository<ClipUpload, Long> {
  Optional<ClipUpload> findByEntryKey(UUID entryKey);

  /** The same, for whoever writes the next piece: one at a time. */
  @Lock(LockModeType.PESSIMISTIC_WRITE)
  @Query("select u from ClipUpload u where u.entryKey = :key")
  Optional<ClipUpload> taking(UUID key);

  /** What they will take when they are there. */
  @Query("select coalesce(sum(u.bytes), 0) from ClipUpload u")
  long room();

  long countByLifterId(long lifterId);

  /** Those that nobody went on with since then. */
  @Query("select u from ClipUpload u where u.begunAt < :then order by u.id")
  List<ClipUpload> left(Instant then, Limit limit);
}

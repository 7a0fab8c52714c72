package org.yarbel.web.session;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** What is said of sessions as they were lifted. */
public interface SessionLogRepository extends JpaRepository<SessionLog, Long> {
  Optional<SessionLog> findBySessionId(long sessionId);

  /** What is said of a session and, in the same breath, how the lifter came to its day. */
  @Query("select s as log, c as checkIn from TrainingSession t left join SessionLog s on s.sessionId = t.id "
      + "left join CheckedIn c on c.lifterId = t.lifterId and c.day = coalesce(s.liftedOn, t.day) where t.id = :sessionId")
  Optional<Both> both(long sessionId);

  /** The two of them; each null where nothing was said. */
  interface Both {
    @Nullable SessionLog getLog();

    @Nullable CheckedIn getCheckIn();
  }

  List<SessionLog> findBySessionIdIn(Collection<Long> sessionIds);
}

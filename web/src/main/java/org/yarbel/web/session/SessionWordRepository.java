package org.yarbel.web.session;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Words between lifters and coaches. */
public interface SessionWordRepository extends JpaRepository<SessionWord, Long> {
  Optional<SessionWord> findByEntryKey(UUID entryKey);

  List<SessionWord> findBySessionIdOrderById(long sessionId, Limit limit);

  /**
   * The words about a session, and what coaches said of earlier ones since the lifter trained last before it; the newest first.
   *
   * @param club whose they are: the query is written by hand
   */
  @Query(nativeQuery = true, value = """
      select w.* from session_word w join training_session t on t.club_id = w.club_id and t.id = w.session_id
      where w.club_id = :club and w.lifter_id = :lifterId and (w.session_id = :sessionId or w.by_coach and t.day < :day and w.said_at >= (
        select max(p.day) from training_session p where p.club_id = :club and p.lifter_id = :lifterId and p.day < :day))
      order by w.id desc limit :most""")
  List<SessionWord> ofCard(long club, long lifterId, long sessionId, LocalDate day, int most);

  /** What lifters said and no coach has read, the oldest first. */
  @Query("select w as word, l.name as name from SessionWord w join Lifter l on l.id = w.lifterId "
      + "where w.readAt is null and w.byCoach = false order by w.id")
  List<Unread> unreadByCoaches(Limit limit);

  /** A word, and what its lifter is called. */
  interface Unread {
    SessionWord getWord();

    String getName();
  }

  /** What coaches said to a lifter who has not read it, the oldest first. */
  @Query("select w from SessionWord w where w.lifterId = :lifterId and w.readAt is null and w.byCoach order by w.id")
  List<SessionWord> unreadByLifter(long lifterId, Limit limit);

  long countBySessionId(long sessionId);
}

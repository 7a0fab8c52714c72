package org.yarbel.web.call;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.CurrentClub;

/** How many clips there are of sessions. */
@Component
class ClipCounts {
  private final JdbcClient jdbc;
  private final CurrentClub club;

  ClipCounts(JdbcClient jdbc, CurrentClub club) {
    this.jdbc = jdbc;
    this.club = club;
  }

  @Transactional(readOnly = true)
  public int of(long sessionId) {
    return jdbc.sql("select count(*) from clip where club_id = :club and session_id = :session and gone_at is null")
        .param("club", club.id())
        .param("session", sessionId).query(Integer.class).single();
  }
}

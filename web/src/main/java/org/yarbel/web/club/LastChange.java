package org.yarbel.web.club;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.yarbel.web.problem.Meanwhile;

/** What somebody else of the club did last, for whoever lost against them. */
@Component
class LastChange implements Meanwhile {
  private final JdbcClient jdbc;
  private final CurrentClub club;

  LastChange(JdbcClient jdbc, CurrentClub club) {
    this.jdbc = jdbc;
    this.club = club;
  }

  @Override
  public Optional<String> words() {
    return jdbc.sql("select c.words || ' (' || a.name || ')' from change c join account a on a.club_id = c.club_id and a.id = c.account_id "
        + "where c.club_id = :club and c.words is not null order by c.id desc limit 1").param("club", club.id()).query(String.class)
        .optional();
  }
}

package org.yarbel.web.platform;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.who.SignedIn;

/** What lifters let others see of them. */
@Service
class Shows {
  private final JdbcClient jdbc;
  private final CurrentClub club;

  Shows(JdbcClient jdbc, CurrentClub club) {
    this.jdbc = jdbc;
    this.club = club;
  }

  /** What one lets others see. */
  record Shown(boolean name, boolean results) {
    static final Shown NOTHING = new Shown(false, false);
  }

  /** A day as somebody may see it: staff with all names; a lifter with those of the club who let theirs be seen, and of rivals. */
  @Transactional(readOnly = true)
  public Day forEyesOf(Day day, SignedIn who) {
    if (who.staff()) {
      return day;
    }
    Set<Long> others = new HashSet<>(day.lifters().keySet());
    others.removeIf(who::maySee);
    Map<Long, Shown> shown = of(others);
    others.removeIf(id -> shown.getOrDefault(id, Shown.NOTHING).name());
    return day.withoutNames(others);
  }

  private record Row(long id, boolean name, boolean results) {}

  /** What these lifters of the club in force let others see. */
  @Transactional(readOnly = true)
  public Map<Long, Shown> of(Collection<Long> lifters) {
    Map<Long, Shown> shown = new HashMap<>();
    if (!lifters.isEmpty()) {
      jdbc.sql("select id, shows_name as name, shows_results as results from lifter where club_id = :club and id in (:ids)")
          .param("club", club.id()).param("ids", lifters).query(Row.class).list()
          .forEach(row -> shown.put(row.id(), new Shown(row.name(), row.results())));
    }
    return shown;
  }
}

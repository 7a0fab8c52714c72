package org.yarbel.web.support;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Many lifters, for measuring. */
public final class Crowd {
  private Crowd() {}

  /** Adds lifters like one of the demo, called {@code Load 0} and so on, with their numbers; their ids. */
  public static List<Long> like(JdbcClient jdbc, long lifter, int count) {
    for (int i = 0; i < count; i++) {
      jdbc.sql("insert into lifter (id, club_id, place_id, name, unit, sex, birth_year, note, version, days_free) select "
          + "nextval('yarbel_id'), club_id, place_id, :name, unit, sex, birth_year, '', 0, 127 from lifter where id = :like")
          .param("name", "Load " + i).param("like", lifter).update();
    }
    jdbc.sql("insert into lift_numbers (id, club_id, lifter_id, lift, level, basis, tested_ng, tested_unit, tested_on, "
        + "standing, sets_that_day, tracked_with, version) "
        + "select nextval('yarbel_id'), n.club_id, l.id, n.lift, n.level, n.basis, n.tested_ng, n.tested_unit, n.tested_on, "
        + "n.standing, n.sets_that_day, n.tracked_with, 0 "
        + "from lift_numbers n join lifter l on l.club_id = n.club_id and l.name like 'Load %' where n.lifter_id = :like")
        .param("like", lifter).update();
    return jdbc.sql("select id from lifter where name like 'Load %' order by id").query(Long.class).list();
  }
}

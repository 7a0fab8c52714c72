package org.yarbel.web.club;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class SchemaTest {
  @Test
  void everyRowOfAClubIsKeyedByItsClubFirst(TestApp app) {
    List<String> wrong = app.jdbc().sql("""
        select t.relname from pg_class t join pg_namespace n on n.oid = t.relnamespace and n.nspname = 'public'
        join pg_attribute a on a.attrelid = t.oid and a.attname = 'club_id'
        join pg_constraint p on p.conrelid = t.oid and p.contype = 'p'
        where t.relkind = 'r' and p.conkey[1] <> a.attnum""").query(String.class).list();
    assertThat(wrong).as("tables whose primary key does not begin with the club").isEmpty();
  }

  @Test
  void everyIndexOfWhatGrowsBeginsWithTheClub(TestApp app) {
    List<String> wrong = app.jdbc().sql("""
        select indexname from pg_indexes where tablename in
        ('logged_set', 'tracked_point', 'card_issue', 'slot', 'training_session', 'change', 'lifter', 'lift_numbers')
        and indexdef not like '%(club_id, %'""").query(String.class).list();
    assertThat(wrong).isEmpty();
  }

  @Test
  void theLedgersPageIsReadFromAnIndex(TestApp app) {
    JdbcClient.create(app.owner()).sql("analyze logged_set").update();
    String plan = String.join("\n", app.jdbc().sql("""
        explain select * from logged_set where club_id = :club and lifter_id = :lifter and lift = 'squat' and day < date '2030-01-01'
        order by day desc, id desc limit 120""")
        .param("club", app.jdbc().sql("select club_id from demo_week").query(Long.class).single())
        .param("lifter", app.lifter("Maren")).query(String.class).list());
    assertThat(plan).contains("logged_set_lift_day");
  }

  @Test
  void theApplicationsRoleReadsAndWritesRowsAndNothingElse(TestApp app) {
    for (String beyond : List.of("create table more (id int)", "alter table lifter add column more int", "drop table lifter",
        "create role more",
        "truncate logged_set", "copy lifter to '/tmp/lifters'", "create schema more", "select pg_read_file('/etc/passwd')",
        "alter role yarbel superuser")) {
      assertThatThrownBy(() -> app.jdbc().sql(beyond).update()).as(beyond).isInstanceOf(DataAccessException.class);
    }
    assertThat(app.jdbc().sql("select count(*) from pg_class c join pg_roles r on r.oid = c.relowner where r.rolname = 'yarbel'")
        .query(Integer.class).single())
        .as("what it owns").isZero();
  }
}

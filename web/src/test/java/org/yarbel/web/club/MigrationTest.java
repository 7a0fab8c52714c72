package org.yarbel.web.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.support.TestApp;

/** Data written by the first version is read by this one. */
@ExtendWith(TestApp.class)
class MigrationTest {
  /** What Flyway reckoned of each that clubs have. A new one gets its line; a line never changes, for their databases would not start. */
  private static final List<Integer> GIVEN_OUT = List.of(-497265995, 191302530, 1940890963, 187201644, -1345654944, 80807570, -1253078652,
      1929321907, -1118711605, -313240580, -1574668437, 1927792178, 2053222920, 1851842557);

  @Test
  void whatWasGivenOutIsNeverEdited(TestApp app) {
    assertThat(JdbcClient.create(app.owner()).sql("select checksum from flyway_schema_history where version is not null order by "
        + "installed_rank").query(Integer.class).list()).isEqualTo(GIVEN_OUT);
  }

  @Test
  void aPlacesBarAndPlatesBecomeItsKit(TestApp app) {
    FluentConfiguration old = Flyway.configure().dataSource(app.owner()).schemas("older").locations("classpath:db/migration");
    old.target("1").load().migrate();
    JdbcClient.create(app.owner()).sql("set search_path = older; "
        + "insert into club values (1, 'Older', 'UTC', 'LB'); "
        + "insert into place values (1, 1, 'Hall', 'LB', 45 * 453592370000, 5 * 453592370000, 0), (2, 1, 'Bare', 'KG', "
        + "20000000000000, 0, 0); "
        + "insert into plate values (1, 1, 1, 45 * 453592370000, 10), (2, 1, 1, 2.5 * 453592370000, 3); "
        + "insert into lifter (id, club_id, place_id, name, unit, body_mass_ng, version) values (1, 1, 1, 'Older', 'LB', "
        + "90000000000000, 0); "
        + "set search_path = public").update();
    old.target("latest").load().migrate();
    PlaceKit kit = kit(app, 1);
    assertThat(kit.bars()).singleElement().satisfies(bar -> assertThat(bar.mass().text()).isEqualTo("45 lb"));
    assertThat(kit.collars().text()).isEqualTo("5 lb");
    assertThat(kit.plates()).extracting(p -> p.size().toString() + "x" + p.pairs()).containsExactly("45 lbx10", "2.5 lbx3");
    assertThat(kit(app, 2).plates()).isEmpty();
    assertThat(JdbcClient.create(app.owner()).sql("select mass_ng from older.weigh_in").query(Long.class).single())
        .isEqualTo(90_000_000_000_000L);
    JdbcClient.create(app.owner()).sql("drop schema older cascade").update();
  }

  @Test
  void cardsAndTheLogKnowALineByItsRef(TestApp app) {
    FluentConfiguration old = Flyway.configure().dataSource(app.owner()).schemas("numbered").locations("classpath:db/migration");
    old.target("7").load().migrate();
    JdbcClient jdbc = JdbcClient.create(app.owner());
    jdbc.sql("""
        set search_path = numbered;
        insert into club (id, name, zone, unit) values (1, 'Numbered', 'UTC', 'KG');
        insert into place (id, club_id, name, unit, kit, version) values (1, 1, 'Hall', 'KG', '{}', 0);
        insert into lifter (id, club_id, place_id, name, unit, version) values (1, 1, 1, 'Numbered', 'KG', 0);
        insert into training_session (id, club_id, lifter_id, day, version) values (5, 1, 1, '2026-01-05', 0);
        insert into progression (id, club_id, lifter_id, lift, method, settings, starts_on, days, turn, version)
          values (40, 1, 1, 'squat', 'RPE_WEEKS', '{}', '2026-01-05', 1, 'EVERY', 0);
        insert into slot (id, club_id, session_id, position, kind, lift, work, progression_id, version) values
          (7, 1, 5, 1, 'MAIN', 'squat', '1x1 70kg', 40, 0), (8, 1, 5, 2, 'MAIN', 'bench', '1x1 60kg', null, 0);
        insert into card_issue (id, club_id, session_id, number, issued_at, document) values
          (20, 1, 5, 1, now(), '{"number":1,"slots":[{"slotId":9,"lift":"row"},{"slotId":7,"lift":"squat"}],"order":null}'),
          (21, 1, 5, 2, now(), '{"number":2,"slots":[{"slotId":7,"lift":"squat"},{"slotId":8,"lift":"bench"}],
            "order":[{"line":8,"part":1,"set":1},{"line":7,"part":1,"set":1}]}');
        insert into logged_set (id, club_id, lifter_id, session_id, slot_id, issue_number, part, set_number, lift, day, load_ng, unit, reps,
          to_failure, flagged, entry_key, logged_at, version) values
          (30, 1, 1, 5, 7, 1, 1, 1, 'squat', '2026-01-05', 1, 'KG', 1, false, false, gen_random_uuid(), now(), 0),
          (31, 1, 1, 5, 9, 1, 1, 1, 'row', '2026-01-05', 1, 'KG', 1, false, false, gen_random_uuid(), now(), 0);
        insert into left_sets (club_id, session_id, slot_id, why, ended_at) values (1, 5, 8, 'COULD_NOT', now());
        set search_path = public""").update();
    old.target("latest").load().migrate();
    assertThat(jdbc.sql("select p.id from numbered.progression p join numbered.slot s on s.progression = p.ref").query(Long.class)
        .list()).containsExactly(40L);
    assertThat(jdbc.sql("select l.lift from numbered.logged_set l join numbered.slot s on s.ref = l.line").query(String.class)
        .list()).containsExactly("squat");
    assertThat(jdbc.sql("select l.why from numbered.left_sets l join numbered.slot s on s.ref = l.line where s.lift = 'bench'")
        .query(String.class).list())
        .containsExactly("COULD_NOT");
    assertThat(jdbc.sql("""
        select i.number || ' ' || (s ->> 'lift') || ' ' || coalesce(l.lift, 'nothing logged') || (case when jsonb_exists(s, 'slotId') then ' numbered' else '' end)
        from numbered.card_issue i cross join jsonb_array_elements(i.document::jsonb -> 'slots') with ordinality e (s, at)
        left join numbered.logged_set l on l.line::text = s ->> 'ref' order by i.number, at""").query(String.class).list())
        .as("a line that is gone is one on its card and in the log").containsExactly("1 row row", "1 squat squat", "2 squat squat",
            "2 bench nothing logged");
    assertThat(jdbc.sql("select jsonb_path_query_array(document::jsonb, '$.order[*].line')::text from numbered.card_issue order by number")
        .query(String.class).list()).as("the bench first, which is the second").containsExactly("[]", "[2, 1]");
    jdbc.sql("drop schema numbered cascade").update();
  }

  @Test
  void aMaxOfBeforeStandsBesideTheNewOneAndNothingIsMadeUpOfOldSets(TestApp app) {
    FluentConfiguration old = Flyway.configure().dataSource(app.owner()).schemas("scalar").locations("classpath:db/migration");
    old.target("8").load().migrate();
    JdbcClient jdbc = JdbcClient.create(app.owner());
    jdbc.sql("""
        set search_path = scalar;
        insert into club (id, name, zone, unit) values (1, 'Scalar', 'UTC', 'KG');
        insert into place (id, club_id, name, unit, kit, version) values (1, 1, 'Hall', 'KG', '{}', 0);
        insert into lifter (id, club_id, place_id, name, unit, version) values (1, 1, 1, 'Scalar', 'KG', 0);
        insert into training_session (id, club_id, lifter_id, day, version) values (5, 1, 1, '2026-01-05', 0);
        insert into lift_numbers (id, club_id, lifter_id, lift, level, basis, estimate_ng, sd_ng, estimate_on, version) values
          (10, 1, 1, 'squat', 'ADVANCED', 'ESTIMATED', 200, 4, '2026-01-05', 0), (11, 1, 1, 'bench', 'ADVANCED', 'ESTIMATED', null, null, null, 0);
        insert into logged_set (id, club_id, lifter_id, session_id, line, issue_number, part, set_number, lift, day, load_ng, unit, reps, rpe_halves,
          to_failure, flagged, entry_key, logged_at, version) values
          (30, 1, 1, 5, gen_random_uuid(), 1, 1, 1, 'squat', '2026-01-05', 1, 'KG', 8, 20, true, false, gen_random_uuid(), now(), 0),
          (31, 1, 1, 5, gen_random_uuid(), 1, 1, 2, 'squat', '2026-01-05', 1, 'KG', 8, null, false, true, gen_random_uuid(), now(), 0),
          (32, 1, 1, null, null, 1, 1, 1, 'squat', '2026-01-01', 1, 'KG', 8, null, true, false, gen_random_uuid(), now(), 0);
        set search_path = public""").update();
    old.target("latest").load().migrate();
    assertThat(jdbc.sql("select lift || ' ' || coalesce(before_ng::text, '-') || ' ' || tracked_with || ' ' || coalesce(standing::text, '-') "
        + "from scalar.lift_numbers order by id").query(String.class).list()).as("to be run anew when the application starts")
        .containsExactly("squat 200 0 -", "bench - 0 -");
    assertThat(jdbc.sql("select to_failure || ' ' || easier from scalar.logged_set order by id").query(String.class).list())
        .as("rated 10 is no miss, not rated is not easier, told to failure is").containsExactly("false false", "false false", "true false");
    assertThat(jdbc.sql("select contexts from scalar.logged_set order by id").query(String.class).list())
        .as("a set that was marked as odd says that something was").containsExactly("", "SOMETHING_ELSE", "");
    jdbc.sql("drop schema scalar cascade").update();
  }

  @Test
  void whoWasSentToAContestBeforeLiftsThere(TestApp app) {
    FluentConfiguration old = Flyway.configure().dataSource(app.owner()).schemas("sent").locations("classpath:db/migration");
    old.target("13").load().migrate();
    JdbcClient jdbc = JdbcClient.create(app.owner());
    jdbc.sql("""
        set search_path = sent;
        insert into club (id, name, zone, unit) values (1, 'Sent', 'UTC', 'KG');
        insert into place (id, club_id, name, unit, kit, version) values (1, 1, 'Hall', 'KG', '{}', 0);
        insert into lifter (id, club_id, place_id, name, unit, version) values (1, 1, 1, 'Sent', 'KG', 0), (2, 1, 1, 'Stays', 'KG', 0);
        insert into contest (id, club_id, name, sport, state, day, rules, version) values
          (7, 1, 'Open', 'POWERLIFTING', 'PLANNED', '2026-03-02', 'CLASSIC', 0);
        insert into contest_entry (id, club_id, contest_id, lifter_id, weight_class) values (9, 1, 7, 1, '93');
        set search_path = public""").update();
    old.target("latest").load().migrate();
    assertThat(jdbc.sql("select contest_id || ' ' || lifter_id || ' ' || category || ' ' || gone from sent.contest_athlete").query(String.class)
        .list()).containsExactly("7 1 93 false");
    jdbc.sql("drop schema sent cascade").update();
  }

  private static PlaceKit kit(TestApp app, long place) {
    return app.bean(CoreJson.class).read(
        JdbcClient.create(app.owner()).sql("select kit from older.place where id = :id").param("id", place).query(String.class)
        .single(), PlaceKit.class);
  }

  @Test
  void anOrdinaryKitIsReadBackAsItWasWritten(TestApp app) {
    PlaceKit kit = PlaceKit.of(Kit.standard(MassUnit.LB));
    assertThat(app.bean(CoreJson.class).read(app.bean(CoreJson.class).write(kit), PlaceKit.class)).isEqualTo(kit);
  }
}

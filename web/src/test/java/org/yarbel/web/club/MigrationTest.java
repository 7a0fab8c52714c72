package org.yarbel.web.club;

import static org.assertj.core.api.Assertions.assertThat;

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
  @Test
  void aPlacesBarAndPlatesBecomeItsKit(TestApp app) {
    FluentConfiguration old = Flyway.configure().dataSource(app.owner()).schemas("older").locations("classpath:db/migration");
    old.target("1").load().migrate();
    JdbcClient.create(app.owner()).sql("set search_path = older; "
        + "insert into club values (1, 'Older', 'UTC', 'LB'); "
        + "insert into place values (1, 1, 'Hall', 'LB', 45 * 453592370000, 5 * 453592370000, 0), (2, 1, 'Bare', 'KG', 20000000000000, 0, 0); "
        + "insert into plate values (1, 1, 1, 45 * 453592370000, 10), (2, 1, 1, 2.5 * 453592370000, 3); "
        + "insert into lifter (id, club_id, place_id, name, unit, body_mass_ng, version) values (1, 1, 1, 'Older', 'LB', 90000000000000, 0); "
        + "set search_path = public").update();
    old.target("latest").load().migrate();
    PlaceKit kit = kit(app, 1);
    assertThat(kit.bars()).singleElement().satisfies(bar -> assertThat(bar.mass().text()).isEqualTo("45 lb"));
    assertThat(kit.collars().text()).isEqualTo("5 lb");
    assertThat(kit.plates()).extracting(p -> p.size().toString() + "x" + p.pairs()).containsExactly("45 lbx10", "2.5 lbx3");
    assertThat(kit(app, 2).plates()).isEmpty();
    assertThat(JdbcClient.create(app.owner()).sql("select mass_ng from older.weigh_in").query(Long.class).single()).isEqualTo(90_000_000_000_000L);
    JdbcClient.create(app.owner()).sql("drop schema older cascade").update();
  }

  private static PlaceKit kit(TestApp app, long place) {
    return app.bean(CoreJson.class).read(
        JdbcClient.create(app.owner()).sql("select kit from older.place where id = :id").param("id", place).query(String.class).single(), PlaceKit.class);
  }

  @Test
  void anOrdinaryKitIsReadBackAsItWasWritten(TestApp app) {
    PlaceKit kit = PlaceKit.of(Kit.standard(MassUnit.LB));
    assertThat(app.bean(CoreJson.class).read(app.bean(CoreJson.class).write(kit), PlaceKit.class)).isEqualTo(kit);
  }
}

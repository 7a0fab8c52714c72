package org.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class QueryCountTest {
  @Test
  void theFloorAsksAsManyQueriesForOneLifterAsForAll(TestApp app) {
    Client coach = Client.of(app, "coach");
    assertThat(statements(app, () -> coach.get("/?find=a"))).as("as many found").isEqualTo(statements(app, () -> coach.get("/?find=maren")))
        .isLessThanOrEqualTo(15);
    assertThat(statements(app, () -> coach.get("/"))).as("with the contests that come").isLessThanOrEqualTo(22);
  }

  @Test
  void aWeekAsksAFewQueriesHoweverManyLinesItHas(TestApp app) {
    Client coach = Client.of(app, "coach");
    long maren = app.lifter("Maren");
    long full = statements(app, () -> coach.get("/lifters/" + maren + "/week"));
    long empty = statements(app, () -> coach.get("/lifters/" + maren + "/week?of=2031-01-01"));
    assertThat(full).isLessThanOrEqualTo(empty + 3).isLessThanOrEqualTo(23);
  }

  @Test
  void aCardAndALiftersPageAskAFewQueriesToo(TestApp app) {
    Client coach = Client.of(app, "coach");
    long session = app.session("Odile", TestApp.TODAY.minusDays(1));
    coach.card(session);
    assertThat(statements(app, () -> coach.get("/sessions/" + session + "/card"))).isLessThanOrEqualTo(9);
    assertThat(statements(app, () -> coach.get("/lifters/" + app.lifter("Odile")))).isLessThanOrEqualTo(16);
    assertThat(statements(app, () -> coach.get("/kit/" + app.hall()))).isLessThanOrEqualTo(10);
  }

  @Test
  void theRunwayAsksAFewQueriesHoweverLongThePlanIs(TestApp app) {
    Client coach = Client.of(app, "coach");
    long emeric = app.lifter("Emeric");
    coach.get("/lifters/" + emeric + "/runway");
    assertThat(statements(app, () -> coach.get("/lifters/" + emeric + "/runway"))).isLessThanOrEqualTo(30);
    assertThat(statements(app, () -> coach.get("/contests"))).isLessThanOrEqualTo(12);
  }

  private static long statements(TestApp app, Runnable work) {
    Statistics statistics = app.bean(EntityManagerFactory.class).unwrap(SessionFactory.class).getStatistics();
    long before = statistics.getPrepareStatementCount();
    work.run();
    return statistics.getPrepareStatementCount() - before;
  }
}

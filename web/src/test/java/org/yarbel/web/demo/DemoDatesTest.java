package org.yarbel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.account.Owner;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class DemoDatesTest {
  @Test
  void movesEveryDayInADocument() {
    assertThat(DemoDates.moved("{\"day\":\"2026-03-02\",\"work\":\"5x5\",\"numbersOn\":{\"squat\":\"2026-02-27\"}}", 2))
        .isEqualTo("{\"day\":\"2026-03-16\",\"work\":\"5x5\",\"numbersOn\":{\"squat\":\"2026-03-13\"}}");
  }

  @Test
  void movesTheWholeClubByWholeWeeks(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.bean(TransactionTemplate.class).executeWithoutResult(status -> {
      LocalDate before = newest(app);
      DemoDates.move(app.jdbc(), club, 3);
      assertThat(newest(app)).isEqualTo(before.plusWeeks(3));
      status.setRollbackOnly();
    });
  }

  @Test
  void showsAClubThatTrainsAndLogs(TestApp app) {
    assertThat(app.jdbc().sql("select count(*) from logged_set").query(Long.class).single()).isGreaterThan(800);
    assertThat(app.jdbc().sql("select count(distinct lifter_id) from training_session where day = :today")
        .param("today", TestApp.TODAY).query(Long.class).single()).isGreaterThanOrEqualTo(2);
    assertThat(app.jdbc().sql("select count(*) from logged_set where reps = 0 or reps < asked_reps").query(Long.class).single())
        .as("believable: some sets fall short").isPositive();
  }

  /** Whoever shows Yarbel does it on any day of the week: the days behind in it are lifted too. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6})
  void isMadeOnAnyDayOfAWeek(int afterMonday, TestApp app) {
    LocalDate today = TestApp.TODAY.plusDays(afterMonday);
    DemoProgram program = DemoPrograms.all().get(2 * afterMonday - 1);
    Owner owner = app.bean(Owner.class);
    long club = owner.newClubId();
    app.bean(CurrentClub.class).within(club, () -> app.bean(TransactionTemplate.class).executeWithoutResult(status -> {
      owner.create(club, new Owner.Beginning("Another hall", DemoClub.zone(), DemoKit.hall(today), "Ines Okoro", "ines@hall.example",
          DemoClub.PASSWORD));
      app.bean(DemoContests.class).make(today);
      DemoLifter one = new DemoLifter(program, app.bean(Places.class).all().get(0), today, 1);
      app.bean(DemoClub.class).fill(club, one);
      assertThat(app.jdbc().sql("select max(day) from logged_set where lifter_id = :l").param("l", one.lifter().id())
          .query(LocalDate.class).single()).isBetween(TestApp.TODAY.minusDays(3), today);
      status.setRollbackOnly();
    }));
  }

  private static LocalDate newest(TestApp app) {
    return app.jdbc().sql("select max(day) from logged_set where day < '2026-03-02'::date + 100").query(LocalDate.class).single();
  }
}

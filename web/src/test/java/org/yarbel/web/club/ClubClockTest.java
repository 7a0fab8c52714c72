package org.yarbel.web.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalTime;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.account.Owner;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class ClubClockTest {
  /** Kiritimati is 14 hours ahead of UTC (the tz database): at noon of 2 March there it is 2 in the morning of the 3rd. */
  @Test
  void daysAndHoursAreThoseOfTheClub(TestApp app) {
    Owner owner = app.bean(Owner.class);
    long club = owner.newClubId();
    owner.create(club, new Owner.Beginning("Island Barbell", ZoneId.of("Pacific/Kiritimati"), PlaceKit.of(Kit.standard(MassUnit.KG)),
        "Somebody Early", "early@island.example", "tarnbrook-demo"));
    ClubClock clock = app.bean(ClubClock.class);
    app.bean(CurrentClub.class).within(club, () -> {
      assertThat(clock.today()).isEqualTo(TestApp.TODAY.plusDays(1));
      assertThat(clock.local(clock.now()).toLocalTime()).isEqualTo(LocalTime.of(2, 0));
    });
    assertThat(Client.of(app, "early@island.example").get("/").body()).contains("Tuesday 3 March 2026");
    assertThat(Client.of(app, "coach").get("/").body()).as("Tarnbrook is on UTC").contains("Monday 2 March 2026");
  }
}

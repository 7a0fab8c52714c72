package org.yarbel.web.demo;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.account.Owner;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;

/**
 * Makes the demo club when it is not there, and otherwise moves all its dates by whole weeks to this one, so that every
 * screen always has something to show and what was typed stays.
 */
@Component
class DemoStart implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(DemoStart.class);

  private final YarbelProperties properties;
  private final Owner owner;
  private final DemoClub club;
  private final CurrentClub currentClub;
  private final ClubClock clock;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final DemoDay day;

  DemoStart(YarbelProperties properties, Owner owner, DemoClub club, CurrentClub currentClub, ClubClock clock,
      JdbcClient jdbc, TransactionTemplate transaction, DemoDay day) {
    this.day = day;
    this.properties = properties;
    this.owner = owner;
    this.club = club;
    this.currentClub = currentClub;
    this.clock = clock;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  private record Made(long clubId, LocalDate monday) {}

  @Override
  public void run(ApplicationArguments arguments) {
    if (!properties.demo()) {
      return;
    }
    LocalDate today = LocalDate.ofInstant(clock.now(), ZoneOffset.UTC);
    LocalDate monday = Macrocycle.monday(today);
    Optional<Made> made = jdbc.sql("select club_id, monday from demo_week").query(Made.class).optional();
    if (made.isEmpty()) {
      make(today, monday);
    } else {
      move(made.get(), monday);
      currentClub.within(made.get().clubId(), () -> transaction.executeWithoutResult(status -> day.renew(today)));
    }
    LOG.info("Demo sign-in: coach{} (owner), hedda{} (coach), anselm{} (assistant), maren{} (lifter), password {}", DemoClub.DOMAIN,
        DemoClub.DOMAIN, DemoClub.DOMAIN, DemoClub.DOMAIN,
        DemoClub.PASSWORD);
  }

  private void make(LocalDate today, LocalDate monday) {
    long clubId = owner.newClubId();
    currentClub.within(clubId, () -> transaction.executeWithoutResult(status -> {
      owner.create(clubId, new Owner.Beginning("Tarnbrook Barbell Hall", DemoClub.zone(), DemoKit.hall(today), "Isolde Marchbank",
          "coach" + DemoClub.DOMAIN, DemoClub.PASSWORD));
      club.fill(clubId, today);
      jdbc.sql("insert into demo_week (club_id, monday) values (:club, :monday)")
          .param("club", clubId).param("monday", monday).update();
    }));
  }

  private void move(Made made, LocalDate monday) {
    long weeks = ChronoUnit.WEEKS.between(made.monday(), monday);
    if (weeks > 0) {
      transaction.executeWithoutResult(status -> DemoDates.move(jdbc, made.clubId(), (int) weeks));
    }
  }
}

package org.yarbel.web.club;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import org.springframework.stereotype.Component;
import org.yarbel.web.YarbelProperties;

/** What time it is: UTC instants, and days as the club counts them. */
@Component
public class ClubClock {
  private final Clock clock;
  private final ClubRepository clubs;
  private final CurrentClub currentClub;
  private final ClubCache cache;

  ClubClock(YarbelProperties properties, ClubRepository clubs, CurrentClub currentClub, ClubCache cache) {
    LocalDate fixed = properties.today();
    this.clock = fixed == null
        ? Clock.systemUTC()
        : Clock.fixed(fixed.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC), ZoneOffset.UTC);
    this.clubs = clubs;
    this.currentClub = currentClub;
    this.cache = cache;
  }

  /** The moment, or that of the day the application was started for. */
  public Instant now() {
    return clock.instant();
  }

  /** Today in the zone of the club in force. */
  public LocalDate today() {
    return local(now()).toLocalDate();
  }

  /** A moment as the clock on the wall of the club in force shows it. */
  public ZonedDateTime local(Instant moment) {
    return moment.atZone(zone());
  }

  /** The zone of the club in force. */
  public ZoneId zone() {
    return cache.of(ClubCache.What.ITSELF, () -> clubs.findById(currentClub.id())).map(Club::zone).orElse(ZoneOffset.UTC);
  }
}

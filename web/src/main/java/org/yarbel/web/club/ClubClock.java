package org.yarbel.web.club;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
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
    return cache.of(ClubCache.What.ITSELF, () -> clubs.findById(currentClub.id()))
        .map(club -> LocalDate.ofInstant(now(), club.zone()))
        .orElseGet(() -> LocalDate.ofInstant(now(), ZoneOffset.UTC));
  }
}

package org.yarbel.web.account;

import java.time.ZoneId;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.web.club.Club;
import org.yarbel.web.club.ClubRepository;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.who.Role;

/** Makes a club with its first place and its owner's account, all or nothing. */
@Service
public class Owner {
  private final ClubRepository clubs;
  private final Places places;
  private final Accounts accounts;
  private final CurrentClub currentClub;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;

  Owner(ClubRepository clubs, Places places, Accounts accounts, CurrentClub currentClub, JdbcClient jdbc,
      TransactionTemplate transaction) {
    this.clubs = clubs;
    this.places = places;
    this.accounts = accounts;
    this.currentClub = currentClub;
    this.jdbc = jdbc;
    this.transaction = transaction;
  }

  /** An id for a club to be. */
  public long newClubId() {
    return jdbc.sql("select nextval('yarbel_id')").query(Long.class).single();
  }

  /** What a club begins with: its first place, and its owner's name, address and password. */
  public record Beginning(String club, ZoneId zone, PlaceKit kit, String name, String email, String password) {}

  /** Makes them. */
  public void create(long clubId, Beginning said) {
    currentClub.within(clubId, () -> transaction.executeWithoutResult(status -> make(clubId, said)));
  }

  /**
   * Makes them on the first visit, which happens once.
   *
   * @throws DuplicateKeyException when somebody was first
   */
  void begin(long clubId, Beginning said) {
    currentClub.within(clubId, () -> transaction.executeWithoutResult(status -> {
      // whoever comes at the same moment waits here for this one to be through, and is refused then
      jdbc.sql("insert into first_visit (done) values (true)").update();
      make(clubId, said);
    }));
  }

  private void make(long clubId, Beginning said) {
    clubs.save(new Club(clubId, said.club(), said.zone(), said.kit().unit()));
    clubs.flush();
    places.add(said.club(), said.kit());
    accounts.add(clubId, said.email(), said.password(), said.name(), Role.OWNER, null);
  }
}

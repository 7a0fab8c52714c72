package org.yarbel.web.people;

import java.util.Objects;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Persons;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.who.SignedIn;

/** Makes somebody what their invitation says, and uses it up: both or neither. */
@Service
class Joining {
  private final EntryLinks links;
  private final Persons persons;
  private final Accounts accounts;
  private final Places places;
  private final CurrentClub club;
  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final SecurityLog log;

  Joining(EntryLinks links, Persons persons, Accounts accounts, Places places, CurrentClub club, JdbcClient jdbc,
      TransactionTemplate transaction, SecurityLog log) {
    this.links = links;
    this.persons = persons;
    this.accounts = accounts;
    this.places = places;
    this.club = club;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.log = log;
  }

  /** Whether a link would make a person of the staff who is of it already. */
  boolean isIn(EntryLinks.Link link, long personId) {
    return link.lifterId() == null && accounts.memberships(personId).stream()
        .anyMatch(one -> one.clubId() == link.clubId() && one.role().staff());
  }

  /** Somebody new; empty when the link was used meanwhile. */
  Optional<SignedIn> asNew(EntryLinks.Link link, String name, String email, String password) {
    return within(link, () -> persons.add(email, password), name);
  }

  /** Somebody who signs in already. */
  Optional<SignedIn> asKnown(EntryLinks.Link link, long personId) {
    String name = link.lifterId() != null || !link.name().isEmpty() ? link.name()
        : accounts.memberships(personId).stream().map(Accounts.Membership::name).findFirst().orElse("");
    return within(link, () -> personId, name);
  }

  private Optional<SignedIn> within(EntryLinks.Link link, java.util.function.LongSupplier person, String name) {
    return club.within(link.clubId(), () -> transaction.execute(status -> {
      if (!links.use(link) || link.lifterId() != null && accounts.ofLifter(link.clubId(), link.lifterId()).isPresent()) {
        return Optional.<SignedIn>empty();
      }
      if (places.all().isEmpty()) {
        // the first owner of a club that was made at the machine
        places.add(link.club(), PlaceKit.of(Kit.standard(MassUnit.valueOf(jdbc.sql("select unit from club where id = :club")
            .param("club", link.clubId()).query(String.class).single()))));
      }
      long account = accounts.join(link.clubId(), new Accounts.Joining(person.getAsLong(), name, Objects.requireNonNull(link.role()),
          link.lifterId()));
      log.note(Event.JOINED, link.clubId(), account, "as " + link.role().word());
      return accounts.of(link.clubId(), account);
    }));
  }
}

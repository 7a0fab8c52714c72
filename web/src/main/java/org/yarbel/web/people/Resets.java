package org.yarbel.web.people;

import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Persons;
import org.yarbel.web.account.SecondSteps;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;

/** Another password by a link. */
@Service
class Resets {
  private final EntryLinks links;
  private final Letters letters;
  private final Persons persons;
  private final Accounts accounts;
  private final SecondSteps steps;
  private final SecurityLog log;

  Resets(EntryLinks links, Letters letters, Persons persons, Accounts accounts, SecondSteps steps, SecurityLog log) {
    this.links = links;
    this.letters = letters;
    this.persons = persons;
    this.accounts = accounts;
    this.steps = steps;
    this.log = log;
  }

  /** Makes a link and the letter it goes in. */
  @Transactional
  public void ask(long clubId, long personId, String to, long account) {
    String token = links.forPassword(clubId, personId, account, EntryLinks.BY_MAIL);
    letters.write(clubId, LetterTexts.password(to, links.password(token)));
    log.note(Event.LINK_MADE, clubId, account, "asked for on the sign-in page");
  }

  /** Uses a link up; false when somebody was first. One that was made at the machine takes the second step away too. */
  @Transactional
  public boolean choose(EntryLinks.Link link, String password) {
    if (!links.use(link)) {
      return false;
    }
    long person = Objects.requireNonNull(link.personId());
    persons.reset(person, password);
    if (link.madeBy() == 0) {
      steps.forget(person);
    }
    accounts.memberships(person).forEach(one -> log.note(Event.PASSWORD_CHANGED, one.clubId(), one.accountId(), link.madeBy() == 0
        ? "by a link from the machine; the second step is gone" : "by a link"));
    return true;
  }
}

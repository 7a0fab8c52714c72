package org.yarbel.web.people;

import org.yarbel.web.who.Role;

/** What stands in letters. */
final class LetterTexts {
  private LetterTexts() {}

  static Letters.Letter invitation(String to, String by, Role role, String address) {
    return new Letters.Letter(to, "You are invited to Yarbel", by + " invites you to their club on Yarbel as " + role.word() + ".\n\n"
        + "Open this address to choose a password:\n" + address + "\n\nIt counts for a week, and once. If you do not know who wrote this, "
        + "do nothing.\n");
  }

  static Letters.Letter password(String to, String address) {
    return new Letters.Letter(to, "Another password for Yarbel", "Somebody asked for another password for this address.\n\nOpen this "
        + "address to choose one:\n" + address
            + "\n\nIt counts for an hour, and once. If it was not you, do nothing: the password stays as "
        + "it is.\n");
  }
}

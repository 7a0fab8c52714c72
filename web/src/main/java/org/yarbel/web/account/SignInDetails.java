package org.yarbel.web.account;

import java.util.Map;

/** What an e-mail address must be. */
public final class SignInDetails {
  /** As long as an address can be: RFC 5321, 4.5.3.1.3, less the two signs around it. */
  static final int MOST_EMAIL = 254;

  private SignInDetails() {}

  /** Adds a sentence under {@code email} when it is none. */
  public static void check(String email, Map<String, String> errors) {
    int at = email.indexOf('@');
    if (at < 1 || at == email.length() - 1 || email.length() > MOST_EMAIL || email.chars().anyMatch(Character::isWhitespace)) {
      errors.put("email", "Write an e-mail address such as coach@example.org; it is what you sign in with.");
    }
  }
}

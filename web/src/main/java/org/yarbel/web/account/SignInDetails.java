package org.yarbel.web.account;

import java.util.Map;

/** What an e-mail address and a password must be. */
public final class SignInDetails {
  private static final int MOST_PASSWORD_LENGTH = 200;

  private SignInDetails() {}

  /** Adds a sentence under {@code email} or {@code password} for each that is not usable. */
  public static void check(String email, String password, Map<String, String> errors) {
    int at = email.indexOf('@');
    if (at < 1 || at == email.length() - 1 || email.length() > 200 || email.chars().anyMatch(Character::isWhitespace)) {
      errors.put("email", "Write an e-mail address such as coach@example.org; it is what you sign in with.");
    }
    checkPassword(password, errors);
  }

  /** Adds a sentence under {@code password} when it is too short or too long. */
  static void checkPassword(String password, Map<String, String> errors) {
    if (password.length() < Accounts.LEAST_PASSWORD_LENGTH || password.length() > MOST_PASSWORD_LENGTH) {
      errors.put("password", "The password must have 10 to 200 characters but has " + password.length() + ".");
    }
  }
}

package org.yarbel.web.account;

import java.util.List;
import java.util.Objects;
import org.springframework.security.authentication.AccountStatusException;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.DisabledException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.yarbel.web.who.SignedIn;

/**
 * Looks at a password. An address may belong to several people: the first whose password it is comes in, to the club they were in
 * last. Whoever has a second step is let in after it alone.
 */
@Component
class SignInProvider implements AuthenticationProvider {
  private final Persons persons;
  private final Accounts accounts;
  private final SecondSteps steps;
  private final PasswordEncoder passwords;
  private final String nobodys;

  SignInProvider(Persons persons, Accounts accounts, SecondSteps steps, PasswordEncoder passwords) {
    this.persons = persons;
    this.accounts = accounts;
    this.steps = steps;
    this.passwords = passwords;
    this.nobodys = Objects.requireNonNull(passwords.encode("nobody's password"));
  }

  /** The password was right, and there is a second step. */
  static final class StepMissing extends AccountStatusException {
    private static final long serialVersionUID = 1;
    private final transient SignedIn who;

    StepMissing(SignedIn who) {
      super("A second step is missing");
      this.who = who;
    }

    SignedIn who() {
      return who;
    }
  }

  @Override
  public boolean supports(Class<?> authentication) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(authentication);
  }

  @Override
  public Authentication authenticate(Authentication tried) {
    String password = String.valueOf(tried.getCredentials());
    if (password.length() > PasswordRules.MOST) {
      throw new BadCredentialsException("No password is so long");
    }
    List<Persons.Person> candidates = persons.of(tried.getName());
    if (candidates.stream().allMatch(one -> one.passwordHash().isEmpty())) {
      // as long as it takes where there is an account
      passwords.matches(password, nobodys);
      throw new BadCredentialsException("No such account");
    }
    List<Persons.Person> right = candidates.stream().filter(one -> persons.matches(one, password)).toList();
    if (right.isEmpty()) {
      throw new BadCredentialsException("Not the password");
    }
    SignedIn who = right.stream().flatMap(one -> accounts.ofPerson(one.id()).stream()).findFirst()
        .orElseThrow(() -> new DisabledException("Switched off"));
    who.eraseCredentials();
    if (steps.has(who.personId())) {
      throw new StepMissing(who);
    }
    UsernamePasswordAuthenticationToken signedIn = UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    signedIn.setDetails(tried.getDetails());
    return signedIn;
  }
}

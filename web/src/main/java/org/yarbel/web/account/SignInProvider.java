package org.yarbel.web.account;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.DisabledException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.yarbel.web.who.SignedIn;

/** Looks at a password. One address may have an account in several clubs: the first that the password belongs to is taken. */
@Component
class SignInProvider implements AuthenticationProvider {
  private final Accounts accounts;
  private final PasswordEncoder passwords;
  private final String nobodys;

  SignInProvider(Accounts accounts, PasswordEncoder passwords) {
    this.accounts = accounts;
    this.passwords = passwords;
    this.nobodys = Objects.requireNonNull(passwords.encode("nobody's password"));
  }

  @Override
  public boolean supports(Class<?> authentication) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(authentication);
  }

  private Optional<SignedIn> whose(String password, List<SignedIn> candidates) {
    return candidates.stream().filter(one -> passwords.matches(password, one.getPassword())).findFirst();
  }

  @Override
  public Authentication authenticate(Authentication tried) {
    String password = String.valueOf(tried.getCredentials());
    if (password.length() > PasswordRules.MOST) {
      throw new BadCredentialsException("No password is so long");
    }
    List<SignedIn> candidates = accounts.of(tried.getName());
    List<SignedIn> off = accounts.switchedOff(tried.getName());
    if (candidates.isEmpty() && off.isEmpty()) {
      // as long as it takes where there is an account
      passwords.matches(password, nobodys);
      throw new BadCredentialsException("No such account");
    }
    SignedIn who = whose(password, candidates).orElseThrow(() -> whose(password, off).isPresent()
        ? new DisabledException("Switched off") : new BadCredentialsException("Not the password"));
    who.eraseCredentials();
    UsernamePasswordAuthenticationToken signedIn = UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    signedIn.setDetails(tried.getDetails());
    return signedIn;
  }
}

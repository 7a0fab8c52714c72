package org.yarbel.web.who;

import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Who is signed in. It is kept in the session without the password's hash. */
public final class SignedIn implements UserDetails, CredentialsContainer {
  private static final long serialVersionUID = 1;

  private final long accountId;
  private final long clubId;
  private final String email;
  private final String name;
  private final Role role;
  private final @Nullable Long lifterId;
  private @Nullable String passwordHash;

  public SignedIn(long accountId, long clubId, String email, String name, Role role, @Nullable Long lifterId,
      @Nullable String passwordHash) {
    this.accountId = accountId;
    this.clubId = clubId;
    this.email = email;
    this.name = name;
    this.role = role;
    this.lifterId = lifterId;
    this.passwordHash = passwordHash;
  }

  /** The account that signed in. */
  public long accountId() {
    return accountId;
  }

  /** The club all it asks for is bound to. */
  public long clubId() {
    return clubId;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** Whether it is a coach. */
  public boolean coach() {
    return role == Role.COACH;
  }

  /** What it may do. */
  public Role role() {
    return role;
  }

  /** The lifter somebody is; null for a coach. */
  public @Nullable Long lifterId() {
    return lifterId;
  }

  /** Whether the rows of this lifter may be seen: any for a coach (of the club), their own for a lifter. */
  public boolean maySee(long id) {
    return coach() || lifterId != null && lifterId == id;
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.of(new SimpleGrantedAuthority("ROLE_" + role));
  }

  @Override
  public @Nullable String getPassword() {
    return passwordHash;
  }

  @Override
  public String getUsername() {
    return email;
  }

  @Override
  public void eraseCredentials() {
    passwordHash = null;
  }
}

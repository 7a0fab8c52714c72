package org.yarbel.web.who;

import java.util.Arrays;
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

  /** Authority of all who look after lifters: owners, coaches and assistants. */
  public static final String STAFF = "STAFF";
  /** Authority of those who plan: owners and coaches. */
  public static final String PLANS = "COACH";
  /** Authority of those who look after the club itself. */
  public static final String OWNS = "OWNER";

  private final long accountId;
  private final long clubId;
  private final long personId;
  private final String email;
  private final String name;
  private final Role role;
  private final @Nullable Long lifterId;
  private @Nullable String passwordHash;

  /**
   * Which rows somebody is.
   *
   * @param person who signs in, in whatever club
   * @param account what they are in the club
   */
  public record Ids(long person, long club, long account, @Nullable Long lifter) {}

  public SignedIn(Ids ids, String email, String name, Role role, @Nullable String passwordHash) {
    this.accountId = ids.account();
    this.clubId = ids.club();
    this.personId = ids.person();
    this.lifterId = ids.lifter();
    this.email = email;
    this.name = name;
    this.role = role;
    this.passwordHash = passwordHash;
  }

  /** The person, who may be in other clubs too. */
  public long personId() {
    return personId;
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

  /** Whether it is one of those who look after lifters. */
  public boolean staff() {
    return role.staff();
  }

  /** Whether it plans: an owner or a coach. */
  public boolean plans() {
    return role == Role.OWNER || role == Role.COACH;
  }

  /** Whether it looks after the club itself. */
  public boolean owns() {
    return role == Role.OWNER;
  }

  /** What it may do. */
  public Role role() {
    return role;
  }

  /** The lifter somebody is; null for those who look after lifters. */
  public @Nullable Long lifterId() {
    return lifterId;
  }

  /** Whether the rows of this lifter may be seen: any for staff (of the club), their own for a lifter. */
  public boolean maySee(long id) {
    return staff() || lifterId != null && lifterId == id;
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return switch (role) {
      case OWNER -> authorities(OWNS, PLANS, STAFF);
      case COACH -> authorities(PLANS, STAFF);
      case ASSISTANT -> authorities(STAFF);
      case LIFTER -> authorities(Role.LIFTER.name());
    };
  }

  private static List<SimpleGrantedAuthority> authorities(String... names) {
    return Arrays.stream(names).map(name -> new SimpleGrantedAuthority("ROLE_" + name)).toList();
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

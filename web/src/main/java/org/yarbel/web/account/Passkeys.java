package org.yarbel.web.account;

import jakarta.servlet.Filter;
import java.net.URI;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcOperations;
import org.springframework.security.authentication.AbstractAuthenticationToken;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.security.web.webauthn.api.AuthenticatorSelectionCriteria;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.ResidentKeyRequirement;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.authentication.PublicKeyCredentialRequestOptionsFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationFilter;
import org.springframework.security.web.webauthn.authentication.WebAuthnAuthenticationProvider;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.JdbcPublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.security.web.webauthn.registration.PublicKeyCredentialCreationOptionsFilter;
import org.springframework.security.web.webauthn.registration.WebAuthnRegistrationFilter;
import org.springframework.stereotype.Component;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.edge.Address;
import org.yarbel.web.who.SignedIn;

/**
 * Passkeys, by Spring Security's own filters. A key asks its holder for a finger, a face or a number, so it lets somebody in by itself,
 * password and second step in one. Keys belong to a person by number: an address may belong to several. They need a name in the address,
 * or this machine's own: browsers give none to a bare number.
 */
@Component
class Passkeys {
  /** Where a key signs in. */
  static final String SIGN_IN = "/login/webauthn";
  /** Where the page asks what a key is to sign. */
  static final String OPTIONS = "/webauthn/authenticate/options";

  private static final String PREFIX = "person-";
  private static final String REGISTER = "/webauthn/register";
  private static final int MOST = 10;

  private final Address address;
  private final Accounts accounts;
  private final SecondSteps steps;
  private final SecurityLog log;
  private final PublicKeyCredentialUserEntityRepository users;
  private final UserCredentialRepository keys;
  private final Operations operations = new Operations();

  Passkeys(Address address, Accounts accounts, SecondSteps steps, SecurityLog log, JdbcOperations jdbc) {
    this.address = address;
    this.accounts = accounts;
    this.steps = steps;
    this.log = log;
    this.users = new JdbcPublicKeyCredentialUserEntityRepository(jdbc);
    this.keys = new JdbcUserCredentialRepository(jdbc);
  }

  /** What keys know a person by. */
  static String name(long personId) {
    return PREFIX + personId;
  }

  /** Whether there can be any at the address people reach it by. */
  boolean possible() {
    return address.named() || !address.reachable();
  }

  /** Answers what a key is to sign. */
  Filter options() {
    PublicKeyCredentialRequestOptionsFilter filter = new PublicKeyCredentialRequestOptionsFilter(operations);
    filter.setRequestMatcher(post(OPTIONS));
    return filter;
  }

  /** Takes what a key has signed. */
  Filter signIn(Entrance entrance) {
    WebAuthnAuthenticationFilter filter = new WebAuthnAuthenticationFilter();
    filter.setAuthenticationManager(new ProviderManager(new Provider()));
    filter.setSessionAuthenticationStrategy(new ChangeSessionIdAuthenticationStrategy());
    filter.setSecurityContextRepository(new HttpSessionSecurityContextRepository());
    filter.setAuthenticationSuccessHandler(entrance::keyCameIn);
    filter.setAuthenticationFailureHandler(entrance::keyFailed);
    return filter;
  }

  /** Answers what a new key is to be. */
  Filter creationOptions() {
    PublicKeyCredentialCreationOptionsFilter filter = new PublicKeyCredentialCreationOptionsFilter(operations);
    RequestMatcher asks = post(REGISTER + "/options");
    filter.setRequestMatcher(request -> asks.matches(request) && signedIn() != null && Entrance.fresh(request)
        && steps.of(Objects.requireNonNull(signedIn()).personId()).passkeys() < MOST);
    return filter;
  }

  /** Takes a new key. */
  Filter registration() {
    WebAuthnRegistrationFilter filter = new WebAuthnRegistrationFilter(keys, operations);
    RequestMatcher sends = post(REGISTER);
    filter.setRegisterCredentialMatcher(request -> sends.matches(request) && signedIn() != null && Entrance.fresh(request));
    // taken away by a form of the account's page
    filter.setRemoveCredentialMatcher(request -> false);
    return filter;
  }

  private static RequestMatcher post(String path) {
    return PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, path);
  }

  private static @Nullable SignedIn signedIn() {
    Authentication now = SecurityContextHolder.getContext().getAuthentication();
    return now != null && now.getPrincipal() instanceof SignedIn who ? who : null;
  }

  /** Somebody under the name their keys know them by. */
  private static final class ByNumber extends AbstractAuthenticationToken {
    private static final long serialVersionUID = 1;
    private final transient SignedIn who;

    ByNumber(SignedIn who) {
      super(who.getAuthorities());
      this.who = who;
      super.setAuthenticated(true);
    }

    @Override
    public @Nullable Object getCredentials() {
      return null;
    }

    @Override
    public Object getPrincipal() {
      return who;
    }

    @Override
    public String getName() {
      return name(who.personId());
    }
  }

  /** Spring Security's, with people by number and with what happened written down; made when first asked, as the port is known then. */
  private final class Operations implements WebAuthnRelyingPartyOperations {
    private volatile @Nullable Webauthn4JRelyingPartyOperations made;

    private Webauthn4JRelyingPartyOperations made() {
      Webauthn4JRelyingPartyOperations there = made;
      if (there == null) {
        URI base = URI.create(address.base());
        String host = address.named() ? base.getHost() : "localhost";
        String origin = base.getScheme() + "://" + host + (base.getPort() < 0 ? "" : ":" + base.getPort());
        there = new Webauthn4JRelyingPartyOperations(users, keys, PublicKeyCredentialRpEntity.builder().id(host).name("Yarbel").build(),
            Set.of(origin));
        there.setCustomizeCreationOptions(options -> options.user(shown()).authenticatorSelection(AuthenticatorSelectionCriteria.builder()
            .residentKey(ResidentKeyRequirement.REQUIRED).userVerification(UserVerificationRequirement.REQUIRED).build()));
        there.setCustomizeRequestOptions(options -> options.userVerification(UserVerificationRequirement.REQUIRED));
        made = there;
      }
      return there;
    }

    /** Whose key it is, by the address people know them by. */
    private PublicKeyCredentialUserEntity shown() {
      SignedIn who = Objects.requireNonNull(signedIn());
      return ImmutablePublicKeyCredentialUserEntity.builder().id(Objects.requireNonNull(users.findByUsername(name(who.personId()))).getId())
          .name(who.getUsername()).displayName(who.name()).build();
    }

    @Override
    public PublicKeyCredentialCreationOptions createPublicKeyCredentialCreationOptions(PublicKeyCredentialCreationOptionsRequest asked) {
      return made().createPublicKeyCredentialCreationOptions(
          new ImmutablePublicKeyCredentialCreationOptionsRequest(new ByNumber(Objects.requireNonNull(signedIn()))));
    }

    @Override
    public CredentialRecord registerCredential(RelyingPartyRegistrationRequest sent) {
      CredentialRecord key = made().registerCredential(sent);
      SignedIn who = Objects.requireNonNull(signedIn());
      log.note(Event.FACTOR_ADDED, who.clubId(), who.accountId(), "a passkey");
      return key;
    }

    @Override
    public PublicKeyCredentialRequestOptions createCredentialRequestOptions(PublicKeyCredentialRequestOptionsRequest asked) {
      // whoever asks is a stranger: the key says who it is of
      return made().createCredentialRequestOptions(() -> null);
    }

    @Override
    public PublicKeyCredentialUserEntity authenticate(RelyingPartyAuthenticationRequest sent) {
      return made().authenticate(sent);
    }
  }

  /** From a key to who is signed in. */
  private final class Provider implements org.springframework.security.authentication.AuthenticationProvider {
    private final WebAuthnAuthenticationProvider keyed = new WebAuthnAuthenticationProvider(operations, this::whose);

    private SignedIn whose(String name) {
      List<SignedIn> all = name.startsWith(PREFIX) ? accounts.ofPerson(Long.parseLong(name.substring(PREFIX.length()))) : List.of();
      return all.stream().findFirst().orElseThrow(() -> new UsernameNotFoundException("In no club any more"));
    }

    @Override
    public Authentication authenticate(Authentication sent) throws AuthenticationException {
      Authentication key = Objects.requireNonNull(keyed.authenticate(sent));
      SignedIn who = whose(((PublicKeyCredentialUserEntity) Objects.requireNonNull(key.getPrincipal())).getName());
      who.eraseCredentials();
      return UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities());
    }

    @Override
    public boolean supports(Class<?> authentication) {
      return keyed.supports(authentication);
    }
  }
}

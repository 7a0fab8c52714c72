package org.yarbel.web.account;

import io.github.wimdeblauwe.htmx.spring.boot.security.HxRefreshHeaderAuthenticationEntryPoint;
import java.time.Duration;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.Authentication;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.security.web.access.AccessDeniedHandlerImpl;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.edge.Address;
import org.yarbel.web.who.SignedIn;

/** Who may ask what, and what browsers may do with our pages. */
@Configuration
class SecurityConfig {
  /** Everything from us, nothing inline, nothing evaluated. Bootstrap's own icons are data addresses in its sheet. */
  private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; "
      + "img-src 'self' data:; font-src 'self'; connect-src 'self'; media-src 'self' blob:; manifest-src 'self'; worker-src 'self'; "
      + "form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

  private static final String PERMISSIONS = "camera=(), geolocation=(), microphone=(), payment=(), usb=()";
  /** As long as the longest session. */
  private static final Duration TOKEN_KEPT = SignIns.LONGEST;
  private static final Duration TLS_ALONE = Duration.ofDays(365);

  @Bean
  PasswordEncoder passwordEncoder() {
    return new Hashing(new DelegatingPasswordEncoder(
        "argon2id", Map.of("argon2id", Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8())));
  }

  /** The calculator API: open, stateless, without cookie or token. */
  @Bean
  @Order(1)
  SecurityFilterChain calculator(HttpSecurity http, Address address) throws Exception {
    return http.securityMatcher("/api/**", "/sensor")
        .csrf(csrf -> csrf.disable())
        .requestCache(cache -> cache.disable())
        .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .headers(headers -> headers(headers, address))
        .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain pages(HttpSecurity http, Entrance entrance, SignInProvider provider, Passkeys passkeys, Address address,
      SecurityLog log) throws Exception {
    return http
        .authenticationProvider(provider)
        .authorizeHttpRequests(requests -> requests
            .requestMatchers("/login", Entrance.AGAIN, Entrance.SECOND, Passkeys.SIGN_IN, Passkeys.OPTIONS, "/join/*", "/join/*/known",
                "/password", "/password/*", "/setup", "/css/**", "/js/**", "/fonts/**", "/webjars/**", "/favicon.svg", "/favicon.ico",
                "/error", "/sw.js", "/manifest.webmanifest", "/icons/*", "/trust", "/trust/*", "/feeds/*", "/c/*", "/health", "/health/*")
                    .permitAll()
            .requestMatchers("/", "/me", "/me/kept", "/account", "/account/**", "/webauthn/register", "/webauthn/register/options",
                "/token",
                "/sessions/*/card", "/sessions/*/card/kept", "/sessions/*/sets", "/sessions/*/issue", "/sessions/*/end",
                    "/sessions/*/check-in", "/sessions/*/words",
                "/sessions/*/read", "/sessions/*/lifted", "/sessions/*/easier", "/sessions/*/clips", "/clips/*", "/clips/*/out",
                "/clips/uploads/*", "/sessions/*/extra", "/sessions/*/extra/*/out", "/sessions/*/go-on", "/keys", "/lifters/*/ledger",
                "/lifters/*/data", "/lifters/*/data.zip", "/lifters/*/data/shown", "/lifters/*/data/delete",
                "/lifters/*/data/keep", "/club", "/lifters/*/calendar", "/lifters/*/calendar.ics", "/lifters/*/calendar/revoke",
                    "/lifters/*/devices",
                "/lifters/*/devices/*", "/lifters/*/devices/*/revoke", "/contests/*/platform/*",
                "/contests/*/platform/*/attempts", "/contests/*/platform/*/odds", "/contests/*/platform/*/last",
                "/contests/*/platform/*/bag", "/contests/*/platform/*/prepared", "/workbench", "/workbench/*").authenticated()
            .requestMatchers("/record", "/record/*", "/house", "/house/**", "/people/roles/**", "/people/letters").hasRole(SignedIn.OWNS)
            .requestMatchers("/people", "/people/**", "/records/**", "/lifters/*/records", "/lifters/new").hasRole(SignedIn.PLANS)
            // what an assistant may write: what happened, not what is to happen
            .requestMatchers("/sessions/*/opinion", "/lifters/*/weigh-ins", "/lifters/*/weigh-ins/*/remove", "/lifters/*/complaints",
                "/lifters/*/complaints/*/over", "/clips/*/marks", "/clips/*/marks/*/out", "/clips/*/measure", "/clips/*/speeds",
                "/contests/*/day/*/attempts", "/contests/*/day/*/person", "/contests/*/rivals", "/contests/*/events/*/*",
                "/contests/*/warm-up/*", "/contests/*/notes/*/undo")
            .hasRole(SignedIn.STAFF)
            .requestMatchers(HttpMethod.GET, "/**").hasRole(SignedIn.STAFF)
            .requestMatchers(HttpMethod.HEAD, "/**").hasRole(SignedIn.STAFF)
            .anyRequest().hasRole(SignedIn.PLANS))
        .csrf(csrf -> csrf.csrfTokenRepository(tokens(address)).csrfTokenRequestHandler(once()))
        .requestCache(cache -> cache.disable())
        .formLogin(form -> form.loginPage("/login").usernameParameter("email").successHandler(entrance::cameIn)
            .failureHandler(entrance::failed))
        .logout(logout -> logout.addLogoutHandler((request, response, who) -> entrance.wentOut(request, who))
            .logoutSuccessUrl("/login?out"))
        .addFilterBefore(entrance.counting(), UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(entrance.standing(), SecurityContextHolderFilter.class)
        .addFilterAfter(passkeys.options(), UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(passkeys.signIn(entrance), UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(passkeys.creationOptions(), UsernamePasswordAuthenticationFilter.class)
        .addFilterAfter(passkeys.registration(), UsernamePasswordAuthenticationFilter.class)
        .exceptionHandling(errors -> errors.authenticationEntryPoint(toSignIn(entrance)).accessDeniedHandler(denied(log)))
        .headers(headers -> headers(headers, address))
        .build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers, Address address) {
    headers.httpStrictTransportSecurity(tls -> tls.requestMatcher(request -> address.secure()).maxAgeInSeconds(TLS_ALONE.toSeconds()))
        .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
        .permissionsPolicyHeader(policy -> policy.policy(PERMISSIONS))
        .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
        .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN));
  }

  /** A page has the token once, for its script: under its usual name the dialect of htmx would write it beside every address. */
  private static XorCsrfTokenRequestAttributeHandler once() {
    XorCsrfTokenRequestAttributeHandler handler = new XorCsrfTokenRequestAttributeHandler();
    handler.setCsrfRequestAttributeName("csrf");
    return handler;
  }

  /** In a cookie, so that a page with a form needs no session. */
  private static CookieCsrfTokenRepository tokens(Address address) {
    CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName(address.secure() ? "__Host-token" : "token");
    tokens.setHeaderName("X-CSRF-TOKEN");
    tokens.setCookiePath("/");
    tokens.setCookieCustomizer(cookie -> cookie.httpOnly(true).secure(address.secure()).sameSite("Lax").maxAge(TOKEN_KEPT));
    return tokens;
  }

  /** A page sends a stranger to sign in; a fragment reloads its page, which does. */
  private static AuthenticationEntryPoint toSignIn(Entrance entrance) {
    AuthenticationEntryPoint fragments = new HxRefreshHeaderAuthenticationEntryPoint();
    return (request, response, why) -> {
      if (request.getHeader("HX-Request") == null) {
        entrance.sendToForm(request, response);
      } else {
        fragments.commence(request, response, why);
      }
    };
  }

  private static AccessDeniedHandler denied(SecurityLog log) {
    AccessDeniedHandler page = new AccessDeniedHandlerImpl();
    return (request, response, why) -> {
      String what = request.getMethod() + " " + request.getServletPath();
      if (request.getUserPrincipal() instanceof Authentication authentication && authentication.getPrincipal() instanceof SignedIn who) {
        log.note(Event.ACCESS_DENIED, who.clubId(), who.accountId(), what);
      } else {
        log.note(Event.ACCESS_DENIED, what);
      }
      page.handle(request, response, why);
    };
  }
}

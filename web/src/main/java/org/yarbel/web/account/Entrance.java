package org.yarbel.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.io.Serializable;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.DisabledException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.WebUtils;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.edge.Address;
import org.yarbel.web.edge.Back;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.who.SignedIn;

/**
 * What happens at the door: a try is counted before its password is looked at; one that was right begins a sign-in, remembers
 * the device and goes on to the page that was wanted; one that was wrong is shown the form again.
 */
@Component
public class Entrance {
  /** Where the form is shown again. */
  static final String AGAIN = "/login/again";
  /** Why it is shown again. */
  static final String WHY = "signInRefused";
  /** The sign-in a session belongs to. */
  static final String SIGN_IN = "signIn";

  /** Where the second step is asked for. */
  static final String SECOND = "/login/second";
  /** Where one's own second steps are chosen. */
  static final String STEPS = "/account/steps";
  /** Tries with passkeys are counted under this, which is no address. */
  static final String KEY = "a passkey";

  /** When somebody last showed their password in a session. */
  private static final String SHOWN = "passwordShown";
  private static final Duration FRESH = Duration.ofMinutes(10);
  private static final String WAITS = "waitsForStep";
  private static final String HAS_STEP = "hasStep";
  private static final Duration STEP_KEPT = Duration.ofMinutes(10);
  /** What an owner may ask for who has no second step yet. */
  private static final Pattern OPEN_TO_OWNERS = Pattern.compile("/account(/.*)?|/webauthn/.*|/trust(/.*)?|"
      + "/log(in|out)(/.*)?|/token|/error");
  private static final Pattern BY_SCRIPTS = Pattern.compile("/token|/sessions/\\d+/card/kept|.*\\.zip|/clips/uploads/.*");
  private static final String DEVICE = "device";
  private static final String WANTED = "wanted";
  /** What is the same for everybody. */
  private static final Pattern PARTS = Pattern.compile("/(css|js|fonts|webjars|icons)/.*|/favicon\\.(svg|ico)|/sw\\.js|/health(/\\w+)?"
      + "|/manifest\\.webmanifest");
  private static final Duration WANTED_KEPT = Duration.ofMinutes(10);

  private final SignInLimits limits;
  private final SignIns signIns;
  private final Accounts accounts;
  private final SecondSteps steps;
  private final SecurityLog log;
  private final Address address;

  Entrance(SignInLimits limits, SignIns signIns, Accounts accounts, SecondSteps steps, SecurityLog log, Address address) {
    this.accounts = accounts;
    this.steps = steps;
    this.limits = limits;
    this.signIns = signIns;
    this.log = log;
    this.address = address;
  }

  /** Why somebody does not come in. */
  enum Refusal {
    WRONG(HttpStatus.UNAUTHORIZED, "The e-mail and the password do not belong together. Check both and try again."),
    SWITCHED_OFF(HttpStatus.UNAUTHORIZED, "This sign-in is switched off. Ask your coach to let you in again."),
    TOO_OFTEN(HttpStatus.TOO_MANY_REQUESTS, "Too many attempts failed. Wait a quarter of an hour, then try again."),
    BUSY(HttpStatus.TOO_MANY_REQUESTS, "Too many people sign in at this moment. Wait a few seconds, then try again.");

    private final HttpStatus status;
    private final String words;

    Refusal(HttpStatus status, String words) {
      this.status = status;
      this.words = words;
    }

    HttpStatus status() {
      return status;
    }

    String words() {
      return words;
    }
  }

  /** The address that was typed, as long as one can be. */
  static String typedEmail(HttpServletRequest request) {
    String email = request.getParameter("email");
    return email == null ? "" : email.strip().substring(0, Math.min(email.strip().length(), SignInDetails.MOST_EMAIL));
  }

  /** Counts a try; whether its password may be looked at. */
  private boolean reserve(HttpServletRequest request) {
    String email = wholeEmail(request);
    return limits.reserve(email, request.getRemoteAddr(), signIns.known(email, cookie(request, DEVICE)));
  }

  private static String wholeEmail(HttpServletRequest request) {
    return Objects.requireNonNullElse(request.getParameter("email"), "");
  }

  void refuse(HttpServletRequest request, HttpServletResponse response, Refusal why) throws ServletException, IOException {
    boolean limit = why.status() == HttpStatus.TOO_MANY_REQUESTS;
    refused(limit ? Event.LIMIT_MET : Event.SIGN_IN_REFUSED, typedEmail(request));
    response.setStatus(why.status().value());
    if (limit) {
      response.setHeader(HttpHeaders.RETRY_AFTER, why == Refusal.BUSY ? "5" : Long.toString(SignInLimits.WINDOW.toSeconds()));
    }
    request.setAttribute(WHY, why);
    request.getRequestDispatcher(AGAIN).forward(request, response);
  }

  /** Written down for the clubs whose it is, so that their owners see it. */
  private void refused(Event event, String email) {
    List<SignedIn> whose = accounts.of(email);
    whose.forEach(who -> log.note(event, who.clubId(), who.accountId(), "sign-in as " + email));
    if (whose.isEmpty()) {
      log.note(event, "sign-in as " + email);
    }
  }

  void failed(HttpServletRequest request, HttpServletResponse response, AuthenticationException why) throws ServletException, IOException {
    if (why instanceof SignInProvider.StepMissing right) {
      limits.succeeded(wholeEmail(request), request.getRemoteAddr());
      request.getSession().setAttribute(WAITS, new Waits(right.who().clubId(), right.who().accountId(), System.currentTimeMillis()));
      request.changeSessionId();
      response.sendRedirect(SECOND);
    } else if (why instanceof Hashing.TooBusy) {
      limits.notLookedAt(wholeEmail(request), request.getRemoteAddr());
      refuse(request, response, Refusal.BUSY);
    } else {
      refuse(request, response, why instanceof DisabledException ? Refusal.SWITCHED_OFF : Refusal.WRONG);
    }
  }

  /** Somebody whose password was right and whose second step is missing yet. */
  private record Waits(long clubId, long accountId, long since) implements Serializable {}

  /** Whose second step is waited for; empty when nobody's, or for too long. */
  Optional<SignedIn> waiting(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(WAITS) instanceof Waits waits
        && System.currentTimeMillis() - waits.since() < STEP_KEPT.toMillis() ? accounts.of(waits.clubId(), waits.accountId())
            : Optional.empty();
  }

  void cameIn(HttpServletRequest request, HttpServletResponse response, Authentication authentication) throws IOException {
    response.sendRedirect(begin(request, response, (SignedIn) Objects.requireNonNull(authentication.getPrincipal())));
  }

  /** Lets somebody in who has shown who they are otherwise than by the form; answers the page they wanted. */
  public String admit(HttpServletRequest request, HttpServletResponse response, SignedIn who) {
    request.getSession();
    request.changeSessionId();
    who.eraseCredentials();
    become(request, response, who);
    return begin(request, response, who);
  }

  private static void become(HttpServletRequest request, HttpServletResponse response, SignedIn who) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(UsernamePasswordAuthenticationToken.authenticated(who, null, who.getAuthorities()));
    SecurityContextHolder.setContext(context);
    new HttpSessionSecurityContextRepository().saveContext(context, request, response);
  }

  private String begin(HttpServletRequest request, HttpServletResponse response, SignedIn who) {
    limits.succeeded(who.getUsername(), request.getRemoteAddr());
    String carried = cookie(request, DEVICE);
    String token = carried.isEmpty() ? Secrets.make() : carried;
    signIns.remember(who, token);
    keep(response, DEVICE, token, SignIns.DEVICE_KEPT);
    HttpSession session = request.getSession();
    session.removeAttribute(WAITS);
    show(session);
    session.setMaxInactiveInterval(idle(who));
    session.setAttribute(SIGN_IN, signIns.begin(who, SignIns.browser(request.getHeader(HttpHeaders.USER_AGENT)), request.getRemoteAddr()));
    accounts.used(who);
    log.note(Event.SIGNED_IN, who.clubId(), who.accountId(), "");
    String wanted = new String(Base64.getUrlDecoder().decode(cookie(request, WANTED)), StandardCharsets.UTF_8);
    keep(response, WANTED, "", Duration.ZERO);
    return Back.to(wanted);
  }

  /** Somebody has shown their password. */
  static void show(HttpSession session) {
    session.setAttribute(SHOWN, System.currentTimeMillis());
  }

  /** Whether somebody has shown who they are a moment ago: a phone left on a bench adds no key of its own to a door. */
  static boolean fresh(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(SHOWN) instanceof Long at && System.currentTimeMillis() - at < FRESH.toMillis();
  }

  private static int idle(SignedIn who) {
    return (int) (who.staff() ? SignIns.IDLE_OF_A_COACH : SignIns.IDLE_OF_A_LIFTER).toSeconds();
  }

  /** Goes on as what the same person is in another club. */
  public void change(HttpServletRequest request, HttpServletResponse response, SignedIn from, SignedIn to) {
    HttpSession session = request.getSession();
    if (session.getAttribute(SIGN_IN) instanceof Long id) {
      signIns.move(from, id, to);
    }
    request.changeSessionId();
    session.setMaxInactiveInterval(idle(to));
    to.eraseCredentials();
    become(request, response, to);
    accounts.used(to);
    log.note(Event.CLUB_CHANGED, to.clubId(), to.accountId(), "from another club, without signing out");
  }

  /** A passkey has shown who it is: the page is told where to go on. */
  void keyCameIn(HttpServletRequest request, HttpServletResponse response, Authentication authentication) throws IOException {
    limits.succeeded(KEY, request.getRemoteAddr());
    String to = begin(request, response, (SignedIn) Objects.requireNonNull(authentication.getPrincipal()));
    response.setContentType("application/json");
    response.getWriter().write("{\"to\":\"" + to + "\"}");
  }

  /** A passkey that is none of ours, or of somebody who is in no club any more. */
  void keyFailed(HttpServletRequest request, HttpServletResponse response, AuthenticationException why) {
    log.note(Event.SIGN_IN_REFUSED, "sign-in with a passkey");
    response.setStatus(HttpStatus.UNAUTHORIZED.value());
  }

  void wentOut(HttpServletRequest request, @Nullable Authentication authentication) {
    if (authentication != null && authentication.getPrincipal() instanceof SignedIn who) {
      HttpSession session = request.getSession(false);
      if (session != null && session.getAttribute(SIGN_IN) instanceof Long id) {
        signIns.end(who, id);
      }
      log.note(Event.SIGNED_OUT, who.clubId(), who.accountId(), "");
    }
  }

  /** Sends a stranger to the form and remembers which page was wanted. */
  void sendToForm(HttpServletRequest request, HttpServletResponse response) throws IOException {
    String query = request.getQueryString();
    String wanted = request.getRequestURI() + (query == null ? "" : "?" + query);
    if (HttpMethod.GET.matches(request.getMethod()) && !wanted.equals("/") && Back.to(wanted).equals(wanted) && page(request)) {
      keep(response, WANTED, Base64.getUrlEncoder().withoutPadding().encodeToString(wanted.getBytes(StandardCharsets.UTF_8)), WANTED_KEPT);
    }
    response.sendRedirect("/login");
  }

  /** Whether a person wanted it: what a page's script asks for by itself is no page to go back to. */
  private static boolean page(HttpServletRequest request) {
    String mode = request.getHeader("Sec-Fetch-Mode");
    return (mode == null || mode.equals("navigate")) && !BY_SCRIPTS.matcher(request.getServletPath()).matches();
  }

  private void keep(HttpServletResponse response, String name, String value, Duration time) {
    response.addHeader(HttpHeaders.SET_COOKIE, ResponseCookie.from(name, value).path("/").httpOnly(true).secure(address.secure())
        .sameSite("Lax").maxAge(time).build().toString());
  }

  private static String cookie(HttpServletRequest request, String name) {
    Cookie cookie = WebUtils.getCookie(request, name);
    return cookie == null || !cookie.getValue().matches("[\\w-]{1,700}") ? "" : cookie.getValue();
  }

  /** Lets a try through only while it is among the first. */
  OncePerRequestFilter counting() {
    PathPatternRequestMatcher signIn = PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, "/login");
    PathPatternRequestMatcher key = PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, Passkeys.SIGN_IN);
    return new OncePerRequestFilter() {
      @Override
      protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
          throws ServletException, IOException {
        if (signIn.matches(request) && !reserve(request)) {
          refuse(request, response, Refusal.TOO_OFTEN);
        } else if (key.matches(request) && !limits.reserve(KEY, request.getRemoteAddr(), false)) {
          log.note(Event.LIMIT_MET, "sign-in with a passkey");
          response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        } else {
          chain.doFilter(request, response);
        }
      }
    };
  }

  /** Ends a session whose sign-in or account stands no more. */
  OncePerRequestFilter standing() {
    return new OncePerRequestFilter() {
      @Override
      protected boolean shouldNotFilter(HttpServletRequest request) {
        return PARTS.matcher(request.getServletPath()).matches();
      }

      @Override
      protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
          throws ServletException, IOException {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof SignedIn who && !stands(request, who)) {
          SecurityContextHolder.clearContext();
          HttpSession session = request.getSession(false);
          if (session != null) {
            session.invalidate();
          }
          log.note(Event.SIGN_IN_ENDED, who.clubId(), who.accountId(), "it stands no more");
        } else if (authentication != null && authentication.getPrincipal() instanceof SignedIn who && owes(request, who)) {
          response.sendRedirect(STEPS);
          return;
        }
        chain.doFilter(request, response);
      }
    };
  }

  /** Whether an owner whom others can reach has still to choose a second step. */
  private boolean owes(HttpServletRequest request, SignedIn who) {
    HttpSession session = request.getSession(false);
    if (!who.owns() || !address.reachable() || session == null || OPEN_TO_OWNERS.matcher(request.getServletPath()).matches()
        || Boolean.TRUE.equals(session.getAttribute(HAS_STEP))) {
      return false;
    }
    boolean has = steps.has(who.personId());
    if (has) {
      session.setAttribute(HAS_STEP, true);
    }
    return !has;
  }

  private boolean stands(HttpServletRequest request, SignedIn who) {
    HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(SIGN_IN) instanceof Long id && signIns.stands(who, id);
  }
}

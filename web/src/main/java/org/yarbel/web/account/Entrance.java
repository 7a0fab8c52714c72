package org.yarbel.web.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.Objects;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.security.authentication.DisabledException;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
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
class Entrance {
  /** Where the form is shown again. */
  static final String AGAIN = "/login/again";
  /** Why it is shown again. */
  static final String WHY = "signInRefused";
  /** The sign-in a session belongs to. */
  static final String SIGN_IN = "signIn";

  private static final String DEVICE = "device";
  private static final String WANTED = "wanted";
  /** What is the same for everybody. */
  private static final Pattern PARTS = Pattern.compile("/(css|js|fonts|webjars)/.*|/favicon\\.(svg|ico)|/sw\\.js|/health(/\\w+)?");
  private static final Duration WANTED_KEPT = Duration.ofMinutes(10);

  private final SignInLimits limits;
  private final SignIns signIns;
  private final SecurityLog log;
  private final Address address;

  Entrance(SignInLimits limits, SignIns signIns, SecurityLog log, Address address) {
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
    log.note(limit ? Event.LIMIT_MET : Event.SIGN_IN_REFUSED, "sign-in as " + typedEmail(request));
    response.setStatus(why.status().value());
    if (limit) {
      response.setHeader(HttpHeaders.RETRY_AFTER, why == Refusal.BUSY ? "5" : Long.toString(SignInLimits.WINDOW.toSeconds()));
    }
    request.setAttribute(WHY, why);
    request.getRequestDispatcher(AGAIN).forward(request, response);
  }

  void failed(HttpServletRequest request, HttpServletResponse response, AuthenticationException why) throws ServletException, IOException {
    if (why instanceof Hashing.TooBusy) {
      limits.notLookedAt(wholeEmail(request), request.getRemoteAddr());
      refuse(request, response, Refusal.BUSY);
    } else {
      refuse(request, response, why instanceof DisabledException ? Refusal.SWITCHED_OFF : Refusal.WRONG);
    }
  }

  void cameIn(HttpServletRequest request, HttpServletResponse response, Authentication authentication) throws IOException {
    SignedIn who = (SignedIn) Objects.requireNonNull(authentication.getPrincipal());
    limits.succeeded(who.getUsername(), request.getRemoteAddr());
    String carried = cookie(request, DEVICE);
    String token = carried.isEmpty() ? Secrets.make() : carried;
    signIns.remember(who, token);
    keep(response, DEVICE, token, SignIns.DEVICE_KEPT);
    HttpSession session = request.getSession();
    session.setMaxInactiveInterval((int) (who.coach() ? SignIns.IDLE_OF_A_COACH : SignIns.IDLE_OF_A_LIFTER).toSeconds());
    session.setAttribute(SIGN_IN, signIns.begin(who, SignIns.browser(request.getHeader(HttpHeaders.USER_AGENT)), request.getRemoteAddr()));
    log.note(Event.SIGNED_IN, who.clubId(), who.accountId(), "");
    String wanted = new String(Base64.getUrlDecoder().decode(cookie(request, WANTED)), StandardCharsets.UTF_8);
    keep(response, WANTED, "", Duration.ZERO);
    response.sendRedirect(Back.to(wanted));
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
    if (HttpMethod.GET.matches(request.getMethod()) && !wanted.equals("/") && Back.to(wanted).equals(wanted)) {
      keep(response, WANTED, Base64.getUrlEncoder().withoutPadding().encodeToString(wanted.getBytes(StandardCharsets.UTF_8)), WANTED_KEPT);
    }
    response.sendRedirect("/login");
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
    return new OncePerRequestFilter() {
      @Override
      protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
          throws ServletException, IOException {
        if (signIn.matches(request) && !reserve(request)) {
          refuse(request, response, Refusal.TOO_OFTEN);
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
        }
        chain.doFilter(request, response);
      }
    };
  }

  private boolean stands(HttpServletRequest request, SignedIn who) {
    HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(SIGN_IN) instanceof Long id && signIns.stands(who, id);
  }
}

package org.yarbel.web.once;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.yarbel.web.edge.Back;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.who.SignedIn;

/**
 * Does a form once, however often it is sent: the second waits for the first and is sent where that was sent. What was refused
 * counts as not sent, and other figures under the same key are another form. Kept in the database, so that it holds for every
 * node.
 */
@Component
class OnceInterceptor implements HandlerInterceptor {
  private static final String TAKEN = OnceInterceptor.class.getName() + ".taken";
  private static final Duration PATIENCE = Duration.ofSeconds(12);
  private static final long LOOK_AGAIN_NANOS = 40_000_000;
  private static final int MOST_LOCATION = 2000;

  private final JdbcClient jdbc;

  OnceInterceptor(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /** A form as it was sent. */
  private record Sent(long clubId, long accountId, UUID form, String content) {}

  /** What the first was answered; without a status it is under way. */
  private record Answered(@Nullable Integer status, @Nullable String location) {}

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) throws IOException {
    Optional<Sent> sent = sent(request, handler);
    if (sent.isEmpty()) {
      return true;
    }
    long until = System.nanoTime() + PATIENCE.toNanos();
    while (System.nanoTime() < until) {
      if (taken(sent.get())) {
        request.setAttribute(TAKEN, sent.get());
        return true;
      }
      Optional<Answered> first = answered(sent.get());
      if (first.isPresent() && first.get().status() != null) {
        again(request, response, first.get());
        return false;
      }
      LockSupport.parkNanos(LOOK_AGAIN_NANOS);
    }
    response.sendError(HttpServletResponse.SC_CONFLICT);
    return false;
  }

  /** A page that stood open for a day is loaded again. */
  @Scheduled(initialDelay = 3, fixedDelay = 30, timeUnit = TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from form_once where at < now() - interval '1 day'").update();
  }

  private static Optional<Sent> sent(HttpServletRequest request, Object handler) {
    String key = HttpMethod.POST.matches(request.getMethod()) ? request.getParameter(FormKeys.FIELD) : null;
    boolean writes = handler instanceof HandlerMethod method && !method.hasMethodAnnotation(WritesNothing.class);
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    if (key == null || !writes || authentication == null || !(authentication.getPrincipal() instanceof SignedIn who)) {
      return Optional.empty();
    }
    try {
      return Optional.of(new Sent(who.clubId(), who.accountId(), UUID.fromString(key), content(request)));
    } catch (IllegalArgumentException noKey) {
      return Optional.empty();
    }
  }

  /** All that was sent but token and key, in a few characters. */
  private static String content(HttpServletRequest request) {
    StringBuilder all = new StringBuilder(request.getServletPath());
    new TreeMap<>(request.getParameterMap()).forEach((name, values) -> {
      if (!name.equals(FormKeys.FIELD) && !name.equals("_csrf")) {
        all.append('\n').append(name).append('=').append(String.join("\0", values));
      }
    });
    return Secrets.fingerprint(all.toString());
  }

  private boolean taken(Sent sent) {
    return jdbc.sql("insert into form_once (club_id, account_id, form, content, at) values (:clubId, :accountId, :form, :content, now()) "
        + "on conflict do nothing").paramSource(sent).update() > 0;
  }

  private Optional<Answered> answered(Sent sent) {
    return jdbc.sql("select status, location from form_once where club_id = :clubId and account_id = :accountId and form = "
        + ":form and content = :content")
        .paramSource(sent).query(Answered.class).optional();
  }

  /** The second time: the piece of a page is drawn by the first answer, a page is the one the first was sent on to. */
  private static void again(HttpServletRequest request, HttpServletResponse response, Answered first) throws IOException {
    if (request.getHeader("HX-Request") != null) {
      response.setStatus(HttpServletResponse.SC_NO_CONTENT);
    } else if (first.location() != null) {
      response.sendRedirect(first.location());
    } else {
      String from = request.getHeader(HttpHeaders.REFERER);
      response.sendRedirect(Back.to(from == null ? "/" : from.replaceFirst("^https?://[^/]+", "")));
    }
  }

  @Override
  public void afterCompletion(HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception wrong) {
    if (!(request.getAttribute(TAKEN) instanceof Sent sent)) {
      return;
    }
    request.removeAttribute(TAKEN);
    if (wrong != null || response.getStatus() >= HttpServletResponse.SC_BAD_REQUEST) {
      jdbc.sql("delete from form_once where club_id = :clubId and account_id = :accountId and form = :form and content = :content")
          .paramSource(sent).update();
      return;
    }
    String location = response.getHeader(HttpHeaders.LOCATION);
    jdbc.sql("update form_once set status = :status, location = :location where club_id = :club and account_id = :account and form = :form "
        + "and content = :content").param("status", response.getStatus())
        .param("location", location == null || location.length() > MOST_LOCATION ? null : location)
        .param("club", sent.clubId()).param("account", sent.accountId()).param("form", sent.form()).param("content", sent.content())
        .update();
  }
}

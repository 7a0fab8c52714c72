package org.yarbel.web.api;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;

/** 600 calls a minute for an address, on each node. The path is taken as it is understood, not as it is written. */
@Component
class CallLimit extends OncePerRequestFilter {
  static final int CALLS_PER_MINUTE = 600;
  private static final int MOST_ADDRESSES = 10_000;
  /** Who comes when so many addresses are counted already shares one count. */
  private static final String ALL_OTHERS = "others";

  private final Cache<String, Window> windows = Caffeine.newBuilder().expireAfterWrite(Duration.ofMinutes(2))
      .maximumSize(2L * MOST_ADDRESSES).build();
  private final Clock clock = Clock.systemUTC();
  private final SecurityLog log;

  CallLimit(SecurityLog log) {
    this.log = log;
  }

  private record Window(long minute, int calls) {}

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getServletPath().startsWith("/api/") && !request.getServletPath().equals("/sensor");
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long seconds = clock.instant().getEpochSecond();
    String address = request.getRemoteAddr();
    if (windows.estimatedSize() >= MOST_ADDRESSES) {
      windows.cleanUp();
    }
    boolean counted = windows.estimatedSize() < MOST_ADDRESSES || windows.getIfPresent(address) != null;
    Window window = windows.asMap().merge(counted ? address : ALL_OTHERS, new Window(seconds / 60, 1),
        (old, one) -> old.minute() == one.minute() ? new Window(old.minute(), old.calls() + 1) : one);
    if (window.calls() > CALLS_PER_MINUTE) {
      if (window.calls() == CALLS_PER_MINUTE + 1) {
        log.note(Event.LIMIT_MET, "calls of the API");
      }
      response.setHeader("Retry-After", Long.toString(60 - seconds % 60));
      refuse(response);
    } else {
      chain.doFilter(request, response);
    }
  }

  private static void refuse(HttpServletResponse response) throws IOException {
    response.setStatus(429);
    response.setContentType("application/problem+json");
    response.getWriter().write("{\"type\":\"about:blank\",\"title\":\"Too many calls\",\"status\":429,\"detail\":\"At most "
        + CALLS_PER_MINUTE
        + " calls a minute; wait and try again.\"}");
  }
}

package org.yarbel.web.api;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** 600 calls a minute for an address, on each node, and bodies up to 256 KiB; a log up to 2 MiB. */
@Component
class CallLimit extends OncePerRequestFilter {
  static final int CALLS_PER_MINUTE = 600;
  private static final int MOST_ADDRESSES = 10_000;
  private static final long MOST_BYTES = 256 * 1024;
  /** A log of 5,000 sets, written out with every field. */
  private static final long MOST_BYTES_OF_A_LOG = 2 * 1024 * 1024;

  private final Map<String, Window> windows = new ConcurrentHashMap<>();
  private final Clock clock = Clock.systemUTC();

  private record Window(long minute, int calls) {}

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return !request.getRequestURI().startsWith("/api/");
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long seconds = clock.instant().getEpochSecond();
    if (windows.size() > MOST_ADDRESSES) {
      windows.values().removeIf(window -> window.minute() < seconds / 60);
    }
    Window window = windows.merge(request.getRemoteAddr(), new Window(seconds / 60, 1),
        (old, one) -> old.minute() == one.minute() ? new Window(old.minute(), old.calls() + 1) : one);
    if (window.calls() > CALLS_PER_MINUTE) {
      response.setHeader("Retry-After", Long.toString(60 - seconds % 60));
      refuse(response, 429, "Too many calls", "At most 600 calls a minute; wait and try again.");
    } else if (request.getContentLengthLong() < 0 && request.getMethod().equals("POST")) {
      refuse(response, 411, "The length is missing", "Send the body with its Content-Length.");
    } else if (request.getContentLengthLong() > most(request)) {
      refuse(response, 413, "The body is too large", "A body has at most " + most(request) / 1024 + " KiB.");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static long most(HttpServletRequest request) {
    return request.getRequestURI().equals("/api/v1/track") ? MOST_BYTES_OF_A_LOG : MOST_BYTES;
  }

  private static void refuse(HttpServletResponse response, int status, String title, String detail) throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response.getWriter().write("{\"type\":\"about:blank\",\"title\":\"" + title + "\",\"status\":" + status
        + ",\"detail\":\"" + detail + "\"}");
  }
}

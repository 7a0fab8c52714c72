package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.File;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says what is wrong while the database does not answer: 503 with a page that needs no database, and when to try again; and 507 while
 * there is no room on a disk. It stands around everything, the reading of sessions too.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Unreachable extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(Unreachable.class);
  private static final String AGAIN_SECONDS = "5";
  private static final long LITTLE = 1 << 20;

  private final File scratch = new File(System.getProperty("java.io.tmpdir"));

  private final StaticPage page = new StaticPage(HttpStatus.SERVICE_UNAVAILABLE, "The records cannot be reached",
      "Nothing is lost. The database does not answer at this moment; it is started again by itself. Try again in a few seconds. "
          + "What you sent just now was "
          + "not kept: go back, it is still in the page. Sets logged on a phone wait there and are sent by themselves.");
  private final StaticPage full = new StaticPage(HttpStatus.INSUFFICIENT_STORAGE, "There is no room left on the disk",
      "Nothing is lost, and nothing of what you sent just now was kept: go back, it is still in the page. Whoever looks after the "
          + "machine Yarbel runs on has to make room; then send it once more. Sets logged on a phone wait there and are sent by "
          + "themselves.");

  @Override
  protected boolean shouldNotFilterErrorDispatch() {
    return false;
  }

  @Override
  protected void doFilterNestedErrorDispatch(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    doFilterInternal(request, response, chain);
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (IOException | ServletException | RuntimeException wrong) {
      boolean noRoom = Transient.full(wrong) || Transient.files(wrong) && scratch.getUsableSpace() < needs(request);
      if (!noRoom && !Transient.away(wrong) || response.isCommitted()) {
        throw wrong;
      }
      if (noRoom) {
        LOG.error("There was no room on the disk for {} {}", request.getMethod(), request.getServletPath(), wrong);
        response.reset();
        full.write(request, response);
        return;
      }
      LOG.warn("The database did not answer {} {}", request.getMethod(), request.getServletPath(), wrong);
      response.reset();
      response.setHeader("Retry-After", AGAIN_SECONDS);
      page.write(request, response);
    }
  }

  /** What a request needs beside it while it is read: its own size, and that of what is made of it. */
  private static long needs(HttpServletRequest request) {
    return Math.max(LITTLE, 2 * request.getContentLengthLong());
  }
}

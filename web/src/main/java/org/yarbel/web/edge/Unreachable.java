package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Says what is wrong while the database does not answer: 503 with a page that needs no database, and when to try again. It
 * stands around everything, the reading of sessions too.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class Unreachable extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(Unreachable.class);
  private static final String AGAIN_SECONDS = "5";

  private final StaticPage page = new StaticPage("unreachable.html", "The records cannot be reached; nothing is lost, try again");

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
    } catch (ServletException | RuntimeException wrong) {
      if (!Transient.away(wrong) || response.isCommitted()) {
        throw wrong;
      }
      LOG.warn("The database did not answer {} {}", request.getMethod(), request.getServletPath(), wrong);
      response.reset();
      response.setHeader("Retry-After", AGAIN_SECONDS);
      page.write(request, response, HttpStatus.SERVICE_UNAVAILABLE);
    }
  }
}

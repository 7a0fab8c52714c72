package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** What says of itself that it is too large gets its page before anybody looks into it; calls of the API have an answer of their own. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 3)
class TooLarge extends OncePerRequestFilter {
  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getServletPath();
    if (request.getAttribute(BodyGuard.TOO_LARGE) != null && !path.startsWith("/api/") && !path.equals("/sensor")) {
      response.sendError(HttpStatus.CONTENT_TOO_LARGE.value());
    } else {
      chain.doFilter(request, response);
    }
  }
}

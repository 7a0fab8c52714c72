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
  private final StaticPage page = new StaticPage(HttpStatus.CONTENT_TOO_LARGE, "That file is too large",
      "Nothing of it was read. A workbook of ours has at most 4 MB, a table of old records or a club's archive 64 MB. What you typed "
          + "is still in the "
          + "page before this one: go back.");

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getServletPath();
    if (request.getAttribute(BodyGuard.TOO_LARGE) != null && !path.startsWith("/api/") && !path.equals("/sensor")) {
      // written as it is: the usual page would ask for the fields of the form, which nobody reads
      page.write(request, response);
    } else {
      chain.doFilter(request, response);
    }
  }
}

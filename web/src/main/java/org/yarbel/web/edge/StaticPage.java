package org.yarbel.web.edge;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpStatus;

/** A page that needs nothing but itself: no database, no session, no template. */
final class StaticPage {
  private final byte[] page;
  private final String words;

  /** @param words what a call of the API, or a piece of a page, is told instead */
  StaticPage(String resource, String words) {
    this.words = words;
    try {
      page = new ClassPathResource("pages/" + resource).getContentAsByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void write(HttpServletRequest request, HttpServletResponse response, HttpStatus status) throws IOException {
    response.setStatus(status.value());
    if (request.getServletPath().startsWith("/api/")) {
      response.setContentType("application/problem+json");
      response.getWriter().write("{\"type\":\"about:blank\",\"title\":\"" + words + "\",\"status\":" + status.value() + "}");
      return;
    }
    response.setContentType("text/html;charset=UTF-8");
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("Content-Security-Policy", "default-src 'none'; style-src 'self'; img-src 'self'; frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.getOutputStream().write(page);
  }
}

package org.yarbel.web.edge;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpStatus;

/** A page that needs nothing but itself: no database, no session, no template engine. */
final class StaticPage {
  private final HttpStatus status;
  private final String title;
  private final byte[] page;

  /**
   * @param title what is wrong; a call of the API is told that alone
   * @param text what became of what was sent, and what to do
   */
  StaticPage(HttpStatus status, String title, String text) {
    this.status = status;
    this.title = title;
    try {
      page = new ClassPathResource("pages/bare.html").getContentAsString(StandardCharsets.UTF_8).replace("{title}", title)
          .replace("{text}", text)
          .getBytes(StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void write(HttpServletRequest request, HttpServletResponse response) throws IOException {
    response.setStatus(status.value());
    if (request.getServletPath().startsWith("/api/")) {
      response.setContentType("application/problem+json");
      response.getWriter().write("{\"type\":\"about:blank\",\"title\":\"" + title + "\",\"status\":" + status.value() + "}");
      return;
    }
    response.setContentType("text/html;charset=UTF-8");
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("Content-Security-Policy",
        "default-src 'none'; style-src 'self'; img-src 'self'; font-src 'self'; frame-ancestors 'none'");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.getOutputStream().write(page);
  }
}

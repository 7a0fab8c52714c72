package org.yarbel.web.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;

/**
 * Puts the stamp of its content into the address of a style, script or font, in place of the filter of Spring Boot. That one
 * looks for a file behind every link of a page, and a board has hundreds: only what can be a file is looked for.
 */
@Component
class StampedFiles extends ResourceUrlEncodingFilter {
  private static final List<String> FILES = List.of("/css/", "/js/", "/fonts/", "/webjars/");

  @Override
  public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain) throws ServletException, IOException {
    super.doFilter(request, response, (asked, stamping) ->
        chain.doFilter(asked, new FilesAlone((HttpServletResponse) stamping, (HttpServletResponse) response)));
  }

  /** Lets links be, and hands the addresses of files on. */
  private static final class FilesAlone extends HttpServletResponseWrapper {
    private final HttpServletResponse plain;

    FilesAlone(HttpServletResponse stamping, HttpServletResponse plain) {
      super(stamping);
      this.plain = plain;
    }

    @Override
    public String encodeURL(String url) {
      return FILES.stream().anyMatch(url::startsWith) ? super.encodeURL(url) : plain.encodeURL(url);
    }
  }
}

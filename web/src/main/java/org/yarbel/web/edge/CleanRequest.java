package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets through only what a browser of a person can have sent: parameters without NUL and lone surrogates, and no session cookie
 * that was never one of ours, which the database would choke on.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class CleanRequest extends OncePerRequestFilter {
  private static final Pattern SESSION = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    chain.doFilter(new Clean(request), response);
  }

  /** Whether a cookie can be taken: a session's is the id of one, written as ours are. */
  static boolean usable(Cookie cookie) {
    if (!cookie.getName().endsWith(Address.SESSION_COOKIE)) {
      return true;
    }
    try {
      String id = new String(Base64.getDecoder().decode(cookie.getValue()), StandardCharsets.ISO_8859_1);
      return SESSION.matcher(id).matches();
    } catch (IllegalArgumentException notBase64) {
      return false;
    }
  }

  private static final class Clean extends HttpServletRequestWrapper {
    Clean(HttpServletRequest request) {
      super(request);
    }

    @Override
    public Cookie @Nullable [] getCookies() {
      Cookie[] all = super.getCookies();
      return all == null ? null : Arrays.stream(all).filter(CleanRequest::usable).toArray(Cookie[]::new);
    }

    @Override
    public @Nullable String getParameter(String name) {
      String value = super.getParameter(name);
      return value == null ? null : PlainText.of(value);
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
      String[] values = super.getParameterValues(name);
      return values == null ? null : Arrays.stream(values).map(PlainText::of).toArray(String[]::new);
    }

    @Override
    public Map<String, String[]> getParameterMap() {
      Map<String, String[]> clean = new LinkedHashMap<>();
      super.getParameterMap().forEach((name, values) ->
          clean.put(PlainText.of(name), Arrays.stream(values).map(PlainText::of).toArray(String[]::new)));
      return clean;
    }

    @Override
    public Enumeration<String> getParameterNames() {
      return Collections.enumeration(getParameterMap().keySet());
    }

    @Override
    public @Nullable String getHeader(String name) {
      String value = super.getHeader(name);
      return value == null ? null : PlainText.of(value);
    }
  }
}

package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.yarbel.web.YarbelProperties;

/**
 * Lets a supervisor ask {@code /health} how it is: one on this machine, or one that sends the token it was started with. Nobody
 * else is told that there is such an address.
 */
@Component
class HealthGuard extends OncePerRequestFilter {
  private static final String HEALTH = "/health";
  private static final Set<String> THIS_MACHINE = Set.of("127.0.0.1", "0:0:0:0:0:0:0:1", "::1");

  private final @Nullable String token;

  HealthGuard(YarbelProperties properties) {
    this.token = properties.healthToken();
  }

  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    String path = request.getServletPath();
    return !path.equals(HEALTH) && !path.startsWith(HEALTH + "/");
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (mayAsk(request.getRemoteAddr(), request.getHeader(HttpHeaders.AUTHORIZATION))) {
      chain.doFilter(request, response);
    } else {
      response.sendError(HttpStatus.NOT_FOUND.value());
    }
  }

  boolean mayAsk(String address, @Nullable String header) {
    return THIS_MACHINE.contains(address) || token != null && !token.isEmpty() && header != null
        && MessageDigest.isEqual(("Bearer " + token).getBytes(StandardCharsets.UTF_8), header.getBytes(StandardCharsets.UTF_8));
  }
}

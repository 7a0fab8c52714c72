package org.yarbel.web.edge;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.Set;
import javax.sql.DataSource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.web.YarbelProperties;

/**
 * Tells a supervisor how it is: one on this machine, or one that sends the token it was started with. Nobody else is told that
 * there is such an address.
 */
@RestController
class HealthController {
  private static final int SECONDS = 2;

  private final DataSource database;
  private final YarbelProperties properties;
  private final DiskWatch disk;

  HealthController(DataSource database, YarbelProperties properties, DiskWatch disk) {
    this.database = database;
    this.properties = properties;
    this.disk = disk;
  }

  /** How it is: {@code up}, or {@code down} while the database does not answer. */
  record Health(String status, String database, String disk) {}

  @GetMapping("/health")
  ResponseEntity<Health> health(HttpServletRequest request) {
    if (!mayAsk(request)) {
      return ResponseEntity.notFound().build();
    }
    boolean answers = answers();
    return ResponseEntity.status(answers ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE).cacheControl(CacheControl.noStore())
        .body(new Health(answers ? "up" : "down", answers ? "up" : "down", disk.words().isEmpty() ? "enough" : "little"));
  }

  private boolean mayAsk(HttpServletRequest request) {
    String token = properties.healthToken();
    String sent = request.getHeader(HttpHeaders.AUTHORIZATION);
    boolean shown = token != null && !token.isEmpty() && sent != null
        && MessageDigest.isEqual(("Bearer " + token).getBytes(StandardCharsets.UTF_8), sent.getBytes(StandardCharsets.UTF_8));
    return shown || Set.of("127.0.0.1", "0:0:0:0:0:0:0:1", "::1").contains(request.getRemoteAddr());
  }

  private boolean answers() {
    try (Connection connection = database.getConnection()) {
      return connection.isValid(SECONDS);
    } catch (SQLException away) {
      return false;
    }
  }
}

package org.yarbel.web.edge;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.yarbel.web.YarbelProperties;

/**
 * Looks at the room on the disk with the records. Little room is told to those who look after the club; with none to speak of,
 * sets that were lifted are still written down, and everything else is refused with a word, before the database stops by itself
 * in the middle of something.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
public class DiskWatch extends OncePerRequestFilter {
  static final long LITTLE = 500L << 20;
  static final long NONE = 100L << 20;

  private static final Logger LOG = LoggerFactory.getLogger(DiskWatch.class);
  private static final Pattern ENTRY = Pattern.compile(
      "/sessions/\\d{1,18}/(sets|end|go-on|check-in|words|extra|lifted|easier)|/login|/login/second|/logout|/token");

  private final StaticPage page = new StaticPage(HttpStatus.INSUFFICIENT_STORAGE, "No room on the disk",
      "Nothing was changed. The disk with the records has less than " + (NONE >> 20)
      + " MB free: sets that were lifted are still written down, everything else waits "
          + "until there is room. Tell whoever looks after the machine. What you typed is still in the page before this one: go back.");
  private final @Nullable Path data;
  private volatile long free = Long.MAX_VALUE;

  DiskWatch(YarbelProperties properties) {
    this.data = properties.data();
    look();
  }

  /** Looks, every quarter of a minute. */
  @Scheduled(fixedDelay = 15, timeUnit = TimeUnit.SECONDS)
  final void look() {
    if (data == null) {
      return;
    }
    try {
      found(Files.getFileStore(data).getUsableSpace());
    } catch (IOException gone) {
      LOG.warn("The room on the disk of {} cannot be asked for: {}", data, gone.getMessage());
    }
  }

  /** Takes what was found. */
  void found(long bytes) {
    if (bytes < LITTLE && free >= LITTLE || bytes < NONE && free >= NONE) {
      LOG.warn("The disk with the records has {} MB free", bytes >> 20);
    }
    free = bytes;
  }

  /** What to tell those who look after the club; empty while there is room. */
  public Optional<String> words() {
    return free >= LITTLE ? Optional.empty() : Optional.of("The disk with the records has only " + (free >> 20) + " MB free."
        + (free < NONE ? " Only sets that were lifted are written down until there is room."
            : " Make room soon: under " + (NONE >> 20) + " MB nothing is written but sets."));
  }

  @Override
  protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getServletPath();
    boolean sends = HttpMethod.POST.matches(request.getMethod()) || HttpMethod.PUT.matches(request.getMethod());
    boolean writes = sends && !path.startsWith("/api/") && !ENTRY.matcher(path).matches();
    if (free < NONE && writes) {
      page.write(request, response);
    } else {
      chain.doFilter(request, response);
    }
  }
}
